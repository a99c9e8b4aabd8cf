import { pathLength, pointAt } from '../../geometry/index.ts';
import { edgesWithRole, type Edge, type Piece } from '../../pattern/index.ts';
import { edgeAfter, edgeBefore } from '../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result, nth } from '../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under } from '../contract.ts';
import { numberOf } from '../engine/values.ts';
import { centreEdge, meetingOn, upperEnd } from './across.ts';
import { rowAcross, type Row } from './acrossPanels.ts';
import { define, held, length } from './define.ts';
import { amountGrip } from './grip.ts';
import { keepShoulderCorners, shoulderPair, USUAL_SHOULDER, type ShoulderOn } from './shoulder.ts';
import { turnAcross } from './turnAcross.ts';
import { backOf, seamsBetween, smoothBend } from './wedge.ts';
import { match, restoreNeck, smooth } from '../operations/index.ts';

const BACKS = ['back', 'sideBack'] as const;
/** How far below the neck at the centre back the line is drawn, mm. */
const BELOW_NECK = 95;
export const UPPER_BACK = [length('by', 0, 40, 10), length('belowNeck', 60, 140, BELOW_NECK)] as const;

/** Where a wedge in the upper back may run to nothing: the seam that carries arm or sleeve. */
const ENDS = ['armhole', 'raglan'] as const;

export interface UpperBack {
  readonly piece: Piece;
  readonly edge: Edge;
  /** The line, and the pieces it crosses. */
  readonly row: Row;
  /** The shoulder of a back that has neck, shoulder and armhole in one piece. */
  readonly on: ShoulderOn | null;
}

/** A back whose line, so far below the neck, comes to armhole, raglan seam or overarm. */
export function upperBackOf(
  context: Pick<Context, 'pieces' | 'seams' | 'chart' | 'size'>,
  below = BELOW_NECK,
): Result<UpperBack> {
  const back = backOf(context.pieces, ['back']);
  if (!back.ok) return back;
  const piece = back.value;
  const edge = centreEdge(piece);
  if (!edge) return refuse('back-not-found', {});
  const y = upperEnd(edge).y + below;
  const row = rowAcross(context, piece, y, ENDS) ?? toOverarm(context, piece, y);
  if (!row) return refuse('line-off-piece', { piece: piece.name, y });
  if (row.length > 1 && piece.fold === edge.id) return refuse('panels-on-fold', { piece: piece.name });
  const pair = shoulderPair(context);
  const on = pair.ok && pair.value.back.piece.id === piece.id ? pair.value.back : null;
  // A pin in the corner of the seam would turn the whole of it.
  const { outer } = nth(row, row.length - 1);
  const near = Math.min(outer.along, pathLength(outer.edge.path) - outer.along);
  return near < TOL.touches ? refuse('line-off-piece', { piece: piece.name, y }) : ok({ piece, edge, row, on });
}

/** With a sleeve cut on, the line runs up to where the shoulder ends on the overarm seam. */
function toOverarm({ chart, size }: Pick<Context, 'chart' | 'size'>, piece: Piece, y: number): Row | null {
  const inner = meetingOn(piece, y, ['centreBack']);
  const [neck] = edgesWithRole(piece, 'neck');
  const edge = neck
    ? edgesWithRole(piece, 'shoulder').find(
        (e) => edgeAfter(piece, neck.id) === e.id || edgeBefore(piece, neck.id) === e.id,
      )
    : undefined;
  if (!inner || !neck || !edge) return null;
  const fromNeck = chart?.find((r) => r.size === size)?.body.shoulder ?? USUAL_SHOULDER;
  const whole = pathLength(edge.path);
  const along = edgeAfter(piece, neck.id) === edge.id ? fromNeck : whole - fromNeck;
  if (along <= 0 || along >= whole) return null;
  return [{ piece, inner, outer: { at: pointAt(edge.path, along), edge, along }, before: 0 }];
}

/**
 * The upper part of the back turned about a pin on the seam that carries the arm until the centre neck has risen (`by`
 * above nothing) or sunk; across panels as if they lay side by side. With a seam the centre keeps the curve; on a fold
 * it is drawn straight, the neckline put back in its shape and the seam beside it made as long as it was.
 */
