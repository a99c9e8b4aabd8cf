import { pathLength, type Point } from '../../geometry/index.ts';
import { edgesWithRole, levelOf, type Edge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore } from '../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result, nth } from '../../units/index.ts';
import type { Context, Grip, Instruction, Message, Param, Under } from '../contract.ts';
import { centreEdge, lowerEnd, type Meeting } from './across.ts';
import { rowAcross, wholeWidth, type Crossed, type Row } from './acrossPanels.ts';
import { amountGrip } from './grip.ts';
import { turnAcross } from './turnAcross.ts';
import {
  asBefore,
  fair,
  landmark,
  moveCorner,
  restoreWidth,
  rule,
  splitEdge,
  squareAcross,
} from '../operations/index.ts';

/** What a wedge across the back is called in its sentences. */
export type WedgeWord = 'sway' | 'swayLower' | 'seat';

/** A wedge across a piece, or the panels it is made of: so much at the centre, nothing at the side. */
export interface Wedge {
  readonly instructions: readonly Instruction[];
  readonly grips: readonly Grip[];
}

export interface WedgeSpec {
  readonly context: Pick<Context, 'pieces' | 'seams'>;
  /** The piece with the centre. */
  readonly piece: Piece;
  /** Height of the line. */
  readonly y: number;
  /** Spread at the centre (mm); below nothing it is folded out. */
  readonly by: number;
  /** Prefix of the sentences to use: `sway`, `seat`. */
  readonly words: WedgeWord;
  readonly limits: Param;
  /** Where the centre is a seam, the part above the line may turn instead, so that hem and grain stay. */
  readonly turnsUpper?: boolean;
}

/** How far to either side of the line a bent seam is drawn again, mm. */
const BEND = 60;
/** No more than this share of the width. */
const MOST = 1 / 3;

/**
 * The lower part turns about a pin on the side seam line until the centre has risen (folded) or dropped (spread) by
 * the amount; across panels as if they lay side by side. On a seam the bend stays as shaping, smoothed. On a fold the
 * centre is drawn straight again; what the width loses below is given back at the side, so that the side seam keeps
 * its length and the hem its width.
 */
export function wedge(spec: WedgeSpec): Result<Wedge> {
  const { context, piece, y, by, words } = spec;
  const edge = centreEdge(piece);
  const row = rowAcross(context, piece, y, ['side']);
  if (!row || !edge) return refuse('line-off-piece', { piece: piece.name, y });
  const bottom = edgesWithRole(piece, 'hem').length > 0 ? 'hem' : 'waist';
  const centre = row[0].inner;
  const onFold = piece.fold === edge.id;
  const upperTurns = spec.turnsUpper === true && !onFold;
  const turned = turnAcross({
    row,
    by,
    turns: upperTurns ? 'upper' : 'lower',
    say: { mark: `${words}.mark`, cut: `${words}.cut`, turn: `${words}.${by < 0 ? 'lap' : 'open'}` },
    share: MOST,
  });
  if (!turned.ok) return turned;
  const { data, instructions } = turned.value;
  const say: Say = (code) => ({ code: `${words}.${code}`, data });
  const truing = onFold
    ? backToFold(row, edge, by, bottom, say)
    : keptBend(row, edge, by, upperTurns || row.length > 1 ? null : bottom, say);
  return ok({
    instructions: [
      ...instructions,
      ...seamsBetween(row, by),
      ...truing,
      ...waistAlong(row, by, say(onFold ? 'true.fold' : 'true.seam')),
    ],
    grips: [
      amountGrip({
        piece: piece.id,
        shown: 'opened',
        from: centre.at,
        axis: { x: 0, y: by < 0 || upperTurns ? -1 : 1 },
        value: Math.abs(by),
        limits: spec.limits,
      }),
    ],
  });
}

