import {
  cross,
  distance,
  dot,
  endOf,
  midpoint,
  norm,
  pathLength,
  sub,
  unit,
  type Point,
} from '../../geometry/index.ts';
import type { FaultCode } from '../guard/index.ts';
import {
  bustPointOf,
  cutApart,
  dartShape,
  DOUBLE_POINTED,
  doubleDartsOf,
  edgesWithRole,
  requireEdge,
  type Dart,
  type Piece,
  type Seam,
} from '../../pattern/index.ts';
import { ADVICE, degrees, TOL, once } from '../../units/index.ts';
import { measureDart } from './dart.ts';
import { cornerAngle, straightness, walkSeam, type Walk } from './walk.ts';

export type FindingCode =
  | FaultCode
  | 'seam-lengths-differ'
  | 'seam-corner-not-smooth'
  | 'dart-legs-differ'
  | 'dart-too-large'
  | 'dart-nearly-gone'
  | 'dart-past-bust-point'
  | 'corner-not-square'
  | 'centre-not-straight'
  | 'notches-differ'
  | 'yoke-apart'
  | 'large-spread'
  | 'small-amount'
  | 'tip-moved'
  | 'waist-grew'
  | 'waist-not-restored'
  | 'level-not-reached'
  | 'back-needs-look'
  | 'facing-follows'
  | 'armhole-changed'
  | 'dart-tip-too-near'
  | 'length-not-held'
  | 'piece-must-follow'
  | 'swayback-large'
  | 'cap-follows'
  | 'cap-ease-large'
  | 'cap-ease-missing'
  | 'band-follows'
  | 'halves-differ'
  | 'grain-turned'
  | 'panel-leans'
  | 'drafted-seam-differs';

/**
 * What was found: where, by how much. `fault` must be fixed, `look` should be checked by eye, `note` is for
 * information.
 */
export interface Finding {
  readonly code: FindingCode;
  readonly grade: 'fault' | 'look' | 'note';
  readonly piece?: string;
  readonly at?: Point;
  readonly data: Readonly<Record<string, string | number>>;
}

export interface CheckReport {
  readonly walks: readonly Walk[];
  readonly findings: readonly Finding[];
}

