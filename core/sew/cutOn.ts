import { armTube, onTube, type ArmTube, type Figure } from '../form/index.ts';
import { distance, type Point } from '../geometry/index.ts';
import { edgesWithRole, type EdgeRole } from '../pattern/index.ts';
import { edgeKey, type Panel, type Toile } from './toile.ts';
import { hasCutOnSleeve } from './garment.ts';
import { OFF_ARM } from './sleeve.ts';

/** The corners of a cut-on sleeve on its paper: at the bone and at the underarm, and where the overarm and the underarm seam end at its hem. */
interface Corners {
  readonly bone: Point;
  readonly underarm: Point;
  readonly over: Point;
  readonly under: Point;
}

/**
 * Lays the sleeves of pieces that have them cut on around the left arm, into `out` (m), where all has been laid around the torso: the
 * overarm on its outer side, the underarm seam from the side of the body to the inside of the arm, and what would lie within the arm
 * before or behind it.
 */
export function layCutOn(figure: Figure, toile: Toile, out: Float64Array): void {
  const tube = armTube(figure);
  for (const panel of toile.panels.filter((p) => hasCutOnSleeve(p.piece))) {
    const corners = cornersOf(figure, panel, toile);
    const way = panel.piece.part === 'front' ? 1 : -1;
    panel.points.forEach((i, k) => {
      if (beyondBody(corners, panel.places[k]!)) {
        const at = placeIn(corners, panel.places[k]!);
        const share = 1 - at.down * (1 - at.along);
        onArm(tube, corners, at, way).forEach((v, d) => (out[3 * i + d] = share * v + (1 - share) * out[3 * i + d]!));
      }
      clear(tube, way, out, 3 * i);
    });
  }
}

/** Whether a triangle of a toile belongs to a sleeve that is cut on, which is read no more than a set-in one where the body is. */
export function onCutOnSleeve(figure: Figure, toile: Toile): (t: number) => boolean {
  const sleeves = toile.panels
    .filter((p) => hasCutOnSleeve(p.piece))
    .map((panel) => ({ panel, corners: cornersOf(figure, panel, toile) }));
  return (t) => {
    const found = sleeves.find(({ panel }) => t >= panel.from && t < panel.to);
    if (!found) return false;
    const { panel, corners } = found;
    const places = [0, 1, 2].map((k) => panel.places[panel.triangles[3 * (t - panel.from) + k]!]!);
    const mean = (d: 'x' | 'y'): number => places.reduce((sum, p) => sum + p[d], 0) / 3;
    return beyondBody(corners, { x: mean('x'), y: mean('y') });
  };
}

function cornersOf(figure: Figure, panel: Panel, { edges }: Toile): Corners {
  const along = (role: EdgeRole): readonly Point[] =>
    edgesWithRole(panel.piece, role)
      .flatMap((e) => [...(edges.get(edgeKey(panel.piece.id, e.id)) ?? [])])
      .map((i) => panel.places[panel.points.indexOf(i)]!)
      .sort((a, b) => a.y - b.y);
  const [overarm, underarm] = [along('shoulder'), along('underarm')];
  const [neck, over] = [overarm[0]!, overarm.at(-1)!];
  const share = Math.hypot(figure.shoulder - figure.neckHalf, figure.shoulderDrop) / distance(neck, over);
  const bone = { x: neck.x + share * (over.x - neck.x), y: neck.y + share * (over.y - neck.y) };
  return { bone, over, under: underarm[0]!, underarm: underarm.at(-1)! };
}

/** Whether a point of the paper lies on the sleeve’s side of the line from the bone to the underarm. */
function beyondBody({ bone, underarm, over }: Corners, p: Point): boolean {
  const side = (q: Point): number => (underarm.x - bone.x) * (q.y - bone.y) - (underarm.y - bone.y) * (q.x - bone.x);
  return side(p) * side(over) > 0;
}

/** A place of a sleeve: from the bone to its hem (`along`), and from overarm to underarm; both 0 to 1. */
interface Place {
  readonly along: number;
  readonly down: number;
}

/** Where a point of the paper lies between the four corners, found by Newton steps. */
function placeIn({ bone, underarm, over, under }: Corners, p: Point): Place {
  let [along, down] = [0.5, 0.5];
  const between = (d: 'x' | 'y', a: number, b: number): number =>
    (1 - b) * ((1 - a) * bone[d] + a * over[d]) + b * ((1 - a) * underarm[d] + a * under[d]);
  for (let i = 0; i < 8; i++) {
    const off = { x: p.x - between('x', along, down), y: p.y - between('y', along, down) };
    const way = (d: 'x' | 'y') => ({
      along: (1 - down) * (over[d] - bone[d]) + down * (under[d] - underarm[d]),
      down: (1 - along) * (underarm[d] - bone[d]) + along * (under[d] - over[d]),
    });
    const [x, y] = [way('x'), way('y')];
    const det = x.along * y.down - x.down * y.along;
    if (!(Math.abs(det) > 0)) break;
    along += (off.x * y.down - x.down * off.y) / det;
    down += (x.along * off.y - off.x * y.along) / det;
  }
  const within = (v: number): number => Math.min(1, Math.max(0, v));
  return { along: within(along), down: within(down) };
}

/** Moves a place out of the arm, to its front or its back. */
function clear(
  { from, way: down, out: aside, radiusAt, length }: ArmTube,
  way: 1 | -1,
  x: Float64Array,
  at: number,
): void {
  const [dx, dy] = [1000 * x[at]! - from.x, 1000 * x[at + 1]! - from.y];
  const along = dx * down.x + dy * down.y;
  const off = dx * aside.x + dy * aside.y;
  const radius = radiusAt(along) + OFF_ARM;
  if (along < 0 || along > length || Math.abs(off) >= radius) return;
  const least = from.z + way * Math.sqrt(radius * radius - off * off);
  if (way * (1000 * x[at + 2]! - least) < 0) x[at + 2] = least / 1000;
}

function onArm(
  tube: ArmTube,
  { bone, underarm, over, under }: Corners,
  { along, down }: Place,
  way: 1 | -1,
): readonly [number, number, number] {
  const long = (1 - down) * distance(bone, over) + down * distance(underarm, under);
  const half = (1 - along) * distance(bone, underarm) + along * distance(over, under);
  const from = along * long;
  const p = onTube(tube, from, way * down * Math.PI, Math.max(tube.radiusAt(from), half / Math.PI) + OFF_ARM);
  return [p.x / 1000, p.y / 1000, p.z / 1000];
}
