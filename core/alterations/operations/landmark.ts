import { lowerChord } from '../../paper/truing/index.ts';
import { add, distance, endOf, midpoint, pathLength, scale, sub, unit, type Point } from '../../geometry/index.ts';
import { requireEdge, type LevelName, type Mark, type Piece } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';

interface Landmark extends Said {
  readonly bustPoint?: Point;
  readonly levels?: Readonly<Partial<Record<LevelName, number>>>;
  /** The grainline stays where it was drawn, whatever the paper under it did. */
  readonly keepGrain?: boolean;
  /** The grainline is turned about its middle until it is square to the chord of this edge. */
  readonly grainSquareTo?: 'waist' | 'hem';
  /** Where the waist lies from now on, where it is no longer level. */
  readonly waistLine?: Piece['waistLine'];
  /** A notch put on an edge, so far from its upper end, mm. */
  readonly notch?: { readonly id: string; readonly edge: string; readonly fromTop: number };
}

export const landmark = operation<'landmark', Landmark>('landmark', {
  stage: 'mark',
  summary: 'moves the bust point, a level, the waist or a notch; keeps the grainline, or sets it square to a waist',
  run: ({ state }, step) => {
    if (step.waistLine) state.piece = { ...state.piece, waistLine: step.waistLine };
    state.piece = { ...state.piece, marks: state.piece.marks.map((m) => moved(state.piece, m, step, state.original)) };
    if (!step.bustPoint) return;
    const points = state.points.filter((p) => p.kind !== 'newBustPoint');
    state.points = [...points, { id: 'newBustPoint', kind: 'newBustPoint', at: step.bustPoint }];
  },
});

function moved(
  piece: Piece,
  m: Mark,
  { bustPoint, levels, keepGrain, grainSquareTo, notch }: Landmark,
  original: Piece,
): Mark {
  if (m.kind === 'grain' && keepGrain) return original.marks.find((o) => o.id === m.id) ?? m;
  if (m.kind === 'grain' && grainSquareTo) return squared(m, lowerChord(piece, grainSquareTo));
  if (m.kind === 'bustPoint' && bustPoint) return { ...m, at: bustPoint };
  if (m.kind === 'notch' && m.id === notch?.id)
    return { ...m, edge: notch.edge, at: alongFromTop(piece, notch.edge, notch.fromTop) };
  const y = m.kind === 'level' ? levels?.[m.name] : undefined;
  return m.kind === 'level' && y !== undefined ? { ...m, at: { x: m.at.x, y } } : m;
}

/** A grainline as long as it was, about the same middle, square to a direction; as it was where there is none. */
function squared(grain: Extract<Mark, { kind: 'grain' }>, along: Point | null): Mark {
  if (!along) return grain;
  const middle = midpoint(grain.from, grain.to);
  const up = grain.from.y <= grain.to.y ? -1 : 1;
  const square = unit({ x: -along.y, y: along.x });
  const half = scale(square, (distance(grain.from, grain.to) / 2) * (square.y < 0 ? -up : up));
  return { ...grain, from: add(middle, half), to: sub(middle, half) };
}

function alongFromTop(piece: Piece, edge: string, fromTop: number): number {
  const { path } = requireEdge(piece, edge);
  return endOf(path).y < path.start.y ? pathLength(path) - fromTop : fromTop;
}
