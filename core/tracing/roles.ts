import {
  boundsOf,
  distance,
  endOf,
  endTangent,
  flatten,
  midpoint,
  pathLength,
  pointAt,
  startTangent,
  sub,
  turnBetween,
  type Path,
  type Point,
} from '../geometry/index.ts';
import type { EdgeRole, Piece } from '../pattern/index.ts';
import { degrees } from '../units/index.ts';
import { bowOf, isStraight } from './corners.ts';

export type Part = Piece['part'];
interface Seen {
  readonly path: Path;
  readonly index: number;
  readonly dart: boolean;
}

/** A bodice longer than this from its top to its lower edge ends in a hem, mm. */
const BODICE_LONGEST = 560;
/** Upright: leans no more than this from the vertical, degrees. */
const UPRIGHT = 12;
/** The corner between armhole and side is at least so sharp, degrees. */
const UNDERARM = 45;
/** A curve bows at least so much for its length. */
const CURVED = 0.02;

const leanOf = (path: Path): number => {
  const d = sub(endOf(path), path.start);
  return degrees(Math.atan2(Math.abs(d.x), Math.abs(d.y)));
};
const isCurved = (path: Path): boolean => bowOf(path) > CURVED * pathLength(path);
const middleOf = (path: Path): Point => midpoint(path.start, endOf(path));

/** Direction the outside of an edge of a clockwise outline looks, degrees: 0 right, 90 down, −90 up, 180 left. */
const looks = (path: Path): number => {
  const d = sub(endOf(path), path.start);
  return degrees(Math.atan2(-d.x, d.y));
};
const within = (angle: number, of: number, by: number): boolean => {
  const d = Math.abs(((angle - of + 540) % 360) - 180);
  return d <= by;
};

/** The upright edge farthest out on one side, the longest where several are alike. */
function centreEdge(edges: readonly Seen[], onRight: boolean): Seen | null {
  const upright = edges.filter((e) => !e.dart && isStraight(e.path) && leanOf(e.path) <= UPRIGHT);
  const out = (e: Seen): number => (onRight ? 1 : -1) * middleOf(e.path).x + pathLength(e.path) / 2;
  return [...upright].sort((a, b) => out(b) - out(a))[0] ?? null;
}

/** From the upper end of the centre around the piece to its lower end, with the walk away from the centre. */
function fromCentre(edges: readonly Seen[], centre: Seen): readonly Seen[] {
  const i = edges.indexOf(centre);
  const after = [...edges.slice(i + 1), ...edges.slice(0, i)];
  // Drawn upwards, what follows on the outline begins at the top; drawn downwards, it begins at the bottom.
  return endOf(centre.path).y < centre.path.start.y ? after : after.reverse();
}

function bodice(edges: readonly Seen[], centre: Seen, centreRole: EdgeRole, roles: EdgeRole[]): void {
  roles[centre.index] = centreRole;
  const way = fromCentre(edges, centre);
  const all = boundsOf(edges.flatMap((e) => flatten(e.path, 1)));
  const low = all.minY + (all.maxY - all.minY) * 0.6;
  const bottomFrom = (() => {
    let k = way.length;
    while (k > 0) {
      const e = way[k - 1] as Seen;
      const down = within(looks(e.path), 90, 45) && middleOf(e.path).y > low;
      if (!down && !(e.dart && middleOf(e.path).y > low)) break;
      k--;
    }
    return k;
  })();
  const bottom: EdgeRole = all.maxY - all.minY > BODICE_LONGEST ? 'hem' : 'waist';
  for (const e of way.slice(bottomFrom)) roles[e.index] = bottom;
  const upper = way.slice(0, bottomFrom);
  // The shoulder is the straight edge that looks up and lies highest after the neck.
  const shoulders = upper.filter(
    (e) => !e.dart && within(looks(e.path), -90, 55) && isStraight(e.path) && middleOf(e.path).y < low,
  );
  const first = shoulders[0] ? upper.indexOf(shoulders[0]) : -1;
  if (first < 0) {
    // A raglan runs straight from the neck to the side.
    let slanted: EdgeRole = 'neck';
    for (const e of upper) {
      roles[e.index] = leanOf(e.path) <= 25 ? 'side' : slanted;
      if (roles[e.index] === 'neck') slanted = 'raglan';
    }
    return;
  }
  let k = 0;
  for (; k < first; k++) roles[(upper[k] as Seen).index] = 'neck';
  // A shoulder with a dart in it goes on behind the dart.
  while (k < upper.length && (shoulders.includes(upper[k] as Seen) || (upper[k] as Seen).dart)) {
    if (!shoulders.slice(shoulders.indexOf(upper[k] as Seen)).length) break;
    roles[(upper[k] as Seen).index] = 'shoulder';
    k++;
  }
  const rest = upper.slice(k);
  const start = rest[0];
  if (!start) return;
  // The armhole runs on until the sharp corner at the underarm; from there it is the side.
  let armhole = isCurved(start.path) || leanOf(start.path) > 35;
  rest.forEach((e, i) => {
    const before = rest[i - 1];
    if (armhole && before && !before.dart && !e.dart && cornerBetween(before.path, e.path) >= UNDERARM) armhole = false;
    roles[e.index] = armhole ? 'armhole' : 'side';
  });
}

