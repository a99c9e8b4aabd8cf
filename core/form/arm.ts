import { shapeOf, shoulderTopOf, type Figure } from './figure.ts';
import { legMesh, legOf } from './legs.ts';
import { closedTube, meshOf, type Mesh } from './mesh.ts';
import type { Vec3 } from './shape.ts';

/**
 * An arm held away from the body, mm: a straight tube that tapers from a rounded shoulder to the wrist. `along` counts from the
 * middle of its rounded top. A form wears its arms only under sleeves.
 */
export interface ArmTube {
  /** The middle of the rounded top. */
  readonly from: Vec3;
  /** Down the arm, and square to it away from the body; both 1 long. Square to both is the front. */
  readonly way: Vec3;
  readonly out: Vec3;
  readonly length: number;
  readonly radiusAt: (along: number) => number;
}

/** The rounded top as a share of the upper arm; how far it stands out beyond the shoulder bone and above it, mm. */
const TOP = { share: 0.92, beyond: 3, above: 8 } as const;
/** How far the arm has come away from the side at the underarm, mm: cloth hangs free between them below it. */
const FREE = 6;
/** The upper arm is thickest so far down, and the elbow lies so far, as shares of the length; the elbow’s radius as one of the arm’s. */
const AT = { thick: 0.18, elbow: 0.55 } as const;
const ELBOW = 0.82;

/** The left arm of a figure: from the shoulder bone past the side at the underarm, so that the side is free below it. */
export function armTube(f: Figure): ArmTube {
  const top = TOP.share * f.armRadius;
  const { y, z } = shoulderTopOf(f);
  const from: Vec3 = { x: f.shoulder - top + TOP.beyond, y: y + TOP.above - top, z };
  const aside = f.highBustHalf + f.armRadius + FREE - from.x;
  const turn = Math.atan2(Math.max(0, aside), Math.max(1, from.y - f.underarm));
  const length = f.armLength - top;
  const knots: readonly (readonly [number, number])[] = [
    [0, top],
    [AT.thick * length, f.armRadius],
    [AT.elbow * length, ELBOW * f.armRadius],
    [length, f.wristRadius],
  ];
  return {
    ...{ from, length },
    way: { x: Math.sin(turn), y: -Math.cos(turn), z: 0 },
    out: { x: Math.cos(turn), y: Math.sin(turn), z: 0 },
    radiusAt: (along) => {
      const i = Math.max(
        1,
        knots.findIndex(([at]) => along <= at),
      );
      const [[a, r], [b, s]] = [knots[i - 1]!, knots[i]!];
      if (along >= length) return f.wristRadius;
      return r + ((s - r) * Math.max(0, along - a)) / (b - a);
    },
  };
}

/** A place on (or off) the arm: along it, the angle from its outer side to the front, and how far from its axis, mm. */
export function onTube({ from, way, out }: ArmTube, along: number, angle: number, radius: number): Vec3 {
  const [c, s] = [radius * Math.cos(angle), radius * Math.sin(angle)];
  return {
    x: from.x + along * way.x + c * out.x,
    y: from.y + along * way.y + c * out.y,
    z: from.z + s,
  };
}

/** How far along the arm a place lies, mm. */
export const alongTube = ({ from, way }: ArmTube, p: Vec3): number =>
  (p.x - from.x) * way.x + (p.y - from.y) * way.y + (p.z - from.z) * way.z;

/** Points around the arm, and how far apart its rings lie, mm; rings of each rounded end. */
const ROUND = 32;
const STEP = 12;
const CAPS = 6;

/** The left arm as a closed surface, mm. */
export function armMesh(f: Figure): Mesh {
  const tube = armTube(f);
  const rows: (readonly [along: number, radius: number])[] = [];
  const cap = (end: number, radius: number, way: 1 | -1, share: number): void => {
    const angle = (share * Math.PI) / 2;
    rows.push([end + way * radius * Math.cos(angle), radius * Math.sin(angle)]);
  };
  for (let i = 1; i <= CAPS; i++) cap(0, tube.radiusAt(0), -1, i / CAPS);
  const count = Math.round(tube.length / STEP);
  for (let i = 1; i <= count; i++) rows.push([(tube.length * i) / count, tube.radiusAt((tube.length * i) / count)]);
  for (let i = CAPS - 1; i >= 1; i--) cap(tube.length, tube.radiusAt(tube.length), 1, i / CAPS);
  return closedTube(
    rows.map(([along, radius]) =>
      Array.from({ length: ROUND }, (_, k) => onTube(tube, along, (2 * Math.PI * k) / ROUND, radius)),
    ),
    onTube(tube, -tube.radiusAt(0), 0, 0),
    onTube(tube, tube.length + tube.radiusAt(tube.length), 0, 0),
  );
}

/** The surface of a form, mm, on its legs where it has any, with both its arms on or without. */
export function formMesh(figure: Figure, arms: boolean): Mesh {
  const right = figure.right ?? figure;
  const limbs = (f: Figure): readonly Mesh[] => [
    ...(arms ? [armMesh(f)] : []),
    ...(f.legs ? [legMesh(legOf(f, f.legs, shapeOf(f)))] : []),
  ];
  const shape = shapeOf(figure);
  const torso = meshOf(shape, figure.right ? shapeOf(figure.right) : shape);
  return [...limbs(figure), ...limbs(right).map(mirrored)].reduce(joined, torso);
}

const mirrored = ({ positions, triangles }: Mesh): Mesh => ({
  positions: positions.map((v, i) => (i % 3 === 0 ? -v : v)),
  triangles: triangles.map((_, i) => triangles[i - (i % 3) + [0, 2, 1][i % 3]!]!),
});

function joined(a: Mesh, b: Mesh): Mesh {
  const from = a.positions.length / 3;
  return {
    positions: Float32Array.from([...a.positions, ...b.positions]),
    triangles: Uint32Array.from([...a.triangles, ...b.triangles.map((i) => i + from)]),
  };
}
