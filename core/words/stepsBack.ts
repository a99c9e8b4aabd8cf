import type { Sentence, Speaker } from './say.ts';

const cut = 'Cut a tracing, never your only original.';
const pin = 'leaving a thread of paper at the pin; clip the allowance from outside to it';

const onePiece = (s: Speaker): boolean => !(Number(s.num('panels')) > 1);
/** Said where the line crosses panels. */
const panels = (s: Speaker, seam: string): string =>
  onePiece(s)
    ? ''
    : ` Lay the panels beside each other, seam line on seam line, and carry the line on across all ${s.num('panels')} of them to ${seam}.`;
const falls = (s: Speaker): string =>
  onePiece(s)
    ? ''
    : ` It falls evenly from the centre to nothing at the pin: ${s.both('left')} where the first panel ends. The panels turn together, by the same angle.`;
/** The seam in which the pin of a wedge in the upper back sits. */
const pinned = (s: Speaker): string => {
  const ends = s.text('ends');
  return ends === 'raglan' ? 'raglan seam' : ends === 'shoulder' ? 'overarm seam' : 'armhole';
};

const seamLine = (s: Speaker): string => (s.text('ends') === 'armhole' ? 'armhole seam line' : pinned(s));
/** What is drawn again above the line where the back lies on the fold. */
const neckBack = (s: Speaker): string =>
  s.text('ends') === 'armhole'
    ? ', put the neckline back in its old shape at its new height, and rule the shoulder, as long as before, to the new neck point.'
    : `, put the neckline back in its old shape at its new height, and draw the ${pinned(s)} again from there to nothing at the pin, as long as before.`;
const walked = (s: Speaker): string =>
  s.text('ends') === 'armhole'
    ? 'Walk shoulder, armhole and neckline: all three are as long as before.'
    : `Walk the ${pinned(s)} and the neckline: both are as long as before.`;

/** A wedge across the back: where it lies differs, the hands do the same. */
const wedge = (
  words: string,
  where: string,
  done: { readonly open?: (s: Speaker) => string; readonly lap?: (s: Speaker) => string; readonly match: string },
): Readonly<Record<string, Sentence>> => ({
  [`${words}.mark`]: (s) => `${where}${panels(s, 'the side seam')} Put a pin where it meets the side seam line.`,
  [`${words}.cut`]: () => `Cut along the line from the centre back to the side, ${pin}. ${cut}`,
  ...(done.open ? { [`${words}.open`]: done.open } : {}),
  ...(done.lap ? { [`${words}.lap`]: done.lap } : {}),
  [`${words}.true.fold`]: () =>
    'Rule the centre back straight along the fold again and square the hem to it. Below the line the back has become narrower by what stood over.',
  [`${words}.true.side`]: () =>
    'Give that width back at the side seam, from nothing at the pin to the hem; the side seam keeps its length. Level the hem.',
  [`${words}.true.seam`]: () => 'Keep the bend in the centre back seam as shaping and smooth it.',
  ...(done.lap
    ? { [`${words}.true.hem`]: () => 'Draw the hem again, square to the centre back and to the side.' }
    : {}),
  [`${words}.match`]: () => done.match,
});

const FRONT = 'Walk the side seam along the front: it has kept its length, and the front needs nothing.';
const lap = (s: Speaker): string =>
  `Turn the lower part up about the pin until the centre back laps by ${s.both('by')}, measured along the centre back: ${s.num('degrees', 1)}°.${falls(s)}`;

/** Swayback, seat and upper back. */
export const BACK_STEPS: Readonly<Record<string, Sentence>> = {
  'across.true.panels': () =>
    'Smooth the seams between the panels where the line crosses them, both sides alike; they stay as long as each other.',
  ...wedge('sway', 'Draw a line straight across the back at the waist, from the centre back to the side seam.', {
    lap,
    match: FRONT,
  }),
  ...wedge('swayLower', 'Draw a line straight across the back where the wrinkle sits, between waist and hip.', {
    lap,
    match: FRONT,
  }),
  ...wedge('seat', 'Draw a line straight across the back over the seat, from the centre back to the side seam.', {
    open: (s) =>
      `Open the line about the pin until the centre back is ${s.both('by')} longer: ${s.num('degrees', 1)}°.${falls(s)} Tape paper behind the gap.`,
    match: 'Walk the side seam along the front: it has kept its length. The waist is as wide as before.',
  }),
  'swayWaist.mark': (s) => `Mark a point on the centre back ${s.both('by')} above the waist seam.`,
  'swayWaist.true': (s) =>
    `${onePiece(s) ? '' : 'Lay the back panels beside each other, seam line on seam line. '}Draw the waist seam again from that point, square to the centre back, to nothing at the side. Darts it crosses keep their width; fold them shut and draw their ends again.`,
  'swayWaist.side': () =>
    'On the slant the waist has become a little longer: take that in at the side, so that it still fits the skirt.',
  'swayWaist.skirt': (s) =>
    `The skirt gains as much: draw its waist again from ${s.both('by')} above the centre back to nothing at the side.`,
  'swayWaist.match': () => 'Walk the waist seam along the skirt, darts shut, and the side seam along the front.',
  'round.mark': (s) =>
    `Draw a line straight across the back a little below the neck, from the centre back to the ${pinned(s)}.${panels(s, `the ${pinned(s)}`)} Put a pin where it meets the ${seamLine(s)}.`,
  'round.cut': (s) => `Cut along the line from the centre back to the ${pinned(s)}, ${pin}. ${cut}`,
  'round.open': (s) =>
    `Turn the upper part up about the pin until the centre back opens by ${s.both('by')}: ${s.num('degrees', 1)}°.${falls(s)} Tape paper behind the gap.`,
  'round.true.fold': (s) => `Rule the centre back straight up the fold${neckBack(s)}`,
  'round.true.seam': () => 'Keep the curve in the centre back seam and smooth it.',
  'round.true.pin': (s) => `Smooth the ${pinned(s)} at the pin; its length stays.`,
  'round.match': (s) => walked(s),
  'flatBack.mark': (s) =>
    `Draw a line straight across the back through the fold of cloth, from the centre back to the ${pinned(s)}.${panels(s, `the ${pinned(s)}`)} Put a pin where it meets the ${seamLine(s)}.`,
  'flatBack.cut': (s) => `Cut along the line from the centre back to the ${pinned(s)}, ${pin}. ${cut}`,
  'flatBack.lap': (s) =>
    `Turn the upper part down about the pin until the centre back laps by ${s.both('by')}: ${s.num('degrees', 1)}°.${falls(s)}`,
  'flatBack.true.fold': (s) => `Rule the centre back straight along the fold${neckBack(s)}`,
  'flatBack.true.seam': () => 'Smooth the bend in the centre back seam.',
  'flatBack.true.pin': (s) => `Smooth the ${pinned(s)} at the pin; its length stays.`,
  'flatBack.match': (s) => walked(s),
};
