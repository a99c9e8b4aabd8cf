import type { Difference, Grade, Mistake, MistakeCode, PartOfPractice } from '../practice/index.ts';
import { en, inWords, speaker, type Sentence, type Units } from '../speech/index.ts';
import { ROLE_WORDS } from './params.ts';

export const PRACTICE_PARTS: Readonly<Record<PartOfPractice, string>> = {
  bust: 'Bust',
  dart: 'Darts',
  back: 'Back',
  shoulder: 'Shoulder',
  length: 'Length',
  width: 'Width',
  sleeve: 'Sleeve',
  trousers: 'Trousers',
};

export const PRACTICE_GRADES: Readonly<Record<Grade, { readonly name: string; readonly about: string }>> = {
  guided: {
    name: 'Guided',
    about: 'Lines and hinges are drawn; you move the paper. What has opened is written beside it.',
  },
  marked: { name: 'Marked', about: 'You draw the lines and leave the hinges. What has opened is written beside it.' },
  free: { name: 'Free', about: 'The paper, the task and a tape measure.' },
};

/** What each mistake is called, and how to do better. */
const MISTAKE_WORDS: Readonly<Record<MistakeCode, { readonly name: string; readonly why: Sentence }>> = inWords({
  'left-alone': { name: 'Nothing was cut', why: () => 'Draw the lines, cut along them, and move the paper.' },
  'line-missing': {
    name: 'A line is missing',
    why: () => 'The paper has to come apart at one more place before it can open as it should.',
  },
  'not-moved': {
    name: 'Cut, and not moved',
    why: () => 'Pull the paper open (or lap it) by the amount before taping it.',
  },
  'back-forgotten': {
    name: 'The other piece was forgotten',
    why: () =>
      'Two pieces are sewn to each other here: what one gets the other gets too, or their seams no longer meet.',
  },
  'hinge-cut-through': {
    name: 'Cut through the hinge',
    why: () =>
      'The scissors stop at the seam line, so that a hinge of paper stays. Cut through, the seam there opens too. Tape it at the seam line and measure that seam again.',
  },
  'inner-hinge-cut-through': {
    name: 'Cut through the hinge inside',
    why: () => 'Where two lines meet, one of them stops just short: the paper on its two sides must stay joined there.',
  },
  'hinge-on-wrong-seam': {
    name: 'The hinge lies on another seam',
    why: (s) =>
      `The paper hinges ${s.len('off')} from where it should, on another seam: that seam keeps its length, not the one that must.`,
  },
  'hinge-elsewhere': {
    name: 'The hinge lies elsewhere',
    why: (s) =>
      `It lies ${s.len('off')} from where the alteration has it, and everything swings about the wrong place.`,
  },
  'beside-bust-point': {
    name: 'The line misses the bust point',
    why: (s) => `It passes ${s.len('off')} beside it. Room opens where the line is: slash through the bust point.`,
  },
  'line-elsewhere': {
    name: 'The line lies elsewhere',
    why: (s) =>
      `It lies ${s.len('off')} from where the alteration has it, and the change comes out in the wrong place.`,
  },
  'lapped-not-opened': {
    name: 'Lapped instead of opened',
    why: () => 'The piece has become smaller. More room means paper apart.',
  },
  'opened-not-lapped': {
    name: 'Opened instead of lapped',
    why: () => 'The piece has become larger. Less length or room means paper over paper.',
  },
  'not-halved': {
    name: 'The amount was not halved',
    why: (s) =>
      `It opened ${s.len('got')} instead of ${s.len('wanted')}: that is the amount of several pieces in one of them.`,
  },
  'halved-twice': {
    name: 'Halved once too often',
    why: (s) => `It opened ${s.len('got')} instead of ${s.len('wanted')}: only half of this piece’s share.`,
  },
  'measured-on-the-slant': {
    name: 'Measured on the slant',
    why: (s) =>
      `What lay on each other is ${s.len('wanted')} apart, but on the slant: square to the line it opened ${s.len('got')}. Lay the tape square to the cut.`,
  },
  'tapered-not-even': {
    name: 'A wedge where it should be even',
    why: () => 'The strip is higher at one end than at the other. Measure it at both ends.',
  },
  'even-not-tapered': {
    name: 'Even where it should run out to nothing',
    why: () => 'The paper slid as a whole. It should swing about a hinge, so that nothing changes there.',
  },
  'not-levelled': {
    name: 'Not levelled',
    why: (s) =>
      en`The side has come down by ${s.len('wanted')}; the centre has not. Cut across the centre and bring it down as far, so that the lower edge is level.`,
  },
  'level-slipped': {
    name: 'Levelled by a wrong amount',
    why: (s) => en`The centre came down by ${s.len('got')}, the side by ${s.len('wanted')}.`,
  },
  askew: {
    name: 'Taped askew',
    why: () =>
      'The paper has turned a little: the grain no longer runs straight. Keep a ruler along the grain line while taping.',
  },
  'too-much': { name: 'Too much', why: (s) => `${s.len('got')} instead of ${s.len('wanted')}.` },
  'too-little': { name: 'Too little', why: (s) => `${s.len('got')} instead of ${s.len('wanted')}.` },
  'amounts-differ': {
    name: 'The two pieces by different amounts',
    why: (s) => `Their seams differ by ${s.len('off')} now. Both pieces get the same.`,
  },
  'tip-not-drawn': { name: 'No dart', why: () => 'What opened in the seam becomes a dart: draw its tip.' },
  'tip-at-bust-point': {
    name: 'The dart ends at the bust point',
    why: (s) => `It would make a point there. Let it end ${s.len('wanted')} short of it.`,
  },
  'tip-too-near': {
    name: 'The dart ends too near',
    why: (s) => `${s.len('got')} short of the bust point instead of ${s.len('wanted')}.`,
  },
  'tip-too-far': {
    name: 'The dart ends too far off',
    why: (s) => `${s.len('got')} short of the bust point instead of ${s.len('wanted')}.`,
  },
  'tip-off-middle': {
    name: 'The dart’s legs differ',
    why: (s) =>
      `One leg is ${s.len('off')} longer: they would not sew together. The tip lies square to the middle of the opening.`,
  },
  'not-trued': {
    name: 'The seam was not drawn anew',
    why: (s) => `Taped, it lies up to ${s.len('off')} from where it should run. Draw it smooth before cutting it out.`,
  },
  'trued-elsewhere': {
    name: 'The seam was drawn elsewhere',
    why: (s) => `It runs up to ${s.len('off')} from where it should.`,
  },
});

