import { rotationAbout } from '../../../geometry/index.ts';
import { drawYokeEdge, yokeEase } from '../../../paper/truing/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { numberOf } from '../../engine/values.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { turnAcross } from '../../kit/turnAcross.ts';
import { drawYoke, match, smooth } from '../../operations/index.ts';
import { onYoke } from './layout.ts';

const BY = length('by', -20, 35, 10, true);
/** No more than this share of the yoke's width. */
const MOST = 1 / 4;
/** How far to either side of the pin the armhole is smoothed, mm. */
const REACH = 35;

/**
 * The yoke turned up (or down) about the armhole end of its seam until the centre back is longer (or shorter) by so much.
 * The yoke stays as it is; what opens is paper for the back below, whose upper edge is drawn square to the centre back.
 */
function plan(context: Context, values: Values): Result<Program> {
  const found = onYoke(context);
  if (!found.ok) return found;
  const { piece, row, line } = found.value;
  const by = numberOf(values, 'by');
  const turned = turnAcross({
    ...{ row, by, turns: 'upper', share: MOST, along: line },
    say: { mark: 'yokeRound.mark', cut: 'yokeRound.cut', turn: by < 0 ? 'yokeRound.lap' : 'yokeRound.open' },
  });
  if (!turned.ok) return turned;
  const { angles, instructions } = turned.value;
  const [{ inner, outer }] = row;
  const turn = rotationAbout(outer.at, angles[0] ?? 0);
  const data = { ...turned.value.data, ease: yokeEase(drawYokeEdge(piece, piece, turn)) };
  const say = (code: Under<'yokeRound'>): Message => ({ code: `yokeRound.${code}`, data });
  return ok({
    piece: piece.id,
    instructions: [
      ...instructions,
      drawYoke({ message: say('true'), turn }),
      smooth({ message: say('pin'), reach: REACH, at: { edge: outer.edge.id, near: outer.at } }),
      match({ message: say('match'), kinds: ['shoulder', 'armhole', 'neck'] }),
    ],
    grips: [
      amountGrip({ piece: piece.id, shown: 'opened', from: inner.at, axis: { x: 0, y: -1 }, value: by, limits: BY }),
    ],
  });
}

export const yokeRoundBack: AlterationDefinition = define({
  id: 'yoke-round-back',
  family: 'back',
  params: [BY],
  requires: ['centreBack', 'armhole'],
  refusals: ['no-yoke', 'wedge-too-large'],
  examples: [
    { name: 'for a round back', on: 'quay', values: { by: 12 } },
    { name: 'for a flat back', on: 'quay', values: { by: -8 } },
  ],
  source:
    'The yoke turned about the armhole end of its seam; the back below gets what opens at the centre, its edge drawn square to the centre back.',
  why: 'why.yoke-round-back',
  grade: 'best',
  needs: onYoke,
  plan,
  holds: held(
    { part: ['back'], role: 'neck' },
    { part: ['back'], role: 'shoulder' },
    { part: ['back'], role: 'armhole', slack: 1 },
    { part: ['back'], role: 'side' },
  ),
});
