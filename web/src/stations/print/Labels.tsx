import type { Piece } from '@ample/core/pattern';
import { editJob, useJob } from '../../store/job.ts';
import { TextBox } from '../../ui/TextBox.tsx';

/** A word of one's own for the label of each piece; who, size, date and changes stand on it anyway. */
export function Labels({ pieces }: { readonly pieces: readonly Piece[] }) {
  const labels = useJob((s) => s.job?.labels);
  const set = (id: string, text: string) =>
    editJob((j) => {
      const { [id]: _old, ...rest } = j.labels;
      return { ...j, labels: text.trim() === '' ? rest : { ...rest, [id]: text.trim() } };
    });
  return (
    <details className="card mt-6 p-4">
      <summary className="min-h-[40px] cursor-pointer py-1.5 font-head text-lg font-semibold">
        Note on the labels
      </summary>
      <p className="my-2 text-sm text-quiet">
        Wearer, pattern, size, date and what was changed are printed on every piece. Add what you want to remember at
        the cutting table.
      </p>
      <div className="grid gap-3 min-[700px]:grid-cols-2">
        {pieces.map((p) => (
          <TextBox
            key={p.id}
            label={`On the ${p.name.toLowerCase()}`}
            rows={1}
            max={200}
            value={labels?.[p.id] ?? ''}
            onCommit={(text) => set(p.id, text)}
          />
        ))}
      </div>
    </details>
  );
}