const positive = (data: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(data).map(([k, v]) => [k, Math.abs(v)]));

/** A mistake by name, and how to do better. */
export const sayMistake = (m: Mistake, units: Units): { readonly name: string; readonly why: string } => ({
  name: MISTAKE_WORDS[m.code].name,
  why: MISTAKE_WORDS[m.code].why(speaker(positive(m.data), units)),
});

const upOrDown = (way: { readonly x: number; readonly y: number }): string =>
  Math.abs(way.y) >= Math.abs(way.x) ? (way.y > 0 ? 'too low' : 'too high') : 'to the side';

/** A difference on paper: what is how much longer, lower or wider than it should be. */
export function sayOutcome(d: Difference, units: Units): string {
  const s = speaker(
    { by: Math.abs(d.by), got: 'got' in d ? Math.abs(d.got) : 0, wanted: 'wanted' in d ? Math.abs(d.wanted) : 0 },
    units,
  );
  const more = d.by > 0;
  switch (d.kind) {
    case 'opening':
      return d.got * d.wanted < 0
        ? `moved ${s.len('got')} the other way, instead of ${s.len('wanted')}`
        : `${d.wanted < 0 ? 'lapped' : 'opened'} ${s.len('got')} instead of ${s.len('wanted')}`;
    case 'length':
      return en`${ROLE_WORDS[d.role]} ${s.len('by')} too ${more ? 'long' : 'short'}`;
    case 'corner':
      return en`corner of ${ROLE_WORDS[d.roles[0]]} and ${ROLE_WORDS[d.roles[1]]}: ${s.len('by')} ${upOrDown(d.way)}`;
    case 'grain':
      return `grain line ${s.len('by')} off over its length`;
    case 'trued':
      return en`${ROLE_WORDS[d.role]} runs up to ${s.len('by')} off`;
    case 'legs':
      return `dart legs ${s.len('by')} apart`;
    case 'tip':
      return `dart ends ${s.len('got')} short of the bust point instead of ${s.len('wanted')}`;
    case 'seam':
      return `${ROLE_WORDS[d.role]} ${s.len('by')} ${more ? 'longer' : 'shorter'} than the one it is sewn to`;
  }
}
