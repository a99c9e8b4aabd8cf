import {
  boundsOf,
  distance,
  endOf,
  flatten,
  lengthTo,
  lineMeet,
  midpoint,
  nearestLength,
  nearestOnPath,
  offsetEdges,
  joinPaths,
  pathLength,
  pointAt,
  polyline,
  splitAtLength,
  subPath,
  offsetPath,
  endTangent,
  startTangent,
  type Path,
  type Point,
} from '../geometry/index.ts';
import type { EdgeRole, LevelName, Mark, Piece } from '../pattern/index.ts';
import { TOL } from '../units/index.ts';
import type { Ring } from './chain.ts';
import { bevels, cornersOf, edgesAt } from './corners.ts';
import { findDarts, legMeets, type DartSign, type FoundDart } from './darts.ts';
import { cleanRing } from './detours.ts';
import type { Stroke } from './lines.ts';
import { findMarks, notchesOn, type FoundNotch } from './marks.ts';
import { orient, orientationOf, type Orientation } from './orient.ts';
import { proposeRoles, type Part } from './roles.ts';

/** What is known, or was said by hand, of a piece that is being traced. Points lie where they do on the sheet. */
export interface TraceChoices {
  readonly id: string;
  readonly name: string;
  readonly part: Part;
  readonly cut: number;
  /** Half of what it becomes on the body. */
  readonly half: boolean;
  /** Which line the outline is. */
  readonly line: 'cutting' | 'sewing';
  /** Seam allowance where nothing else is said of an edge, mm. */
  readonly allowance: number;
  /** Bevels and roundings at the corners of a cutting line: left out, or kept. */
  readonly corners: 'mitred' | 'asDrawn';
  /** How it is turned from the sheet to the table; null takes what the grain says. */
  readonly orientation: Orientation | null;
  /** Corners set (`on`) or taken away by hand. */
  readonly turned: readonly { readonly at: Point; readonly on: boolean }[];
  /** What was said of edges, each by a point on or near its middle. */
  readonly said: readonly {
    readonly at: Point;
    readonly role?: EdgeRole;
    readonly allowance?: number;
    readonly fold?: boolean;
  }[];
  /** Darts not wanted, and darts drawn by hand: tip and the two places where the legs meet the outline. */
  readonly notDarts: readonly Point[];
  readonly ownDarts: readonly { readonly tip: Point; readonly one: Point; readonly two: Point }[];
  /** Notches not wanted, and set by hand. */
  readonly notNotches: readonly Point[];
  readonly ownNotches: readonly Point[];
  readonly grain: { readonly from: Point; readonly to: Point } | null;
  readonly bustPoint: Point | null;
  readonly levels: Readonly<Partial<Record<LevelName, Point>>>;
}

export type TraceNote =
  | { readonly code: 'gaps-healed'; readonly data: { readonly count: number; readonly widest: number } }
  | { readonly code: 'corners-joined'; readonly data: { readonly count: number } }
  | { readonly code: 'leg-misses'; readonly data: { readonly x: number; readonly y: number } }
  | { readonly code: 'no-grain'; readonly data: Record<string, never> }
  | { readonly code: 'no-bust-point'; readonly data: Record<string, never> }
  | { readonly code: 'looks-whole'; readonly data: Record<string, never> };

export interface TracedEdge {
  readonly path: Path;
  readonly role: EdgeRole;
  readonly allowance: number;
  readonly fold: boolean;
}
/** What tracing found, on the sheet, and the piece made of it, turned as it lies on the table. */
export interface Traced {
  readonly piece: Piece;
  /** Edges along the seam line as they lie on the sheet, in the order of the piece's before it was turned over. */
  readonly edges: readonly TracedEdge[];
  readonly corners: readonly Point[];
  readonly darts: readonly (FoundDart & { readonly mouth: number })[];
  readonly notches: readonly { readonly at: Point; readonly count: number }[];
  readonly dots: readonly Point[];
  readonly bustPoint: Point | null;
  readonly grain: { readonly from: Point; readonly to: Point } | null;
  readonly orientation: Orientation;
  readonly notes: readonly TraceNote[];
}

