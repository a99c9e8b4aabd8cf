import { formatLength, formatShare } from '../units/index.ts';
import { counted, noun } from './plural.ts';
import type { Speaker, Units } from './speaker.ts';

/** What a sentence may name, as an example of each. */
const EXAMPLES: Readonly<Record<string, string>> = {
  piece: 'Front',
  name: 'Front',
  dart: 'side',
  size: '4',
  edge: 'armhole',
  role: 'side',
  kind: 'side',
  seam: 'side',
  hinge: 'armhole',
  key: 'fullBust',
  count: '2',
  panels: '2',
  pieces: '2',
  file: 'front.svg',
  text: 'abc',
  where: 'hem',
  fault: 'outline-crosses',
  problem: 'outline-crosses',
  names: 'Front and Back',
  why: 'document-invalid',
};

/**
 * Says a sentence with examples instead of data, for pages that show what may be said, and for a test that walks every
 * sentence: a count is `count`, a length `length` mm.
 */
export function sampleSpeaker({ unit, fraction }: Units, { length = 20, count = 2 } = {}): Speaker {
  const len = formatLength(length, unit, { fraction });
  const sample: Speaker = {
    len: () => len,
    signed: () => formatLength(length, unit, { fraction, sign: true }),
    plus: () => `${length < 0 ? '−' : '+'} ${formatLength(Math.abs(length), unit, { fraction })}`,
    both: () => len,
    num: (_key, digits = 0) => count.toFixed(digits),
    count: (_key, one, other) => counted(count, one, other),
    noun: (_key, one, other) => noun(count, one, other),
    text: (key) => (EXAMPLES[key] === '2' ? String(count) : (EXAMPLES[key] ?? key)),
    share: (_key, parts) => formatShare(length, parts, unit, { fraction, sign: true }),
    adding: () => sample,
  };
  return sample;
}
