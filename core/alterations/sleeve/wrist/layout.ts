import { add, endOf, pathLength, scale, sub, unit, type Point } from '../../../geometry/index.ts';
import { type Edge } from '../../../pattern/index.ts';
import { edgeAfter, edgeBefore } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { meetings } from '../../kit/across.ts';
import { hasCuff } from '../../kit/cuff.ts';
import type { OnPieces } from '../../kit/flatMeasure.ts';
import { elbowOf, hemsOf, sleeveOn, type SleeveOn } from '../../kit/sleeve.ts';

/** One end of a sleeve's hem: the corner, the seam that comes down to it, and how far up that is drawn again, mm. */
export interface HemEnd {
  readonly corner: Point;
  readonly underarm: Edge;
  readonly hem: Edge;
  /** Out of the sleeve along its hem. */
  readonly out: Point;
  readonly reach: number;
}

/** What the taper runs out at. */
export type Taper = 'elbow' | 'middle' | 'underarm';

export interface Wrist {
  readonly on: SleeveOn;
  readonly width: number;
  readonly taper: Taper;
  readonly ends: readonly [HemEnd, HemEnd];
}

/** The hem of a sleeve without a cuff; refused where there is none, and where it is sewn to a cuff. */
export function wristOn(on: OnPieces, from: string): Result<Wrist> {
  const sleeve = sleeveOn(on.pieces);
  if (!sleeve.ok) return sleeve;
  const { piece } = sleeve.value;
  if (hasCuff(on)) return refuse('sleeve-has-cuff', { piece: piece.name });
  const hems = hemsOf(piece);
  const [first, last] = [hems[0], hems.at(-1)];
  const before = piece.edges.find((e) => e.id === edgeBefore(piece, first?.id ?? ''));
  const after = piece.edges.find((e) => e.id === edgeAfter(piece, last?.id ?? ''));
  if (!first || !last || before?.role !== 'underarm' || after?.role !== 'underarm')
    return refuse('sleeve-landmark-missing', { piece: piece.name });
  const taper = taperOf(sleeve.value, from, [before, after]);
  const corners = [first.path.start, endOf(last.path)] as const;
  const out = unit(sub(corners[0], corners[1]));
  const end = (corner: Point, underarm: Edge, hem: Edge, way: Point): HemEnd => ({
    ...{ corner, underarm, hem, out: way },
    reach: reachOf(sleeve.value, underarm, taper),
  });
  return ok({
    on: sleeve.value,
    width: hems.reduce((n, e) => n + pathLength(e.path), 0),
    taper,
    ends: [end(corners[0], before, first, out), end(corners[1], after, last, scale(out, -1))],
  });
}

/** A seam that begins at an elbow dart runs out there, whatever is chosen; without an elbow line, half-way up. */
function taperOf({ piece, ends }: SleeveOn, from: string, underarms: readonly Edge[]): Taper {
  const whole = underarms.every((e) =>
    [e.path.start, endOf(e.path)].some((p) => ends.some((q) => q.x === p.x && q.y === p.y)),
  );
  if (!whole) return 'elbow';
  if (from === 'underarm') return 'underarm';
  return elbowOf(piece) ? 'elbow' : 'middle';
}

function reachOf({ piece }: SleeveOn, { id, path }: Edge, taper: Taper): number {
  const size = pathLength(path);
  if (taper === 'underarm') return size;
  if (taper === 'middle') return size / 2;
  const y = elbowOf(piece)?.y ?? 0;
  const met = meetings(piece, y).find((m) => m.edge.id === id);
  if (!met) return size;
  return endOf(path).y > path.start.y ? size - met.along : met.along;
}

/** Where an end of the hem goes when the whole hem becomes wider by so much. */
export const movedOut = ({ corner, out }: HemEnd, by: number): Point => add(corner, scale(out, by / 2));
