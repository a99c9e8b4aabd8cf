import {
  distance,
  endOf,
  endTangent,
  joinPaths,
  nearestOnPath,
  polyline,
  reversePath,
  startTangent,
  turnBetween,
  type Path,
  type Point,
} from '../../../geometry/index.ts';
import { degrees, TOL } from '../../../units/index.ts';
import { lookOf } from '../apart.ts';
import { grouped } from '../grouped.ts';
import type { Stroke } from '../lines.ts';

/** Two bits are one line where the second goes on in the direction of the first, degrees. */
const STRAIGHT_ON = 4;
/** More bits than this in one look are welded no more: a file of crumbs must not stop the page. */
const MOST_BITS = 60_000;

interface Bit {
  readonly stroke: Stroke;
  path: Path;
  gone: boolean;
}

/** Ends of bits by the cell they lie in. */
class Near {
  private readonly cells = new Map<string, Bit[]>();
  private static key(p: Point): string {
    return `${Math.floor(p.x / TOL.heal)} ${Math.floor(p.y / TOL.heal)}`;
  }
  put(bit: Bit): void {
    for (const p of [bit.path.start, endOf(bit.path)]) {
      const key = Near.key(p);
      const there = this.cells.get(key);
      if (there) there.push(bit);
      else this.cells.set(key, [bit]);
    }
  }
  at(p: Point): readonly Bit[] {
    const out = new Set<Bit>();
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const bit of this.cells.get(Near.key({ x: p.x + dx * TOL.heal, y: p.y + dy * TOL.heal })) ?? [])
          out.add(bit);
    return [...out];
  }
}

interface Way {
  readonly bit: Bit;
  /** Its path in the direction in which it is gone. */
  readonly path: Path;
}

/** What goes straight on where a way ends: just one other bit, or null. */
function onward({ bit: of, path }: Way, near: Near): Way | null {
  const [at, heading] = [endOf(path), endTangent(path)];
  const ways = near.at(at).flatMap((bit) => {
    if (bit === of || bit.gone) return [];
    return [bit.path, reversePath(bit.path)].flatMap((p) =>
      distance(p.start, at) <= TOL.heal && Math.abs(degrees(turnBetween(heading, startTangent(p)))) <= STRAIGHT_ON
        ? [{ bit, path: p }]
        : [],
    );
  });
  return ways.length === 1 ? (ways[0] ?? null) : null;
}

/** All that goes straight on from a bit, each after the other, as long as it is the only way there and back. */
function run(from: Way, near: Near): readonly Path[] {
  const taken = new Set([from.bit]);
  const parts: Path[] = [];
  for (let last = from; ;) {
    const next = onward(last, near);
    if (!next || taken.has(next.bit)) break;
    if (onward({ bit: next.bit, path: reversePath(next.path) }, near)?.bit !== last.bit) break;
    taken.add(next.bit);
    const before = parts.at(-1) ?? from.path;
    parts.push({ ...next.path, start: endOf(before) });
    last = next;
  }
  for (const bit of taken) bit.gone = bit !== from.bit;
  return parts;
}

function weldAlike(strokes: readonly Stroke[]): readonly Stroke[] {
  const bits = strokes.map((stroke): Bit => ({ stroke, path: stroke.path, gone: false }));
  const near = new Near();
  for (const bit of bits) near.put(bit);
  for (const bit of bits) {
    if (bit.gone) continue;
    const on = run({ bit, path: bit.path }, near);
    const back = run({ bit, path: reversePath(bit.path) }, near);
    if (on.length + back.length === 0) continue;
    bit.path = joinPaths([...back.map(reversePath).reverse(), bit.path, ...on]);
    near.put(bit);
  }
  return bits
    .filter((b) => !b.gone)
    .map((b) => (b.path === b.stroke.path ? b.stroke : { ...b.stroke, path: straightened(b.path) }));
}

/** A welded line that is straight all along, as one straight line. */
function straightened(path: Path): Path {
  const end = endOf(path);
  const line = polyline([path.start, end]);
  const straight = path.segments.every((g) => g.kind === 'line' && nearestOnPath(line, g.to).distance < TOL.straight);
  return straight && distance(path.start, end) > TOL.meets ? line : path;
}

/**
 * Open lines of one look that go straight on over gaps of at most a pencil's width, made one line each: a dart's leg
 * drawn in bits, or cut where two pages meet. Where more than one way goes on, the line ends there.
 */
export function welded(strokes: readonly Stroke[]): readonly Stroke[] {
  const open = strokes.filter((s) => !s.closed);
  const out = [...grouped(open, (s) => `${lookOf(s)}|${s.block}|${s.kind ?? ''}`).values()].flatMap((list) =>
    list.length > 1 && list.length <= MOST_BITS ? weldAlike(list) : list,
  );
  return [...strokes.filter((s) => s.closed), ...out];
}
