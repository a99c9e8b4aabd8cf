import {
  endOf,
  joinPaths,
  lengthTo,
  lineMeet,
  nearestOnPath,
  offsetPath,
  pathLength,
  polyline,
  splitAtLength,
  startTangent,
  subPath,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import type { EdgeRole, Piece } from '../../pattern/index.ts';
import { TOL, cyclic, nth } from '../../units/index.ts';
import { legMeets, type DartSign, type FoundDart } from './darts.ts';

export interface Mouth {
  readonly dart: FoundDart;
  readonly from: number;
  readonly to: number;
}

/** Where the legs of each dart meet the seam line, as arc lengths in outline order, the shorter way between them. */
export function mouthsOn(
  seam: Path,
  darts: readonly FoundDart[],
  beyond: number,
): { mouths: Mouth[]; missed: FoundDart[] } {
  const total = pathLength(seam);
  const mouths: Mouth[] = [];
  const missed: FoundDart[] = [];
  for (const dart of darts) {
    const [p, q] = [legMeets(seam, dart.tip, dart.one, beyond), legMeets(seam, dart.tip, dart.two, beyond)];
    if (!p || !q) {
      missed.push(dart);
      continue;
    }
    const [a, b] = [p, q].map((x) => lengthTo(seam, nearestOnPath(seam, x))) as [number, number];
    const way = (b - a + total) % total;
    mouths.push(way <= total / 2 ? { dart, from: a, to: b } : { dart, from: b, to: a });
  }
  return { mouths, missed };
}

/** The seam line divided at its corners and at the darts' legs; what lies between two legs is one mouth. */
export function divide(
  seam: Path,
  corners: readonly Point[],
  mouths: readonly Mouth[],
): readonly { readonly path: Path; readonly mouth: number }[] {
  const total = pathLength(seam);
  const at = (p: Point): number => lengthTo(seam, nearestOnPath(seam, p));
  const inMouth = (s: number): boolean =>
    mouths.some((m) => (s - m.from + total) % total <= ((m.to - m.from + total) % total) + TOL.join);
  const cuts = [...corners.map(at).filter((s) => !inMouth(s)), ...mouths.flatMap((m) => [m.from, m.to])]
    .map((s) => (total - s < TOL.join ? 0 : s))
    .sort((a, b) => a - b)
    .filter((s, i, all) => i === 0 || s - nth(all, i - 1) > TOL.meets);
  if (cuts.length < 2) return [{ path: seam, mouth: -1 }];
  return cuts.map((from, i) => {
    const to = cyclic(cuts, i + 1);
    const path =
      to > from
        ? subPath(seam, from, to)
        : to < TOL.join
          ? splitAtLength(seam, from)[1]
          : joinPaths([splitAtLength(seam, from)[1], splitAtLength(seam, to)[0]]);
    const mouth = mouths.findIndex(
      (m) => Math.abs(m.from - from) < TOL.meets || Math.abs(total - m.from + from) < TOL.meets,
    );
    return { path, mouth };
  });
}

/** What a dart is called by the edge it opens on. */
export const DART_OF: Readonly<Partial<Record<EdgeRole, Piece['darts'][number]['kind']>>> = {
  side: 'side',
  waist: 'waist',
  hem: 'waist',
  shoulder: 'shoulder',
  armhole: 'armhole',
  neck: 'neck',
};

/** A dart drawn into a cutting line brought in by its allowance: the seam is sewn beside the cut. */
export function insetDart(
  d: { readonly start: Point; readonly tip: Point; readonly end: Point },
  by: number,
): FoundDart {
  const sign: DartSign = 'cut';
  if (by === 0) return { tip: d.tip, one: d.start, two: d.end, sign };
  const one = offsetPath(polyline([d.start, d.tip]), -by);
  const two = offsetPath(polyline([d.tip, d.end]), -by);
  const meet = lineMeet(one.start, startTangent(one), two.start, startTangent(two));
  return { tip: meet?.point ?? d.tip, one: one.start, two: endOf(two), sign };
}

/** Side darts are pressed down, upright ones towards the centre. */
export function foldOf(
  kind: Piece['darts'][number]['kind'],
  mouth: Path | undefined,
  toTable: (path: Path) => Path,
  centreX: number,
): 'start' | 'end' {
  if (!mouth) return 'end';
  const path = toTable(mouth);
  const [a, b] = [path.start, endOf(path)];
  const down = b.y >= a.y ? 'end' : 'start';
  const upright = kind === 'waist' || kind === 'shoulder' || kind === 'neck';
  if (!upright) return down;
  return Math.abs(b.x - centreX) < Math.abs(a.x - centreX) ? 'end' : 'start';
}