export const plainChoices = (id: string, name: string): TraceChoices => ({
  id,
  name,
  part: 'front',
  cut: 1,
  half: true,
  line: 'cutting',
  allowance: 15,
  corners: 'mitred',
  orientation: null,
  turned: [],
  said: [],
  notDarts: [],
  ownDarts: [],
  notNotches: [],
  ownNotches: [],
  grain: null,
  bustPoint: null,
  levels: {},
});

const near = (list: readonly Point[], p: Point, within: number): boolean => list.some((q) => distance(p, q) <= within);
const middle = (path: Path): Point => pointAt(path, pathLength(path) / 2);
/** How near a click on the sheet counts as meant, mm. */
export const MEANT = 6;

/** A bend that the file itself calls a corner need not be sharp, degrees. */
const TOLD_CORNER = 4;

/** Corners as found, with those the file names, and those set and taken away by hand. */
function cornersWith(ring: Path, turned: TraceChoices['turned'], others: readonly Stroke[]): readonly Point[] {
  const off = turned.filter((t) => !t.on).map((t) => t.at);
  const on = turned.filter((t) => t.on).map((t) => nearestOnPath(ring, t.at).point);
  const found = cornersOf(ring).map((c) => c.at);
  const turns = others.filter((s) => s.kind === 'turn').map((s) => s.path.start);
  const slight = cornersOf(ring, TOLD_CORNER).map((c) => c.at);
  const told = slight.filter((p) => near(turns, p, TOL.touches) && !near(found, p, TOL.touches));
  return [...[...found, ...told].filter((p) => !near(off, p, MEANT)), ...on];
}

/** What was said of the edge that a said point lies nearest to. */
function saidOf(paths: readonly Path[], said: TraceChoices['said']): readonly TraceChoices['said'][number][][] {
  const out: TraceChoices['said'][number][][] = paths.map(() => []);
  for (const one of said) {
    const distances = paths.map((p) => nearestOnPath(p, one.at).distance);
    const i = distances.indexOf(Math.min(...distances));
    out[i]?.push(one);
  }
  return out;
}
const last = <K extends 'role' | 'allowance' | 'fold'>(
  said: readonly TraceChoices['said'][number][],
  key: K,
): TraceChoices['said'][number][K] | undefined => said.findLast((s) => s[key] !== undefined)?.[key];

/** Bevelled corners drawn out to the point where their neighbours meet. */
function mitre(paths: readonly Path[], most: number): { readonly paths: readonly Path[]; readonly count: number } {
  const gone = bevels(paths, most);
  if (gone.length === 0) return { paths, count: 0 };
  const n = paths.length;
  const out = [...paths];
  for (const i of gone) {
    const [b, a] = [(i + n - 1) % n, (i + 1) % n];
    const before = out[b] as Path;
    const after = out[a] as Path;
    const meet = lineMeet(endOf(before), endTangent(before), after.start, startTangent(after));
    const bevel = paths[i] as Path;
    const p = meet && meet.s > 0 && meet.r < 0 && Math.max(meet.s, -meet.r) < 4 * most ? meet.point : middle(bevel);
    out[b] = joinPaths([before, polyline([endOf(before), p])]);
    out[a] = joinPaths([polyline([p, after.start]), after]);
  }
  return { paths: out.filter((_, i) => !gone.includes(i)), count: gone.length };
}

interface Mouth {
  readonly dart: FoundDart;
  readonly from: number;
  readonly to: number;
}

