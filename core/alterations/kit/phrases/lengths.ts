import type { Speaker } from '../../../speech/index.ts';

export const LINES: Readonly<Record<string, string>> = {
  belowBust: 'between bust and waist',
  aboveBust: 'above the bust, through the armhole',
  both: 'above the bust through the armhole, and between bust and waist',
  belowWaist: 'between waist and hip',
  hem: 'just above the hem, so that the hem keeps its shape',
};

export const SHARED: Readonly<Record<string, string>> = {
  underarm: 'the underarm corner',
  bottom: 'the lower end of the side seam',
  notch: 'the first notch of the side seam',
  skirtWaist: 'the waist corner of the skirt',
};

export const where = (s: Speaker): string =>
  s.text('where') === 'own'
    ? `${s.both('away')} ${s.text('side')} ${SHARED[s.text('from')] ?? s.text('from')}, measured along the side seam with its darts shut`
    : (LINES[s.text('where')] ?? s.text('where'));

export const LEVELS: Readonly<Record<string, string>> = {
  underarm: 'underarm',
  bust: 'bust',
  waist: 'waist',
  hip: 'hip',
};

export const level = (s: Speaker): string => LEVELS[s.text('level')] ?? s.text('level');

const VERB: Readonly<Record<string, string>> = { spread: 'Spread', lap: 'Lap' };

/** What is done to an arm or a leg at its lines: "Spread the sleeve by 2.0 cm above the elbow and by 1.0 cm below". */
export function inParts(s: Speaker, what: string, joint: string): string {
  const [above, below] = [s.text('turnAbove'), s.text('turnBelow')];
  if (s.text('where') === 'whole') return `${VERB[above] ?? VERB['lap']} ${what} by ${s.both('above')}`;
  if (above === 'none') return `${VERB[below] ?? VERB['lap']} ${what} by ${s.both('below')} below the ${joint}`;
  const first = `${VERB[above] ?? VERB['lap']} ${what} by ${s.both('above')} above the ${joint}`;
  if (below === 'none') return first;
  return `${first} and ${below === above ? '' : `${below} it `}by ${s.both('below')} below`;
}

/** Paper has to be taped behind somewhere. */
export const spreads = (s: Speaker): boolean => s.text('turnAbove') === 'spread' || s.text('turnBelow') === 'spread';
