import type { Sentence } from './say.ts';

const cut = 'Cut a tracing, never your only original.';

/** Neckline and armhole, bands, and the pieces that follow. */
export const NECK_STEPS: Readonly<Record<string, Sentence>> = {
  'gape.mark': (s) =>
    `Draw a line from where the neckline stands away to the bust point, and the middle line of the ${s.text('dart')} dart to it.`,
  'gape.cut': () =>
    `Cut along the dart’s line to the bust point and fold along the line from the neckline; leave a thread of paper at the bust point. ${cut}`,
  'gape.fold': (s) =>
    `Fold ${s.both('by')} out at the neckline, to nothing at the bust point: the paper turns ${s.num('degrees', 1)}° and the ${s.text('dart')} dart opens by it.`,
  'gape.dart': (s) =>
    `Draw the ${s.text('dart')} dart again, wider, to its old distance from the bust point, legs equal.`,
  'gape.neck': () => 'Draw the neckline again in one curve over the fold.',
  'gape.match': (s) =>
    `Walk shoulder and side. The neckline is shorter by ${s.both('shorter')}, which is less than what was folded out unless the fold runs square to it; what is sewn to it follows.`,
  'pinned.mark': (s) =>
    `Mark how much was pinned: ${s.both('by')} over both sides of the seam, running out to nothing over ${s.both('over')}.`,
  'pinned.shoulder': (s) =>
    `Take it from the neck end of both shoulders and draw each seam to nothing over ${s.len('over')}; share it so that both stay equally long.`,
  'pinned.centre': (s) =>
    `Take half of it, ${s.both('each')}, from the centre back at the neck and draw the seam to nothing over ${s.len('over')}.`,
  'pinned.neck': () => 'Square the neckline to the seam again.',
  'pinned.match': () => 'Walk shoulders and neckline; band or facing lose what the neckline lost.',
  'neckline.mark': () => 'Mark the new ends of the neckline on centre and shoulder.',
  'neckline.front.lower': (s) =>
    `Draw the front neckline from ${s.both('by')} lower at the centre front, square to it.`,
  'neckline.front.higher': (s) =>
    `Draw the front neckline from ${s.both('by')} higher at the centre front, square to it.`,
  'neckline.back.lower': (s) => `Draw the back neckline from ${s.both('back')} lower at the centre back, square to it.`,
  'neckline.back.higher': (s) =>
    `Draw the back neckline from ${s.both('back')} higher at the centre back, square to it.`,
  'neckline.wider': (s) => `Begin it ${s.both('wide')} farther out on the shoulder, front and back alike.`,
  'neckline.narrower': (s) => `Begin it ${s.both('wide')} farther in on the shoulder, front and back alike.`,
  'neckline.facing': () => 'Draw the facings anew on the altered pieces.',
  'neckline.match': () => 'Walk the shoulders, and the neckline along its facing or band.',
  'underarm.mark': () => 'Mark the new underarm on front and back, and both ends of the sleeve cap.',
  'underarm.raise': (s) =>
    `Draw the armhole from ${s.both('by')} higher at the underarm, blended into the curve at the notch.`,
  'underarm.lower': (s) =>
    `Draw the armhole from ${s.both('by')} lower at the underarm, blended into the curve at the notch.`,
  'underarm.out': (s) => `Draw the armhole from ${s.both('out')} farther out at the underarm, blended in at the notch.`,
  'underarm.sleeve': () => 'Do the same at both ends of the sleeve cap.',
  'underarm.cap': () => 'Fit the cap to the new armholes: raise or lower it by the little they still differ.',
  'underarm.match': () => 'Walk side seams and sleeve underarm, then the armhole along the cap.',
  'band.mark': () => 'Draw a line along the middle of the band.',
  'band.cut': () => `Cut the band in two along it. ${cut}`,
  'band.lap': (s) =>
    `Lap the two halves by ${s.both('by')}${s.text('wanted') ? `: the band is then ${s.len('wanted')} high` : ''}.`,
  'band.open': (s) =>
    `Spread the two halves by ${s.both('by')}${s.text('wanted') ? `: the band is then ${s.len('wanted')} high` : ''}. Tape paper behind.`,
  'band.match': () => 'Both long edges are as they were; walk the band along the neckline.',
  'cap.mark': () => 'Draw the biceps line across the sleeve: the cap changes above it, the sleeve below stays.',
  'cap.higher': (s) =>
    `Raise the cap by ${s.both('raised')} at the top and draw both halves to the underarm, each as long as its armhole and its ease ask.`,
  'cap.lower': (s) =>
    `Lower the cap at the top (${s.signed('raised')}) and draw both halves to the underarm, each as long as its armhole and its ease ask.`,
  'cap.notches': () =>
    'Mark the notches of the cap again, each as far from the notch of its armhole as it was drafted.',
  'cap.match': () => 'Walk each half of the cap along its armhole: the ease is what was drafted.',
  'skirt.mark': (s) => `Around the waist the skirt has to change by ${s.signed('by')}.`,
  'skirt.wider': () => 'Let the side seams out at the waist, to nothing at the hip, their lengths kept.',
  'skirt.narrower': () => 'Take the side seams in at the waist, to nothing at the hip, their lengths kept.',
  'skirt.match': () => 'Walk the skirt’s waist along the bodice, darts shut, and the side seams.',
  'pocket.mark': () => 'Lay the pocket bag under the altered side seam, its notches at the notches of the opening.',
  'pocket.draw': () =>
    'Trace the seam between the notches as the new opening, and draw the bag to its ends. The grainline stays parallel to that of the skirt.',
  'pocket.match': () => 'Walk the opening of the pocket along the side seam from notch to notch.',
  'facing.mark': () => 'Lay paper over the altered front and back, darts at the neck folded shut.',
  'facing.draw': (s) => `Trace neckline, shoulder and centre, and draw the facing ${s.both('depth')} deep.`,
  'facing.match': () => 'Walk the facing along the neckline, and its shoulders along each other.',
  'bandFollows.mark': (s) =>
    `The band is ${s.num('percent')} hundredths of the neckline. Draw a line straight across it in the middle of each part.`,
  'bandFollows.cut': () => `Cut the band across. ${cut}`,
  'bandFollows.lap': (s) => `Lap it until half the band is shorter by what it loses (${s.signed('by')}).`,
  'bandFollows.open': (s) =>
    `Spread it until half the band is longer by what it gains (${s.signed('by')}). Tape paper behind.`,
  'bandFollows.match': () => 'Walk the band along the neckline, stretched as it will be sewn.',
};
