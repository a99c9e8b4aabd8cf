import { CLOTHS, drawnAt } from '../cloth/index.ts';
import { alongTube, tautOver, type ArmTube, type Vec3 } from '../form/index.ts';
import { edgesWithRole, waistHeight, type EdgeRole, type Piece } from '../pattern/index.ts';
import { edgeKey, isBand, isSleeve, onCutOnSleeve, type Panel } from '../sew/index.ts';
import { LIES_OFF } from './rest.ts';
import type { Worn } from './wear.ts';

/** Where a point of the cloth lies, mm. */
export const placeAt = ({ x }: Worn, i: number): Vec3 => ({
  x: 1000 * x[3 * i]!,
  y: 1000 * x[3 * i + 1]!,
  z: 1000 * x[3 * i + 2]!,
});

const middleOf = (w: Worn, t: number): Vec3 => {
  const corners = [0, 1, 2].map((k) => placeAt(w, w.sheet.triangles[3 * t + k]!));
  const mean = (d: keyof Vec3): number => corners.reduce((sum, c) => sum + c[d], 0) / 3;
  return { x: mean('x'), y: mean('y'), z: mean('z') };
};

/** Points so many edges round the tips of darts, where cloth always pulls. */
function atTips({ toile, sheet }: Worn, rings: number): ReadonlySet<number> {
  const near = new Set<number>();
  for (const { piece, points, places } of toile.panels)
    for (const d of piece.darts) {
      let best = 0;
      places.forEach((p, k) => {
        const q = places[best]!;
        if (Math.hypot(p.x - d.tip.x, p.y - d.tip.y) < Math.hypot(q.x - d.tip.x, q.y - d.tip.y)) best = k;
      });
      near.add(points[best]!);
    }
  for (let r = 0; r < rings; r++) {
    const also = new Set<number>();
    for (let t = 0; t < sheet.triangles.length; t += 3) {
      const corners = sheet.triangles.subarray(t, t + 3);
      if (corners.some((i) => near.has(i))) corners.forEach((i) => also.add(i));
    }
    also.forEach((i) => near.add(i));
  }
  return near;
}

/** How the cloth is drawn on the whole over a part of the body, %: the mean of its pull as a share of its stiffness; of one panel where given. */
export function pullOver(w: Worn, over: (p: Vec3) => boolean, panel?: Panel): number {
  const cloth = CLOTHS[w.cloth];
  const stiff = (cloth.along + cloth.across) / 2;
  const tips = atTips(w, 2);
  let [sum, area] = [0, 0];
  for (const t of panel ? trianglesOf(panel) : onTorso(w)) {
    if ([0, 1, 2].some((k) => tips.has(w.sheet.triangles[3 * t + k]!)) || !over(middleOf(w, t))) continue;
    sum += w.sheet.area[t]! * Math.max(0, drawnAt(w.sheet, cloth, w.x, t).most);
    area += w.sheet.area[t]!;
  }
  return area === 0 ? 0 : (100 * sum) / area / stiff;
}

/** A length along a level is the mean of some close by, mm: folds lie level. */
const LEVELS: readonly number[] = [-10, -5, 0, 5, 10];

/** How long the cloth is along a level of the body, both halves, mm; only where `over` holds. */
export const lengthAt = (w: Worn, height: number, over?: (p: Vec3) => boolean): number =>
  LEVELS.reduce((sum, d) => sum + lengthOn(w, height + d, over), 0) / LEVELS.length;

const lengthOn = (w: Worn, height: number, over?: (p: Vec3) => boolean): number =>
  2 * cutLength(w, onTorso(w), (p) => p.y - height, over);

/** Levels around which a front or back is narrowest between its armholes, mm: it may hang a little higher or lower than the body’s level. */
const AROUND: readonly number[] = [-30, -20, -10, 0, 10, 20, 30];

/**
 * How long the cloth of the front or of the back is across where it is narrowest near a level, both halves, mm: from one armhole to
 * the other. Only above the lowest place of the armholes and below the neckline; null where there is no such level near.
 */
export function widthAt(w: Worn, height: number, parts: readonly Piece['part'][]): number | null {
  const lowestAlong = (role: EdgeRole): number => Math.min(...pointsAlong(w, role, parts).map((i) => placeAt(w, i).y));
  const [underarm, neck] = [lowestAlong('armhole'), lowestAlong('neck')];
  const levels = AROUND.map((d) => height + d).filter((y) => y > underarm && y < neck);
  if (levels.length === 0) return null;
  const triangles = w.toile.panels.filter((p) => parts.includes(p.piece.part)).flatMap(trianglesOf);
  return Math.min(...levels.map((y) => 2 * cutLength(w, triangles, (p) => p.y - y)));
}

