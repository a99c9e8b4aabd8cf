import { distance, midpoint } from '@ample/core/geometry';
import type { TraceChoices, Traced } from '@ample/core/in/tracing';
import { ROLE_WORDS } from '@ample/core/words';
import { choose } from '../../store/import.ts';
import { Length } from '../../shared/basics.tsx';

const SIGNS = { legs: 'by its legs', notches: 'by notches and a hole', cut: 'cut out of the edge' } as const;

/** What a dart is called by the edge it opens on, so that one knows which of them a row speaks of. */
function dartName(traced: Traced, i: number): string {
  const kind = traced.piece.darts.find((d) => d.id === `dart${i + 1}`)?.kind ?? 'other';
  return kind === 'other' ? 'Dart' : `${kind.charAt(0).toUpperCase()}${kind.slice(1)} dart`;
}
function notchPlace(traced: Traced, i: number): string {
  const mark = traced.piece.marks.find((m) => m.kind === 'notch' && m.id === `notch${i + 1}`);
  const edge = mark?.kind === 'notch' ? traced.piece.edges.find((e) => e.id === mark.edge) : undefined;
  return edge && edge.role !== 'other' ? `, ${ROLE_WORDS[edge.role]}` : '';
}

/** Darts and notches that were found, each of which may be none; what is missing. */
export function Marks({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm">Darts and marks</legend>
      <ul>
        {traced.darts.map((d, i) => (
          <li key={i} className="flex min-h-[40px] items-center justify-between gap-2">
            <span>
              {dartName(traced, i)}, <Length value={distance(d.tip, midpoint(d.one, d.two))} /> long, {SIGNS[d.sign]}
            </span>
            <button
              className="link text-sm"
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
        {traced.doubleDarts.map((d, i) => (
          <li key={`d${i}`} className="flex min-h-[40px] items-center justify-between gap-2">
            <span>
              Double-pointed dart, <Length value={distance(d.upper, d.lower)} /> long
            </span>
            <button className="link text-sm" onClick={() => choose({ notDarts: [...choices.notDarts, d.upper] })}>
              not a dart
            </button>
          </li>
        ))}
        {traced.notches.map((n, i) => (
          <li key={`n${i}`} className="flex min-h-[40px] items-center justify-between gap-2">
            <span>
              {n.count === 1 ? 'Notch' : n.count === 2 ? 'Double notch' : 'Triple notch'}
              {notchPlace(traced, i)}
            </span>
            <button
              className="link text-sm"
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