/** Where the legs of each dart meet the seam line, as arc lengths in outline order, the shorter way between them. */
function mouthsOn(seam: Path, darts: readonly FoundDart[], beyond: number): { mouths: Mouth[]; missed: FoundDart[] } {
  const total = pathLength(seam);
  const mouths: Mouth[] = [];
  const missed: FoundDart[] = [];
  for (const dart of darts) {
    const [p, q] = [legMeets(seam, dart.tip, dart.one, beyond), legMeets(seam, dart.tip, dart.two, beyond)];
    if (!p || !q) {
      missed.push(dart);
      continue;
    }
    const [a, b] = [p, q].map((x) => lengthTo(seam, nearestOnPath(seam, x))) as [number, number];
    const way = (b - a + total) % total;
    mouths.push(way <= total / 2 ? { dart, from: a, to: b } : { dart, from: b, to: a });
  }
  return { mouths, missed };
}

/** The seam line divided at its corners and at the darts' legs; what lies between two legs is one mouth. */
function divide(
  seam: Path,
  corners: readonly Point[],
  mouths: readonly Mouth[],
): readonly { readonly path: Path; readonly mouth: number }[] {
  const total = pathLength(seam);
  const at = (p: Point): number => lengthTo(seam, nearestOnPath(seam, p));
  const inMouth = (s: number): boolean =>
    mouths.some((m) => (s - m.from + total) % total <= ((m.to - m.from + total) % total) + TOL.join);
  const cuts = [...corners.map(at).filter((s) => !inMouth(s)), ...mouths.flatMap((m) => [m.from, m.to])]
    .map((s) => (total - s < TOL.join ? 0 : s))
    .sort((a, b) => a - b)
    .filter((s, i, all) => i === 0 || s - (all[i - 1] as number) > TOL.meets);
  if (cuts.length < 2) return [{ path: seam, mouth: -1 }];
  return cuts.map((from, i) => {
    const to = cuts[(i + 1) % cuts.length] as number;
    const path =
      to > from
        ? subPath(seam, from, to)
        : to < TOL.join
          ? splitAtLength(seam, from)[1]
          : joinPaths([splitAtLength(seam, from)[1], splitAtLength(seam, to)[0]]);
    const mouth = mouths.findIndex(
      (m) => Math.abs(m.from - from) < TOL.meets || Math.abs(total - m.from + from) < TOL.meets,
    );
    return { path, mouth };
  });
}

/** Ids that say what an edge is: its role, numbered where there are several. */
function idsFor(roles: readonly EdgeRole[]): readonly string[] {
  const count = new Map<string, number>();
  return roles.map((role) => {
    const n = (count.get(role) ?? 0) + 1;
    count.set(role, n);
    return roles.filter((r) => r === role).length === 1 ? role : `${role}${n}`;
  });
}

const DART_OF: Readonly<Partial<Record<EdgeRole, Piece['darts'][number]['kind']>>> = {
  side: 'side',
  waist: 'waist',
  hem: 'waist',
  shoulder: 'shoulder',
  armhole: 'armhole',
  neck: 'neck',
};

/**
 * Makes a piece of a closed outline and what is drawn in it. Little notches drawn into the outline are taken out of
 * it, corners divide it into edges, a cutting line is brought in by its allowances (curve-true, corners meeting), the
 * legs of darts are carried to the seam line, and every mark is laid on the seam line where it is nearest. Nothing is
 * flattened. `others` are the lines that are not part of the outline.
 */
export function tracePiece(ring: Ring, others: readonly Stroke[], choices: TraceChoices): Traced {
  const traced = traceOnce(ring, others, choices);
  const caps = traced.edges.filter((e) => e.role === 'cap');
  const head = caps[0];
  if (choices.part !== 'sleeve' || caps.length !== 1 || !head) return traced;
  // A sleeve's head is sewn to two armholes: it is divided where it is highest.
  const up = orient(traced.orientation).path(head.path);
  const highest = flatten(up, TOL.flat).reduce((best, p) => (p.y < best.y ? p : best));
  const share = nearestLength(up, highest) / pathLength(up);
  const at = pointAt(head.path, (traced.orientation.mirrored ? 1 - share : share) * pathLength(head.path));
  return traceOnce(ring, others, { ...choices, turned: [...choices.turned, { at, on: true }] });
}

