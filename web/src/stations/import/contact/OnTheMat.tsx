import { Link, useParams } from 'react-router';
import { useImport } from '../../../store/import.ts';
import { closeContact } from '../../../store/contact.ts';
import { useJob } from '../../../store/job.ts';
import { useLibrary } from '../../../store/library.ts';
import { patternOf } from '../../../store/patterns.ts';
import { SmallPiece } from '../../../ui/SmallPiece.tsx';

/** What was taken, as it lies in the pattern, and the way on. */
export function OnTheMat() {
  const job = useJob((s) => s.job);
  const patterns = useLibrary((s) => s.patterns);
  const size = useImport((s) => s.contact?.read?.size ?? '');
  const { job: id } = useParams();
  const pattern = patternOf(job, patterns);
  const pieces = pattern?.sizes[size] ?? [];
  return (
    <div className="flex h-full min-h-[460px] flex-col border border-line bg-white">
      <div className="min-h-0 flex-1 overflow-auto p-4">
        <h2 className="mb-3">
          Size {size} of “{pattern?.name}”
        </h2>
        <div className="flex flex-wrap items-end gap-6">
          {pieces.map((p) => (
            <SmallPiece key={p.id} piece={p} tall="h-[200px]" />
          ))}
        </div>
      </div>
      <div className="flex flex-wrap items-center justify-between gap-3 border-t border-line px-4 py-3">
        <button className="btn" onClick={closeContact}>
          Back to the sheet
        </button>
        <Link className="btn btn-main" to={`/job/${id}/pattern`}>
          On to the pattern
        </Link>
      </div>
    </div>
  );
}
