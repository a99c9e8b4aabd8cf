import { ok, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length } from '../../kit/define.ts';
import { amountGrip } from '../../kit/grip.ts';
import { alongLines } from '../../kit/lengthLines.ts';
import { fitTwoParts, inTwoParts, turnOf } from '../../kit/twoParts.ts';
import { numberOf } from '../../engine/values.ts';
import { match } from '../../operations/index.ts';
import { armOn, curvedLengths, linesOn } from './layout.ts';

const BY = length('by', -300, 300, 15, true);
const UPPER = length('upper', -120, 120, 0, true);

function plan(context: Context, values: Values): Result<Program> {
  const arm = armOn(context);
  if (!arm.ok) return arm;
  const by = numberOf(values, 'by');
  const { above, below } = arm.value.elbow ? inTwoParts(by, numberOf(values, 'upper')) : { above: by, below: 0 };
  const lines = linesOn(arm.value, above, below);
  if (!lines.ok) return lines;
  const { piece, foot } = arm.value.on;
  const data = {
    above: Math.abs(above),
    below: Math.abs(below),
    turnAbove: turnOf(above),
    turnBelow: turnOf(below),
    where: !arm.value.elbow ? 'whole' : lines.value.length > 1 ? 'both' : (lines.value[0]?.line ?? 'above'),
    lines: lines.value.length,
  };
  const say = (code: Under<'sleeveLength'>): Message => ({ code: `sleeveLength.${code}`, data });
  const { way } = arm.value;
  return ok({
    piece: piece.id,
    instructions: [
      ...alongLines(piece, lines.value, (code) => say(code === 'lap' ? 'open' : code), curvedLengths(lines.value)),
      match({ message: say('match'), kinds: ['other'] }),
    ],
    grips: [
      amountGrip({
        piece: piece.id,
        shown: 'opened',
        from: foot,
        axis: way,
        value: by,
        limits: BY,
        at: { x: foot.x + way.x * below, y: foot.y + above + way.y * below },
      }),
    ],
  });
}

export const sleeveLength: AlterationDefinition = define({
  id: 'sleeve-length',
  family: 'sleeve',
  params: [BY, UPPER],
  amounts: ['by', 'upper'],
  requires: ['cap', 'underarm'],
  refusals: ['sleeve-not-found', 'sleeve-landmark-missing', 'line-off-piece', 'overlap-too-large'],
  examples: [
    { name: 'longer, above and below the elbow', on: 'causeway-long-sleeve', values: { by: 24, upper: 10 } },
    { name: 'shorter below the elbow', on: 'causeway-long-sleeve', values: { by: -18, upper: 0 } },
    { name: 'the elbow lower', on: 'causeway-long-sleeve', values: { by: 0, upper: 12 } },
    { name: 'with a cuff', on: 'causeway-cuff', values: { by: 20, upper: 20 } },
    { name: 'a short sleeve', on: 'causeway', values: { by: -30 } },
  ],
  source:
    'The sleeve cut square to its middle above the elbow and below it, each part spread or lapped by its own difference, and the underarm seams ruled again from end to end.',
  why: 'why.sleeve-length',
  grade: 'best',
  needs: armOn,
  reads: ['shoulderToWrist', 'shoulderToElbow'],
  fits: (context) => fitTwoParts(context, 'shoulderToWrist', 'shoulderToElbow'),
  plan,
  holds: held({ part: ['sleeve'], role: 'cap' }, { part: ['sleeve'], role: 'sleeveHem' }),
});