/** Across at the waist itself: it has gone up (or down) with the paper below, at the centre by all and at the side by nothing. */
const waistAlong = (row: Row, by: number, message: Message): readonly Instruction[] =>
  row.flatMap((c) => {
    const { piece, inner, outer, before } = c;
    // Folded there before, the line has gone with the paper like any other.
    if (by === 0 || piece.waistLine) return [];
    if (Math.abs((levelOf(piece, 'waist')?.y ?? Infinity) - inner.at.y) > TOL.touches) return [];
    const width = wholeWidth(row);
    const here = (far: number): number => (by * (width - far)) / width;
    const across = Math.abs(outer.at.x - inner.at.x);
    const from: Point = { x: inner.at.x, y: inner.at.y + here(before) };
    const to: Point = { x: outer.at.x, y: outer.at.y + here(before + across) };
    return [landmark({ stage: 'true', piece: piece.id, message, waistLine: [{ from, to }] })];
  });

type Say = (code: Under<WedgeWord>) => Message;

/** One smooth curve over the bend that the turn has left in a seam where the line crosses it. */
export const smoothBend = (piece: Piece, { edge, along }: Meeting, by: number, message: Message): Instruction =>
  fair({
    piece: piece.id,
    message,
    edge: edge.id,
    from: Math.max(1, along - BEND - Math.max(0, -by)),
    toFromEnd: Math.max(1, pathLength(edge.path) - along - BEND - Math.max(0, -by)),
  });

/** The seams between panels smoothed on both sides alike. */
export const seamsBetween = (row: Row, by: number): readonly Instruction[] => {
  const message: Message = { code: 'across.true.panels', data: {} };
  return row.flatMap(({ piece, inner, outer }, i) => [
    ...likeBefore(row[i - 1], smoothBend(piece, inner, by, message)),
    ...(i < row.length - 1 ? [smoothBend(piece, outer, by, message)] : []),
  ]);
};

/** The far side of a seam changes by as much as the near one, on the panel before. */
const likeBefore = (before: Crossed | undefined, smooth: Instruction): readonly Instruction[] =>
  before && smooth.op === 'fair' ? [{ ...smooth, like: { piece: before.piece.id, edge: before.outer.edge.id } }] : [];

function backToFold(row: Row, edge: Edge, by: number, bottom: 'hem' | 'waist', say: Say): readonly Instruction[] {
  const { piece } = row[0];
  const { piece: sidePiece, outer: side } = nth(row, row.length - 1);
  const id = piece.id;
  const corner: Point = { x: edge.path.start.x, y: lowerEnd(edge).y + by };
  const startsAtBottom = lowerEnd(edge) === edge.path.start;
  const lower = edgesWithRole(piece, bottom);
  const beside = startsAtBottom ? lower.at(-1) : lower[0];
  const others = row.filter((c) => c.piece !== sidePiece).map((c) => c.piece.id);
  return [
    moveCorner({
      piece: id,
      message: say('true.fold'),
      between: [edge.id, startsAtBottom ? edgeBefore(piece, edge.id) : edgeAfter(piece, edge.id)],
      to: corner,
    }),
    rule({ piece: id, message: say('true.fold'), edges: [edge.id], each: true }),
    ...(beside
      ? [
          asBefore({
            piece: id,
            message: say('true.fold'),
            what: { edge: beside.id, at: startsAtBottom ? ('end' as const) : ('start' as const), reach: 60 },
          }),
        ]
      : []),
    splitEdge({ piece: sidePiece.id, message: say('true.side'), edge: side.edge.id, at: side.along }),
    restoreWidth({
      piece: sidePiece.id,
      message: say('true.side'),
      side: side.edge.id,
      role: bottom,
      shape: 'straight',
      ...(others.length > 0 ? { others } : {}),
    }),
  ];
}

function keptBend(row: Row, edge: Edge, by: number, bottom: 'hem' | 'waist' | null, say: Say): readonly Instruction[] {
  const { piece, inner } = row[0];
  const level = bottom !== null && edgesWithRole(piece, bottom).length === 1;
  return [
    smoothBend(piece, { ...inner, edge }, by, say('true.seam')),
    ...(level ? [squareAcross({ piece: piece.id, message: say('true.hem'), role: bottom })] : []),
  ];
}

/** The back, or the back of a skirt. */
export function backOf(pieces: readonly Piece[], parts: readonly Piece['part'][]): Result<Piece> {
  const piece = pieces.find((p) => parts.includes(p.part) && edgesWithRole(p, 'centreBack').length > 0);
  return piece ? ok(piece) : refuse('back-not-found', {});
}
