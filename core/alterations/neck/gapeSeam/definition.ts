import { pathLength } from '../../../geometry/index.ts';
import { edgesWithRole } from '../../../pattern/index.ts';
import { edgeAfter } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Program, Values } from '../../contract.ts';
import { choice, define, held, length } from '../../kit/define.ts';
import { shoulderPair } from '../../kit/shoulder.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { mark, match, moveJoint } from '../../operations/index.ts';
import { LEAST, atShoulder, keepNeck, mostOf, said, shareOf } from './layout.ts';

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
