import { endOf, type Point } from '../../geometry/index.ts';
import type { EdgeRole } from '../../pattern/index.ts';
import { looks, middleOf, sharp, within, type Seen } from './roleSeen.ts';

/** Edges from one on to the next sharp corner, one way round. */
function toCorner(edges: readonly Seen[], from: number, step: 1 | -1): readonly Seen[] {
  const n = edges.length;
  const out: Seen[] = [];
  for (let k = from; out.length < n; k += step) {
    const e = edges[((k % n) + n) % n];
    const before = out.at(-1);
    if (!e || (before && sharp(before, e)) || e.dart) break;
    out.push(e);
  }
  return out;
}

/**
 * Front or back of trousers, whichever way round: from the hem a seam goes up on each side to a corner. The one that
 * ends higher is the side, the other the inseam; from its upper end the crotch seam goes on to the next corner, and
 * what is left is the waist.
 */
export function trousers(edges: readonly Seen[], roles: EdgeRole[]): void {
  const hem = [...edges]
    .filter((e) => !e.dart && within(looks(e.path), 90, 40))
    .sort((a, b) => middleOf(b.path).y - middleOf(a.path).y)[0];
  if (!hem) return;
  const at = edges.indexOf(hem);
  const after = toCorner(edges, at + 1, 1);
  const before = toCorner(edges, at - 1, -1);
  const topOf = (run: readonly Seen[], end: (e: Seen) => Point): number => {
    const last = run.at(-1);
    return last ? end(last).y : Infinity;
  };
  const sideIsAfter = topOf(after, (e) => endOf(e.path)) < topOf(before, (e) => e.path.start);
  const [side, inseam] = sideIsAfter ? [after, before] : [before, after];
  const crotch = toCorner(edges, sideIsAfter ? at - 1 - inseam.length : at + 1 + inseam.length, sideIsAfter ? -1 : 1);
  const name = (run: readonly Seen[], role: EdgeRole): void => run.forEach((e) => (roles[e.index] = role));
  name(edges, 'waist');
  name([hem], 'hem');
  name(crotch, 'crotch');
  name(inseam, 'inseam');
  name(side, 'side');
}
