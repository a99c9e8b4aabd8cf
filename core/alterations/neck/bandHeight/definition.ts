import { add, type Point } from '../../../geometry/index.ts';
import type { Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { beside, meetings } from '../../kit/across.ts';
import { levelBand } from '../../kit/band.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { numberOf } from '../../engine/values.ts';
import { mark, match, slash } from '../../operations/index.ts';

const BY = length('by', -60, 60, -6, true);

const bandOf = (context: Pick<Context, 'pieces'>): Result<Piece> => {
  const piece = context.pieces.find((p) => p.part === 'band');
  return piece ? ok(piece) : refuse('band-not-found', {});
};

/** Lapped or spread along the middle line, so that both long edges keep their lengths and shapes. */
function plan(context: Context, values: Values): Result<Program> {
  const band = bandOf(context);
  if (!band.ok) return band;
  const piece = band.value;
  const lying = levelBand(piece);
  const by = numberOf(values, 'by');
  const { top } = lying;
  const height = lying.bottom - top;
  if (by < 0 && -by > height - 10) return refuse('band-too-narrow', { wanted: -by, most: Math.max(0, height - 10) });
  const y = top + height / 2;
  const met = meetings(lying.piece, y);
  const [left, right] = [met[0], met.at(-1)];
  if (!left || !right || met.length < 2) return refuse('line-off-piece', { piece: piece.name, y });
  const [above, below] = beside(left.at, right.at, 2).map(lying.point) as [Point, Point];
  const line = [lying.point(left.at), lying.point(right.at)];
  const [from] = line as [Point, Point];
  const shift = lying.way({ x: 0, y: by });
  // With paper only nothing is known of the band's own height.
  const data = { by: Math.abs(by), ...(context.flat ? {} : { height, wanted: height + by }) };
  const say = (code: Under<'band'>): Message => ({ code: `band.${code}`, data });
  return ok({
    piece: piece.id,
    instructions: [
      mark({ message: say('mark'), lines: [{ id: 'middle', label: '1', points: line }] }),
      slash({
        messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
        spec: {
          cuts: [{ id: 'middle', points: line }],
          hinges: [],
          panels: [
            { id: 'upper', seed: above, motion: { kind: 'rest' }, stage: 'open' },
            { id: 'lower', seed: below, motion: { kind: 'shift', by: shift }, stage: 'open' },
          ],
        },
        dimensions: [{ id: 'gap', from, to: add(from, shift), value: Math.abs(by) }],
      }),
      match({ message: say('match'), kinds: ['neck'] }),
    ],
    grips: [
      amountGrip({ piece: piece.id, shown: 'opened', from, axis: lying.way({ x: 0, y: 1 }), value: by, limits: BY }),
    ],
  });
}

export const bandHeight: AlterationDefinition = define({
  id: 'band-height',
  family: 'neck',
  params: [BY],
  requires: [],
  refusals: ['band-not-found', 'band-too-narrow', 'line-off-piece'],
  examples: [
    { name: 'lower', on: 'causeway-shirt', values: { by: -8 } },
    { name: 'higher', on: 'causeway-shirt', values: { by: 10 } },
  ],
  source: 'Lapped or spread at a middle line; stiff cloth wants a lower stand than cloth that drapes.',
  why: 'why.band-height',
  needs: bandOf,
  plan,
  holds: held({ part: ['band'], role: 'neck' }),
});
