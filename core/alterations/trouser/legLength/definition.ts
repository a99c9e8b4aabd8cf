import { TROUSERS } from '../../../pattern/index.ts';
import { midpoint, endOf } from '../../../geometry/index.ts';
import { ok, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { lowerEnd } from '../../kit/across.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongLines } from '../../kit/lengthLines.ts';
import { linesOnBoth, sameSeam } from '../../kit/trouserLines.ts';
import { trousersOn, type TrouserHalf } from '../../kit/trousers.ts';
import { fitTwoParts, inTwoParts, turnOf } from '../../kit/twoParts.ts';
import { numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';

const BY = length('by', -500, 400, 20, true);
/** How far above the knee the upper line lies, mm, and at most this share of the way up to the crotch line: side seam and inseam are steep there. */
const ABOVE_KNEE = { by: 75, share: 0.4 } as const;
const UPPER = length('upper', -150, 150, 0, true);

const aboveKnee = ({ knee, crotchLine }: TrouserHalf): number =>
  knee - Math.min(ABOVE_KNEE.by, ABOVE_KNEE.share * (knee - crotchLine));

function plan(context: Context, values: Values): Result<Program> {
  const on = trousersOn(context.pieces);
  if (!on.ok) return on;
  const by = numberOf(values, 'by');
  const { above, below } = inTwoParts(by, numberOf(values, 'upper'));
  const { front } = on.value;
  const all = [
    { line: 'above', y: aboveKnee, by: above },
    { line: 'below', y: (h: TrouserHalf) => (h.knee + lowerEnd(h.side).y) / 2, by: below },
  ];
  // A part that takes nothing is not cut; with nothing asked at all both lines are drawn.
  const asked = all.filter((l) => Math.abs(l.by) > TOL.same);
  const cut = linesOnBoth(on.value, asked.length > 0 ? asked : all);
  if (!cut.ok) return cut;
  const data = {
    above: Math.abs(above),
    below: Math.abs(below),
    turnAbove: turnOf(above),
    turnBelow: turnOf(below),
    lines: asked.length === 1 ? 1 : 2,
    where: asked.length === 1 ? (asked[0]?.line ?? 'both') : 'both',
  };
  const say = (code: Under<'legLength'>): Message => ({ code: `legLength.${code}`, data });
  const foot = midpoint(front.hem.path.start, endOf(front.hem.path));
  return ok({
    piece: front.piece.id,
    instructions: [
      ...cut.value.flatMap(({ half, lines, lengths }) =>
        alongLines(half.piece, lines, (code) => say(code === 'lap' ? 'open' : sameSeam(code)), lengths),
      ),
      match({ message: say('match'), kinds: ['side', 'inseam'] }),
    ],
    grips: [
      amountGrip({
        piece: front.piece.id,
        shown: 'opened',
        from: foot,
        axis: { x: 0, y: 1 },
        value: by,
        limits: BY,
      }),
    ],
  });
}

export const legLength: AlterationDefinition = define({
  id: 'leg-length',
  family: 'trouser',
  params: [BY, UPPER],
  amounts: ['by', 'upper'],
  requires: ['inseam', 'side', 'hem'],
  refusals: ['trousers-not-found', 'crotch-not-found', 'line-off-piece', 'overlap-too-large'],
  examples: [
    { name: 'longer, above and below the knee', on: 'landing', values: { by: 40, upper: 15 } },
    { name: 'shorter below the knee', on: 'landing', values: { by: -30, upper: 0 } },
    { name: 'the knee lower', on: 'landing', values: { by: 0, upper: 12 } },
  ],
  source:
    'Front and back cut across above the knee and below it, each part spread or lapped by its own difference; the hem keeps its width.',
  why: 'why.leg-length',
  needs: ({ pieces }) => trousersOn(pieces),
  reads: ['outsideLeg', 'waistToKnee'],
  fits: (context) => fitTwoParts(context, 'outsideLeg', 'waistToKnee'),
  plan,
  holds: held({ part: TROUSERS, role: 'crotch' }, { part: TROUSERS, role: 'waist' }, { part: TROUSERS, role: 'hem' }),
});
