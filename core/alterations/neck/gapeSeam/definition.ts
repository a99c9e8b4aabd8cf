import { pathLength } from '../../../geometry/index.ts';
import { solveBetween } from '../../../numeric/index.ts';
import { edgesWithRole, requireEdge, type Piece } from '../../../pattern/index.ts';
import { edgeAfter, trimEnd } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../../contract.ts';
import { choice, define, held, length } from '../../kit/define.ts';
import { shoulderAtNeck, shoulderPair, type ShoulderOn, type ShoulderPair } from '../../kit/shoulder.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { asBefore, mark, match, moveJoint } from '../../operations/index.ts';

/** Of a neckline up to its corner or dart, so much may be taken. */
const LEAVES = 0.9;
/** Front and back each give at least this share. */
const LEAST = 0.2;

const said = (code: string, data: Message['data']): Message => ({ code: `pinned.${code}`, data });

/** The neck end of one shoulder taken in: the neckline cut shorter, the shoulder drawn to it from nothing at `over`. */
function atShoulder(on: ShoulderOn, by: number, over: number, data: Message['data']): Instruction {
  return moveJoint({ piece: on.piece.id, message: said('shoulder', data), edge: on.neck, trim: trimOf(on, by, over) });
}

function trimOf(on: ShoulderOn, by: number, over: number) {
  const first = pathLength(requireEdge(on.piece, shoulderAtNeck(on)).path);
  return { at: on.neckFirst ? 'end' : 'start', by, reach: Math.min(over, first * 0.95) } as const;
}

/** The neckline squared to the seam again. */
const keepNeck = (piece: string, edge: string, at: 'start' | 'end', data: Message['data']): Instruction =>
  asBefore({ piece, message: said('neck', data), what: { edge, at, reach: 26 } });

/** The most that can be taken from a neckline at its seam, up to its other end or to a dart in it. */
const mostOf = (piece: Piece, neck: string): number => LEAVES * pathLength(requireEdge(piece, neck).path);

/** What the front gives: about half, so that both shoulders come out equally long. Null where the necklines cannot. */
function shareOf({ front, back }: ShoulderPair, by: number, over: number): number | null {
  const grown = (on: ShoulderOn, amount: number): number => {
    if (amount <= 0) return 0;
    const after = trimEnd(on.piece, on.neck, trimOf(on, amount, over));
    const sewn = (p: Piece): number => on.edges.reduce((n, id) => n + pathLength(requireEdge(p, id).path), 0);
    return sewn(after) - sewn(on.piece);
  };
  const off = (share: number): number => grown(front, share) - grown(back, by - share);
  const low = Math.max(by * LEAST, by - mostOf(back.piece, back.neck));
  const high = Math.min(by * (1 - LEAST), mostOf(front.piece, front.neck));
  if (low > high) return null;
  return by === 0 || off(low) > 0 === off(high) > 0
    ? Math.min(high, Math.max(low, by / 2))
    : solveBetween(off, low, high, 1e-6);
}

function plan(context: Context, values: Values): Result<Program> {
  const by = numberOf(values, 'by');
  const over = numberOf(values, 'runOut');
  const data = { by, each: by / 2, over };
  const message = said('mark', data);
  if (choiceOf(values, 'seam') === 'centreBack') {
    const back = context.pieces.find(
      (p) => edgesWithRole(p, 'centreBack').length > 0 && edgesWithRole(p, 'neck').length > 0,
    );
    const centre = back ? edgesWithRole(back, 'centreBack')[0] : undefined;
    const neck = back ? edgesWithRole(back, 'neck')[0] : undefined;
    if (!back || !centre || !neck) return refuse('back-not-found', {});
    if (back.fold === centre.id) return refuse('centre-is-fold', { piece: back.name });
    const most = 2 * mostOf(back, neck.id);
    if (by > most) return refuse('wedge-too-large', { by, most });
    const runsInto = edgeAfter(back, neck.id) === centre.id;
    return ok({
      piece: back.id,
      instructions: [
        mark({ piece: back.id, message }),
        moveJoint({
          piece: back.id,
          message: said('centre', data),
          edge: neck.id,
          trim: { at: runsInto ? 'end' : 'start', by: by / 2, reach: Math.min(over, pathLength(centre.path) * 0.9) },
        }),
        keepNeck(back.id, neck.id, runsInto ? 'end' : 'start', data),
        match({ message: said('match', data), kinds: ['neck', 'shoulder'] }),
      ],
    });
  }
  const pair = shoulderPair(context);
  if (!pair.ok) return pair;
  const { front, back } = pair.value;
  const share = shareOf(pair.value, by, over);
  if (share === null) {
    const [f, b] = [mostOf(front.piece, front.neck), mostOf(back.piece, back.neck)];
    return refuse('wedge-too-large', { by, most: Math.min(f + b, f / LEAST, b / LEAST) });
  }
  const instructions: Instruction[] = [front, back].flatMap((on): readonly Instruction[] => [
    mark({ piece: on.piece.id, message, points: [{ id: `neck ${on.piece.id}`, kind: 'target', at: on.neckPoint }] }),
    atShoulder(on, on === front ? share : by - share, over, data),
    keepNeck(on.piece.id, on.neck, on.neckFirst ? 'end' : 'start', data),
  ]);
  return ok({
    piece: front.piece.id,
    instructions: [...instructions, match({ message: said('match', data), kinds: ['neck', 'shoulder'] })],
  });
}

export const neckGapeSeam: AlterationDefinition = define({
  id: 'neck-gape-seam',
  family: 'neck',
  params: [length('by', 0, 40, 10), length('runOut', 20, 140, 60), choice('seam', 'shoulder', 'centreBack')],
  requires: ['neck', 'shoulder'],
  refusals: ['shoulder-seam-missing', 'back-not-found', 'centre-is-fold', 'wedge-too-large'],
  examples: [
    { name: 'at the shoulders', on: 'causeway-shirt', values: { by: 10 } },
    { name: 'at the centre back', on: 'causeway', values: { by: 8, seam: 'centreBack', runOut: 120 } },
  ],
  source: 'The pinned amount taken from both sides of a seam at the neck, to nothing over a length.',
  why: 'why.neck-gape-seam',
  needs: shoulderPair,
  plan,
  holds: held({ part: ['front', 'back'], role: 'armhole' }),
});