/** How sharply two edges that share an end turn there, degrees, whichever way each is drawn. */
function cornerBetween(p: Path, q: Path): number {
  const on = distance(endOf(p), q.start) <= distance(p.start, endOf(q));
  return Math.abs(
    degrees(on ? turnBetween(endTangent(p), startTangent(q)) : turnBetween(endTangent(q), startTangent(p))),
  );
}

function skirt(edges: readonly Seen[], centre: Seen | null, centreRole: EdgeRole, roles: EdgeRole[]): void {
  for (const e of edges) {
    const look = looks(e.path);
    if (e === centre) roles[e.index] = centreRole;
    else if (within(look, -90, 45)) roles[e.index] = 'waist';
    else if (within(look, 90, 45)) roles[e.index] = 'hem';
    else roles[e.index] = 'side';
  }
}

function sleeve(edges: readonly Seen[], roles: EdgeRole[]): void {
  const all = boundsOf(edges.flatMap((e) => flatten(e.path, 1)));
  // The widest place is where cap and underarm seams meet.
  const left = edges.flatMap((e) => [e.path.start]).sort((a, b) => a.x - b.x)[0] as Point;
  const right = edges.flatMap((e) => [e.path.start]).sort((a, b) => b.x - a.x)[0] as Point;
  const line = Math.max(left.y, right.y);
  for (const e of edges) {
    const m = pointAt(e.path, pathLength(e.path) / 2);
    if (m.y <= line && (m.y < line - 2 || line > all.maxY - 2)) roles[e.index] = 'cap';
    else if (within(looks(e.path), 90, 40) && m.y > all.minY + (all.maxY - all.minY) * 0.7)
      roles[e.index] = 'sleeveHem';
    else roles[e.index] = 'underarm';
  }
}

/**
 * What each edge of a piece most likely is, in the order of the outline (clockwise as seen, neck at the top): by
 * straightness, by the way its outside looks, and by what lies beside it. `fold` is the edge known to be the centre.
 * A proposal to be looked at: the sewist corrects it.
 */
export function proposeRoles(
  paths: readonly Path[],
  part: Part,
  fold: number | null,
  mouths: ReadonlySet<number>,
): readonly EdgeRole[] {
  const roles: EdgeRole[] = paths.map(() => 'other');
  const edges = paths.map((path, index): Seen => ({ path, index, dart: mouths.has(index) }));
  const back = part === 'back' || part === 'skirtBack' || part === 'sideBack' || part === 'facingBack';
  const known = fold === null ? null : (edges[fold] ?? null);
  // Half fronts have their centre at the left, half backs at the right; turned over it may be the other.
  const usual = known ?? centreEdge(edges, back) ?? centreEdge(edges, !back);
  const centreRole: EdgeRole = back ? 'centreBack' : 'centreFront';
  if (part === 'sleeve') sleeve(edges, roles);
  else if (part === 'skirtFront' || part === 'skirtBack') skirt(edges, usual, centreRole, roles);
  else if ((part === 'front' || part === 'back') && usual) bodice(edges, usual, centreRole, roles);
  else if ((part === 'facingFront' || part === 'facingBack') && usual) {
    bodice(edges, usual, centreRole, roles);
    roles.forEach((r, i) => {
      if (!['neck', 'shoulder', centreRole].includes(r)) roles[i] = 'other';
    });
  }
  for (const i of mouths) roles[i] = 'dart';
  return roles;
}
