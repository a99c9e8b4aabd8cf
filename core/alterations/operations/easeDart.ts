import { pathLength } from '../../geometry/index.ts';
import { dartToEase, edgeAfter, edgeBefore } from '../../paper/truing/index.ts';
import { requireEdge, type Edge, type Mark, type Seam } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';
import { findDart } from './state.ts';

interface EaseDart extends Said {
  readonly dart: string;
}

export const easeDart = operation<'easeDart', EaseDart>('easeDart', {
  stage: 'true',
  summary: 'leaves a dart unsewn: its mouth is eased into the seam beside it',
  run: ({ table, state }, { dart: id }) => {
    const dart = findDart(table, state.piece, id);
    if (!dart) return;
    const before = requireEdge(state.piece, edgeBefore(state.piece, dart.mouth));
    const after = requireEdge(state.piece, edgeAfter(state.piece, dart.mouth));
    const done = dartToEase(state.piece, dart.id);
    const notches = [
      notch(`${dart.id} before`, before, pathLength(before.path) - reachOf(before)),
      notch(`${dart.id} after`, after, reachOf(after)),
    ];
    state.piece = { ...done.piece, marks: [...done.piece.marks, ...notches] };
    table.seams = table.seams.map((seam) => eased(seam, state.piece.id, before.id, dart.mouth, done.intake));
  },
});

/** Easing is spread this far to either side of where the dart was, mm, on a short edge a third of it. */
const REACH = 25;
const reachOf = (edge: Edge): number => Math.min(REACH, pathLength(edge.path) / 3);
const notch = (id: string, { id: edge }: Edge, at: number): Mark => ({ kind: 'notch', id, edge, at, count: 1 });

/** The seam that carries the mouth from now on, with that much more on this side. */
function eased(seam: Seam, piece: string, before: string, mouth: string, intake: number): Seam {
  const carries = (side: Seam['first']): boolean => side.piece === piece && side.edges.includes(before);
  const key = carries(seam.first) ? 'first' : carries(seam.second) ? 'second' : null;
  if (!key) return seam;
  const side = seam[key];
  const edges = side.edges.flatMap((e) => (e !== before ? [e] : side.reversed ? [mouth, e] : [e, mouth]));
  return { ...seam, ease: seam.ease + (key === 'first' ? -intake : intake), [key]: { ...side, edges } };
}
