import {
  boundsOf,
  distance,
  flatten,
  joinPaths,
  lengthTo,
  mapPath,
  nearestOnPath,
  offsetEdges,
  polyline,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { partAtCentre, type EdgeRole, type LevelName, type Mark, type Piece } from '../../pattern/index.ts';
import { cyclic, nth, TOL } from '../../units/index.ts';
import type { Ring } from './chain.ts';
import { edgesAt } from './corners.ts';
import { findDarts, type FoundDart } from './darts.ts';
import { cleanRing } from './detours.ts';
import { centreFromLines, linesBesideCentre } from './innerCentre.ts';
import type { Stroke } from './lines.ts';
import type { FoundDouble } from './doubleDarts.ts';
import { findMarks, type FoundMarks, type FoundNotch } from './marks.ts';
import { DART_OF, divide, foldOf, insetDart, mouthsOn, type Mouth } from './mouths.ts';
import type { orient } from './orient.ts';
import { proposeRoles } from './roles.ts';
import {
  cornersWith,
  last,
  leavesAllowance,
  middle,
  mitre,
  near,
  nearestOf,
  notchesAlong,
  saidOf,
} from './traceParts.ts';
import { MEANT, type TraceChoices, type TracedEdge, type TraceNote } from './traceTypes.ts';

/** How the drawing lies on the table. */
type Table = ReturnType<typeof orient>;

/** The outline brought in to the seam line, and what was found along it. */
export interface SeamLine {
  readonly outline: Path;
  readonly marks: FoundMarks;
  readonly cutOut: readonly FoundDart[];
  /** One path for each edge between corners, with its allowance and whether it is the fold. */
  readonly seams: readonly Path[];
  readonly allowances: readonly number[];
  readonly folds: readonly boolean[];
  readonly seam: Path;
  readonly corners: readonly Point[];
  readonly notches: readonly FoundNotch[];
  /** How far from the outline a mark still belongs to it. */
  readonly reach: number;
  readonly notes: readonly TraceNote[];
}

/** Cleans the outline, divides it at its corners, and brings a cutting line in by its allowances. */
export function seamLineOf(ring: Ring, others: readonly Stroke[], choices: TraceChoices): SeamLine {
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
  const inwards = allowances.map((a) => -a);
  const seams = cutting ? offsetEdges(mitred.paths, inwards, true) : mitred.paths;
  const missedAt = cutting ? leavesAllowance(mitred.paths, seams, allowances) : null;
  if (missedAt) notes.push({ code: 'allowance-missed', data: missedAt });
  const seam = joinPaths(seams);
  return {
    outline,
    marks,
    cutOut: cutOut.map((d): FoundDart => insetDart(d, cutting ? allowance : 0)),
    seams,
    allowances,
    folds,
    seam,
    corners: seams.map((p) => p.start),
    notches: notchesAlong(outline, seam, marks.small, cutIn),
    reach,
    notes,
  };
}

/** The seam line divided at corners and at the mouths of its darts. */
export interface Parts {
  readonly found: readonly FoundDart[];
  readonly mouths: readonly Mouth[];
  /** `mouth` is the number of the dart whose mouth a part is, or −1. */
  readonly parts: ReturnType<typeof divide>;
  readonly mouthParts: ReadonlySet<number>;
  readonly notes: readonly TraceNote[];
}

/** Finds the darts, drawn, cut out or set by hand, and divides the seam line where their legs meet it. */
export function divideAtMouths(line: SeamLine, choices: TraceChoices): Parts {
  const { outline, marks, seam, notches, reach } = line;
  const own = choices.ownDarts.map((d): FoundDart => ({ ...d, sign: 'legs' }));
  const seen = [...own, ...line.cutOut, ...findDarts(outline, marks, notches, reach, flatten(seam, 0.5))];
  // Each that was taken away is one dart: in a nest the tips of other sizes lie close beside it.
  const gone = new Set(choices.notDarts.flatMap((p) => nearestTo(p, seen) ?? []));
  const found = seen.filter((d) => !gone.has(d));
  const { mouths, missed } = mouthsOn(seam, found, reach + 60);
  const parts = divide(seam, line.corners, mouths);
  return {
    found,
    mouths,
    parts,
    mouthParts: new Set(parts.flatMap((p, i) => (p.mouth >= 0 ? [i] : []))),
    notes: missed.map((d) => ({ code: 'leg-misses', data: { x: d.tip.x, y: d.tip.y } })),
  };
}

/** The dart whose tip lies nearest to a place, if any is meant by it. */
const nearestTo = (p: Point, darts: readonly FoundDart[]): FoundDart | undefined =>
  darts.filter((d) => distance(d.tip, p) <= MEANT).sort((a, b) => distance(a.tip, p) - distance(b.tip, p))[0];

/** Each part as an edge: its role by shape and place unless said by hand, its allowance, and whether it is the fold. */
export function namedEdges(line: SeamLine, divided: Parts, choices: TraceChoices, table: Table): readonly TracedEdge[] {
  const { parts } = divided;
  const isFold = (path: Path): boolean =>
    line.seams.some((s, i) => (line.folds[i] ?? false) && nearestOnPath(s, middle(path)).distance < TOL.meets);
  const fold = parts.findIndex((p) => p.mouth < 0 && isFold(p.path));
  const proposed = proposedRoles(divided, choices, fold, table);
  const saidOfParts = saidOf(
    parts.map((p) => p.path),
    choices.said.filter((s) => s.role !== undefined || s.allowance !== undefined),
  );
  return parts.map((p, i): TracedEdge => {
    const said = p.mouth >= 0 ? [] : (saidOfParts[i] ?? []);
    const drawn = line.allowances[nearestOf(line.seams, p.path)] ?? choices.allowance;
    return {
      path: p.path,
      role: p.mouth >= 0 ? 'dart' : (last(said, 'role') ?? nth(proposed, i)),
      allowance: i === fold ? 0 : (last(said, 'allowance') ?? drawn),
      fold: i === fold,
    };
  });
}

/** Roles are proposed of a piece as it lies on the table: turned over, its edges run the other way round. */
function proposedRoles(
  { parts, mouthParts }: Parts,
  { part }: TraceChoices,
  fold: number,
  table: Table,
): readonly EdgeRole[] {
  const turned = parts.map((p) => table.path(p.path));
  if (!table.mirrored) return proposeRoles(turned, part, fold < 0 ? null : fold, mouthParts);
  const other = (i: number): number => parts.length - 1 - i;
  const mouths = new Set([...mouthParts].map(other));
  return proposeRoles(turned.toReversed(), part, fold < 0 ? null : other(fold), mouths).toReversed();
}

/** The darts of the piece, each named by the edges beside its mouth. */
export function dartsOf(
  { parts, mouths }: Parts,
  edges: readonly TracedEdge[],
  ids: readonly string[],
  choices: TraceChoices,
  table: Table,
): Piece['darts'] {
  const centre = edges.find((e) => e.fold || e.role === 'centreFront' || e.role === 'centreBack');
  // Without a centre the left side is taken for it, as fronts lie.
  const centreX = centre ? table.path(centre.path).start.x : -1e5;
  return mouths.flatMap((m, i) => {
    const k = parts.findIndex((p) => p.mouth === i);
    if (k < 0) return [];
    const kind = DART_OF[cyclic(edges, k - 1).role] ?? DART_OF[cyclic(edges, k + 1).role] ?? 'other';
    return [
      {
        id: `dart${i + 1}`,
        kind,
        mouth: nth(ids, k),
        tip: m.dart.tip,
        foldToward: foldOf(kind, parts[k]?.path, table.path, centreX),
        ...(m.dart.sign === 'cut' && choices.line === 'cutting' ? { cutAway: choices.allowance } : {}),
      },
    ];
  });
}

interface Meant {
  readonly notches: readonly FoundNotch[];
  readonly grain: TraceChoices['grain'];
  readonly bustPoint: Point | null;
  readonly dots: readonly Point[];
  readonly doubleDarts: readonly FoundDouble[];
  readonly notes: readonly TraceNote[];
}

/** The marks that belong to the piece: what was drawn, less what was taken away by hand, with what was set by hand. */
export function marksMeant(
  { marks, notches, reach }: SeamLine,
  { found, mouths }: Parts,
  choices: TraceChoices,
): Meant {
  const legs = mouths.flatMap((m) => [m.dart.one, m.dart.two]);
  const kept = notches
    .filter((n) => !near(choices.notNotches, n.at, MEANT))
    // What shows a dart's legs is the dart, not a mark of its own.
    .filter((n) => !legs.some((p) => distance(p, n.at) < reach + MEANT));
  const grain = choices.grain ?? marks.grain;
  // One hole or cross alone on a front, that is not a dart's tip, marks the bust point.
  const dots = marks.dots.filter((d) => !found.some((f) => distance(f.tip, d) < 5));
  const lone = choices.part === 'front' && dots.length === 1 ? (dots[0] ?? null) : null;
  const bustPoint = choices.bustPoint ?? lone;
  return {
    notches: [...kept, ...choices.ownNotches.map((at) => ({ at, count: 1 }))],
    grain,
    bustPoint,
    dots,
    doubleDarts: marks.doubleDarts.filter((d) => !near(choices.notDarts, d.upper, MEANT)),
    notes: [
      ...(grain ? [] : [{ code: 'no-grain', data: {} } as const]),
      ...(choices.part === 'front' && !bustPoint ? [{ code: 'no-bust-point', data: {} } as const] : []),
    ],
  };
}

/** The marks laid on the piece, notches on the edge they are nearest to. */
export function marksOf(
  { notches, grain, bustPoint, dots, doubleDarts }: Meant,
  { parts, mouthParts }: Parts,
  ids: readonly string[],
  choices: TraceChoices,
): readonly Mark[] {
  const paths = parts.map((p) => p.path);
  const onEdges = notches.flatMap((n, i): readonly Mark[] => {
    const k = nearestOf(paths, polyline([n.at, n.at]), mouthParts);
    const path = paths[k];
    if (!path) return [];
    const at = lengthTo(path, nearestOnPath(path, n.at));
    return [{ kind: 'notch', id: `notch${i + 1}`, edge: nth(ids, k), at, count: n.count }];
  });
  const levels = Object.entries(choices.levels) as [LevelName, Point][];
  return [
    ...onEdges,
    ...(grain ? [{ kind: 'grain', id: 'grain', ...grain } as const] : []),
    ...(bustPoint ? [{ kind: 'bustPoint', id: 'bustPoint', at: bustPoint } as const] : []),
    ...levels.map(([name, at]): Mark => ({ kind: 'level', id: name, name, at })),
    ...doubleDarts.map((d, i): Mark => ({ kind: 'doubleDart', id: `waistDart${i + 1}`, ...d })),
    ...dots.flatMap((at, i): readonly Mark[] =>
      bustPoint && distance(at, bustPoint) <= MEANT ? [] : [{ kind: 'drill', id: `drill${i + 1}`, at }],
    ),
  ];
}

/** Extension and facing taken apart from the body, where the centre is known to lie inside. */
export function partedAtCentre(
  piece: Piece,
  edges: readonly TracedEdge[],
  others: readonly Stroke[],
  choices: TraceChoices,
  table: Table,
): { readonly piece: Piece; readonly notes: readonly TraceNote[] } {
  if (choices.centreInside === 'edge' || (choices.part !== 'front' && choices.part !== 'back'))
    return { piece, notes: [] };
  // The piece is laid at the corner of the table; the other lines go with it.
  const box = boundsOf(edges.flatMap((e) => flatten(table.path(e.path), 0.5)));
  const beside = linesBesideCentre(
    piece,
    others.map((s) => mapPath(table.path(s.path), (p) => ({ x: p.x - box.minX, y: p.y - box.minY }))),
    piece.marks.find((m) => m.kind === 'grain') ?? null,
  );
  const inside = choices.centreInside ?? centreFromLines(beside);
  if (!inside) {
    const [only, another] = beside;
    const unsure = only !== undefined && another === undefined;
    return { piece, notes: unsure ? [{ code: 'centre-or-fold', data: { inside: only } }] : [] };
  }
  const done = partAtCentre(piece, inside);
  if (!done.ok) return { piece, notes: [{ code: 'centre-not-inside', data: { piece: piece.name } }] };
  const found = { code: 'centre-found', data: { centre: inside.centre, fold: inside.fold ?? 0 } } as const;
  return { piece: done.value, notes: choices.centreInside ? [] : [found] };
}