/** How long the line is in which cloth crosses a plane (or only where `over` holds), mm: `off` tells how far before it a place lies. */
function cutLength(
  w: Worn,
  triangles: Iterable<number>,
  off: (p: Vec3) => number,
  over: (p: Vec3) => boolean = () => true,
): number {
  let sum = 0;
  for (const t of triangles) {
    const corners = [0, 1, 2].map((k) => placeAt(w, w.sheet.triangles[3 * t + k]!));
    const cut: Vec3[] = [];
    corners.forEach((a, k) => {
      const b = corners[(k + 1) % 3]!;
      const [p, q] = [off(a), off(b)];
      if (p > 0 === q > 0) return;
      const s = p / (p - q);
      cut.push({ x: a.x + s * (b.x - a.x), y: a.y + s * (b.y - a.y), z: a.z + s * (b.z - a.z) });
    });
    const [p, q] = cut;
    const middle = p && q && { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2, z: (p.z + q.z) / 2 };
    if (middle && over(middle)) sum += Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z);
  }
  return sum;
}

/** How long the cloth of the sleeve is around the arm, square to it, so far along, mm. */
export function girthAround(w: Worn, tube: ArmTube, along: number): number {
  const sleeves = w.toile.panels.filter(isSleeve).flatMap(trianglesOf);
  return (
    LEVELS.reduce((sum, d) => sum + cutLength(w, sleeves, (p) => alongTube(tube, p) - along - d), 0) / LEVELS.length
  );
}

/** How long the cloth is around one leg at a height, mm: the mean of some levels close by. */
export const girthAtLevel = (w: Worn, height: number): number => lengthAt(w, height) / 2;

const trianglesOf = ({ from, to }: Panel): readonly number[] => Array.from({ length: to - from }, (_, k) => from + k);

/** The triangles of the cloth on the torso: the sleeves are read by themselves, bands and collars not at all. */
function onTorso({ figure, toile }: Worn): readonly number[] {
  const sleeve = onCutOnSleeve(figure, toile);
  return toile.panels
    .filter((p) => !isSleeve(p) && !isBand(p))
    .flatMap(trianglesOf)
    .filter((t) => !sleeve(t));
}

/** How far down the cloth on the torso reaches, mm: a sleeve may hang lower. */
export const lowestOn = (w: Worn): number =>
  onTorso(w).reduce(
    (least, t) => Math.min(least, ...[0, 1, 2].map((k) => placeAt(w, w.sheet.triangles[3 * t + k]!).y)),
    Infinity,
  );

/** The points along all edges of a role, and of parts where given. */
export const pointsAlong = ({ toile }: Worn, role: EdgeRole, parts?: readonly Piece['part'][]): readonly number[] =>
  toile.panels
    .filter((p) => !parts || parts.includes(p.piece.part))
    .flatMap(({ piece }) =>
      edgesWithRole(piece, role).flatMap((e) => [...(toile.edges.get(edgeKey(piece.id, e.id)) ?? [])]),
    );

/** How far off the body points lie on the whole, mm. */
export function standOff(w: Worn, points: readonly number[]): number {
  const out = new Float64Array(4);
  let sum = 0;
  for (const i of points) {
    w.solid.at(w.x[3 * i]!, w.x[3 * i + 1]!, w.x[3 * i + 2]!, out);
    sum += Math.max(0, 1000 * out[0]! - LIES_OFF);
  }
  return points.length === 0 ? 0 : sum / points.length;
}

/** How much longer a line down the cloth is than one drawn taut over it, mm: what lies in folds. */
export function surplusAlong(w: Worn, points: readonly number[], outward: Vec3): number {
  const places = points.map((i) => placeAt(w, i)).sort((a, b) => b.y - a.y);
  let long = 0;
  for (let i = 1; i < places.length; i++) {
    const [a, b] = [places[i - 1]!, places[i]!];
    long += Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
  }
  return long - tautOver(places, outward);
}

/** Where the waist of the garment lies on the line of an edge: at its waist seam, or as high as the piece marks its waist. */
export function waistOn(
  w: Worn,
  role: 'centreFront' | 'centreBack' | 'side',
  parts: readonly Piece['part'][],
): Vec3 | null {
  for (const { piece, points, places } of w.toile.panels) {
    if (!parts.includes(piece.part)) continue;
    const of = (r: EdgeRole): readonly number[] =>
      edgesWithRole(piece, r).flatMap((e) => [...(w.toile.edges.get(edgeKey(piece.id, e.id)) ?? [])]);
    const along = of(role);
    const seam = of('waist');
    const corner = along.find((i) => seam.includes(i));
    if (corner !== undefined) return placeAt(w, corner);
    const level = waistHeight(piece, role === 'side' ? 'side' : 'centre');
    const onPaper = along.map((i) => ({ i, y: places[points.indexOf(i)]!.y })).sort((p, q) => p.y - q.y);
    const below = level === null ? -1 : onPaper.findIndex((p) => p.y >= level);
    const [a, b] = [onPaper[below - 1], onPaper[below]];
    if (level === null || !a || !b) continue;
    const s = (level - a.y) / (b.y - a.y);
    const [p, q] = [placeAt(w, a.i), placeAt(w, b.i)];
    return { x: p.x + s * (q.x - p.x), y: p.y + s * (q.y - p.y), z: p.z + s * (q.z - p.z) };
  }
  return null;
}
