import type { Sentence, Speaker } from './say.ts';

/** Why it is a little more than half of the amount. */
const more = (s: Speaker): string =>
  Number(s.text('more')) >= 0.5
    ? ` That is ${s.len('more')} more than half of the amount: truing the seams at the apex takes it back.`
    : '';

/** What the hands do on panels. */
export const PRINCESS_STEPS: Readonly<Record<string, Sentence>> = {
  'princess.mark.side': (s) =>
    `On the side front, draw line 1 up along the inside of the princess seam line from the lower edge to the apex notch, then on to the armhole seam line. Draw line 2 from the side seam, ${s.both('below')} below the underarm, to the apex notch. Draw line 3 from the princess seam across to line 1, a little below the notch.`,
  'princess.mark.centre': () =>
    'On the centre front, draw lines 5 and 6 straight across from the princess seam to the centre front: at the apex notch, and as far below it as line 3 is on the side front.',
  'princess.cut': () =>
    'Cut line 1 from the lower edge up to the armhole seam line, not through it; clip the seam allowance from outside to meet it. Cut line 2 to line 1, leaving a thread of paper. Leave line 3 until the paper lies open. Cut a tracing, never your only original; cut away from you.',
  'princess.open': (s) =>
    `Swing the side about the hinge until line 1 is open by ${s.both('s')} at the apex, measured square to the line. The side turns ${s.num('degrees', 1)}°.${more(s)}`,
  'princess.lap': (s) =>
    `Swing the side in about the hinge until it overlaps line 1 by ${s.both('s')} at the apex, measured square to the line. The side turns ${s.num('degrees', 1)}°.${more(s)}`,
  'princess.level.down': (s) =>
    `Cut line 3 and drop the sliver below it by ${s.both('dy')} until the lower edge is level. Spread line 6 of the centre front by the same.`,
  'princess.level.up': (s) =>
    `Cut line 3 and raise the sliver below it by ${s.both('dy')} until the lower edge is level. Lap line 6 of the centre front by the same.`,
  'princess.close': (s) =>
    `Cut on from line 2 to the apex notch and swing all that lies below until the side seam is shut: the princess seam opens at the notch. Its seam is now ${s.both('grown')} longer.`,
  'princess.close.lap': (s) =>
    `Cut on from line 2 to the apex notch and swing all that lies below until the side seam meets edge to edge: the paper laps at the notch. Its seam is now ${s.both('grown')} shorter.`,
  'princess.centre': (s) =>
    `Spread line 5 of the centre front by ${s.both('apex')}, straight, so that both princess seams have grown by the same.`,
  'princess.centre.lap': (s) =>
    `Lap line 5 of the centre front by ${s.both('apex')}, straight, so that both princess seams have lost the same.`,
  'princess.apex': () => 'Mark the new apex where line 2 met the seam.',
  'princess.notch': () =>
    'Put the apex notch on both seams in the middle of what was added or taken, as far from the top on one as on the other.',
  'princess.true.seam': () => 'Draw the princess seam again around the apex in one smooth line.',
  'princess.match': () =>
    'Walk the princess seams of centre front and side front against each other, notch to notch: no more than 1 mm may be left over. Walk the side seam along the back.',
  'princessLine.mark': () =>
    'Draw a line from the armhole to the bust point where the seam is to run, and draw the legs of both darts on to the bust point.',
  'princessLine.turn': (s) =>
    `Cut along the line to the bust point and fold the ${s.text('dart')} dart shut: the armhole opens.`,
  'princessLine.divide': () =>
    'Cut along the legs, from the armhole over the bust point to the waist: centre front and side front. Round off the corner at the bust point on both.',
  'princessLine.match': () =>
    'Walk the two princess seams against each other from the notch both ways. Add seam allowance to both edges.',
  'apex.mark': () =>
    'Draw a box around the apex on centre front and side front, level at top and bottom, straight at the inner edge.',
  'apex.cut': () => 'Cut both boxes out of a tracing.',
  'apex.up': (s) => `Slide both boxes up by ${s.both('by')}, straight along the grain. Tape paper behind the gap.`,
  'apex.down': (s) => `Slide both boxes down by ${s.both('by')}, straight along the grain. Tape paper behind the gap.`,
  'apex.match': () => 'Walk the two princess seams against each other: apex notches must meet, lengths to 1 mm.',
};
