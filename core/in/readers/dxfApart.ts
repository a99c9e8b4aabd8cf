import { boundsOf, mapPath, pathFromSpans, type Box, type Path, type Point } from '../../geometry/index.ts';
import { boxOf, type Lettering, type Stroke } from '../tracing/index.ts';

/** Two pieces that overlap by more than this lie upon one another; laid side by side they are so far apart, mm. */
const OVERLAP = 10;
const BETWEEN = 40;

/** Two corners of the box around a path. */
export const corners = (path: Path): readonly Point[] => {
  const b = boxOf(path);
  return [
    { x: b.minX, y: b.minY },
    { x: b.maxX, y: b.maxY },
  ];
};
/** The strokes of each block. */
export function groups(strokes: readonly Stroke[]): ReadonlyMap<string, readonly Stroke[]> {
  const out = new Map<string, Stroke[]>();
  for (const s of strokes) {
    const list = out.get(s.block);
    if (list) list.push(s);
    else out.set(s.block, [s]);
  }
  return out;
}
/** The longer side of the box around some strokes. */
export const sizeOf = (strokes: readonly Stroke[]): number => {
  const b = boundsOf(strokes.flatMap((s) => corners(s.path)));
  return Math.max(b.maxX - b.minX, b.maxY - b.minY);
};

/** The name of the piece a block holds, without its size: sizes of one piece may lie upon one another. */
const pieceName = (letters: readonly Lettering[], block: string): string =>
  letters
    .filter((l) => l.block === block)
    .map((l) => /^\s*piece\s*name\s*:\s*(.+)$/i.exec(l.text)?.[1]?.trim())
    .find((t) => t !== undefined) ?? block;

const overlaps = (a: Box, b: Box): boolean =>
  Math.min(a.maxX, b.maxX) - Math.max(a.minX, b.minX) > OVERLAP &&
  Math.min(a.maxY, b.maxY) - Math.max(a.minY, b.minY) > OVERLAP;

/** Everything moved to begin at the origin; blocks of different pieces that lie on one another laid side by side. */
export function apart(
  strokes: readonly Stroke[],
  letters: readonly Lettering[],
): { readonly strokes: readonly Stroke[]; readonly letters: readonly Lettering[] } {
  const blocks = groups(strokes);
  const names = new Map<string, string[]>();
  for (const block of blocks.keys()) {
    const name = pieceName(letters, block);
    names.set(name, [...(names.get(name) ?? []), block]);
  }
  const shift = new Map<string, Point>();
  const laid = [...names.values()].map((of) => ({
    of,
    box: boundsOf(of.flatMap((b) => (blocks.get(b) ?? []).flatMap((s) => corners(s.path)))),
  }));
  const overlap = laid.some((a, i) => laid.slice(i + 1).some((b) => overlaps(a.box, b.box)));
  if (overlap) {
    let x = 0;
    for (const { of, box } of laid) {
      for (const b of of) shift.set(b, { x: x - box.minX, y: -box.minY });
      x += box.maxX - box.minX + BETWEEN;
    }
  } else {
    const all = boundsOf(strokes.flatMap((s) => corners(s.path)));
    for (const block of blocks.keys()) shift.set(block, { x: -all.minX, y: -all.minY });
  }
  const by = (block: string): Point => shift.get(block) ?? { x: 0, y: 0 };
  return {
    strokes: strokes.map((s) => {
      const d = by(s.block);
      const path = mapPath(s.path, (p) => ({ x: p.x + d.x, y: p.y + d.y }));
      // A point keeps standing where mapping would find no length.
      return {
        ...s,
        path: path.segments.length > 0 ? path : pathFromSpans([{ kind: 'line', a: path.start, b: path.start }]),
      };
    }),
    letters: letters.map((l) => ({ ...l, at: { x: l.at.x + by(l.block).x, y: l.at.y + by(l.block).y } })),
  };
}