function traceOnce(ring: Ring, others: readonly Stroke[], choices: TraceChoices): Traced {
  const notes: TraceNote[] = [];
  const { allowance } = choices;
  const cutting = choices.line === 'cutting';
  const reach = cutting ? allowance + 4 : 4;
  const { ring: outline, notches: cutIn, darts: cutOut } = cleanRing(ring.path);
  const marks = findMarks(outline, others, reach);
  const drawn = edgesAt(outline, cornersWith(outline, choices.turned, others));
  const mitred = cutting && choices.corners === 'mitred' ? mitre(drawn, allowance * 1.6) : { paths: drawn, count: 0 };
  if (mitred.count > 0) notes.push({ code: 'corners-joined', data: { count: mitred.count } });

  const said = saidOf(mitred.paths, choices.said);
  const onMirror = (path: Path): boolean =>
    marks.mirror !== null &&
    [marks.mirror.from, marks.mirror.to].every((p) => nearestOnPath(path, p).distance < TOL.touches + 1);
  const folds = mitred.paths.map((path, i) => last(said[i] ?? [], 'fold') ?? onMirror(path));
  const allowances = mitred.paths.map((_, i) => (folds[i] ? 0 : (last(said[i] ?? [], 'allowance') ?? allowance)));
  const seams = cutting
    ? offsetEdges(
        mitred.paths,
        allowances.map((a) => -a),
        true,
      )
    : mitred.paths;
  const seam = joinPaths(seams);
  const corners = seams.map((p) => p.start);

  const polygon = flatten(seam, 0.5);
  const seenNotches = notchesAlong(outline, seam, marks.small, cutIn);
  const own = choices.ownDarts.map((d): FoundDart => ({ ...d, sign: 'legs' }));
  const cut = cutOut.map((d): FoundDart => insetDart(d, cutting ? allowance : 0));
  const found = [...own, ...cut, ...findDarts(outline, marks, seenNotches, reach, polygon)].filter(
    (d) => !near(choices.notDarts, d.tip, MEANT),
  );
  const { mouths, missed } = mouthsOn(seam, found, reach + 60);
  for (const d of missed) notes.push({ code: 'leg-misses', data: { x: d.tip.x, y: d.tip.y } });
  const parts = divide(seam, corners, mouths);

  const orientation = choices.orientation ?? orientationOf(choices.grain ?? marks.grain);
  const table = orient(orientation);
  const isFold = (path: Path): boolean =>
    seams.some((s, i) => (folds[i] ?? false) && nearestOnPath(s, middle(path)).distance < TOL.meets);
  const foldPart = parts.findIndex((p) => p.mouth < 0 && isFold(p.path));
  const turned = parts.map((p) => table.path(p.path));
  const mouthParts = new Set(parts.flatMap((p, i) => (p.mouth >= 0 ? [i] : [])));
  const proposed = table.mirrored
    ? proposeRoles(
        [...turned].reverse(),
        choices.part,
        foldPart < 0 ? null : parts.length - 1 - foldPart,
        new Set([...mouthParts].map((i) => parts.length - 1 - i)),
      ).toReversed()
    : proposeRoles(turned, choices.part, foldPart < 0 ? null : foldPart, mouthParts);
  const saidOfParts = saidOf(
    parts.map((p) => p.path),
    choices.said.filter((s) => s.role !== undefined || s.allowance !== undefined),
  );
  const roles = parts.map((p, i): EdgeRole =>
    p.mouth >= 0 ? 'dart' : (last(saidOfParts[i] ?? [], 'role') ?? (proposed[i] as EdgeRole)),
  );
  const edges = parts.map((p, i): TracedEdge => {
    const k = nearestOf(seams, p.path);
    const given = p.mouth >= 0 ? undefined : last(saidOfParts[i] ?? [], 'allowance');
    return {
      path: p.path,
      role: roles[i] as EdgeRole,
      allowance: i === foldPart ? 0 : (given ?? allowances[k] ?? allowance),
      fold: i === foldPart,
    };
  });

  const notches = seenNotches
    .filter((n) => !near(choices.notNotches, n.at, MEANT))
    // What shows a dart's legs is the dart, not a mark of its own.
    .filter((n) => !mouths.some((m) => [m.dart.one, m.dart.two].some((p) => distance(p, n.at) < reach + MEANT)))
    .concat(choices.ownNotches.map((at) => ({ at, count: 1 })));
  const grain = choices.grain ?? marks.grain;
  if (!grain) notes.push({ code: 'no-grain', data: {} });
  // One hole or cross alone on a front, that is no dart's tip, marks the bust point.
  const lone = marks.dots.filter((d) => !found.some((f) => distance(f.tip, d) < 5));
  const bustPoint = choices.bustPoint ?? (choices.part === 'front' && lone.length === 1 ? (lone[0] ?? null) : null);
  if (choices.part === 'front' && !bustPoint) notes.push({ code: 'no-bust-point', data: {} });
  if (ring.healed.length > 0)
    notes.push({
      code: 'gaps-healed',
      data: { count: ring.healed.length, widest: Math.max(...ring.healed.map((h) => h.gap)) },
    });

  const ids = idsFor(roles);
  const atCentre = parts.filter((_, i) => i === foldPart || roles[i] === 'centreFront' || roles[i] === 'centreBack');
  // Without a centre the left side is taken for it, as fronts lie.
  const centreX = atCentre[0] ? table.path(atCentre[0].path).start.x : -1e5;
  const dots = lone;
  // Sleeves and the like are whole; so is a piece that is the same on both sides of its middle.
  const whole = foldPart < 0 && sameOnBothSides(table.path(seam));
  if (whole && HALVES.has(choices.part)) notes.push({ code: 'looks-whole', data: {} });
  const piece = table.piece({
    id: choices.id,
    name: choices.name,
    part: choices.part,
    cut: choices.cut,
    half: choices.half && HALVES.has(choices.part) && !whole,
    fold: foldPart < 0 ? null : (ids[foldPart] ?? null),
    edges: edges.map((e, i) => ({ id: ids[i] as string, role: e.role, path: e.path, allowance: e.allowance })),
    darts: mouths.flatMap((m, i) => {
      const k = parts.findIndex((p) => p.mouth === i);
      if (k < 0) return [];
      const before = roles[(k + roles.length - 1) % roles.length] as EdgeRole;
      const after = roles[(k + 1) % roles.length] as EdgeRole;
      const kind = DART_OF[before] ?? DART_OF[after] ?? 'other';
      return [
        {
          id: `dart${i + 1}`,
          kind,
          mouth: ids[k] as string,
          tip: m.dart.tip,
          foldToward: foldOf(kind, parts[k]?.path, table.path, centreX),
          ...(m.dart.sign === 'cut' && cutting ? { cutAway: allowance } : {}),
        },
      ];
    }),
    marks: marksOf(),
    notes: '',
  });
  return {
    piece,
    edges,
    corners,
    darts: mouths.map((m, i) => ({ ...m.dart, mouth: parts.findIndex((p) => p.mouth === i) })),
    notches,
    dots,
    bustPoint,
    grain,
    orientation,
    notes,
  };

  function marksOf(): readonly Mark[] {
    const out: Mark[] = [];
    notches.forEach((n, i) => {
      const k = nearestOf(
        parts.map((p) => p.path),
        polyline([n.at, n.at]),
        mouthParts,
      );
      const path = parts[k]?.path;
      if (!path) return;
      const at = lengthTo(path, nearestOnPath(path, n.at));
      out.push({ kind: 'notch', id: `notch${i + 1}`, edge: ids[k] as string, at, count: n.count });
    });
    if (grain) out.push({ kind: 'grain', id: 'grain', ...grain });
    if (bustPoint) out.push({ kind: 'bustPoint', id: 'bustPoint', at: bustPoint });
    for (const [name, at] of Object.entries(choices.levels) as [LevelName, Point][])
      out.push({ kind: 'level', id: name, name, at });
    dots.forEach((at, i) => {
      if (!bustPoint || distance(at, bustPoint) > MEANT) out.push({ kind: 'drill', id: `drill${i + 1}`, at });
    });
    return out;
  }
}

