import { step, type Cause } from './cause.ts';

/** What trousers show, and why; from the waist down. */
export const TROUSER_CAUSES: readonly Cause[] = [
  {
    id: 'rise-longer',
    signs: {
      'crotch-cuts-in': 0.65,
      'sitting-crotch-cuts': 0.6,
      'sitting-waist-dips': 0.25,
      'crotch-pulls-front': 0.2,
      'seat-pulls': 0.2,
    },
    against: ['crotch-hangs'],
    reads: [{ key: 'crotchDepth', way: 1 }],
    remedy: step(['crotch-depth'], 1, { 'crotch-cuts-in': 1, 'sitting-crotch-cuts': 1 }),
  },
  {
    id: 'rise-shorter',
    signs: { 'crotch-hangs': 0.65, 'seat-bags': 0.3, 'crotch-folds-front': 0.2, 'sitting-front-folds': 0.2 },
    against: ['crotch-cuts-in'],
    reads: [{ key: 'crotchDepth', way: -1 }],
    remedy: step(['crotch-depth'], -1, { 'crotch-hangs': 1 }),
  },
  {
    id: 'seat-fuller',
    signs: { 'seat-pulls': 0.6, 'back-waist-dips': 0.55, 'sitting-waist-dips': 0.55, 'hip-wrinkles': 0.2 },
    against: ['seat-bags'],
    reads: [{ key: 'crotchLength', way: 1 }],
    remedy: step(['full-seat-trousers'], 1, { 'seat-pulls': 1, 'back-waist-dips': 1, 'sitting-waist-dips': 1 }),
  },
  {
    id: 'seat-flatter',
    signs: { 'seat-bags': 0.6 },
    against: ['seat-pulls', 'back-waist-dips'],
    reads: [{ key: 'crotchLength', way: -1 }],
    remedy: step(['full-seat-trousers'], -1, { 'seat-bags': 1 }),
  },
  {
    id: 'belly-fuller',
    signs: { 'crotch-pulls-front': 0.5 },
    against: ['crotch-folds-front', 'front-waist-stands'],
    reads: [{ key: 'crotchLength', way: 1 }],
    remedy: step(['crotch-length'], 1, { 'crotch-pulls-front': 1 }, { values: { takes: 'belly' } }),
  },
  {
    id: 'belly-flatter',
    signs: { 'crotch-folds-front': 0.5, 'sitting-front-folds': 0.4 },
    against: ['crotch-pulls-front'],
    reads: [{ key: 'crotchLength', way: -1 }],
    remedy: step(
      ['crotch-length'],
      -1,
      { 'crotch-folds-front': 1, 'sitting-front-folds': 1 },
      { values: { takes: 'belly' } },
    ),
  },
  {
    id: 'pelvis-tipped',
    signs: { 'front-waist-stands': 0.65, 'crotch-folds-front': 0.25 },
    reads: [],
    remedy: step(['front-dip'], 1, { 'front-waist-stands': 1 }),
  },
  {
    id: 'thigh-fuller',
    signs: { 'thigh-tight': 0.65, 'sitting-thigh-tight': 0.6, 'crotch-pulls-front': 0.3 },
    against: ['thigh-loose'],
    reads: [{ key: 'thigh', way: 1 }],
    remedy: step(['thigh'], 1, { 'thigh-tight': 1, 'sitting-thigh-tight': 1 }),
  },
  {
    id: 'thigh-slimmer',
    signs: { 'thigh-loose': 0.65 },
    against: ['thigh-tight'],
    reads: [{ key: 'thigh', way: -1 }],
    remedy: step(['thigh'], -1, { 'thigh-loose': 1 }),
  },
  {
    id: 'leg-longer',
    signs: { 'leg-short': 0.65 },
    against: ['leg-long'],
    reads: [{ key: 'outsideLeg', way: 1 }],
    remedy: step(['leg-length'], 1, { 'leg-short': 1 }),
  },
  {
    id: 'leg-shorter',
    signs: { 'leg-long': 0.65 },
    against: ['leg-short'],
    reads: [{ key: 'outsideLeg', way: -1 }],
    remedy: step(['leg-length'], -1, { 'leg-long': 1 }),
  },
  {
    id: 'leg-off-grain',
    signs: { 'leg-twists': 0.6 },
    reads: [],
    remedy: { kind: 'advice' },
  },
];
