import type { Words } from '../../../speech/index.ts';
import { inWords } from '../../../speech/index.ts';

const SOURCES: Readonly<Record<string, string>> = inWords({
  placed: 'where you put it',
  wearer: 'from the wearer’s own bust height and span',
  waist: 'up from the waist and half the span from the centre, as the wearer measures',
  pattern: 'where the pattern marks it',
  darts: 'where the middle lines of the darts cross',
  tip: 'just beyond the tip of the dart',
});

export const words = {
  names: {
    'bust-point': {
      name: 'Bust point',
      lapName: 'Bust point',
      about: 'Finds the bust point, or moves it to the wearer’s own. The darts that aim at it go with it, or stay.',
      over: '',
    },
  },
  why: {
    'why.bustPoint': () => 'The front is in one piece, its darts aim at one bust point.',
  },
  steps: {
    'bustPoint.mark': (s) => `Mark the bust point, ${SOURCES[s.text('source')] ?? s.text('source')}.`,
    'bustPoint.moved': (s) => `That is ${s.len('by')} from where it was.`,
    'bustPoint.tip.side': (s) =>
      `Draw the side dart to it: its tip ${s.both('setback')} behind the bust point, legs equal.`,
    'bustPoint.tip.french': (s) =>
      `Draw the French dart to it: its tip ${s.both('setback')} behind the bust point, legs equal.`,
    'bustPoint.tip.waist': (s) =>
      `Draw the waist dart to it: its tip ${s.both('setback')} below the bust point, legs equal.`,
  },
} satisfies Words;
