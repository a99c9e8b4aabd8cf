import { describe, expect, it } from 'vitest';
import { samplePattern, type SampleId } from '../../blocks/index.ts';
import { wearerWith, type Readings } from '../../testing/wearers.ts';
import { draft } from './index.ts';

/** The body of size 4, but for what is told of it. */
function askedOf(sample: SampleId, differs: Readings) {
  const pattern = samplePattern(sample);
  const row = pattern.chart.find((r) => r.size === '4')?.body ?? {};
  const d = draft({
    job: { size: null, sizeMethod: 'highBust', steps: [] },
    wearer: wearerWith({ ...row, ...differs }),
    pattern,
  });
  return {
    size: d.size,
    bust: Math.round(Number(d.asks.find((a) => 'total' in a.fit.values)?.fit.values['total'] ?? 0)),
    asks: d.asks
      .filter((a) => !('total' in a.fit.values))
      .map((a) => [a.alteration, a.fit.values['by'] ?? a.fit.values['waistSize'] ?? a.fit.values['waist']]),
  };
}

/** What a careful dressmaker would do for each, and leave; the reason first. */
const BODIES: readonly (readonly [
  why: string,
  sample: SampleId,
  body: Readings,
  bust: number,
  asks: readonly (readonly [string, unknown])[],
])[] = [
  [
    'two or three millimetres here and there are the tape, not the body',
    'causeway',
    { fullBust: 922, waist: 737, hip: 993, shoulder: 124, crossBack: 353, napeToWaist: 406, sideWaist: 194 },
    0,
    [],
  ],
  ['a fuller bust on the same frame is let out at the front and nowhere else', 'causeway', { fullBust: 968 }, 48, []],
  ['a narrow shoulder alone: 122 on the draft, 113 on her', 'causeway', { shoulder: 113 }, 0, [['shoulder-slash', -9]]],
  [
    'short all round is one fold across, not a fold and a swayback',
    'causeway',
    { sideWaist: 184, napeToWaist: 392 },
    0,
    [['length-line', -12]],
  ],
  [
    'a hollow back: the side is right, the centre back 12 too long',
    'causeway',
    { napeToWaist: 392 },
    0,
    [['swayback-waist-seam', 12]],
  ],
  [
    'a hollow back without a waist seam: folded out across, and no length made good for it',
    'causeway-shirt',
    { napeToWaist: 390 },
    0,
    [['swayback-fold', 14]],
  ],
  [
    'long from underarm to waist, front and back: one line, spread',
    'causeway',
    { sideWaist: 210, napeToWaist: 418 },
    0,
    [['length-line', 14]],
  ],
  [
    'a thicker waist over the same hips: out at the waist only, to the size that has it',
    'causeway',
    { waist: 778 },
    0,
    [['grade-between-sizes', '5']],
  ],
  [
    'sloping shoulders alone: the armhole goes down with them, and no length is short for it',
    'causeway',
    { shoulderSlope: 46 },
    0,
    [['shoulder-slope', 7.3]],
  ],
  ['shoulders that slope a great deal', 'causeway', { shoulderSlope: 55 }, 0, [['shoulder-slope', 16.3]]],
  ['square shoulders alone', 'causeway', { shoulderSlope: 28 }, 0, [['shoulder-slope', -10.7]]],
  ['a broad back: 16 across, shared by its halves', 'causeway', { crossBack: 371 }, 0, [['back-width', 16]]],
  [
    'a loose shirt has room for a fuller waist and hip, and for 30 more at the bust',
    'causeway-shirt',
    { fullBust: 950, waist: 800, hip: 1010 },
    0,
    [],
  ],
  ['a knit gives half of what a bust is fuller by', 'ebb', { fullBust: 960 }, 20, []],
  [
    'two readings 14 apart at the waist say no more than that it is about the draft’s',
    'causeway',
    { waist: [741, 755] },
    0,
    [],
  ],
];

describe('the plan a careful dressmaker would make', () => {
  it.each(BODIES)('%s', (_, sample, body, bust, asks) => {
    expect(askedOf(sample, body)).toEqual({ size: '4', bust, asks });
  });
});
