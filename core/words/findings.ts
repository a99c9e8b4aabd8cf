import type { FindingCode } from '../paper/truing/index.ts';
import { FAULT_WORDS_ALONE } from './faults.ts';
import type { Sentence } from '../speech/index.ts';
import { en } from '../speech/index.ts';

/** What was found on the table, and what to do about it. */
export const FINDING_WORDS: Readonly<Record<FindingCode, Sentence>> = {
  ...FAULT_WORDS_ALONE,
  'seam-lengths-differ': (s) =>
    `The ${s.text('kind')} seam does not match: ${s.len('first')} against ${s.len('second')}, ${s.len('by')} apart. Adjust the longer side, or ease it in if the cloth allows.`,
  'seam-corner-not-smooth': (s) =>
    `Where the ${s.text('kind')} seam ${s.text('end') === 'start' ? 'begins' : 'ends'}, the two corners make ${s.num('sum', 1)}° together; they should run on smoothly (180°). Redraw the edge across the seam.`,
  'dart-legs-differ': (s) =>
    `The legs of the ${s.text('dart')} dart differ by ${s.len('by')}. Move its tip sideways until they are equal.`,
  'dart-too-large': (s) =>
    `The ${s.text('dart')} dart takes up ${s.len('intake')}: too much to press flat in most cloth. Split it in two, or cut it away and leave a seam allowance.`,
  'dart-nearly-gone': (s) =>
    `The ${s.text('dart')} dart takes up only ${s.len('intake')}. Ease it in, or leave it out.`,
  'dart-past-bust-point': (s) =>
    `The ${s.text('dart')} dart reaches ${s.len('by')} past the bust point. Bring its tip back.`,
  'corner-not-square': (s) =>
    en`The corner at the ${s.text('where')} is ${s.num('angle', 1)}°; on a centre line it must be square, or the two halves meet in a point.`,
  'centre-not-straight': (s) => `The fold is not straight: ${s.len('by')} longer than a straight line.`,
  'yoke-apart': (s) =>
    `“${s.text('name')}” is not pinned to the back: along their seam the two differ in length or shape, as with gathers, a pleat or shaping. Shoulder and upper back are then altered without it; carry what they change over to the yoke by hand.`,
  'notches-differ': (s) => `The notches of the ${s.text('kind')} seam are ${s.len('by')} apart.`,
  'large-spread': (s) =>
    `A spread of ${s.len('s')} on each half makes a dart too big for one. Ways on: two darts, a cut-away dart, the change in two steps, or a princess line; each is one step on the plan.`,
  'small-amount': (s) =>
    en`A change of ${s.len('total')} over the whole front is small; many would leave the pattern alone and look at the toile first.`,
  'tip-moved': (s) =>
    `The tip of the ${s.text('dart')} dart was moved ${s.len('by')} sideways so that both legs are equal.`,
  'waist-grew': (s) =>
    `The ${s.text('role') || 'waist'} of this half is ${s.signed('by')} different. What is sewn to it must follow.`,
  'waist-not-restored': (s) =>
    `The waist could not be given its width back at the side seam (${s.signed('by')} left). Take it in the waist dart instead.`,
  'level-not-reached': (s) =>
    `The ${s.text('level')} of this half, measured again, is ${s.len('now')} and should be ${s.len('wanted')}: ${s.signed('by')}. Put the rest right at another seam, or in a dart.`,
  'back-needs-look': () =>
    'The front has changed and the back has not: look at the back at the side seam and across the shoulder blades before cutting cloth.',
  'facing-follows': () => 'Trace a front facing or lining again from the altered front.',
  'armhole-changed': (s) =>
    `The ${s.text('role') || 'armhole'} is ${s.signed('by')} different; what is sewn to it would no longer fit.`,
  'dart-tip-too-near': (s) =>
    `The ${s.text('dart')} dart ends ${s.len('by')} from the bust point. Bring the tip back, or the point will show.`,
  'length-not-held': (s) =>
    `The ${s.text('role')} should have kept its length and is ${s.signed('by')} different. Undo this step, or make it smaller.`,
  'piece-must-follow': (s) =>
    s.text('kind') === 'pocket'
      ? `${s.text('name')} has to follow: the seam its opening is sewn into has changed by ${s.len('by')}, and nothing has been done to it yet.`
      : `${s.text('name')} has to follow: its ${s.text('kind')} seam is ${s.len('second')} against ${s.len('first')}${s.text('touched') === '1' ? '' : ', and nothing has been done to it yet'}.`,
  'swayback-large': (s) =>
    en`${s.len('by')} at the centre back is much for a swayback. The back is likely too long as well: shorten all round first, and fold out what is left.`,
  'cap-follows': (s) =>
    `The armholes together are ${s.signed('by')} different: the sleeve cap has to change by as much.`,
  'cap-ease-large': (s) =>
    `The cap has ${s.len('by')} to ease into the armholes, more than most wovens take up without puckers. Lower the cap, or give the bodice the difference at the underarm.`,
  'cap-ease-missing': (s) =>
    `The cap is ${s.len('by')} shorter than the armholes it is set into. Raise the cap, or take the difference from the bodice at the underarm.`,
  'band-follows': (s) => `The neckline is ${s.signed('by')} different: the band has to follow.`,
  'halves-differ': (s) =>
    en`Left and right of ${s.text('name')} miss each other by ${s.len('by')} at the centre. Draw the hem or neck across from one half to the other.`,
  'drafted-seam-differs': (s) =>
    `As drafted, the ${s.text('kind')} seam is ${s.len('first')} on ${s.text('name')} and ${s.len('second')} on ${s.text('other')}${s.text('ease') === '0' ? '' : `, where ${s.signed('ease')} is meant`}: ${s.signed('by')} that nothing explains. If it is meant to be eased in there, leave it; if not, look at the two edges before you alter anything.`,
  'panel-leans': (s) =>
    `The ${s.text('role')} of “${s.text('name')}” now leans by ${s.num('degrees')}° against its grain. Put the hinge farther up the armhole, set the grain square to the ${s.text('role')}, or, for little, let out the princess seam itself.`,
  'grain-turned': (s) =>
    `The grainline of ${s.text('name')} has turned ${s.num('by', 1)}° against the fold. Draw it again along the fold.`,
};
