import { prepare } from '../cloth/index.ts';
import { conjugate, partsOf, patternOf, roomFor } from '../cloth/solver.ts';
import { shapeOf, surfaceOf, type Figure, type Vec3 } from '../form/index.ts';
import { edgesWithRole, type EdgeRole, type Piece, type Seam } from '../pattern/index.ts';
import { isBand } from './bands.ts';
import { layCutOn } from './cutOn.ts';
import { layBands } from './layBands.ts';
import { layOnLegs } from './legs.ts';
import { edgeKey, type Panel, type Toile } from './toile.ts';
import { grainTurn } from './sheet.ts';
import { isSleeve, layOnArm } from './sleeve.ts';

/** How far off the form the pieces are laid on it, m: clear of it everywhere, and not so far that they have a long way to go. */
const OFF = 0.012;
/** Steps the normal of a surface is taken over, mm and radians. */
const DIFFERENCE = { height: 2, turn: 0.02 } as const;

/** Where a point goes on a form: its direction from the front by the left to the back, and its height, m. */
interface Place {
  readonly direction: number;
  readonly height: number;
  /** How far out past the body’s end, m. */
  readonly beyond: number;
}

/**
 * Where sewn pieces begin on a form, m: laid around it already sewn, so that they only have to draw together. Directions run evenly
 * from the centre front to the centre back, heights as the paper runs up and down; the shoulder seams lie on the shoulders, or
 * where there are none the waist on the waist. On legs they run from the side to the seam between the legs.
 */
export function placeOn(figure: Figure, toile: Toile, seams: readonly Seam[]): Float64Array {
  const fixed = fixedOn(figure, toile, seams);
  const found = spread(toile, fixed);
  if (figure.legs) {
    const legs = layOnLegs(figure, figure.legs, toile, found);
    layBands(figure, toile, seams, legs);
    return legs;
  }
  const at = surfaceAt(surfaceOf(shapeOf(figure), figure.beside && shapeOf(figure.beside)));
  const out = new Float64Array(found.length);
  for (let i = 0; i < found.length; i += 3) {
    const p = at(found[i]!, found[i + 1]!);
    out.set([p.x + (fixed.get(i / 3)?.beyond ?? 0), p.y, p.z], i);
  }
  layCutOn(figure, toile, out);
  const bodice = bodicePoints(toile);
  for (const panel of toile.panels) if (isSleeve(panel)) layOnArm(figure, panel, toile, seams, bodice, out);
  layBands(figure, toile, seams, out);
  return out;
}

/** What is laid around the torso: all but the sleeves and bands, which share its seams. */
const onBody = (panel: Panel): boolean => !isSleeve(panel) && !isBand(panel);
const bodicePoints = ({ panels }: Toile): ReadonlySet<number> =>
  new Set(panels.filter(onBody).flatMap((p) => [...p.points]));

type Fixed = ReadonlyMap<number, Partial<Place>>;

/** What is known of some points before all others are spread between them. */
function fixedOn(figure: Figure, toile: Toile, seams: readonly Seam[]): Fixed {
  const fixed = new Map<number, Partial<Place>>();
  const fix = (points: Iterable<number>, place: Partial<Place>): void => {
    for (const p of points) fixed.set(p, { ...fixed.get(p), ...place });
  };
  onShoulders(figure, toile, seams, fix);
  byRaglan(figure, toile, fix);
  const hangs = fixed.size > 0;
  for (const { piece } of toile.panels.filter(onBody)) {
    const along = (role: EdgeRole): readonly number[] =>
      edgesWithRole(piece, role).flatMap((e) => [...(toile.edges.get(edgeKey(piece.id, e.id)) ?? [])]);
    if (!hangs) fix(along('waist'), { height: figure.waist / 1000 });
    fix(along('centreFront'), { direction: 0 });
    fix(along('centreBack'), { direction: Math.PI });
    if (!figure.legs) continue;
    // Around the leg: from the side seam on both halves to the seam between the legs.
    fix(along('side'), { direction: 0 });
    for (const role of ['crotch', 'inseam'] as const) fix(along(role), { direction: 1 });
  }
  return fixed;
}

/** Where a raglan seam begins beside the neck, from the middle in front or behind, and how far it lies below the neck point, mm. */
const RAGLAN = { front: 0.9, back: Math.PI - 0.8, below: 20, underarm: 15 } as const;

/** A body with raglan seams hangs by its sleeves: its neckline lies at the base of the neck, its underarm at the underarm. */
function byRaglan(
  figure: Figure,
  { panels, edges }: Toile,
  fix: (points: Iterable<number>, place: Partial<Place>) => void,
): void {
  for (const { piece } of panels.filter(onBody)) {
    const along = (role: EdgeRole): readonly number[] =>
      edgesWithRole(piece, role).flatMap((e) => [...(edges.get(edgeKey(piece.id, e.id)) ?? [])]);
    const [raglan, neck, side] = [along('raglan'), along('neck'), along('side')];
    if (raglan.length === 0) continue;
    const front = along('centreFront').length > 0;
    const centre = along(front ? 'centreFront' : 'centreBack');
    const at = (height: number) => ({ height: height / 1000 });
    fix(
      neck.filter((i) => centre.includes(i)),
      at(front ? figure.neckPit : figure.nape),
    );
    fix(
      neck.filter((i) => raglan.includes(i)),
      { ...at(figure.neckPoint - RAGLAN.below), direction: front ? RAGLAN.front : RAGLAN.back },
    );
    fix(
      side.filter((i) => raglan.includes(i)),
      { ...at(figure.underarm - RAGLAN.underarm), direction: Math.PI / 2 },
    );
  }
}

/** What is fixed is held there by a spring far stiffer than what the others are spread by. */
const STIFF = 1e6;

