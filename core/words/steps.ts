import type { Sentence } from './say.ts';

const SOURCES: Readonly<Record<string, string>> = {
  placed: 'where you put it',
  wearer: 'from the wearer’s own bust height and span',
  pattern: 'where the pattern marks it',
  darts: 'where the centre lines of the two darts cross',
  tip: 'just beyond the tip of the side dart',
};

/** What the hands do, one sentence for each code a program may say. */
export const STEP_WORDS: Readonly<Record<string, Sentence>> = {
  'fba.mark.bustPoint': (s) => `Mark the bust point, ${SOURCES[s.text('source')] ?? s.text('source')}.`,
  'fba.mark.lines': () =>
    'Draw line 1 from the waist straight up the grain to the bust point, then on to the armhole seam line below the notch. Draw line 2 through the middle of the side dart to the bust point. Draw line 3 from the centre front across to line 1, square to the grain.',
  'fba.cut': () =>
    'Cut line 1 from the waist up to the armhole seam line, not through it; clip the seam allowance from outside to meet it. Cut line 2 to the bust point, leaving a thread of paper. Leave line 3 until the paper lies open. Cut a tracing, never your only original; cut away from you.',
  'fba.open': (s) =>
    `Swing the side about the hinge until line 1 is open by ${s.both('s')} at the bust point, measured square to the line. The side turns ${s.num('degrees', 1)}°; both edges below the bust point stay parallel.`,
  'fba.lap': (s) =>
    `Swing the side in about the hinge until it overlaps line 1 by ${s.both('s')} at the bust point, measured square to the line. The side turns ${s.num('degrees', 1)}°; both edges below the bust point stay parallel.`,
  'fba.level.down': (s) =>
    `Cut line 3 and drop the lower centre front by ${s.both('dy')} until the waist is level. Tape paper behind.`,
  'fba.level.up': (s) =>
    `Cut line 3 and raise the lower centre front by ${s.both('dy')} until the waist is level. Tape down.`,
  'fba.bustPoint.middle': () => 'Mark the new bust point in the middle of the gap, level with the moved one.',
  'fba.bustPoint.moved': () => 'The new bust point is the one that moved with the side.',
  'fba.dart.retip': (s) =>
    `Draw the side dart again: its tip ${s.both('setback')} behind the new bust point, then sideways until both legs are equal.`,
  'fba.waistDart.keep': (s) => `Keep the waist dart as wide as it was: bring each leg in by half of ${s.len('s')}.`,
  'fba.waistDart.retip': (s) => `Draw the waist dart again with its tip ${s.len('below')} below the new bust point.`,
  'fba.waistDart.wider': (s) =>
    `Let the waist dart take the ${s.len('s')}: join the opened legs to a tip ${s.len('below')} below the new bust point.`,
  'fba.waistDart.narrower': (s) =>
    `The waist dart is narrower by ${s.len('s')}: join its legs to a tip ${s.len('below')} below the new bust point.`,
  'fba.true.armhole': () => 'Smooth the small corner in the armhole at the hinge; its length stays.',
  'fba.true.taper': (s) =>
    `Take the extra ${s.len('s')} off at the side seam, from the waist to nothing at the dart, ${s.text('shape') === 'curved' ? 'in a curve' : 'straight'}; draw the waist square to it.`,
  'fba.true.addBack': (s) =>
    `Give the ${s.len('s')} back at the side seam, from the waist to nothing at the dart, ${s.text('shape') === 'curved' ? 'in a curve' : 'straight'}; draw the waist square to it.`,
  'fba.true.waist': () => 'Smooth the waist line.',
  'fba.true.cap': () =>
    'Fold the side dart closed, pressed down, and trim along the side seam: that gives the dart its shaped end.',
  'fba.true.capWaist': () => 'Fold the waist dart closed towards the centre and trim along the waist.',
  'fba.match': () =>
    'Walk the front side seam along the back, darts closed: lengths and notches must meet. The armhole, shoulder and neck are as long as before.',
};

export const STAGE_WORDS: Readonly<Record<string, { readonly name: string; readonly lapName?: string }>> = {
  mark: { name: 'Mark' },
  cut: { name: 'Cut' },
  open: { name: 'Open', lapName: 'Lap' },
  level: { name: 'Level' },
  dart: { name: 'Dart' },
  true: { name: 'True' },
  match: { name: 'Match' },
};
