import type { Sentence, Speaker } from './say.ts';

const cut = 'Cut a tracing, never your only original.';
const LINES: Readonly<Record<string, string>> = {
  belowBust: 'between bust and waist',
  aboveBust: 'above the bust, through the armhole',
  both: 'above the bust through the armhole, and between bust and waist',
  belowWaist: 'between waist and hip',
  hem: 'just above the hem, so that the hem keeps its shape',
};
const SHARED: Readonly<Record<string, string>> = {
  underarm: 'the underarm corner',
  bottom: 'the lower end of the side seam',
  notch: 'the first notch of the side seam',
  skirtWaist: 'the waist corner of the skirt',
};
const where = (s: Speaker): string =>
  s.text('where') === 'own'
    ? `${s.both('away')} ${s.text('side')} ${SHARED[s.text('from')] ?? s.text('from')}, measured along the side seam with its darts shut`
    : (LINES[s.text('where')] ?? s.text('where'));
const LEVELS: Readonly<Record<string, string>> = {
  underarm: 'underarm',
  bust: 'bust',
  waist: 'waist',
  hip: 'hip',
};
const level = (s: Speaker): string => LEVELS[s.text('level')] ?? s.text('level');

/** Said where the seams between panels take their share of a grade. */
const shared = (s: Speaker): string =>
  Number(s.num('edges')) > 1
    ? ` The side takes one share of ${s.num('edges')}; the seams between the panels take the others.`
    : '';

