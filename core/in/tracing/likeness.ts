import { spansOf, type Box, type Path } from '../../geometry/index.ts';
import { boxOf } from './lines.ts';

/** Diagonal of a box, mm. */
export const sizeOf = (b: Box): number => Math.hypot(b.maxX - b.minX, b.maxY - b.minY);
/** Twentieths of a millimetre: what two drawings of one line may differ by. */
export const key = (n: number): number => Math.round(n * 20);

/** What a line looks like wherever it lies: its number of bits, its size, and its first steps. */
export function likeness(path: Path): string {
  const spans = spansOf(path).slice(0, 4);
  const b = boxOf(path);
  const steps = spans.map((s) => `${key(s.b.x - s.a.x)},${key(s.b.y - s.a.y)}`);
  return `${path.segments.length} ${key(b.maxX - b.minX)} ${key(b.maxY - b.minY)} ${steps.join(' ')}`;
}
