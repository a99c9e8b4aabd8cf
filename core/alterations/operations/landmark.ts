import { endOf, pathLength, type Point } from '../../geometry/index.ts';
import { requireEdge, type LevelName, type Mark, type Piece } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';

interface Landmark extends Said {
  readonly bustPoint?: Point;
  readonly levels?: Readonly<Partial<Record<LevelName, number>>>;
  /** The grainline stays where it was drawn, whatever the paper under it did. */
  readonly keepGrain?: boolean;
  /** A notch put on an edge, so far from its upper end, mm. */
  readonly notch?: { readonly id: string; readonly edge: string; readonly fromTop: number };
}

export const landmark = operation<'landmark', Landmark>('landmark', {
  stage: 'mark',
  summary: 'moves the bust point, a level or a notch, or keeps the grainline',
  run: ({ state }, step) => {
    state.piece = { ...state.piece, marks: state.piece.marks.map((m) => moved(state.piece, m, step, state.original)) };
    if (!step.bustPoint) return;
    const points = state.points.filter((p) => p.kind !== 'newBustPoint');
    state.points = [...points, { id: 'newBustPoint', kind: 'newBustPoint', at: step.bustPoint }];
  },
});

function moved(piece: Piece, m: Mark, { bustPoint, levels, keepGrain, notch }: Landmark, original: Piece): Mark {
  if (m.kind === 'grain' && keepGrain) return original.marks.find((o) => o.id === m.id) ?? m;
  if (m.kind === 'bustPoint' && bustPoint) return { ...m, at: bustPoint };
  if (m.kind === 'notch' && m.id === notch?.id)
    return { ...m, edge: notch.edge, at: alongFromTop(piece, notch.edge, notch.fromTop) };
  const y = m.kind === 'level' ? levels?.[m.name] : undefined;
  return m.kind === 'level' && y !== undefined ? { ...m, at: { x: m.at.x, y } } : m;
}

function alongFromTop(piece: Piece, edge: string, fromTop: number): number {
  const { path } = requireEdge(piece, edge);
  return endOf(path).y < path.start.y ? pathLength(path) - fromTop : fromTop;
}
