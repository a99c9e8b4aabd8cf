import { distance, endOf, pathLength } from '../../geometry/index.ts';
import {
  aroundAt,
  bustLineLength,
  bustLineOf,
  bustPointOf,
  cutApart,
  edgesWithRole,
  levelOf,
  neckAway,
  neckBaseOf,
  neckCentreOf,
  sideDirection,
  underarmAbove,
  waistHeight,
  type EdgeRole,
  type LevelName,
  type MeasurementKey,
  type Piece,
} from '../../pattern/index.ts';
import { centreEdge, lowerEnd, upperEnd } from './across.ts';
import { acrossAt, blockOf, type Half } from './block.ts';
import { draftedSide } from './levels.ts';
import { line, partOf, type Flat, type Measure, type OnPieces } from './flatMeasure.ts';
export type { Flat } from './flatMeasure.ts';
import { SLEEVE_MEASURES } from './flatSleeve.ts';
import { TROUSER_MEASURES } from './flatTrousers.ts';
import { shoulderDrop, shoulderLength } from './flatShoulder.ts';
import { once } from '../../units/index.ts';
import { pieceOverHip } from './overHip.ts';
import { sideOn, targetAt } from './sides.ts';

/** From the bust down to under it on an adult body, mm. */
const UNDER_BUST = 75;

/** Girths: the level they lie at, and how far below it on an adult body (underbust, high hip), mm. */
export const AROUND: Readonly<Partial<Record<MeasurementKey, readonly [LevelName, number]>>> = {
  fullBust: ['bust', 0],
  underbust: ['bust', UNDER_BUST],
  waist: ['waist', 0],
  highHip: ['waist', 75],
  hip: ['hip', 0],
};

/** How much lower the tape around the bust lies at the bust point than the bust level of the draft: the wearer's own, mm. */
function tapeBelowLevel(pieces: readonly Piece[]): number {
  const front = pieces.find((p) => p.part === 'front' && p.bustLine);
  const level = front ? levelOf(front, 'bust') : undefined;
  const line = front ? bustLineOf(front) : [];
  if (!front || !level || line.length < 2) return 0;
  // The stretch beside the centre ends at the bust point.
  const at = sideDirection(front) > 0 ? line[0]?.to : line.at(-1)?.from;
  return at ? at.y - level.y : 0;
}

const BODICE: readonly Piece['part'][] = ['front', 'sideFront', 'back', 'sideBack'];

/** Around the bust along the line that lies on the paper, through every step: a level drawn anew measures what nobody sews. */
const aroundBust: Measure = ({ pieces }) => {
  const bodice = pieces.filter((p) => BODICE.includes(p.part));
  const over = bodice.flatMap((piece) => {
    const length = bustLineLength(piece);
    return length === null ? [] : [{ piece, length }];
  });
  // A tape that is known to lie on some of the pieces only measures nothing.
  if (over.length === 0 || over.length < bodice.length) return null;
  return {
    value: over.reduce((sum, o) => sum + o.length * (o.piece.half ? 2 : 1), 0),
    lines: over.flatMap(({ piece }) => bustLineOf(piece).map((s) => line(piece, s.from, s.to))),
  };
};

const around =
  ([level, below]: readonly [LevelName, number]): Measure =>
  ({ pieces }) => {
    const found = aroundAt(pieces, level, below);
    if (!found.ok) return null;
    const lines = found.value.over.flatMap((o) => o.runs.map((points) => ({ piece: o.piece, points })));
    return { value: found.value.width, lines };
  };

const across =
  (half: Half): Measure =>
  (on) => {
    const block = blockOf(on, half);
    if (!block.ok) return null;
    const { piece, hinge } = block.value.on;
    const centre = centreEdge(piece)?.path.start.x ?? hinge.at.x;
    return { value: 2 * acrossAt(block.value.on), lines: [line(piece, { x: centre, y: hinge.at.y }, hinge.at)] };
  };

