import type { Words } from '../../../speech/index.ts';
import { CUT_A_TRACING } from '../../kit/phrases/caution.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = {
  names: {
    'upper-arm': both(
      'Full upper arm',
      'Slim upper arm',
      'The sleeve is slashed along the grain and across the biceps line. The upper halves turn about the top of the cap, the lower ones about the hem, and the cap is drawn again at its old height. The underarm seams keep their length.',
      'around the upper arm',
    ),
  },
  why: {
    'why.upper-arm': () => 'There is a set-in sleeve with a cap, two underarm seams and a hem.',
  },
  steps: {
    'upperArm.mark': () =>
      'Trace the cap and set the tracing aside. Draw line 1 along the grain from the top of the cap to the hem, and line 2 from underarm point to underarm point: the biceps line.',
    'upperArm.cut': () =>
      `Cut line 1 from the middle up to a pin at the top of the cap and down to a pin at the hem, and line 2 out to a pin at each underarm point. ${CUT_A_TRACING}`,
    'upperArm.cutThrough': () =>
      `Cut line 1 right through the hem and up to a pin at the top of the cap, and line 2 out to a pin at each underarm point. ${CUT_A_TRACING}`,
    'upperArm.open': (s) =>
      `Spread the upper halves about the pin at the top until line 1 opens by ${s.both('opened')} at the biceps line; let the lower halves swing with them. They lap there by ${s.both('lap')} at the middle. The sleeve is ${s.both('by')} wider at the underarm. Tape paper behind.`,
    'upperArm.lap': (s) =>
      `Lap the upper halves about the pin at the top by ${s.both('opened')} at the biceps line; let the lower halves swing with them. A gap of ${s.both('lap')} opens there at the middle. The sleeve is ${s.both('by')} narrower at the underarm.`,
    'upperArm.cap': (s) =>
      `Lay the traced cap with its biceps line on the new one: its top lies ${s.both('drop')} above the pin. Draw each half from the notch to the new underarm point. The cap was ${s.both('was')} long and is now ${s.both('now')}.`,
    'upperArm.capTrim': (s) =>
      `Lay the traced cap with its biceps line on the new one: its top lies ${s.both('drop')} below the pin. Draw each half from the notch to the new underarm point and trim what stands above. The cap was ${s.both('was')} long and is now ${s.both('now')}.`,
    'upperArm.hem': () => 'Draw the hem smoothly from seam to seam again.',
    'upperArm.cuff': (s) => `Gather ${s.both('wrist')} more of the hem into the cuff.`,
    'upperArm.keep': (s) =>
      `Keep the difference as ease: the armholes are ${s.both('armhole')}, and the cap has ${s.both('easeNow')} to ease into them instead of ${s.both('easeWas')}.`,
    'upperArm.lower': (s) =>
      `Change the height of the cap until it is ${s.both('was')} long again: it fits the armholes as before.`,
    'upperArm.notches': () => 'Mark the notches of the cap where the armhole’s notches meet it.',
    'upperArm.underarm': (s) =>
      `Move the underarm points of front and back in or out and draw the armholes to them from the notch, until they have grown or shrunk by as much as the cap: its ease stays ${s.both('easeWas')}. The side seams keep their length.`,
    'upperArm.match': () =>
      'Walk the underarm seams of the sleeve: they are as long as before. Walk the cap along the armholes.',
  },
} satisfies Words;
