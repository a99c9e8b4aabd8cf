import { boundsOf, endOf, flatten, pathLength, pointAt, type Path } from '../../geometry/index.ts';
import type { EdgeRole, Piece } from '../../pattern/index.ts';
import { isStraight } from './corners.ts';
import { sidePanel } from './rolePanels.ts';
import { plausible } from './rolePlausible.ts';
import {
  cornerBetween,
  isCurved,
  leanOf,
  sewnLength,
  looks,
  middleOf,
  sharp,
  SIDE_LONGEST,
  UNDERARM,
  UPRIGHT,
  within,
  type Seen,
} from './roleSeen.ts';
import { trousers } from './roleTrousers.ts';
import { belowYoke, yoke } from './roleYoke.ts';
import { nth } from '../../units/index.ts';

export type Part = Piece['part'];
const BACKS: ReadonlySet<Part> = new Set<Part>(['back', 'skirtBack', 'trouserBack', 'sideBack', 'facingBack', 'yoke']);
/** Pieces whose centre is the centre back. */
export const isBack = (part: Part): boolean => BACKS.has(part);
/** A shoulder longer than this runs on over the arm, mm. */
const OVERARM = 220;
/** From the shoulder straight down a panel to its lower edge at least, mm. */
const PANEL = 250;
/** An armhole shorter than this is only its upper part: the rest lies on another panel, mm. */
const HALF_ARMHOLE = 175;
/** The top of a raglan sleeve, at the neck, is no wider than this, mm. */
const RAGLAN_TOP = 130;
/** Without an underarm to measure from: so far from its top to its lower edge, mm. */
const BODICE_LONGEST = 560;

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
      const e = nth(way, k - 1);
      const down = within(looks(e.path), 90, 45) && middleOf(e.path).y > low;
      if (!down && !(e.dart && middleOf(e.path).y > low)) break;
      k--;
    }
    return k;
  })();
  const underarm = underarmOf(way.slice(0, bottomFrom));
  const side = sewnLength(underarm < 0 ? [] : way.slice(underarm, bottomFrom));
  const long = underarm < 0 ? all.maxY - all.minY > BODICE_LONGEST : side > SIDE_LONGEST;
  const bottom: EdgeRole = long ? 'hem' : 'waist';
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
  for (; k < first; k++) roles[nth(upper, k).index] = 'neck';
  // A shoulder with a dart in it goes on behind the dart.
  while (k < upper.length && (shoulders.includes(nth(upper, k)) || nth(upper, k).dart)) {
    if (!shoulders.slice(shoulders.indexOf(nth(upper, k))).length) break;
    roles[nth(upper, k).index] = 'shoulder';
    k++;
  }
  const rest = upper.slice(k);
  const start = rest[0];
  if (!start) return;
  const shoulder = sewnLength(upper.filter((e) => roles[e.index] === 'shoulder'));
  if (shoulder > OVERARM) return cutOnSleeve(rest, roles);
  const corner = rest.findIndex((e, i) => i > 0 && !e.dart && sharp(rest[i - 1], e));
  // Cut into panels, the shoulder or a short piece of armhole is followed by the seam to the next panel.
  if (corner < 0 && sewnLength(rest) > PANEL) {
    const top = rest.length > 1 && pathLength(start.path) < HALF_ARMHOLE ? start : null;
    return rest.forEach((e) => (roles[e.index] = e === top ? 'armhole' : 'princess'));
  }
  const after = rest[corner];
  if (after && isCurved(after.path) && sewnLength(rest.slice(0, corner)) < HALF_ARMHOLE)
    return rest.forEach((e, i) => (roles[e.index] = i < corner ? 'armhole' : 'princess'));
  // The armhole runs on until the sharp corner at the underarm; from there it is the side.
  let armhole = isCurved(start.path) || leanOf(start.path) > 35;
  rest.forEach((e, i) => {
    const before = rest[i - 1];
    if (armhole && before && !before.dart && !e.dart && cornerBetween(before.path, e.path) >= UNDERARM) armhole = false;
    roles[e.index] = armhole ? 'armhole' : 'side';
  });
}