/** Notches that reach the outline or, drawn in the allowance, the seam line; each once, where it lies on the seam line. */
function notchesAlong(
  outline: Path,
  seam: Path,
  small: readonly Stroke[],
  cutIn: readonly Point[],
): readonly FoundNotch[] {
  const onSeam = (n: FoundNotch): FoundNotch => ({ ...n, at: nearestOnPath(seam, n.at).point });
  const outer = [...cutIn.map((at) => ({ at, count: 1 })), ...notchesOn(outline, small)].map(onSeam);
  const inner = notchesOn(seam, small).map(onSeam);
  const seen = outer.map((n) => n.at);
  return [...outer, ...inner.filter((n) => !near(seen, n.at, MEANT / 2))];
}

/** Parts that are drawn as half of what they become; the others are drawn whole. */
const HALVES: ReadonlySet<Part> = new Set<Part>([
  'front',
  'sideFront',
  'back',
  'sideBack',
  'skirtFront',
  'skirtBack',
  'facingFront',
  'facingBack',
]);

/** True when an outline is its own mirror image about the upright through its middle. */
function sameOnBothSides(path: Path): boolean {
  const points = flatten(path, 0.2);
  const { minX, maxX } = boundsOf(points);
  return points.every((p) => nearestOnPath(path, { x: minX + maxX - p.x, y: p.y }).distance <= TOL.mirrored);
}

