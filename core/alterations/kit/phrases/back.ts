import { CUT_A_TRACING } from './caution.ts';
import type { Sentence, Speaker } from '../../../speech/index.ts';
import { en, inEnglish } from '../../../speech/index.ts';

export const pin = 'leaving a thread of paper at the pin; clip the allowance from outside to it';

export const onePiece = (s: Speaker): boolean => !(Number(s.num('panels')) > 1);

/** Said where the line crosses panels. */
export const panels = (s: Speaker, seam: string): string =>
  onePiece(s)
    ? ''
    : ` Lay the panels beside each other, seam line on seam line, and carry the line on across all ${s.num('panels')} of them to ${seam}.`;

export const falls = (s: Speaker): string =>
  onePiece(s)
    ? ''
    : en` It falls evenly from the centre to nothing at the pin: ${s.both('left')} where the first panel ends. The panels turn together, by the same angle.`;

/** The seam in which the pin of a wedge in the upper back sits. */
export const pinned = (s: Speaker): string => {
  const ends = s.text('ends');
  return ends === 'raglan' ? 'raglan seam' : ends === 'shoulder' ? 'overarm seam' : 'armhole';
};

export const seamLine = (s: Speaker): string => (s.text('ends') === 'armhole' ? 'armhole seam line' : pinned(s));

/** What is drawn again above the line where the back lies on the fold. */
export const neckBack = (s: Speaker): string =>
  s.text('ends') === 'armhole'
    ? ', put the neckline back in its old shape at its new height, and rule the shoulder, as long as before, to the new neck point.'
    : `, put the neckline back in its old shape at its new height, and draw the ${pinned(s)} again from there to nothing at the pin, as long as before.`;

export const walked = (s: Speaker): string =>
  s.text('ends') === 'armhole'
    ? 'Walk shoulder, armhole and neckline: all three are as long as before.'
    : `Walk the ${pinned(s)} and the neckline: both are as long as before.`;

/** The sentences of a wedge; what it does not do is left out. */
type WedgeWords<W extends string> = Readonly<
  Record<
    `${W}.${'mark' | 'cut' | 'open' | 'lap' | 'true.fold' | 'true.side' | 'true.seam' | 'true.hem' | 'match'}`,
    Sentence
  >
>;

/** A wedge across the back: where it lies differs, the hands do the same. */
export const wedge = <W extends string>(
  words: W,
  where: string,
  done: { readonly open?: (s: Speaker) => string; readonly lap?: (s: Speaker) => string; readonly match: string },
): WedgeWords<W> =>
  ({
    [`${words}.mark`]: (s: Speaker) =>
      `${inEnglish(where)}${panels(s, 'the side seam')} Put a pin where it meets the side seam line.`,
    [`${words}.cut`]: () => en`Cut along the line from the centre back to the side, ${pin}. ${CUT_A_TRACING}`,
    ...(done.open ? { [`${words}.open`]: done.open } : {}),
    ...(done.lap ? { [`${words}.lap`]: done.lap } : {}),
    [`${words}.true.fold`]: () =>
      en`Rule the centre back straight along the fold again and square the hem to it. Below the line the back has become narrower by what stood over.`,
    [`${words}.true.side`]: () =>
      'Give that width back at the side seam, from nothing at the pin to the hem; the side seam keeps its length. Level the hem.',
    [`${words}.true.seam`]: () => en`Keep the bend in the centre back seam as shaping and smooth it.`,
    ...(done.lap
      ? { [`${words}.true.hem`]: () => en`Draw the hem again, square to the centre back and to the side.` }
      : {}),
    [`${words}.match`]: () => done.match,
  }) as Partial<WedgeWords<W>> as WedgeWords<W>;

export const FRONT = 'Walk the side seam along the front: it has kept its length, and the front needs nothing.';

export const lap = (s: Speaker): string =>
  en`Turn the lower part up about the pin until the centre back laps by ${s.both('by')}, measured along the centre back: ${s.num('degrees', 1)}°.${falls(s)}`;
