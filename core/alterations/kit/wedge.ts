import { pathLength, type Point } from '../../geometry/index.ts';
import { edgesWithRole, type Edge, type Piece } from '../../pattern/index.ts';
import { edgeAfter } from '../../truing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Grip, Instruction, Message, Param } from '../contract.ts';
import { centreEdge, lowerEnd, meetingOn, type Meeting } from './across.ts';
import { amountGrip } from './grip.ts';
import { turnAcross } from './turnAcross.ts';

/** A wedge across a piece: so much at the centre, nothing at the side. */
export interface Wedge {
  readonly instructions: readonly Instruction[];
  readonly grips: readonly Grip[];
}

export interface WedgeSpec {
  readonly piece: Piece;
  /** Height of the line. */
  readonly y: number;
  /** Spread at the centre (mm); below nothing it is folded out. */
  readonly by: number;
  /** Which sentences are said: `sway`, `seat`. */
  readonly words: string;
  readonly limits: Param;
  /** Where the centre is a seam, the part above the line may turn instead, so that hem and grain stay. */
  readonly turnsUpper?: boolean;
}

/** No more than this share of the width. */
const MOST = 1 / 3;

interface Ends {
  readonly side: Meeting;
  readonly centre: Meeting;
  readonly edge: Edge;
  readonly bottom: 'hem' | 'waist';
}

/** The side seam where a wedge runs out to nothing, and the hem below it. */
function ends({ piece, y }: WedgeSpec): Result<Ends> {
  const side = meetingOn(piece, y, ['side']);
  const centre = meetingOn(piece, y, ['centreBack', 'centreFront']);
  const edge = centreEdge(piece);
  if (!side || !centre || !edge) return refuse('line-off-piece', { piece: piece.name, y });
  return ok({ side, centre, edge, bottom: edgesWithRole(piece, 'hem').length > 0 ? 'hem' : 'waist' });
}

/**
 * The lower part turns about a pin on the side seam line until the centre has risen (folded) or dropped (spread) by
 * the amount. On a seam the bend stays as shaping, smoothed. On a fold the centre is drawn straight again; what the
 * width loses below is given back at the side, so that the side seam keeps its length and the hem its width.
 */
export function wedge(spec: WedgeSpec): Result<Wedge> {
  const found = ends(spec);
  if (!found.ok) return found;
  const { side, centre, edge } = found.value;
  const { piece, by, words } = spec;
  const onFold = piece.fold === edge.id;
  const upperTurns = spec.turnsUpper === true && !onFold;
  const turns = upperTurns ? 'upper' : 'lower';
  const turned = turnAcross({ piece: piece.id, centre: centre.at, pin: side.at, by, turns, words, share: MOST });
  if (!turned.ok) return turned;
  const { data, instructions } = turned.value;
  const say = (code: string): Message => ({ code: `${words}.${code}`, data });
  const truing = onFold ? backToFold(spec, found.value, say) : keptBend(spec, found.value, say, upperTurns);
  return ok({
    instructions: [...instructions, ...truing],
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

function backToFold({ piece, by }: WedgeSpec, { side, edge, bottom }: Ends, say: (code: string) => Message) {
  const id = piece.id;
  const corner: Point = { x: edge.path.start.x, y: lowerEnd(edge).y + by };
  const startsAtBottom = lowerEnd(edge) === edge.path.start;
  const lower = edgesWithRole(piece, bottom);
  const beside = startsAtBottom ? lower.at(-1) : lower[0];
  const steps: readonly Instruction[] = [
    {
      op: 'corner',
      stage: 'true',
      piece: id,
      message: say('true.fold'),
      edge: startsAtBottom ? edge.id : edgeAfter(piece, edge.id),
      to: corner,
    },
    { op: 'straighten', stage: 'true', piece: id, message: say('true.fold'), edges: [edge.id] },
    ...(beside
      ? [
          {
            op: 'keepCorner' as const,
            stage: 'true' as const,
            piece: id,
            message: say('true.fold'),
            edge: beside.id,
            at: startsAtBottom ? ('end' as const) : ('start' as const),
            reach: 60,
          },
        ]
      : []),
    { op: 'part', stage: 'true', piece: id, message: say('true.side'), edge: side.edge.id, at: side.along },
    {
      op: 'restoreWidth',
      stage: 'true',
      piece: id,
      message: say('true.side'),
      side: side.edge.id,
      role: bottom,
      shape: 'straight',
    },
  ];
  return steps;
}

function keptBend(
  { piece, by }: WedgeSpec,
  { centre, edge, bottom }: Ends,
  say: (code: string) => Message,
  upperTurns: boolean,
): readonly Instruction[] {
  const id = piece.id;
  const level = edgesWithRole(piece, bottom).length === 1 && !upperTurns;
  return [
    {
      op: 'fairRun',
      stage: 'true',
      piece: id,
      message: say('true.seam'),
      edge: edge.id,
      from: Math.max(1, centre.along - 60 - Math.max(0, -by)),
      toFromEnd: Math.max(1, pathLength(edge.path) - centre.along - 60 - Math.max(0, -by)),
    },
    ...(level
      ? [{ op: 'redraw' as const, stage: 'true' as const, piece: id, message: say('true.hem'), role: bottom }]
      : []),
  ];
}

/** The back, or the back of a skirt. */
export function backOf(pieces: readonly Piece[], parts: readonly Piece['part'][]): Result<Piece> {
  const piece = pieces.find((p) => parts.includes(p.part) && edgesWithRole(p, 'centreBack').length > 0);
  return piece ? ok(piece) : refuse('back-not-found', {});
}
