import type { Path } from '../geometry/index.ts';

const n = (value: number): string => {
  const text = value.toFixed(3);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};

/** SVG path data in millimetres, rounded to a thousandth. */
export function pathData(path: Path, closed = false): string {
  const parts = [`M${n(path.start.x)} ${n(path.start.y)}`];
  for (const g of path.segments)
    parts.push(
      g.kind === 'line'
        ? `L${n(g.to.x)} ${n(g.to.y)}`
        : `C${n(g.c1.x)} ${n(g.c1.y)} ${n(g.c2.x)} ${n(g.c2.y)} ${n(g.to.x)} ${n(g.to.y)}`,
    );
  return parts.join('') + (closed ? 'Z' : '');
}
