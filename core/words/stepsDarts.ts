import type { Sentence, Speaker } from './say.ts';

const seam = (s: Speaker): string => (s.text('role') === 'centreFront' ? 'centre front' : s.text('role'));
const SOURCES: Readonly<Record<string, string>> = {
  placed: 'where you put it',
  wearer: 'from the wearer’s own bust height and span',
  waist: 'up from the waist and half the span from the centre, as the wearer measures',
  pattern: 'where the pattern marks it',
  darts: 'where the middle lines of the darts cross',
  tip: 'just beyond the tip of the dart',
};

/** What the hands do with darts. */
export const DART_STEPS: Readonly<Record<string, Sentence>> = {
  'dart.cap': (s) =>
    `Fold the ${s.text('dart')} dart closed as it will be pressed and trim along the seam, to give it its shaped end.`,
  'dart.match': () =>
    'Walk the seams the darts lie in against their partners, darts closed: lengths and notches must meet.',
  'rotate.mark': (s) =>
    `Draw a line from the bust point to the new place on the ${seam(s)}. Draw the legs of the ${s.text('dart')} dart on to the bust point.`,
  'rotate.mark.into': (s) =>
    `Draw the legs of the ${s.text('dart')} dart, and of the dart it is turned into, on to the bust point.`,
  'rotate.cut': () =>
    'Cut along the new line to the bust point, leaving a thread of paper, and along one leg of the old dart. Cut a tracing, never your only original.',
  'rotate.turn.whole': (s) =>
    `Fold the ${s.text('dart')} dart shut: the paper turns ${s.num('degrees', 1)}° about the bust point and the new place opens.`,
  'rotate.turn.part': (s) =>
    `Fold ${s.num('share')} hundredths of the ${s.text('dart')} dart shut: the paper turns ${s.num('degrees', 1)}° about the bust point and the new place opens.`,
  'rotate.dart': (s) =>
    `Draw the new dart: its tip ${s.both('setback')} from the bust point, then sideways until both legs are equal.`,
  'rotate.darts': (s) =>
    `Draw both darts: their tips ${s.both('setback')} from the bust point, then sideways until their legs are equal.`,
  'split.mark': (s) =>
    `Draw a line to the bust point from a place ${s.both('apart')} beside the ${s.text('dart')} dart on the same seam.`,
  'split.turn': (s) => `Fold ${s.num('share')} hundredths of the dart shut: the new line opens by as much.`,
  'cutAway.mark': (s) =>
    `Mark the legs of the ${s.text('dart')} dart as stitching lines. It takes up ${s.len('intake')}: too much to fold flat.`,
  'cutAway.dart': (s) =>
    `Draw cutting lines ${s.both('allowance')} inside both legs and cut the middle out; clip to within a thread of the tip after sewing.`,
  'ease.mark': (s) => `Cross out the legs of the ${s.text('dart')} dart.`,
  'ease.dart': (s) => `Put a notch on the seam at both sides of it: between them ${s.both('intake')} is eased in.`,
  'gather.dart': (s) => `Put a notch on the seam at both sides of it: between them ${s.both('intake')} is gathered.`,
  'ease.match': () =>
    'Walk the seam against its partner: it is longer by what is eased in, and meets it at the notches.',
  'gather.match': () =>
    'Walk the seam against its partner: it is longer by what is gathered, and meets it at the notches.',
  'setback.mark': () => 'Mark the bust point.',
  'setback.shorter': (s) =>
    `Bring the tip of the ${s.text('dart')} dart back to ${s.both('setback')} from the bust point (it was ${s.len('was')}) and draw both legs to it, equally long.`,
  'setback.longer': (s) =>
    `Let the ${s.text('dart')} dart run on to ${s.both('setback')} from the bust point (it was ${s.len('was')}) and draw both legs to it, equally long.`,
  'waistDarts.mark': (s) =>
    `Of ${s.signed('by')} around the whole waist, each of ${s.num('pieces')} pieces takes ${s.both('each')} in its dart.`,
  'waistDarts.narrower': (s) =>
    `Make each waist dart narrower by ${s.both('each')}: bring each leg in by ${s.len('leg')} at the waist and draw it to the old tip.`,
  'waistDarts.wider': (s) =>
    `Make each waist dart wider by ${s.both('each')}: take each leg out by ${s.len('leg')} at the waist and draw it to the old tip.`,
  'waistDarts.match': () => 'Measure the sewn waist again, and walk the waist seam of what is sewn to it.',
  'raise.mark.box': (s) =>
    `Draw a box around the ${s.text('dart')} dart, level at top and bottom, upright at its inner end. Mark where the bust point is to be, ${s.both('by')} higher.`,
  'lower.mark.box': (s) =>
    `Draw a box around the ${s.text('dart')} dart, level at top and bottom, upright at its inner end. Mark where the bust point is to be, ${s.both('by')} lower.`,
  'raise.mark.tip': (s) => `Mark where the tip is to point, ${s.both('by')} higher.`,
  'lower.mark.tip': (s) => `Mark where the tip is to point, ${s.both('by')} lower.`,
  'raise.cut': () => 'Cut the box out of a tracing.',
  'raise.slide': (s) => `Slide the box up by ${s.both('by')} along the side. Tape paper behind the gap.`,
  'lower.slide': (s) => `Slide the box down by ${s.both('by')} along the side. Tape paper behind the gap.`,
  'raise.retip': (s) =>
    `Draw the ${s.text('dart')} dart again from its ends on the seam to the new tip; lengthen the shorter leg past the seam and shorten the longer by half of what they differ, so that they close.`,
  'raise.bustPoint': () => 'The bust point goes with it.',
  'raise.others': (s) => `Move the tip of the other dart by the same ${s.both('by')}; its legs must still be equal.`,
  'raise.true': () => 'Draw the side seam straight again above and below the dart; closed, it is as long as before.',
  'bustPoint.mark': (s) => `Mark the bust point, ${SOURCES[s.text('source')] ?? s.text('source')}.`,
  'bustPoint.moved': (s) => `That is ${s.len('by')} from where it was.`,
  'bustPoint.tip.side': (s) =>
    `Draw the side dart to it: its tip ${s.both('setback')} behind the bust point, legs equal.`,
  'bustPoint.tip.french': (s) =>
    `Draw the French dart to it: its tip ${s.both('setback')} behind the bust point, legs equal.`,
  'bustPoint.tip.waist': (s) =>
    `Draw the waist dart to it: its tip ${s.both('setback')} below the bust point, legs equal.`,
};