/** The path nearest to the middle of another; those in `not` are passed over. */
function nearestOf(paths: readonly Path[], path: Path, not: ReadonlySet<number> = new Set()): number {
  const p = path.segments.length > 1 || pathLength(path) > 0 ? middle(path) : path.start;
  const distances = paths.map((q, i) => (not.has(i) ? Infinity : nearestOnPath(q, p).distance));
  return distances.indexOf(Math.min(...distances));
}

/** A dart drawn into a cutting line brought in by its allowance: the seam is sewn beside the cut. */
function insetDart(d: { readonly start: Point; readonly tip: Point; readonly end: Point }, by: number): FoundDart {
  const sign: DartSign = 'cut';
  if (by === 0) return { tip: d.tip, one: d.start, two: d.end, sign };
  const one = offsetPath(polyline([d.start, d.tip]), -by);
  const two = offsetPath(polyline([d.tip, d.end]), -by);
  const meet = lineMeet(one.start, startTangent(one), two.start, startTangent(two));
  return { tip: meet?.point ?? d.tip, one: one.start, two: endOf(two), sign };
}

/** Side darts are pressed down, upright ones towards the centre. */
function foldOf(
  kind: Piece['darts'][number]['kind'],
  mouth: Path | undefined,
  toTable: (path: Path) => Path,
  centreX: number,
): 'start' | 'end' {
  if (!mouth) return 'end';
  const path = toTable(mouth);
  const [a, b] = [path.start, endOf(path)];
  const down = b.y >= a.y ? 'end' : 'start';
  const upright = kind === 'waist' || kind === 'shoulder' || kind === 'neck';
  if (!upright) return down;
  return Math.abs(b.x - centreX) < Math.abs(a.x - centreX) ? 'end' : 'start';
}

export const middleOfEdge = (edge: TracedEdge): Point =>
  pathLength(edge.path) > 0 ? middle(edge.path) : midpoint(edge.path.start, endOf(edge.path));
