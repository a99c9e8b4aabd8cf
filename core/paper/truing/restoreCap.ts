import { endOf, mapPath, pathLength, type Path, type Point } from '../../geometry/index.ts';
import { edgesWithRole, mapMark, type Edge, type Mark, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore } from './corner.ts';
import { moveEnd, moveStart } from './moveEnd.ts';

/** Without a notch so much of a half of the cap is drawn again, as a share of its length. */
const LOWER = 0.6;
/** No less is drawn again, mm. */
const LEAST = 20;

/** The edges of a cap as one runs along the outline, from underarm to underarm; none where they do not lie together. */
export function capEdges(sleeve: Piece): readonly Edge[] {
  const caps = edgesWithRole(sleeve, 'cap');
  const first = caps.find((e) => !caps.some((c) => c.id === edgeBefore(sleeve, e.id)));
  const out: Edge[] = [];
  for (let e = first; e && !out.includes(e); e = caps.find((c) => c.id === edgeAfter(sleeve, out.at(-1)?.id ?? '')))
    out.push(e);
  return out.length === caps.length ? out : [];
}

/**
 * A cap laid down as it was traced, its biceps line on the new one through `ends`, and drawn from its notches to
 * these underarm points; its tangents where it begins to change are kept, and so is its height. Its notches keep their
 * distance from the top, and the grain line is laid down with it. The outline closes once the underarm seams end at `ends`.
 */
export function restoredCap(sleeve: Piece, [from, to]: readonly [Point, Point]): Piece {
  const caps = capEdges(sleeve);
  const [first, last] = [caps[0], caps.at(-1)];
  if (!first || !last) return sleeve;
  const down = (from.y - first.path.start.y + to.y - endOf(last.path).y) / 2;
  const drawn = new Map(caps.map((e) => [e.id, mapPath(e.path, (p) => ({ x: p.x, y: p.y + down }))]));
  const put = (edge: Edge, draw: (path: Path) => Path): void =>
    void drawn.set(edge.id, draw(drawn.get(edge.id) ?? edge.path));
  put(last, (path) => moveEnd(path, to, reachFrom(sleeve, last, 'end', caps.length)));
  const size = (): number => pathLength(drawn.get(first.id) ?? first.path);
  const was = size();
  put(first, (path) => moveStart(path, from, reachFrom(sleeve, first, 'start', caps.length)));
  const grown = size() - was;
  const lowered = (p: Point): Point => ({ x: p.x, y: p.y + down });
  const marks = sleeve.marks.map((m): Mark => {
    if (m.kind === 'grain') return mapMark(m, lowered);
    return m.kind === 'notch' && m.edge === first.id ? { ...m, at: Math.max(0, m.at + grown) } : m;
  });
  return { ...sleeve, marks, edges: sleeve.edges.map((e) => ({ ...e, path: drawn.get(e.id) ?? e.path })) };
}

/** From the underarm up to the notch, along the cap. */
function reachFrom(sleeve: Piece, edge: Edge, end: 'start' | 'end', caps: number): number {
  const size = pathLength(edge.path);
  const half = caps > 1 ? size : size / 2;
  const away = sleeve.marks.flatMap((m) =>
    m.kind === 'notch' && m.edge === edge.id ? [end === 'start' ? m.at : size - m.at] : [],
  );
  const found = away.filter((at) => at >= LEAST && at < half - LEAST);
  return found.length > 0 ? Math.max(...found) : Math.max(LEAST, half * LOWER);
}