/** A round back is opened, a flat one lapped; everything else is the same. */
type UpperBackWord = 'round' | 'flatBack';

export function upperBackTurn(context: Context, by: number, below: number, words: UpperBackWord): Result<Program> {
  const found = upperBackOf(context, below);
  if (!found.ok) return found;
  const { piece, edge, row } = found.value;
  const turned = turnAcross({
    row,
    by,
    turns: 'upper',
    say: { mark: `${words}.mark`, cut: `${words}.cut`, turn: words === 'round' ? 'round.open' : 'flatBack.lap' },
    share: 1 / 4,
  });
  if (!turned.ok) return turned;
  const { data } = turned.value;
  const say = (code: Under<'round'> & Under<'flatBack'>): Message => ({ code: `${words}.${code}`, data });
  return ok({
    piece: piece.id,
    instructions: [
      ...turned.value.instructions,
      ...seamsBetween(row, by),
      ...(piece.fold === edge.id
        ? backOnFold(found.value, by, say('true.fold'))
        : [smoothBend(piece, row[0].inner, by, say('true.seam'))]),
      ...smoothPin(row, by, say('true.pin')),
      match({ message: say('match'), kinds: ['shoulder', 'armhole', 'neck', 'raglan', 'princess'] }),
    ],
    grips: [
      amountGrip({
        piece: piece.id,
        shown: 'opened',
        from: row[0].inner.at,
        axis: { x: 0, y: by < 0 ? 1 : -1 },
        value: Math.abs(by),
        limits: UPPER_BACK[0],
      }),
    ],
  });
}

function backOnFold({ piece, row, on }: UpperBack, by: number, message: Message): readonly Instruction[] {
  const { outer } = row[0];
  const fromEnd = pathLength(outer.edge.path) - outer.along;
  // Counted from the neck outward: the piece may be drawn either way round.
  const neckFirst = on
    ? on.neckFirst
    : edgesWithRole(piece, 'neck').some((e) => edgeAfter(piece, e.id) === outer.edge.id);
  return [
    restoreNeck({ piece: piece.id, message, by, reach: neckFirst ? outer.along : fromEnd }),
    ...(on ? keepShoulderCorners(on, message) : []),
  ];
}

/** The seam smoothed at the pin. One that is sewn to a sleeve or a front as it lies keeps its length exactly. */
function smoothPin(row: Row, by: number, message: Message): readonly Instruction[] {
  const { piece, outer } = nth(row, row.length - 1);
  if (outer.edge.role !== 'armhole') return piece.fold ? [] : [smoothBend(piece, outer, by, message)];
  return [smooth({ piece: piece.id, message, reach: 35, at: { edge: outer.edge.id, near: outer.at } })];
}

/** The high round back and the flat upper back: one turn, up or down. */
export const upperBackDefinition = (
  id: 'round-back' | 'flat-upper-back',
  words: UpperBackWord,
  sign: 1 | -1,
  source: string,
): AlterationDefinition =>
  define({
    id,
    family: 'back',
    params: UPPER_BACK,
    requires: ['centreBack', 'neck'],
    refusals: ['back-not-found', 'line-off-piece', 'wedge-too-large', 'panels-on-fold'],
    examples: [
      { name: 'with a centre back seam', on: 'causeway', values: { by: 10 } },
      { name: 'on the fold', on: 'causeway-side', values: { by: 8 } },
      { name: 'across panels', on: 'skerry-shoulder', values: { by: 10 } },
      { name: 'on a raglan', on: 'ebb', values: { by: 8 } },
      { name: 'with a cut-on sleeve', on: 'causeway-cut-on', values: { by: 8 } },
    ],
    source,
    why: `why.${id}`,
    needs: (context) => upperBackOf(context),
    plan: (context, values) =>
      upperBackTurn(context, sign * numberOf(values, 'by'), numberOf(values, 'belowNeck'), words),
    holds: held(
      { part: BACKS, role: 'neck', slack: TOL.seam },
      { part: BACKS, role: 'shoulder' },
      { part: BACKS, role: 'armhole', slack: 1 },
      { part: BACKS, role: 'raglan', slack: TOL.seam },
      { part: BACKS, role: 'side' },
    ),
  });
