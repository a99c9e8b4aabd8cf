import type { TraceChoices, Traced } from '@ample/core/tracing';
import { choose } from '../../store/bring.ts';

const SIGNS = { legs: 'by its legs', notches: 'by notches and a hole', cut: 'cut out of the edge' } as const;

/** Darts and notches that were found, each of which may be none; what is missing. */
export function Marks({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm">Darts and marks</legend>
      <ul>
        {traced.darts.map((d, i) => (
          <li key={i} className="flex min-h-[40px] items-center justify-between gap-2">
            <span>Dart {SIGNS[d.sign]}</span>
            <button
              className="text-sm underline"
              onClick={() =>
                choose({
                  notDarts: [...choices.notDarts, d.tip],
                  ownDarts: choices.ownDarts.filter((o) => o.tip !== d.tip),
                })
              }
            >
              not a dart
            </button>
          </li>
        ))}
        {traced.notches.map((n, i) => (
          <li key={`n${i}`} className="flex min-h-[36px] items-center justify-between gap-2">
            <span>{n.count === 1 ? 'Notch' : n.count === 2 ? 'Double notch' : 'Triple notch'}</span>
            <button
              className="text-sm underline"
              onClick={() =>
                choose({
                  notNotches: [...choices.notNotches, n.at],
                  ownNotches: choices.ownNotches.filter((o) => o !== n.at),
                })
              }
            >
              not a notch
            </button>
          </li>
        ))}
      </ul>
      <p className="text-sm text-quiet">
        {traced.grain ? 'Grain line found.' : 'No grain line yet.'}{' '}
        {traced.bustPoint ? 'Bust point placed.' : choices.part === 'front' ? 'No bust point yet.' : ''}
      </p>
    </fieldset>
  );
}
