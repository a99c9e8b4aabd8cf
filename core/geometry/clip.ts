import { intersectSpans } from './intersect.ts';
import { pathFromSpans, spansOf, type Path } from './path.ts';
import { hullBox, pointOn, splitSpan, type Box, type LineSpan, type Span } from './span.ts';

const inside = (x: number, y: number, b: Box): boolean => x >= b.minX && x <= b.maxX && y >= b.minY && y <= b.maxY;

/** The parts of one span inside a box, in order. */
function partsOf(s: Span, box: Box): readonly Span[] {
  const h = hullBox(s);
  if (h.minX >= box.minX && h.maxX <= box.maxX && h.minY >= box.minY && h.maxY <= box.maxY) return [s];
  if (h.maxX < box.minX || h.minX > box.maxX || h.maxY < box.minY || h.minY > box.maxY) return [];
  const corner = (x: number, y: number) => ({ x, y });
  const sides: readonly LineSpan[] = [
    { kind: 'line', a: corner(box.minX, box.minY), b: corner(box.maxX, box.minY) },
    { kind: 'line', a: corner(box.maxX, box.minY), b: corner(box.maxX, box.maxY) },
    { kind: 'line', a: corner(box.maxX, box.maxY), b: corner(box.minX, box.maxY) },
    { kind: 'line', a: corner(box.minX, box.maxY), b: corner(box.minX, box.minY) },
  ];
  const cuts = [...new Set(sides.flatMap((side) => intersectSpans(s, side).map((hit) => hit.s)))]
    .filter((t) => t > 0 && t < 1)
    .sort((a, b) => a - b);
  const out: Span[] = [];
  let from = 0;
  let rest: Span = s;
  for (const t of [...cuts, 1]) {
    const middle = pointOn(s, (from + t) / 2);
    const [head, tail] = t === 1 ? [rest, rest] : splitSpan(rest, (t - from) / (1 - from));
    if (inside(middle.x, middle.y, box)) out.push(head);
    rest = tail;
    from = t;
  }
  return out;
}

/** What of a path lies inside a box (its sides counted in): the pieces in order, each unbroken. Exact, never flattened. */
export function clipPath(path: Path, box: Box): readonly Path[] {
  const runs: Span[][] = [];
  let joined = false;
  for (const s of spansOf(path)) {
    const parts = partsOf(s, box);
    parts.forEach((part, i) => {
      const whole = i === 0 && part.a.x === s.a.x && part.a.y === s.a.y;
      if (joined && whole) runs.at(-1)?.push(part);
      else runs.push([part]);
    });
    const last = parts.at(-1);
    joined = last !== undefined && last.b.x === s.b.x && last.b.y === s.b.y;
  }
  return runs.map(pathFromSpans);
}