/** Direction and height of every point (and nothing third): as even as what is fixed allows, heights rising as the paper does. */
function spread(toile: Toile, fixed: Fixed): Float64Array {
  const sheet = prepare(toile.sheet);
  const matrix = patternOf(sheet);
  const b = new Float64Array(3 * sheet.points);
  for (const panel of toile.panels.filter(onBody)) {
    const [upU, upV] = grainTurn(panel.piece)({ x: 0, y: -1000 });
    for (let t = panel.from; t < panel.to; t++) {
      const [b1, b2, c1, c2] = sheet.slopes.subarray(4 * t, 4 * t + 4) as unknown as [number, number, number, number];
      const slopes = [
        [-b1 - b2, -c1 - c2],
        [b1, c1],
        [b2, c2],
      ] as const;
      slopes.forEach(([u, v], i) => {
        b[3 * sheet.triangles[3 * t + i]! + 1]! += sheet.area[t]! * (u * upU + v * upV);
        slopes.forEach(([p, q], j) => {
          const m = 9 * matrix.ofTriangle[9 * t + 3 * i + j]!;
          const value = sheet.area[t]! * (u * p + v * q);
          matrix.values[m]! += value;
          matrix.values[m + 4]! += value;
        });
      });
    }
  }
  const bodice = bodicePoints(toile);
  for (let i = 0; i < sheet.points; i++) {
    const m = 9 * matrix.diagonal[i]!;
    matrix.values[m + 8] = 1;
    if (!bodice.has(i)) matrix.values[m] = matrix.values[m + 4] = 1;
    const { direction, height } = fixed.get(i) ?? {};
    [direction, height].forEach((value, d) => {
      if (value === undefined) return;
      matrix.values[m + 4 * d]! += STIFF;
      b[3 * i + d]! += STIFF * value;
    });
  }
  const found = new Float64Array(b.length);
  const room = roomFor(sheet.points, partsOf(matrix, flatPlaces(toile)));
  conjugate(matrix, b, found, { within: 1e-7, rounds: 20 }, room);
  return found;
}

/** Shoulder seams lie on the top of the shoulders, from the neck outward as long as they are; what is longer stands out beyond. */
function onShoulders(
  figure: Figure,
  { panels, edges }: Toile,
  seams: readonly Seam[],
  fix: (points: Iterable<number>, place: Partial<Place>) => void,
): void {
  const long = Math.hypot(figure.shoulder - figure.neckHalf, figure.shoulderDrop);
  const sewn = seams.filter((s) => s.kind === 'shoulder');
  const outward = [...panels].sort((a, b) => fromNeck(a.piece) - fromNeck(b.piece));
  /** How far from the neck a point lies, mm: a seam of a side panel begins where that of the panel before it ended. */
  const reached = new Map<number, number>();
  for (const { piece, points, places } of outward)
    for (const side of sewn.flatMap((s) => [s.first, s.second]).filter((x) => x.piece === piece.id)) {
      const along = side.edges.flatMap((id) => [...(edges.get(edgeKey(piece.id, id)) ?? [])]);
      const on = along.map((point) => ({ point, ...places[points.indexOf(point)]! })).sort((a, b) => a.y - b.y);
      let [far, last] = [reached.get(on[0]?.point ?? -1) ?? 0, on[0]];
      for (const p of on) {
        // Over a closed dart the seam runs on without a step.
        if (last && p.point !== last.point) far += Math.min(Math.hypot(p.x - last.x, p.y - last.y), MOST_STEP);
        last = p;
        reached.set(p.point, far);
        const share = Math.min(1, far / long);
        const height = (figure.neckPoint - share * figure.shoulderDrop) / 1000;
        fix([p.point], { direction: Math.PI / 2, height, beyond: Math.max(0, far - long) / 1000 });
      }
    }
}
/** Panels at the neck come before those beside them. */
const fromNeck = (piece: Piece): number => (edgesWithRole(piece, 'neck').length > 0 ? 0 : 1);
/** No two points along a seam are farther apart, mm; what is farther is an open dart. */
const MOST_STEP = 40;

/** A point off the surface of a form, m. */
function surfaceAt(on: ReturnType<typeof surfaceOf>): (direction: number, height: number) => Vec3 {
  return (direction, height) => {
    const mm = 1000 * height;
    const p = on(mm, direction);
    const [up, down] = [on(mm + DIFFERENCE.height, direction), on(mm - DIFFERENCE.height, direction)];
    const [left, right] = [on(mm, direction + DIFFERENCE.turn), on(mm, direction - DIFFERENCE.turn)];
    const [u, v] = [
      { x: up.x - down.x, y: 2 * DIFFERENCE.height, z: up.z - down.z },
      { x: left.x - right.x, y: 0, z: left.z - right.z },
    ];
    const out = { x: v.y * u.z - v.z * u.y, y: v.z * u.x - v.x * u.z, z: v.x * u.y - v.y * u.x };
    const size = Math.hypot(out.x, out.y, out.z) || 1;
    const way = out.x * Math.sin(direction) + out.z * Math.cos(direction) < 0 ? -1 : 1;
    return {
      x: p.x / 1000 + (way * OFF * out.x) / size,
      y: p.y / 1000 + (way * OFF * out.y) / size,
      z: p.z / 1000 + (way * OFF * out.z) / size,
    };
  };
}

/** Somewhere to part the points by: where they lie on their paper, panel beside panel. */
function flatPlaces({ panels, sheet }: Toile): Float64Array {
  const out = new Float64Array(3 * sheet.points);
  panels.forEach(({ points, places }, n) =>
    points.forEach((i, k) => out.set([places[k]!.x + 1000 * n, places[k]!.y, 0], 3 * i)),
  );
  return out;
}