/** Corners of a half piece that must be square for the two halves to run on smoothly. */
function squareCorners(
  piece: Piece,
): readonly { readonly edge: string; readonly at: 'start' | 'end'; readonly where: string }[] {
  const centre = [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')];
  const first = centre[0];
  const last = centre.at(-1);
  if (!first || !last) return [];
  const n = piece.edges.length;
  const neighbour = (id: string, step: number): string => {
    const i = piece.edges.findIndex((e) => e.id === id);
    return piece.edges[(i + step + n) % n]?.role ?? '';
  };
  return [
    { edge: first.id, at: 'start' as const, where: neighbour(first.id, -1) },
    { edge: last.id, at: 'end' as const, where: neighbour(last.id, 1) },
  ].filter((c) => c.where !== 'shoulder');
}

/** Where a dart that aims at the bust point ends too near to it, or beyond it. */
function checkAim(piece: Piece, dart: Dart): Finding | null {
  const bustPoint = bustPointOf(piece);
  if (!bustPoint || (dart.kind !== 'side' && dart.kind !== 'waist' && dart.kind !== 'french')) return null;
  const { start, end, tip } = dartShape(piece, dart);
  const mouth = midpoint(start, end);
  const toBust = sub(bustPoint, mouth);
  const along = unit(toBust);
  const reach = sub(tip, mouth);
  if (Math.abs(cross(reach, along)) > ADVICE.aimsAside) return null;
  const short = norm(toBust) - dot(reach, along);
  const at = { piece: piece.id, at: tip };
  if (short < 0) return { code: 'dart-past-bust-point', grade: 'look', ...at, data: { dart: dart.kind, by: -short } };
  const by = distance(tip, bustPoint);
  return by < ADVICE.tipNear
    ? { code: 'dart-tip-too-near', grade: 'look', ...at, data: { dart: dart.kind, by } }
    : null;
}

/** A dart that takes up more than can be pressed, or hardly anything. */
function checkIntake(piece: Piece, dart: string, intake: number, at: Point): readonly Finding[] {
  const code = intake > ADVICE.dartLarge ? 'dart-too-large' : intake < ADVICE.dartSmall ? 'dart-nearly-gone' : null;
  return code ? [{ code, grade: 'look', piece: piece.id, at, data: { dart, intake } }] : [];
}

/** Everything to check on one piece. Pieces are immutable, so each is checked once and the result kept. */
export const checkPiece = once((piece: Piece): readonly Finding[] => cutApart(piece).flatMap(findingsOn));

function findingsOn(piece: Piece): readonly Finding[] {
  const out: Finding[] = [];
  for (const dart of piece.darts) {
    const aim = checkAim(piece, dart);
    if (aim) out.push(aim);
    const shape = dartShape(piece, dart);
    const m = measureDart(shape);
    const by = Math.abs(m.startLeg - m.endLeg);
    if (by > TOL.legs)
      out.push({
        code: 'dart-legs-differ',
        grade: 'fault',
        piece: piece.id,
        at: shape.tip,
        data: { dart: dart.kind, by },
      });
    out.push(...checkIntake(piece, dart.kind, m.intake, shape.tip));
  }
  for (const dart of doubleDartsOf(piece)) out.push(...checkIntake(piece, DOUBLE_POINTED, dart.width, dart.upper));
  for (const corner of squareCorners(piece)) {
    const angle = cornerAngle(piece, corner.edge, corner.at);
    const edge = requireEdge(piece, corner.edge).path;
    const at = corner.at === 'start' ? edge.start : (edge.segments.at(-1)?.to ?? edge.start);
    if (Math.abs(angle - 90) > TOL.squareDegrees)
      out.push({
        code: 'corner-not-square',
        grade: 'fault',
        piece: piece.id,
        at,
        data: { where: corner.where, angle },
      });
  }
  for (const edge of [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')])
    if (edge.id === piece.fold && straightness(piece, edge.id) > TOL.legs)
      out.push({
        code: 'centre-not-straight',
        grade: 'fault',
        piece: piece.id,
        at: edge.path.start,
        data: { by: straightness(piece, edge.id) },
      });
  const straight = piece.fold === null ? null : requireEdge(piece, piece.fold).path;
  for (const m of piece.marks) {
    if (m.kind !== 'grain' || !straight) continue;
    const along = sub(endOf(straight), straight.start);
    const turned = degrees(Math.asin(Math.abs(cross(unit(sub(m.to, m.from)), unit(along)))));
    // Square to the fold is a grain too, as on bands.
    const by = Math.min(turned, 90 - turned);
    if (by > TOL.squareDegrees)
      out.push({ code: 'grain-turned', grade: 'look', piece: piece.id, at: m.from, data: { by, name: piece.name } });
  }
  return out;
}

/** Seams across which the outline has to run on smoothly at both ends. */
const SMOOTH: readonly Seam['kind'][] = ['shoulder', 'side', 'inseam'];

/** Which parts follow the piece they are sewn to, by the kind of seam. */
const FOLLOWING: Readonly<Partial<Record<Seam['kind'], readonly Piece['part'][]>>> = {
  armhole: ['sleeve'],
  waist: ['skirtFront', 'skirtBack', 'waistband'],
  neck: ['facingFront', 'facingBack', 'band', 'collar'],
  pocket: ['pocket', 'flyFacing'],
};

/**
 * Two sides that do not meet. Where one is by its nature the follower, or only the other has changed along this seam
 * since it was drafted, that one has to follow; that something else was done to its piece does not matter.
 */
function doNotMeet(walk: Walk, by: number, pieces: readonly Piece[], drafted?: Walk): Finding {
  const { seam } = walk;
  const as = (key: 'first' | 'second'): boolean =>
    drafted !== undefined && Math.abs(walk[key].length - drafted[key].length) <= TOL.legs;
  const partOf = (key: 'first' | 'second') => pieces.find((p) => p.id === walk[key].piece)?.part;
  const born = (key: 'first' | 'second'): boolean => {
    const part = partOf(key);
    return part !== undefined && (FOLLOWING[seam.kind] ?? []).includes(part);
  };
  const keys = ['first', 'second'] as const;
  const natural = keys.filter(born);
  const kept = keys.filter(as);
  const key = natural.length === 1 ? natural[0] : kept.length === 1 ? kept[0] : undefined;
  const follower = key && walk[key];
  const untouched = key !== undefined && as(key);
  return {
    code: follower ? 'piece-must-follow' : 'seam-lengths-differ',
    grade: follower && untouched ? 'look' : 'fault',
    piece: follower?.piece ?? walk.first.piece,
    data: {
      seam: seam.id,
      kind: seam.kind,
      first: walk.first.length,
      second: walk.second.length,
      // Of what is set into a seam only how far it lies off is told.
      by: seam.kind === 'pocket' ? Math.abs(by) : by,
      ...(follower
        ? { name: pieces.find((p) => p.id === follower.piece)?.name ?? follower.piece, touched: untouched ? 0 : 1 }
        : {}),
    },
  };
}

/** Walks every seam and looks over every piece. `baseline` (the untouched pieces) excuses what the draft itself had. */
export function checkPieces(
  pieces: readonly Piece[],
  seams: readonly Seam[],
  baseline?: readonly Piece[],
  baselineSeams: readonly Seam[] = seams,
): CheckReport {
  // A piece unchanged from the baseline was checked when it was drafted.
  const findings: Finding[] = pieces.flatMap((p) => (baseline?.includes(p) ? [] : checkPiece(p)));
  const has = (seam: Seam) => [seam.first, seam.second].every((s) => pieces.some((p) => p.id === s.piece));
  const walks = seams.filter(has).map((seam) => walkSeam(pieces, seam));
  for (const walk of walks) {
    const { seam } = walk;
    const then = baselineSeams.find((s) => s.id === seam.id);
    const drafted = baseline && then ? walkSeam(baseline, then) : undefined;
    if (
      Math.abs(walk.difference) >
      (seam.kind === 'princess' ? TOL.princess : TOL.seam) + Math.abs(drafted?.difference ?? 0)
    )
      findings.push(doNotMeet(walk, walk.difference, pieces, drafted));
    else if (walk.apart > TOL.opening) findings.push(doNotMeet(walk, walk.apart, pieces, drafted));
    if (SMOOTH.includes(seam.kind))
      [0, 1].forEach((k) => {
        if (walk.first.meets[k] === 'princess') return;
        const sum = (walk.first.corners[k] ?? 0) + (walk.second.corners[k] ?? 0);
        const was = drafted ? (drafted.first.corners[k] ?? 0) + (drafted.second.corners[k] ?? 0) : 180;
        if (Math.abs(sum - 180) > TOL.smoothDegrees + Math.abs(was - 180))
          findings.push({
            code: 'seam-corner-not-smooth',
            grade: 'look',
            piece: walk.first.piece,
            data: { seam: seam.id, kind: seam.kind, end: k === 0 ? 'start' : 'end', sum },
          });
      });
    const a = walk.first.notches;
    const b = walk.second.notches;
    if (a.length > 0 && a.length === b.length) {
      // The ease may lie on either side of a notch, so notches may be drafted that far apart.
      const [least, most] = [Math.min(0, seam.ease), Math.max(0, seam.ease)];
      const off = (by: number): number => Math.max(0, by - most, least - by);
      const worst = Math.max(...a.map((n, i) => off((b[i]?.at ?? n.at) - n.at)));
      if (worst > TOL.notch)
        findings.push({
          code: 'notches-differ',
          grade: 'look',
          piece: walk.first.piece,
          data: { seam: seam.id, kind: seam.kind, by: worst },
        });
    }
  }
  return { walks, findings };
}

/**
 * Seams whose two sides differ in the draft itself, beyond the ease it names: told when a pattern is made or brought
 * in, since no step will be blamed for them.
 */
export function seamsAsDrafted(pieces: readonly Piece[], seams: readonly Seam[]): readonly Finding[] {
  return seams.flatMap((seam): readonly Finding[] => {
    const [first, second] = [seam.first, seam.second].map((s) => pieces.find((p) => p.id === s.piece));
    if (!first || !second) return [];
    const walk = walkSeam(pieces, seam);
    if (Math.abs(walk.difference) <= (seam.kind === 'princess' ? TOL.princess : TOL.seam)) return [];
    return [
      {
        code: 'drafted-seam-differs',
        grade: 'look',
        piece: walk.first.piece,
        data: {
          seam: seam.id,
          kind: seam.kind,
          first: walk.first.length,
          second: walk.second.length,
          ease: seam.ease,
          by: walk.difference,
          name: first.name,
          other: second.name,
        },
      },
    ];
  });
}

/** Lengths of edges grouped by id, for reports. */
export const edgeLengths = (piece: Piece): Readonly<Record<string, number>> =>
  Object.fromEntries(piece.edges.map((e) => [e.id, pathLength(e.path)]));