/** Lengths and widths. */
export const LENGTH_STEPS: Readonly<Record<string, Sentence>> = {
  'length.mark': (s) =>
    `On ${s.num('pieces')} pieces draw a line square to the grain${s.text('where') === 'own' ? `, ${where(s)}` : ` ${where(s)}, on each as far from the same place of the seam`}.`,
  'length.cut': () => `Cut each piece in two along its line. ${cut}`,
  'length.open': (s) =>
    s.text('shares') === 'uneven'
      ? `Spread each piece by ${s.both('above')} above the bust and by ${s.both('below')} below it, the same all along each line, the grainline running on. Tape paper behind.`
      : `Spread each piece by ${s.both('by')}, the same all along the line, the grainline running on. Tape paper behind.`,
  'length.lap': (s) =>
    s.text('shares') === 'uneven'
      ? `Lap each piece by ${s.both('above')} above the bust and by ${s.both('below')} below it, the same all along each line, the grainline running on.`
      : `Lap each piece by ${s.both('by')}, the same all along the line, the grainline running on.`,
  'hipDepth.mark': () =>
    'On each skirt piece draw two lines square to the grain: one between waist and hip, across the darts, and one below the hip.',
  'hipDepth.cut': () => `Cut each piece along both lines. ${cut}`,
  'hipDepth.lower': (s) =>
    `Spread the upper line by ${s.both('by')} and lap the lower one by as much: the hip comes lower, the hem stays.`,
  'hipDepth.higher': (s) =>
    `Lap the upper line by ${s.both('by')} and spread the lower one by as much: the hip comes higher, the hem stays. Tape paper behind.`,
  'hipDepth.true.straight': () => 'Rule the straight seams that were cut from end to end.',
  'hipDepth.true.curve': () =>
    'Draw the curve of the hip again in one line, and the darts from their mouths to their new tips.',
  'hipDepth.match': () => 'Walk the side seams; move the pocket’s notches along.',
  'length.true.straight': () =>
    'Rule the seams that were cut straight from end to end: what one piece loses at the step, the other gains.',
  'length.true.curve': () => 'Draw curved seams again in one line over the step.',
  'length.match': () => 'Walk every seam that was cut: all are changed by the same.',
  'length.match.armhole': () =>
    'Walk every seam that was cut. The armhole has changed its length: the sleeve cap has to follow.',
  'grade.mark': (s) =>
    `Start from size ${s.text('from')} at the bust. Mark where size ${s.text('waist')} lies at the waist${s.text('hip') === s.text('waist') ? '' : ` and size ${s.text('hip')} at the hip`}.${shared(s)}`,
  'grade.waist': (s) =>
    `Draw the side seam from nothing at the underarm (below a dart: from its lower leg) to size ${s.text('waist')} at the waist, as long as before.`,
  'grade.side': (s) =>
    `Draw the side seam from nothing at the underarm over size ${s.text('waist')} at the waist to size ${s.text('hip')} at the hem, as long as before.`,
  'grade.skirt': (s) =>
    `Draw the side seam of the skirt from size ${s.text('waist')} at the waist to size ${s.text('hip')} at the hip and on to the hem.`,
  'panels.grade': (s) =>
    `Draw the seams between the panels again as well, both edges of each by ${s.signed('waist')} at the waist${s.num('hip', 2) === '0.00' ? '' : ` and ${s.signed('hip')} at the hip`}, from nothing at the bust; they stay as long as each other.`,
  'grade.match': () =>
    'Walk the side seams, front along back, and the waist seam. Notches have gone straight across to the new line.',
  'gradeChart.mark': (s) =>
    `Mark a ${s.num('edges') === '4' ? 'quarter' : `share (1 of ${s.num('edges')})`} of the difference at each ${s.num('edges') === '4' ? 'side edge' : 'seam edge, at the side and between the panels'}: ${s.signed('waist')} at the waist, ${s.signed('hip')} at the hip.`,
  'gradeChart.waist': (s) =>
    `Draw the side seam from nothing at the underarm (below a dart: from its lower leg) to ${s.signed('waist')} at the waist, as long as before.`,
  'gradeChart.side': (s) =>
    `Draw the side seam from nothing at the underarm over ${s.signed('waist')} at the waist to ${s.signed('hip')} at the hem, as long as before.`,
  'gradeChart.skirt': (s) =>
    `Draw the side seam of the skirt from ${s.signed('waist')} at the waist to ${s.signed('hip')} at the hip and on to the hem.`,
  'gradeChart.match': () => 'Walk the side seams, front along back, and the waist seam.',
  'sideAdd.mark': (s) => `At the ${level(s)} mark ${s.both('each')} beside each side seam: a quarter of the whole.`,
  'sideAdd.out': () =>
    'Draw the side seams through the marks, to nothing at the next notch; draw the notches on to the new line.',
  'sideAdd.in': () =>
    'Draw the side seams in through the marks, to nothing at the next notch; draw the notches on to the new line.',
  'sideAdd.match': () => 'Walk the side seams, and what is sewn to the pieces at that level.',
  'sweep.mark': (s) => `Mark ${s.both('each')} beside each side seam at the hem: a quarter of the whole.`,
  'sweep.out': () => 'Draw each side seam from nothing at the hip out to its mark, as long as before.',
  'sweep.in': () => 'Draw each side seam from nothing at the hip in to its mark, as long as before.',
  'sweep.hem': () => 'Draw the hem again, square to the centre and to the side.',
  'sweep.match': () => 'Walk the side seams.',
  'hip.mark': () =>
    'Draw a line from the hem straight up to the waist seam line, between dart and side, and another from it across to the side at hip level. Pins on the waist and on the side seam line.',
  'hip.cut': () => `Cut from the hem up to the pin at the waist, and across to the pin at the side. ${cut}`,
  'hip.open': (s) =>
    `Open the upright line by ${s.both('each')} at hip level and let the part below hang straight: the same from hip to hem. Tape paper behind.`,
  'hip.lap': (s) =>
    `Lap the upright line by ${s.both('each')} at hip level and let the part below hang straight: the same from hip to hem.`,
  'hip.hem': () => 'Level the hem: draw it square to the centre and to the side.',
  'hip.side': () => 'Smooth the side seam at the pin; its length stays.',
  'hip.match': () => 'Walk side seams and waist: they are as long as before.',
  'spare.mark': () => 'Leave the seam line where it is.',
  'spare.match': () => 'Sew on the seam line as always; trim what is left over once the toile has told.',
  'spare.true': (s) => `Cut ${s.both('by')} farther out there, and write on the piece that this is to fit by.`,
};
