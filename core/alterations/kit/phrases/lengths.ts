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
