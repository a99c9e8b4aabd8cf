import { endOf, mapPath, pathLength, type Path, type Point } from '../../geometry/index.ts';
import { solveBetween } from '../../numeric/index.ts';
import { edgesWithRole, replaceEdge, type Mark, type Piece } from '../../pattern/index.ts';
import { TOL, ok, refuse, type Result } from '../../units/index.ts';

export interface CapGoal {
  /** Wanted length of each cap edge by its id, mm. */
  readonly [edge: string]: number;
}

/** How far a cap may be raised or lowered, as a share of its height. */
const MOST = 0.45;

/** A root between two places, or the one nearer to it where there is none. */
function between(f: (x: number) => number, low: number, high: number): number {
  const [a, b] = [f(low), f(high)];
  if (a > 0 !== b > 0) return solveBetween(f, low, high, TOL.fine);
  return Math.abs(a) < Math.abs(b) ? low : high;
}

/**
 * Makes a sleeve's cap as long as asked by raising or lowering it, the biceps line kept, and by leaning its top
 * forward or back so that each half is as long as its own armhole asks. Both are one affine map that leaves the
 * underarm points alone and the top level. Notches keep their share of their edge. Refuses when the cap would have
 * to change by more than nine twentieths of its height.
 */
export function fittedCap(
  sleeve: Piece,
  goal: CapGoal,
): Result<{ readonly piece: Piece; readonly raised: number }, 'cap-cannot-follow'> {
  const caps = edgesWithRole(sleeve, 'cap');
  const top = caps.reduce<Point | null>(
    (best, e) => [e.path.start, endOf(e.path)].reduce((b, p) => (!b || p.y < b.y ? p : b), best),
    null,
  );
  const under = Math.max(...caps.flatMap((e) => [e.path.start.y, endOf(e.path).y]));
  const [one] = caps;
  if (!one || !top || caps.length > 2) return refuse('cap-cannot-follow', { by: 0 });
  const height = under - top.y;
  const wanted = (id: string): number => goal[id] ?? 0;
  const total = caps.reduce((n, e) => n + wanted(e.id), 0);
  const drawn = (path: Path, lean: number, k: number): Path =>
    mapPath(path, (p) => ({ x: p.x + (lean * (under - p.y)) / height, y: under - (under - p.y) * k }));
  const sum = (lean: number, k: number): number => caps.reduce((n, e) => n + pathLength(drawn(e.path, lean, k)), 0);
  const heightFor = (lean: number): number => between((k) => sum(lean, k) - total, 1 - MOST, 1 + MOST);
  const lean =
    caps.length === 1
      ? 0
      : between((x) => pathLength(drawn(one.path, x, heightFor(x))) - wanted(one.id), -height / 2, height / 2);
  const k = heightFor(lean);
  const off = Math.abs(sum(lean, k) - total);
  if (off > 0.01) return refuse('cap-cannot-follow', { by: total - sum(0, 1) });
  const piece = caps.reduce((out, e) => replaceEdge(out, e.id, drawn(e.path, lean, k)), sleeve);
  return ok({
    raised: height * (k - 1),
    piece: {
      ...piece,
      marks: piece.marks.map((m): Mark => {
        const was = caps.find((e) => m.kind === 'notch' && m.edge === e.id);
        const now = piece.edges.find((e) => e.id === was?.id);
        return was && now && m.kind === 'notch'
          ? { ...m, at: (m.at * pathLength(now.path)) / pathLength(was.path) }
          : m;
      }),
    },
  });
}
