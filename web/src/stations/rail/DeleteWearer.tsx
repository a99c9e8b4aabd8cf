import type { Wearer } from '@ample/core/documents';
import { useLibrary } from '../../store/library.ts';
import { deleteWearer, jobsOf } from '../../store/privacy.ts';
import { Ask } from '../../ui/Ask.tsx';

/** Asked once, plainly: what goes, and what is not reached. */
export function DeleteWearer({ wearer, onClose }: { readonly wearer: Wearer; readonly onClose: () => void }) {
  const count = useLibrary((s) => jobsOf(s.jobs, wearer.id).length);
  const jobs = count === 0 ? '' : count === 1 ? ', and the one job,' : `, and all ${count} jobs,`;
  return (
    <Ask
      title={`Delete ${wearer.name}`}
      action="Delete completely"
      onClose={onClose}
      onAction={() => {
        onClose();
        void deleteWearer(wearer.id).then((r) => r && useLibrary.setState({ trouble: r }));
      }}
    >
      All measurements go{jobs} with plans, fittings, versions and pictures. Nothing of it stays in this browser. Files
      you exported earlier are not reached: delete those yourself.
    </Ask>
  );
}
