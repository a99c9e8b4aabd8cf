import {
  add,
  distance,
  dot,
  endOf,
  endTangent,
  midpoint,
  norm,
  pathLength,
  scale,
  startTangent,
  sub,
  tangentAt,
  unit,
  type Point,
} from '../../../geometry/index.ts';
import { levelOf, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import { isStraight, lineAcross, lineSquareTo, type LengthLine } from '../../kit/lengthLines.ts';
import { elbowOf, hemEnds, sleeveOn, type SleeveOn } from '../../kit/sleeve.ts';
import type { Context } from '../../contract.ts';

/** The parts of a sleeve: above the elbow and below it; a sleeve without an elbow line has one part. */
export interface Arm {
  readonly on: SleeveOn;
  readonly elbow: Point | null;
  /** Down the middle of the forearm: straight down, unless an elbow dart has turned it. */
  readonly way: Point;
}

export function armOn(context: Pick<Context, 'pieces'>): Result<Arm> {
  const on = sleeveOn(context.pieces);
  if (!on.ok) return on;
  const { piece, ends } = on.value;
  const found = elbowOf(piece);
  // An elbow line above the underarm is none of this sleeve's.
  const elbow = found && found.y > Math.max(ends[0].y, ends[1].y) ? found : null;
  const turned = elbow && piece.darts.some((d) => d.kind === 'elbow');
  return ok({ on: on.value, elbow, way: turned ? forearmOf(piece, elbow) : { x: 0, y: 1 } });
}

/** Half-way between the two underarm seams at the hem: along it both become longer by the same. */
function forearmOf(piece: Piece, elbow: Point): Point {
  const ends = hemEnds(piece) ?? [elbow, elbow];
  const ways = piece.edges
    .filter((e) => e.role === 'underarm')
    .flatMap(({ path }) => [
      ...(ends.some((p) => distance(p, endOf(path)) < TOL.join) ? [endTangent(path)] : []),
      ...(ends.some((p) => distance(p, path.start) < TOL.join) ? [scale(startTangent(path), -1)] : []),
    ]);
  const [one, other] = ways;
  return unit(one && other ? add(one, other) : sub(midpoint(...ends), elbow));
}

/** The lines the sleeve is cut along, and by how much it becomes longer at each; a line that takes nothing is left out. */
export function linesOn({ on, elbow, way }: Arm, above: number, below: number): Result<readonly LengthLine[]> {
  const { piece, ends, foot } = on;
  const under = Math.max(ends[0].y, ends[1].y);
  const own = levelOf(piece, 'lengthenShorten')?.y ?? null;
  const between = (from: number, to: number): number =>
    own !== null && own > from && own < to ? own : (from + to) / 2;
  const found = elbow
    ? [
        lineAcross(piece, 'above', between(under, elbow.y), above),
        lineSquareTo(piece, 'below', midpoint(elbow, foot), way, below),
      ]
    : [lineAcross(piece, 'whole', between(under, foot.y), above + below)];
  const lines: LengthLine[] = [];
  for (const line of found) {
    if (!line.ok) return line;
    if (line.value) lines.push(line.value);
  }
  // With nothing asked at all the lines are drawn and no more.
  const cut = lines.filter((l) => Math.abs(l.by) > TOL.same);
  if (cut.length > 0) return ok(cut);
  return lines.length > 0 ? ok(lines) : refuse('line-off-piece', { piece: piece.name, y: foot.y });
}

/** By how much one side of the sleeve grows where it is cut: exactly where its seams are straight, else along them. */
function growthOf(lines: readonly LengthLine[], side: 'left' | 'right'): number {
  const edges = [...new Map(lines.map((l) => [l[side].edge.id, l[side].edge])).values()];
  return edges.reduce((sum, edge) => {
    const here = lines.filter((l) => l[side].edge.id === edge.id);
    const chord = sub(endOf(edge.path), edge.path.start);
    if (!isStraight(edge))
      return sum + here.reduce((n, l) => n + l.by * Math.abs(dot(l.way, tangentAt(edge.path, l[side].along))), 0);
    const down = Math.sign(chord.y) || 1;
    const moved = here.reduce((v, l) => add(v, scale(l.way, l.by * down)), chord);
    return sum + norm(moved) - norm(chord);
  }, 0);
}

/**
 * How long curved underarm seams are to be once the sleeve is cut, by edge: both sides grow alike, by as much as the
 * straight one does.
 */
export function curvedLengths(lines: readonly LengthLine[]): ReadonlyMap<string, number> {
  const straight = (side: 'left' | 'right'): boolean => lines.every((l) => isStraight(l[side].edge));
  const [left, right] = [growthOf(lines, 'left'), growthOf(lines, 'right')];
  const growth = straight('left') ? left : straight('right') ? right : (left + right) / 2;
  return new Map(
    (['left', 'right'] as const).flatMap((side) => {
      const curved = lines.map((l) => l[side].edge).filter((e) => !isStraight(e));
      const [edge] = curved;
      // A side of one curve takes all of it; of several each grows as it comes.
      return edge && lines.every((l) => l[side].edge.id === edge.id)
        ? [[edge.id, pathLength(edge.path) + growth] as const]
        : [];
    }),
  );
}
