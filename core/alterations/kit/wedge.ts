import { distance, rotateAbout, type Point } from '../../geometry/index.ts';
import { edgesWithRole, type Edge, type Piece } from '../../pattern/index.ts';
import { edgeAfter } from '../../truing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Grip, Instruction, Message } from '../contract.ts';
import { beside, centreEdge, lowerEnd, meetingOn, type Meeting } from './across.ts';

/** A wedge across a piece: so much at the centre, nothing at the side. */
export interface Wedge {
  readonly instructions: readonly Instruction[];
  readonly grips: readonly Grip[];
  /** Degrees the lower part turns. */
  readonly degrees: number;
}

export interface WedgeSpec {
  readonly piece: Piece;
  /** Height of the line. */
  readonly y: number;
  /** Spread at the centre (mm); below nothing it is folded out. */
  readonly by: number;
  /** Which sentences are said: `sway`, `seat`. */
  readonly words: string;
  readonly max: number;
  /** Where the centre is a seam, the part above the line may turn instead, so that hem and grain stay. */
  readonly turnsUpper?: boolean;
}

/** The side seam beyond which a wedge runs out to nothing, and the hem below it. */
function ends(spec: WedgeSpec): Result<{ side: Meeting; centre: Meeting; edge: Edge; bottom: 'hem' | 'waist' }> {
  const { piece, y } = spec;
  const side = meetingOn(piece, y, ['side']);
  const centre = meetingOn(piece, y, ['centreBack', 'centreFront']);
  const edge = centreEdge(piece);
  if (!side || !centre || !edge) return refuse('line-off-piece', { piece: piece.name, y });
  const bottom = edgesWithRole(piece, 'hem').length > 0 ? 'hem' : 'waist';
  return ok({ side, centre, edge, bottom });
}

/**
 * The lower part turns about a pin on the side seam line until the centre has risen (folded) or dropped (spread) by
 * the amount. On a seam the bend stays as shaping, smoothed. On a fold the centre is drawn straight again; what the
 * width loses below is given back at the side, so that the side seam keeps its length and the hem its width.
 */
export function wedge(spec: WedgeSpec): Result<Wedge> {
  const found = ends(spec);
  if (!found.ok) return found;
  const { side, centre, edge, bottom } = found.value;
  const { piece, by, words } = spec;
  const width = distance(side.at, centre.at);
  if (Math.abs(by) > width / 3) return refuse('wedge-too-large', { by: Math.abs(by), most: width / 3 });
  // Up at the centre when folded: towards the side the centre lies on.
  const way = centre.at.x > side.at.x ? 1 : -1;
  const onFold = piece.fold === edge.id;
  const upperTurns = spec.turnsUpper === true && !onFold;
  const angle = (upperTurns ? -way : way) * Math.asin(by / width);
  const [above, below] = beside(side.at, centre.at);
  const gap = rotateAbout(centre.at, side.at, angle);
  const data = { by: Math.abs(by), width, degrees: (Math.abs(angle) * 180) / Math.PI };
  const say = (code: string): Message => ({ code: `${words}.${code}`, data });
  const id = piece.id;
  const corner: Point = { x: edge.path.start.x, y: lowerEnd(edge).y + by };
  const startsAtBottom = lowerEnd(edge) === edge.path.start;
  const last = edgesWithRole(piece, bottom);
  const turn = { kind: 'turn', about: side.at, angle } as const;
  const rest = { kind: 'rest' } as const;
  const truing: readonly Instruction[] = onFold
    ? [
        {
          op: 'corner',
          stage: 'true',
          piece: id,
          message: say('true.fold'),
          edge: startsAtBottom ? edge.id : edgeAfter(piece, edge.id),
          to: corner,
        },
        { op: 'straighten', stage: 'true', piece: id, message: say('true.fold'), edges: [edge.id] },
        ...last.slice(0, 1).map((e) => ({
          op: 'keepCorner' as const,
          stage: 'true' as const,
          piece: id,
          message: say('true.fold'),
          edge: (startsAtBottom ? last.at(-1) : e)?.id ?? e.id,
          at: startsAtBottom ? ('end' as const) : ('start' as const),
          reach: 60,
        })),
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
      ]
    : [
        {
          op: 'fairRun',
          stage: 'true',
          piece: id,
          message: say('true.seam'),
          edge: edge.id,
          from: Math.max(1, centre.along - 60 - Math.abs(by)),
          to: centre.along + 60,
        },
        ...(last.length === 1 && !upperTurns
          ? [{ op: 'redraw' as const, stage: 'true' as const, piece: id, message: say('true.hem'), role: bottom }]
          : []),
      ];
  return ok({
    degrees: data.degrees,
    instructions: [
      {
        op: 'mark',
        stage: 'mark',
        piece: id,
        message: say('mark'),
        lines: [{ id: 'across', label: '1', points: [centre.at, side.at] }],
        points: [{ id: 'pin', kind: 'hinge', at: side.at }],
      },
      {
        op: 'slash',
        stage: 'cut',
        piece: id,
        messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
        spec: {
          cuts: [{ id: 'across', points: [centre.at, side.at] }],
          hinges: [{ id: 'pin', at: side.at, panels: ['lower', 'upper'] }],
          panels: [
            { id: upperTurns ? 'upper' : 'lower', seed: upperTurns ? above : below, motion: turn, stage: 'open' },
            { id: upperTurns ? 'lower' : 'upper', seed: upperTurns ? below : above, motion: rest, stage: 'open' },
          ],
        },
        dimensions: [{ id: 'gap', from: centre.at, to: gap, value: Math.abs(by) }],
      },
      ...truing,
    ],
    grips: [
      {
        kind: 'amount',
        id: 'gap',
        key: 'by',
        piece: id,
        stages: ['open', 'level', 'dart', 'true', 'match'],
        at: { x: centre.at.x, y: centre.at.y + (upperTurns ? -by : by) },
        from: centre.at,
        axis: { x: 0, y: by < 0 || upperTurns ? -1 : 1 },
        per: 1,
        min: 0,
        max: spec.max,
      },
    ],
  });
}

/** The back, or the back of a skirt. */
export function backOf(pieces: readonly Piece[], parts: readonly Piece['part'][]): Result<Piece> {
  const piece = pieces.find((p) => parts.includes(p.part) && edgesWithRole(p, 'centreBack').length > 0);
  return piece ? ok(piece) : refuse('back-not-found', {});
}
