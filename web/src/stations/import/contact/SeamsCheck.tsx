import { useMemo, useState } from 'react';
import { chartOfFile, withChart } from '@ample/core/fitting/fit';
import { proposeSeams } from '@ample/core/in/tracing';
import { TOL, type Refusal } from '@ample/core/units';
import { counted, sayFileRefusal } from '@ample/core/words';
import { useImport } from '../../../store/import.ts';
import { useBringHistory } from '../../../store/importHistory.ts';
import { backToPieces, chosenPieces, piecesAreTaken } from '../../../store/contact.ts';
import type { Contact } from '../../../store/contactTypes.ts';
import { useUnits } from '../../../store/prefs.ts';
import { editPattern } from '../../../store/patterns.ts';
import { takePieces } from '../../../store/takePiece.ts';
import { Length, Notice } from '../../../shared/basics.tsx';
import type { ProposedSeam } from '@ample/core/in/tracing';

/** The seams between the pieces, each walked from both sides; then everything is taken into the pattern. */
export function SeamsCheck({ contact }: { readonly contact: Contact }) {
  const units = useUnits();
  const name = useImport((s) => s.name);
  const [looked, setLooked] = useState(false);
  const [failed, setFailed] = useState<Refusal | null>(null);
  const all = useMemo(() => chosenPieces(contact), [contact]);
  const size = contact.read?.size ?? '1';
  const own = useMemo(() => all.filter((p) => p.size === size).map((p) => p.piece), [all, size]);
  const seams = useMemo(() => proposeSeams(own), [own]);
  const title = (id: string): string => own.find((p) => p.id === id)?.name ?? id;
  const sizes = new Set(all.map((p) => p.size)).size;
  const raw = useImport((s) => s.raw);
  const chart = useMemo(() => (raw ? chartOfFile(raw) : null), [raw]);
  const take = () => {
    const done = takePieces(all, name);
    if (!done.ok) return setFailed(done.error);
    if (chart) editPattern((p) => withChart(p, chart));
    piecesAreTaken();
    // What was done up to here is in the pattern now; the job's own undo takes it out again.
    useBringHistory.setState({ past: [], future: [] });
  };
  return (
    <div className="flex h-full min-h-[460px] flex-col border border-line bg-white">
      <div className="min-h-0 flex-1 overflow-auto p-4">
        <h2>Are these the seams?</h2>
        <p className="mb-3 max-w-[70ch] text-quiet">
          Both sides walked along the seam line, darts shut. What differs is eased in, or was read wrong.
        </p>
        {seams.length === 0 ? (
          <p>No two of these pieces are sewn to each other.</p>
        ) : (
          <SeamsTable seams={seams} title={title} />
        )}
        {chart && (
          <p className="mt-4">
            The size chart printed in the file is taken as well: {chart.map((r) => r.size).join(', ')}.
          </p>
        )}
        {failed && <Notice grade="fault">{sayFileRefusal(failed, units)}</Notice>}
      </div>
      <div className="flex flex-wrap items-center justify-between gap-3 border-t border-line px-4 py-3">
        <button className="btn" onClick={backToPieces}>
          Back to the pieces
        </button>
        {looked ? (
          <button className="btn btn-main" onClick={take}>
            Take {counted(own.length, 'piece')} in {counted(sizes, 'size')} into the pattern
          </button>
        ) : (
          <button className="btn btn-main" onClick={() => setLooked(true)}>
            The seams are right
          </button>
        )}
      </div>
    </div>
  );
}

function SeamsTable({
  seams,
  title,
}: {
  readonly seams: readonly ProposedSeam[];
  readonly title: (id: string) => string;
}) {
  return (
    <table className="w-full max-w-[860px] border-collapse" aria-label="Seams">
      <thead>
        <tr className="border-b border-line text-left">
          <th className="py-2 pr-3">Seam</th>
          <th className="py-2 pr-3">From</th>
          <th className="py-2 pr-3">To</th>
          <th className="py-2 pr-3 text-right">Lengths</th>
          <th className="py-2 text-right">Difference</th>
        </tr>
      </thead>
      <tbody>
        {seams.map(({ seam, walk }) => (
          <tr key={seam.id} className="border-b border-line">
            <td className="py-2 pr-3 font-bold">{seam.id}</td>
            <td className="py-2 pr-3">{title(seam.first.piece)}</td>
            <td className="py-2 pr-3">{title(seam.second.piece)}</td>
            <td className="py-2 pr-3 text-right">
              <Length bare value={walk.first.length} /> and <Length value={walk.second.length} />
            </td>
            <td className="py-2 text-right">
              {seam.ease > 0 ? (
                <>
                  eased <Length value={seam.ease} />
                </>
              ) : Math.abs(walk.difference) > TOL.seam ? (
                <Length value={walk.difference} sign />
              ) : (
                'walks'
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
