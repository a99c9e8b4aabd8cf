import { inEnglish } from '../../../speech/index.ts';
import type { Sentence, Speaker } from '../../../speech/index.ts';
import { CUT_A_TRACING } from './caution.ts';
import { pin } from './back.ts';

type RiseWords<W extends string> = Readonly<
  Record<`${W}.${'mark' | 'cut' | 'open' | 'lap' | 'fork' | 'crotch' | 'side' | 'match'}`, Sentence>
>;

/** A length on each half, where it is something there: "1.2 cm on the front and 1.5 cm on the back". */
export function onHalves(s: Speaker, front: string, back: string): string {
  const [one, other] = [Number(s.num(front, 2)), Number(s.num(back, 2))];
  if (other === 0) return `${s.both(front)} on the front`;
  if (one === 0) return `${s.both(back)} on the back`;
  return s.both(front) === s.both(back)
    ? `${s.both(front)} on front and back`
    : `${s.both(front)} on the front and ${s.both(back)} on the back`;
}

const WHICH: Readonly<Record<string, string>> = { front: 'front', back: 'back', both: 'front and the back' };
/** Of one half only: two halves of different widths turn by different angles. */
const turned = (s: Speaker): string => (s.text('which') === 'both' ? '' : `: ${s.num('degrees', 1)}°`);
const forked = (s: Speaker): boolean => Number(s.num('outFront', 2)) + Number(s.num('outBack', 2)) > 0;

/** The sentences of a crotch seam made longer or shorter. */
export const rise = <W extends string>(words: W, match: string): RiseWords<W> =>
  ({
    [`${words}.mark`]: (s: Speaker) =>
      `On the ${WHICH[s.text('which')] ?? 'back'} draw a line along the hip line from the crotch seam to the side seam, and put a pin where it meets the side seam line.${forked(s) ? ` Mark the new inseam point, ${onHalves(s, 'outFront', 'outBack')} from the old one.` : ''}`,
    [`${words}.cut`]: () => `Cut along the line from the crotch seam to the side, ${pin}. ${CUT_A_TRACING}`,
    [`${words}.open`]: (s: Speaker) =>
      `Turn the upper part about the pin until the line has opened by ${s.both('by')} at the crotch seam${turned(s)}. Tape paper behind.`,
    [`${words}.lap`]: (s: Speaker) =>
      `Turn the upper part about the pin until it laps by ${s.both('by')} at the crotch seam${turned(s)}.`,
    [`${words}.fork`]: (s: Speaker) =>
      `Draw the crotch curve and the inseam to the new inseam point, to nothing at the hip line and at the knee: the crotch seam changes by another ${s.both('fork')}.`,
    [`${words}.crotch`]: () => 'Draw the crotch seam again in one line over the step.',
    [`${words}.side`]: () =>
      'Draw the side seam again in one line where it now bends at the pin; it stays as long as before.',
    [`${words}.match`]: () => inEnglish(match),
  }) as RiseWords<W>;
