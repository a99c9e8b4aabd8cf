import { levelsOf, sectionOf, type Shape } from './shape.ts';

/** A level line of a form as it is seen, in mm of the picture: right and down from the middle of the floor. */
export interface Contour {
  /** Its height on the body. */
  readonly y: number;
  readonly points: readonly (readonly [right: number, down: number])[];
}

/** Points all round a section, and how far one looks down on the form: so much lower for each millimetre nearer. */
const ROUND = 96;
const TILT = 0.22;

/** Level lines of a form at the heights asked for, as far as they face the eye: from the front, from the back or from the left. */
export function contoursOf(
  shape: Shape,
  view: 'front' | 'back' | 'left',
  heights: readonly number[],
  right: Shape = shape,
): readonly Contour[] {
  const at = sectionOf(shape);
  const round = levelsOf(shape, right);
  return heights.map((y) => {
    const ring = at(y);
    // Begun behind, so that what faces the eye is one run.
    const from = view === 'front' ? ROUND / 2 : view === 'back' ? 0 : (3 * ROUND) / 4;
    const all = round(y, ROUND);
    const seen = Array.from({ length: ROUND + 1 }, (_, i) => all[(from + i) % ROUND]).flatMap((p) => {
      if (!p) return [];
      const near = view === 'left' ? p.x : (view === 'front' ? 1 : -1) * (p.z - ring.z);
      const aside = view === 'left' ? -p.z : view === 'front' ? p.x : -p.x;
      return near < 0 ? [] : [[aside, TILT * near - y] as const];
    });
    return { y, points: seen };
  });
}

/** Heights from the lowest to the highest section, so far apart, mm. */
export function heightsEvery({ rings }: Shape, step: number): readonly number[] {
  const [low, high] = [rings[0]?.y ?? 0, rings.at(-1)?.y ?? 0];
  const count = Math.max(1, Math.round((high - low) / step));
  return Array.from({ length: count + 1 }, (_, i) => low + ((high - low) * i) / count);
}