/** From the neck to the waist down the middle: along the edge to the waist level, or to its end at a waist seam. */
export function centreLength(piece: Piece): number | null {
  const edge = centreEdge(piece);
  if (!edge) return null;
  const { below } = neckAway(piece);
  if (edgesWithRole(piece, 'waist').length > 0) return pathLength(edge.path) + below;
  const waist = waistHeight(piece, 'centre');
  if (waist === null) return null;
  // A yoke that has turned lies aslant; the tape follows its fold.
  const [yoke, under] = cutApart(piece);
  const [top, lower] = yoke && under ? [centreEdge(yoke), centreEdge(under)] : [null, null];
  return top && lower ? pathLength(top.path) + waist - upperEnd(lower).y + below : waist - upperEnd(edge).y + below;
}

const downCentre =
  (part: 'front' | 'back'): Measure =>
  ({ pieces }) => {
    const piece = partOf(pieces, part);
    const edge = piece ? centreEdge(piece) : null;
    const value = piece ? centreLength(piece) : null;
    if (!piece || !edge || value === null) return null;
    const top = neckCentreOf(piece) ?? upperEnd(edge);
    return { value, lines: [line(piece, top, { x: top.x, y: top.y + value })] };
  };

/** Neck point of the front and its bust point, straight down to the waist from there. */
function bustOf(pieces: readonly Piece[]) {
  const front = partOf(pieces, 'front');
  const neck = front ? edgesWithRole(front, 'neck')[0] : undefined;
  const owner = pieces.find((p) => (p.part === 'front' || p.part === 'sideFront') && bustPointOf(p) !== null);
  const bust = owner ? bustPointOf(owner) : null;
  // Without a shoulder seam of its own (raglan) the neck point is not on the front.
  if (!front || !neck || !bust || edgesWithRole(front, 'shoulder').length === 0) return null;
  return { front, neckPoint: neckBaseOf(front) ?? upperEnd(neck), bust, waist: levelOf(front, 'waist')?.y ?? null };
}

const fromBust =
  (measure: (b: NonNullable<ReturnType<typeof bustOf>>, pieces: readonly Piece[]) => Flat | null): Measure =>
  ({ pieces }) => {
    const found = bustOf(pieces);
    return found ? measure(found, pieces) : null;
  };

/** From the nape round to the neck base on the back: along the neckline where it lies there, else along an ellipse. */
function backNeck(pieces: readonly Piece[]): number | null {
  const back = partOf(pieces, 'back');
  const edge = back ? edgesWithRole(back, 'neck')[0] : undefined;
  if (!back || !edge) return null;
  const { out, below } = neckAway(back);
  if (out === 0 && below === 0) return pathLength(edge.path);
  const [base, nape] = [neckBaseOf(back), neckCentreOf(back)];
  return base && nape ? quarterOfEllipse(Math.abs(base.x - nape.x), Math.abs(nape.y - base.y)) : null;
}

/** A quarter of an ellipse's girth by Ramanujan's second formula, to a millionth for such shapes. */
function quarterOfEllipse(a: number, b: number): number {
  const h = ((a - b) / (a + b)) ** 2;
  return (Math.PI / 4) * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}

const alongRole =
  (role: EdgeRole, sides: 1 | 2): Measure =>
  ({ pieces }) => {
    const edges = pieces
      .filter((p) => BODICE.includes(p.part))
      .flatMap((p) => edgesWithRole(p, role).map((e) => ({ piece: p.id, path: e.path })));
    // A raglan sleeve takes its part of both: the bodice alone does not tell.
    if (edges.length === 0 || pieces.some((p) => edgesWithRole(p, 'raglan').length > 0)) return null;
    return {
      value: sides * edges.reduce((n, e) => n + pathLength(e.path), 0),
      lines: edges.map((e) => ({ piece: e.piece, points: [e.path.start, ...e.path.segments.map((s) => s.to)] })),
    };
  };

