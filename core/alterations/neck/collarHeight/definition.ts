import { scale } from '../../../geometry/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { choice, define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { asBefore, mark, match, moveEdge } from '../../operations/index.ts';
import { collarOn, grownBy, type End } from './layout.ts';

const BY = length('by', -30, 40, -5, true);
const IN_FRONT = length('inFront', -30, 40, -5, true);
/** Lower than this neither collar nor stand can be turned and pressed, mm. */
const LEAST = 12;
/** How far from the centre back the outer edge is drawn square to it again, mm. */
const REACH = 60;
const PART = { stand: 'band', collar: 'collar' } as const;

/** The outer edge carried away from the seam: behind by one amount, in front by another, evenly between. */
function plan(context: Context, values: Values): Result<Program> {
  const found = collarOn(context, PART[choiceOf(values, 'on') as keyof typeof PART]);
  if (!found.ok) return found;
  const { piece, outer, behind, front, fromFold } = found.value;
  const amounts = { behind: numberOf(values, 'by'), front: numberOf(values, 'inFront') };
  const low = (end: End, by: number): boolean => by < 0 && end.height + by < LEAST;
  if (low(behind, amounts.behind) || low(front, amounts.front)) {
    const [end, by] = low(behind, amounts.behind) ? [behind, amounts.behind] : [front, amounts.front];
    return refuse('band-too-narrow', { wanted: -by, most: Math.max(0, end.height - LEAST) });
  }
  const data = {
    ...{ by: amounts.behind, inFront: amounts.front, name: piece.name },
    ...(context.flat ? {} : { behind: behind.height + amounts.behind, front: front.height + amounts.front }),
  };
  const say = (code: Under<'collarHeight'>): Message => ({ code: `collarHeight.${code}`, data });
  const [back, ahead] = [scale(behind.out, amounts.behind), scale(front.out, amounts.front)];
  const grip = (id: string, end: End, by: number, key: 'by' | 'inFront') => ({
    ...amountGrip({
      piece: piece.id,
      shown: 'opened',
      from: end.at,
      axis: end.out,
      value: by,
      limits: key === 'by' ? BY : IN_FRONT,
    }),
    ...{ id, key },
  });
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: say('mark'),
        lines: [],
        points: [
          { id: 'behind', kind: 'target', at: grownBy(behind, amounts.behind) },
          { id: 'front', kind: 'target', at: grownBy(front, amounts.front) },
        ],
      }),
      moveEdge({
        message: say('draw'),
        edge: outer.id,
        start: fromFold ? back : ahead,
        end: fromFold ? ahead : back,
      }),
      asBefore({ message: say('draw'), what: { edge: outer.id, at: fromFold ? 'start' : 'end', reach: REACH } }),
      match({ message: say('match'), kinds: ['neck'] }),
    ],
    grips: [grip('behind', behind, amounts.behind, 'by'), grip('front', front, amounts.front, 'inFront')],
  });
}

export const collarHeight: AlterationDefinition = define({
  id: 'collar-height',
  family: 'neck',
  params: [choice('on', 'stand', 'collar'), BY, IN_FRONT],
  amounts: ['by', 'inFront'],
  requires: [],
  refusals: ['collar-not-found', 'band-too-narrow', 'piece-is-whole'],
  examples: [
    { name: 'a lower stand', on: 'quay', values: { on: 'stand', by: -6, inFront: -3 } },
    { name: 'a higher stand', on: 'quay', values: { on: 'stand', by: 8, inFront: 4 } },
    { name: 'a deeper collar with longer points', on: 'quay', values: { on: 'collar', by: 8, inFront: 15 } },
  ],
  source:
    'The outer edge drawn higher or lower, behind and in front each by its own amount; the seam it is sewn by stays as long as the neckline.',
  why: 'why.collar-height',
  needs: (context) => {
    const stand = collarOn(context, 'band');
    return stand.ok ? stand : collarOn(context, 'collar');
  },
  plan,
  holds: held({ part: ['band', 'collar'], role: 'neck' }),
});