/** A sleeve cut on: its hem at the end of the overarm, the curve under the arm, and the side. */
function cutOnSleeve(rest: readonly Seen[], roles: EdgeRole[]): void {
  // Without a corner between them the curve and the side are one seam.
  let side = rest.filter((e) => !e.dart).length < 3;
  rest.forEach((e, i) => {
    side ||= i > 0 && leanOf(e.path) <= UPRIGHT && isStraight(e.path);
    roles[e.index] = i === 0 ? 'sleeveHem' : side ? 'side' : 'underarm';
  });
}

/** The edge that begins where armhole or raglan, a curve, ends in the sharp corner at the underarm; −1 where none does. */
const underarmOf = (way: readonly Seen[]): number =>
  way.findIndex((e, i) => {
    const before = way[i - 1];
    return before && isCurved(before.path) && !e.dart && leanOf(e.path) <= 35 && sharp(before, e);
  });

/** The roles of a bodice with the centre that reads best; the first where two read alike. */
function bestBodice(edges: readonly Seen[], centres: readonly Seen[], centreRole: EdgeRole, roles: EdgeRole[]): void {
  const read = centres.map((centre) => {
    const own = [...roles];
    bodice(edges, centre, centreRole, own);
    if (centreRole === 'centreBack') belowYoke(edges, own);
    return { own, score: plausible(edges, centre, own) };
  });
  const best = read.reduce<(typeof read)[number] | null>((b, r) => (!b || r.score > b.score ? r : b), null);
  best?.own.forEach((role, i) => (roles[i] = role));
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
  const left = nth(
    edges.flatMap((e) => [e.path.start]).sort((a, b) => a.x - b.x),
    0,
  );
  const right = nth(
    edges.flatMap((e) => [e.path.start]).sort((a, b) => b.x - a.x),
    0,
  );
  const line = Math.max(left.y, right.y);
  for (const e of edges) {
    const m = pointAt(e.path, pathLength(e.path) / 2);
    if (m.y <= line && (m.y < line - 2 || line > all.maxY - 2)) roles[e.index] = 'cap';
    else if (within(looks(e.path), 90, 40) && m.y > all.minY + (all.maxY - all.minY) * 0.7)
      roles[e.index] = 'sleeveHem';
    else roles[e.index] = 'underarm';
  }
  // A raglan sleeve runs up to the neck: a short top between two long slanting seams.
  const cap = edges.filter((e) => roles[e.index] === 'cap' && !e.dart);
  const top = cap.find(
    (e) => within(looks(e.path), -90, 30) && pathLength(e.path) < RAGLAN_TOP && middleOf(e.path).y < all.minY + 40,
  );
  const beside = cap.filter((e) => e !== top);
  if (top && beside.length > 1 && beside.every((e) => pathLength(e.path) > pathLength(top.path) * 1.5))
    cap.forEach((e) => (roles[e.index] = e === top ? 'neck' : 'raglan'));
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
  const back = isBack(part);
  const known = fold === null ? null : (edges[fold] ?? null);
  // Half fronts have their centre at the left, half backs at the right; turned over it may be the other.
  const sides = [centreEdge(edges, back), centreEdge(edges, !back)].filter((e) => e !== null);
  const candidates = known ? [known] : sides;
  const usual = candidates[0] ?? null;
  const centreRole: EdgeRole = back ? 'centreBack' : 'centreFront';
  if (part === 'sleeve') sleeve(edges, roles);
  else if (part === 'sideFront' || part === 'sideBack') sidePanel(edges, roles);
  else if (part === 'trouserFront' || part === 'trouserBack') trousers(edges, roles);
  else if (part === 'skirtFront' || part === 'skirtBack') skirt(edges, usual, centreRole, roles);
  else if (part === 'yoke' && usual) {
    roles[usual.index] = centreRole;
    yoke(fromCentre(edges, usual), roles);
  } else if ((part === 'front' || part === 'back') && usual) bestBodice(edges, candidates, centreRole, roles);
  else if ((part === 'facingFront' || part === 'facingBack') && usual) {
    bodice(edges, usual, centreRole, roles);
    roles.forEach((r, i) => {
      if (!['neck', 'shoulder', centreRole].includes(r)) roles[i] = 'other';
    });
  }
  for (const i of mouths) roles[i] = 'dart';
  return roles;
}