/** How each body measurement is found on the pieces; what is not here cannot be, and is typed or taken from the chart. */
const MEASURES: Readonly<Partial<Record<MeasurementKey, Measure>>> = {
  ...TROUSER_MEASURES,
  ...Object.fromEntries(Object.entries(AROUND).map(([key, at]) => [key, around(at)])),
  fullBust: aroundBust,
  // Under the bust where the body has it: as far below the tape around the bust, not below a level of the draft.
  underbust: (on) => around(['bust', UNDER_BUST + tapeBelowLevel(on.pieces)])(on),
  neck: alongRole('neck', 2),
  armhole: alongRole('armhole', 1),
  // Ease or a dart of the back is not counted.
  shoulder: shoulderLength,
  // The body's drop is measured over its own shoulder length; the pattern's is the mean of front and back over theirs.
  shoulderSlope: shoulderDrop,
  crossBack: across('back'),
  crossFront: across('front'),
  napeToWaist: downCentre('back'),
  frontWaistLength: downCentre('front'),
  neckPointToBustPoint: fromBust(({ front, neckPoint, bust }) => ({
    value: distance(neckPoint, bust),
    lines: [line(front, neckPoint, bust)],
  })),
  bustPointToWaist: fromBust(({ front, bust, waist }) =>
    waist === null ? null : { value: waist - bust.y, lines: [line(front, bust, { x: bust.x, y: waist })] },
  ),
  napeToBustPoint: fromBust(({ front, neckPoint, bust }, pieces) => {
    const nape = backNeck(pieces);
    if (nape === null) return null;
    return { value: nape + distance(neckPoint, bust), lines: [line(front, neckPoint, bust)] };
  }),
  napeToFrontWaist: fromBust(({ front, neckPoint, bust, waist }, pieces) => {
    const nape = backNeck(pieces);
    if (nape === null || waist === null) return null;
    return {
      value: nape + distance(neckPoint, bust) + waist - bust.y,
      lines: [line(front, neckPoint, bust, { x: bust.x, y: waist })],
    };
  }),
  bustSpan: fromBust(({ front, bust }) => {
    const centre = edgesWithRole(front, 'centreFront')[0]?.path.start.x;
    return centre === undefined
      ? null
      : { value: 2 * Math.abs(bust.x - centre), lines: [line(front, { x: centre, y: bust.y }, bust)] };
  }),
  napeToUnderarm: ({ pieces }) => {
    const back = partOf(pieces, 'back');
    const arm = back ? edgesWithRole(back, 'armhole')[0] : undefined;
    const neck = back ? edgesWithRole(back, 'neck')[0] : undefined;
    // A panel that ends before the side does not reach the underarm.
    if (!back || !arm || !neck || edgesWithRole(back, 'side').length === 0) return null;
    const lowest = lowerEnd(neck);
    const nape = { x: lowest.x, y: lowest.y - neckAway(back).below };
    const y = lowerEnd(arm).y - underarmAbove(back);
    return { value: y - nape.y, lines: [line(back, nape, { x: nape.x, y })] };
  },
  sideWaist: ({ pieces }) => {
    const back = partOf(pieces, 'back', 'sideBack');
    const value = back ? draftedSide(back) : null;
    const side = back ? sideOn(back) : null;
    if (!back || !side || value === null) return null;
    const all = edgesWithRole(back, 'side');
    const top = all.map(upperEnd).sort((a, b) => a.y - b.y)[0] ?? upperEnd(side.edge);
    const above = underarmAbove(back);
    return {
      value: value + above,
      lines: [line(back, { x: top.x, y: top.y - above }, { x: top.x, y: top.y + value })],
    };
  },
  hipDepth: (on) => {
    const found = on.pieces.map(pieceOverHip).find((o) => o !== null);
    if (!found) return TROUSER_MEASURES.hipDepth?.(on) ?? null;
    const { side, waist, hip } = found;
    const [from, to] = [targetAt(side, waist, 0), targetAt(side, hip, 0)];
    return { value: hip - waist, lines: [line(side.piece, from, { x: from.x, y: to.y })] };
  },
  skirtLength: ({ pieces }) => {
    const skirt = partOf(pieces, 'skirtFront');
    const edge = skirt ? centreEdge(skirt) : null;
    return skirt && edge
      ? { value: pathLength(edge.path), lines: [line(skirt, edge.path.start, endOf(edge.path))] }
      : null;
  },
  ...SLEEVE_MEASURES,
};

const knownOf = once((_pieces: readonly Piece[]) =>
  once((_seams: OnPieces['seams']) => new Map<MeasurementKey, Flat | null>()),
);
/** The flat measurement a body measurement is compared with; null where these pieces do not show it. Worked out once. */
export function flatOf(on: OnPieces, key: MeasurementKey): Flat | null {
  const had = knownOf(on.pieces)(on.seams);
  const kept = had.get(key);
  if (kept !== undefined) return kept;
  const found = MEASURES[key]?.(on) ?? null;
  had.set(key, found);
  return found;
}
