import {
  boundsOf,
  distance,
  endOf,
  flatten,
  lengthTo,
  mapPath,
  midpoint,
  nearestLength,
  nearestOnPath,
  offsetEdges,
  joinPaths,
  pathLength,
  pointAt,
  polyline,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { partAtCentre, type EdgeRole, type LevelName, type Mark, type Piece } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result, nth, cyclic } from '../../units/index.ts';
import type { Ring } from './chain.ts';
import { edgesAt } from './corners.ts';
import { findDarts, type FoundDart } from './darts.ts';
import { cleanRing } from './detours.ts';
import { centreFromLines, linesBesideCentre } from './innerCentre.ts';
import type { Stroke } from './lines.ts';
import { findMarks } from './marks.ts';
import { DART_OF, divide, foldOf, insetDart, mouthsOn } from './mouths.ts';
import { orient, orientationOf } from './orient.ts';
import { proposeRoles } from './roles.ts';
import {
  cornersWith,
  HALVES,
  idsFor,
  last,
  leavesAllowance,
  middle,
  mitre,
  near,
  nearestOf,
  notchesAlong,
  sameOnBothSides,
  saidOf,
} from './traceParts.ts';
import { MEANT, type TraceChoices, type Traced, type TracedEdge, type TraceNote } from './traceTypes.ts';

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

/**
 * The same, refused in words where nothing can be made of the outline with these choices: a mistake of the program's own
 * must not take with it what one has done so far.
 */
export function traceSafely(
  ring: Ring,
  others: readonly Stroke[],
  choices: TraceChoices,
): Result<Traced, 'piece-not-traced'> {
  try {
    return ok(tracePiece(ring, others, choices));
  } catch (error) {
    return refuse('piece-not-traced', { detail: error instanceof Error ? error.message : String(error) });
  }
}

function traceOnce(ring: Ring, others: readonly Stroke[], choices: TraceChoices): Traced {
  const notes: TraceNote[] = [];
  const { allowance } = choices;
  const cutting = choices.line === 'cutting';
  const reach = cutting ? allowance + 4 : 4;
  const { ring: outline, notches: cutIn, darts: cutOut } = cleanRing(ring.path);
  const marks = findMarks(outline, others, reach);
  const drawn = edgesAt(outline, cornersWith(outline, choices.turned, others, cutting ? allowance : 0));
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
  const missedAt = cutting ? leavesAllowance(mitred.paths, seams, allowances) : null;
  if (missedAt) notes.push({ code: 'allowance-missed', data: missedAt });
  const seam = joinPaths(seams);
  const corners = seams.map((p) => p.start);

  const polygon = flatten(seam, 0.5);
  const seenNotches = notchesAlong(outline, seam, marks.small, cutIn);
  const own = choices.ownDarts.map((d): FoundDart => ({ ...d, sign: 'legs' }));
  const cut = cutOut.map((d): FoundDart => insetDart(d, cutting ? allowance : 0));
  const seen = [...own, ...cut, ...findDarts(outline, marks, seenNotches, reach, polygon)];
  // Each that was taken away is one dart: in a nest the tips of other sizes lie close beside it.
  const gone = new Set(choices.notDarts.flatMap((p) => nearestTo(p, seen) ?? []));
  const found = seen.filter((d) => !gone.has(d));
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
    p.mouth >= 0 ? 'dart' : (last(saidOfParts[i] ?? [], 'role') ?? nth(proposed, i)),
  );
  const edges = parts.map((p, i): TracedEdge => {
    const k = nearestOf(seams, p.path);
    const given = p.mouth >= 0 ? undefined : last(saidOfParts[i] ?? [], 'allowance');
    return {
      path: p.path,
      role: nth(roles, i),
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
    edges: edges.map((e, i) => ({ id: nth(ids, i), role: e.role, path: e.path, allowance: e.allowance })),
    darts: mouths.flatMap((m, i) => {
      const k = parts.findIndex((p) => p.mouth === i);
      if (k < 0) return [];
      const before = cyclic(roles, k - 1);
      const after = cyclic(roles, k + 1);
      const kind = DART_OF[before] ?? DART_OF[after] ?? 'other';
      return [
        {
          id: `dart${i + 1}`,
          kind,
          mouth: nth(ids, k),
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
    piece: parted(),
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

  /** Extension and facing taken apart from the body, where the centre is known to lie inside. */
  function parted(): Piece {
    if (choices.centreInside === 'edge' || (choices.part !== 'front' && choices.part !== 'back')) return piece;
    // The piece is laid at the corner of the table; the other lines go with it.
    const box = boundsOf(turned.flatMap((p) => flatten(p, 0.5)));
    const beside = linesBesideCentre(
      piece,
      others.map((s) => mapPath(table.path(s.path), (p) => ({ x: p.x - box.minX, y: p.y - box.minY }))),
      piece.marks.find((m) => m.kind === 'grain') ?? null,
    );
    const inside = choices.centreInside ?? centreFromLines(beside);
    if (!inside) {
      if (beside[0] !== undefined && beside.length === 1)
        notes.push({ code: 'centre-or-fold', data: { inside: beside[0] } });
      return piece;
    }
    const done = partAtCentre(piece, inside);
    if (!done.ok) {
      notes.push({ code: 'centre-not-inside', data: { piece: piece.name } });
      return piece;
    }
    if (!choices.centreInside)
      notes.push({ code: 'centre-found', data: { centre: inside.centre, fold: inside.fold ?? 0 } });
    return done.value;
  }

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
      out.push({ kind: 'notch', id: `notch${i + 1}`, edge: nth(ids, k), at, count: n.count });
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

/** The dart whose tip lies nearest to a place, if any is meant by it. */
const nearestTo = (p: Point, darts: readonly FoundDart[]): FoundDart | undefined =>
  darts.filter((d) => distance(d.tip, p) <= MEANT).sort((a, b) => distance(a.tip, p) - distance(b.tip, p))[0];

export const middleOfEdge = (edge: TracedEdge): Point =>
  pathLength(edge.path) > 0 ? middle(edge.path) : midpoint(edge.path.start, endOf(edge.path));
