import type { Speaker, Words } from '../../../speech/index.ts';
import { en, inWords } from '../../../speech/index.ts';

const SOURCES: Readonly<Record<string, string>> = inWords({
  placed: 'where you put it',
  wearer: 'from the wearer’s own bust height and span',
  waist: 'up from the waist and half the span from the centre, as the wearer measures',
  pattern: 'where the pattern marks it',
  darts: 'where the centre lines of the two darts cross',
  tip: 'just beyond the tip of the side dart',
});

const hinge = (s: Speaker): string => HINGES[s.text('hinge')] ?? 'armhole seam line';

const HINGES: Readonly<Record<string, string>> = {
  armhole: 'armhole seam line below the notch',
  raglan: 'raglan seam line, two thirds of the way down',
  underarm: 'seam line of the underarm curve',
};

/** Why it is a little more than half of the amount. */
const more = (s: Speaker): string =>
  Number(s.text('more')) >= 0.5
    ? ` That is ${s.len('more')} more than half of the amount: truing the seams at the apex takes it back.`
    : '';

export const words = {
  steps: {
    'fba.mark.bustPoint': (s) => `Mark the bust point, ${SOURCES[s.text('source')] ?? s.text('source')}.`,
    'fba.mark.lines': (s) =>
      en`Draw line 1 from the lower edge straight up the grain to the bust point, then on to the ${hinge(s)}. Draw line 2 through the middle of the side dart to the bust point. Draw line 3 from the centre front across to line 1, square to the grain.`,
    'fba.mark.lines.noDart': (s) =>
      en`Draw line 1 from the lower edge straight up the grain to the bust point, then on to the ${hinge(s)}. Draw line 2 to the bust point from the side seam, ${s.both('below')} below the underarm. Draw line 3 from the centre front across to line 1, square to the grain.`,
    'fba.mark.lines.two': (s) =>
      en`Draw line 1 from the lower edge straight up the grain to the bust point, then on to the ${hinge(s)}. Draw line 2 to the bust point from the side seam, ${s.both('below')} below the underarm. Draw line 3 from the centre front across to line 1, square to the grain. Draw line 4 from the bust point up to the overarm seam line.`,
    'fba.mark.goal': (s) =>
      `Draw the legs of the ${s.text('dart')} dart on to the bust point; you will need them later.`,
    'fba.cut': (s) =>
      `Cut line 1 from the lower edge up to the ${s.text('hinge')} seam line, not through it; clip the seam allowance from outside to meet it. Cut line 2 to the bust point, leaving a thread of paper. Leave line 3 until the paper lies open. Cut a tracing, never your only original; cut away from you.`,
    'fba.cut.lapGoal': (s) =>
      `Cut line 1 from the lower edge up to the ${s.text('hinge')} seam line, not through it; clip the seam allowance from outside to meet it. Cut along one leg of the ${s.text('dart')} dart to the bust point, leaving a thread of paper. Leave line 3 until the paper lies lapped. Cut a tracing, never your only original; cut away from you.`,
    'fba.cut.two': () =>
      'Cut lines 1 and 4 up to the seam lines of underarm and overarm, not through them; clip the seam allowance from outside to meet them. Cut line 2 to the bust point, leaving a thread of paper. Leave line 3 until the paper lies open. Cut a tracing, never your only original; cut away from you.',
    'fba.open': (s) =>
      `Swing the side about the hinge until line 1 is open by ${s.both('s')} at the bust point, measured square to the line. The side turns ${s.num('degrees', 1)}°; both edges below the bust point stay parallel.`,
    'fba.lap': (s) =>
      `Swing the side in about the hinge until it overlaps line 1 by ${s.both('s')} at the bust point, measured square to the line. The side turns ${s.num('degrees', 1)}°; both edges below the bust point stay parallel.`,
    'fba.open.two': (s) =>
      `Swing the sleeve about its hinge on the overarm, and the side about its hinge at the underarm, until line 1 is open by ${s.both('s')} at the bust point, measured square to the line. The side turns ${s.num('degrees', 1)}° in all; both edges below the bust point stay parallel.`,
    'fba.lap.two': (s) =>
      `Swing sleeve and side in about the hinge on the overarm until line 1 overlaps by ${s.both('s')} at the bust point, measured square to the line. Both edges below the bust point stay parallel.`,
    'fba.lap.goal': (s) =>
      `Swing the paper between the ${s.text('dart')} dart and the hinge about the bust point, so that the dart becomes narrower by ${s.num('degrees', 1)}°, and let the side go with it until it overlaps line 1 by ${s.both('s')} at the bust point, measured square to the line. Line 2 stays shut.`,
    'fba.level.down': (s) =>
      en`Cut line 3 and drop the lower centre front by ${s.both('dy')} until the lower edge is level. Tape paper behind.`,
    'fba.level.up': (s) =>
      en`Cut line 3 and raise the lower centre front by ${s.both('dy')} until the lower edge is level. Tape down.`,
    'fba.close.hem': () =>
      'Swing the lower side about the moved bust point until line 2 is shut again. What opened at the side now hangs to the hem.',
    'fba.close.waist': () =>
      'Swing the lower side about the moved bust point until line 2 is shut again. What opened at the side is now in the waist dart.',
    'fba.close.goal': (s) =>
      `Cut along one leg of the ${s.text('dart')} dart to the bust point and fold line 2 shut: the paper between the two swings about the moved bust point, and the ${s.text('dart')} dart opens by as much (${s.num('degrees', 1)}°).`,
    'fba.close.goal.lap': (s) =>
      `Cut along one leg of the ${s.text('dart')} dart to the bust point and let line 2 meet edge to edge again: the paper between the two swings about the moved bust point, and the ${s.text('dart')} dart becomes narrower (${s.num('degrees', 1)}°).`,
    'fba.bustPoint.middle': () => 'Mark the new bust point in the middle of the gap, level with the moved one.',
    'fba.bustPoint.moved': () => 'The new bust point is the one that moved with the side.',
    'fba.dart.retip': (s) =>
      `Draw the side dart again: its tip ${s.both('setback')} behind the new bust point, then sideways until both legs are equal.`,
    'fba.dart.retip.goal': (s) =>
      `Draw the ${s.text('dart')} dart again: its tip ${s.both('setback')} from the new bust point, then sideways until both legs are equal.`,
    'fba.dart.new': () =>
      'What opened in the side seam is the new dart: draw its legs from the seam to the moved bust point.',
    'fba.dart.ease': (s) =>
      `The side seam has opened by ${s.both('intake')}: no dart. Mark a notch on each side of it and ease that much in.`,
    'fba.waistDart.keep': (s) => `Keep the waist dart as wide as it was: bring each leg in by half of ${s.len('s')}.`,
    'fba.waistDart.retip': (s) => `Draw the waist dart again with its tip ${s.len('below')} below the new bust point.`,
    'fba.waistDart.wider': (s) =>
      `Let the waist dart take the ${s.len('s')}: join the opened legs to a tip ${s.len('below')} below the new bust point.`,
    'fba.waistDart.narrower': (s) =>
      `The waist dart is narrower by ${s.len('s')}: join its legs to a tip ${s.len('below')} below the new bust point.`,
    'fba.doubleDart.wider': (s) =>
      `Let the double-pointed dart take the ${s.len('s')}: its tips lie in the middle of what has opened; draw the legs to them from the widest line.`,
    'fba.doubleDart.narrower': (s) =>
      `The double-pointed dart is narrower by ${s.len('s')}: draw its legs again from the widest line to both tips.`,
    'fba.doubleDart.keep': (s) =>
      `Draw the double-pointed dart again as wide as it was, in the middle of what has changed by ${s.len('s')}.`,
    'fba.true.levels': () =>
      'Take what is too wide at waist, hip and hem off at the side seam, from nothing at the bust line, and draw the side in one line through the marks.',
    'fba.true.levels.lap': () =>
      'Give waist, hip and hem their lost width back at the side seam, from nothing at the bust line, and draw the side in one line through the marks.',
    'fba.true.hinge': (s) => `Smooth the small corner in the ${s.text('hinge')} seam at the hinge; its length stays.`,
    'fba.true.relevel': (s) =>
      en`Draw the ${s.text('role')} again in one line, square to the centre front and square to the side seam.`,
    'fba.true.keep': (s) => `Leave the change in the ${s.text('role')}: what is sewn to it has to follow.`,
    'fba.true.taper': (s) =>
      `Take what is too wide off at the side seam, from the ${s.text('role')} to nothing at the dart or line 2, ${s.text('shape') === 'curved' ? 'in a curve' : 'straight'}; draw the ${s.text('role')} square to it.`,
    'fba.true.addBack': (s) =>
      `Give the lost width back at the side seam, from the ${s.text('role')} to nothing at the dart or line 2, ${s.text('shape') === 'curved' ? 'in a curve' : 'straight'}; draw the ${s.text('role')} square to it.`,
    'fba.true.waist': (s) => `Smooth the ${s.text('role')}.`,
    'fba.true.cap': (s) =>
      ['side', 'french'].includes(s.text('dart'))
        ? 'Fold the dart closed, pressed down, and trim along the side seam: that gives the dart its shaped end.'
        : en`Fold the ${s.text('dart')} dart closed, pressed towards the centre, and trim along the seam: that gives the dart its shaped end.`,
    'fba.true.capWaist': () => en`Fold the waist dart closed towards the centre and trim along the waist.`,
    'fba.match': () =>
      'Walk the front side seam along the back, darts closed: lengths and notches must meet. Armhole or raglan, shoulder and neck are as long as before.',
    'princess.mark.side': (s) =>
      `On the side front, draw line 1 up along the inside of the princess seam line from the lower edge to the apex notch, then on to the armhole seam line. Draw line 2 from the side seam, ${s.both('below')} below the underarm, to the apex notch. Draw line 3 from the princess seam across to line 1, a little below the notch.`,
    'princess.mark.centre': () =>
      en`On the centre front, draw lines 5 and 6 straight across from the princess seam to the centre front: at the apex notch, and as far below it as line 3 is on the side front.`,
    'princess.cut': () =>
      'Cut line 1 from the lower edge up to the armhole seam line, not through it; clip the seam allowance from outside to meet it. Cut line 2 to line 1, leaving a thread of paper. Leave line 3 until the paper lies open. Cut a tracing, never your only original; cut away from you.',
    'princess.open': (s) =>
      `Swing the side about the hinge until line 1 is open by ${s.both('s')} at the apex, measured square to the line. The side turns ${s.num('degrees', 1)}°.${more(s)}`,
    'princess.lap': (s) =>
      `Swing the side in about the hinge until it overlaps line 1 by ${s.both('s')} at the apex, measured square to the line. The side turns ${s.num('degrees', 1)}°.${more(s)}`,
    'princess.level.down': (s) =>
      en`Cut line 3 and drop the sliver below it by ${s.both('dy')} until the lower edge is level. Spread line 6 of the centre front by the same.`,
    'princess.level.up': (s) =>
      en`Cut line 3 and raise the sliver below it by ${s.both('dy')} until the lower edge is level. Lap line 6 of the centre front by the same.`,
    'princess.close': (s) =>
      `Cut on from line 2 to the apex notch and swing all that lies below until the side seam is shut: the princess seam opens at the notch. Its seam is now ${s.both('grown')} longer.`,
    'princess.close.lap': (s) =>
      `Cut on from line 2 to the apex notch and swing all that lies below until the side seam meets edge to edge: the paper laps at the notch. Its seam is now ${s.both('grown')} shorter.`,
    'princess.centre': (s) =>
      en`Spread line 5 of the centre front by ${s.both('apex')}, straight, so that both princess seams have grown by the same.`,
    'princess.centre.lap': (s) =>
      en`Lap line 5 of the centre front by ${s.both('apex')}, straight, so that both princess seams have lost the same.`,
    'princess.apex': () => 'Mark the new apex where line 2 met the seam.',
    'princess.notch': () =>
      'Put the apex notch on both seams in the middle of what was added or taken, as far from the top on one as on the other.',
    'princess.grain': (s) =>
      `Draw the grain of the side front again, square to a straight line from end to end of its ${s.text('role')}.`,
    'princess.true.seam': () => 'Draw the princess seam again around the apex in one smooth line.',
    'princess.match': () =>
      en`Walk the princess seams of centre front and side front against each other, notch to notch: no more than 1 mm may be left over. Walk the side seam along the back.`,
  },
} satisfies Words;
