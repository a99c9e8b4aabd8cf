import {
  flatMeasure,
  PATTERN_VERSION,
  withoutBustLine,
  type ChartRow,
  type Pattern,
  type Piece,
} from '../pattern/index.ts';
import { expectOk } from '../units/index.ts';
import { PRINTED_CHART, SAMPLE_CHART } from './chart.ts';
import { CHILD_CHART, PRINTED_CHILD } from './childChart.ts';
import {
  along,
  CHILD,
  childTop,
  cuffed,
  dress,
  frenchTop,
  longSleeved,
  princess,
  sheath,
  shirt,
  SHIRT_VIEWS,
  topSeams,
  trousers,
  turned,
  yokedShirt,
  type Drafted,
} from './garments.ts';
import { nameOfSample, SAMPLE_SIZES, type SampleId } from './names.ts';
import { draftRaglan } from './raglan.ts';
import { raglanSeams, seam } from './seams.ts';
import { SHIRT } from './shirt.ts';
import { draftCutOn, draftTop } from './tops.ts';

interface SampleSpec {
  readonly notes: string;
  readonly draft: (row: ChartRow) => Drafted;
  /** Ease at the bust, mm; none where the garment does not reach it. */
  readonly ease?: number;
  readonly garment?: Pattern['garment'];
  readonly fabric?: Pattern['fabric'];
  readonly style?: Pattern['style'];
  readonly views?: Pattern['views'];
  /** Drafted for the chart of children, which tells heights and no cup. */
  readonly child?: true;
}

const CAUSEWAY = { ease: 50 };
const SPECS = {
  causeway: {
    ...CAUSEWAY,
    draft: dress,
    notes:
      'Darted bodice to the waist with a set-in sleeve, A-line skirt with pockets in its side seams and neck facings; front on the fold, back opening. Drafted with 50 mm ease at bust and hip and 30 mm at the waist.',
  },
  'causeway-side': {
    ...CAUSEWAY,
    ease: 70,
    draft: (row) => ({ pieces: draftTop(row, { ease: 70, dart: true }), seams: topSeams(['sideUpper', 'sideLower']) }),
    notes: 'Top to the high hip with a side dart only.',
  },
  'causeway-waist': {
    ...CAUSEWAY,
    draft: turned(() => ({ kind: 'dart', dart: 'waistDart' })),
    notes: 'Bodice to the waist; one waist dart takes all the shaping of the front.',
  },
  'causeway-french': {
    ...CAUSEWAY,
    ease: 70,
    draft: frenchTop,
    notes: 'Top to the high hip with a long dart from low in the side seam and a seam at the centre back.',
  },
  'causeway-shoulder': {
    ...CAUSEWAY,
    draft: turned(along('shoulder', 0.46)),
    notes: 'Bodice to the waist with shoulder and waist darts.',
  },
  'causeway-neck': {
    ...CAUSEWAY,
    draft: turned(along('neck', 0.62)),
    notes: 'Bodice to the waist with neck and waist darts.',
  },
  'causeway-armhole': {
    ...CAUSEWAY,
    draft: turned(along('armhole', 0.58)),
    notes: 'Bodice to the waist with armhole and waist darts.',
  },
  'causeway-shirt': {
    ...CAUSEWAY,
    ease: 110,
    style: 'loose',
    draft: shirt,
    notes: 'Loose woven shirt to the high hip, no darts.',
  },
  'causeway-cut-on': {
    ...CAUSEWAY,
    ease: 120,
    style: 'loose',
    draft: (row) => ({
      pieces: draftCutOn(row, 120),
      seams: [
        seam('overarm', 'shoulder', ['front', ['overarm']], ['back', ['overarm'], true]),
        seam('side', 'side', ['front', ['underarm', 'side']], ['back', ['underarm', 'side'], true]),
      ],
    }),
    notes: 'Top with a short sleeve cut in one with the body.',
  },
  'causeway-wide-neck': {
    ...CAUSEWAY,
    ease: 70,
    draft: (row) => ({
      pieces: draftTop(row, { ease: 70, dart: true, neck: { out: 25, front: 55, back: 25 } }),
      seams: topSeams(['sideUpper', 'sideLower']),
    }),
    notes:
      'Top to the high hip with a side dart; the neckline lies 25 mm out from the neck, 55 mm below its pit in front and 25 mm below the nape.',
  },
  'causeway-buttons': {
    ...CAUSEWAY,
    ease: 70,
    draft: (row) => ({
      pieces: draftTop(row, { ease: 70, dart: true, stand: { extension: 18, facing: 55 } }),
      seams: topSeams(['sideUpper', 'sideLower']),
    }),
    notes:
      'Blouse to the high hip with a side dart, buttoned in front: eight buttons, one level with the bust and one at the waist; extension of 18 mm, facing of 55 mm cut on.',
  },
  'causeway-low-armhole': {
    ...CAUSEWAY,
    ease: 110,
    style: 'loose',
    draft: (row) => ({
      pieces: draftTop(row, { ease: 110, dart: false, drop: 40 }),
      seams: topSeams(['side']),
    }),
    notes: 'Loose sleeveless top to the high hip, no darts; the armhole ends 40 mm below the underarm of the body.',
  },
  'causeway-long-sleeve': {
    ...CAUSEWAY,
    draft: longSleeved,
    notes: 'Bodice to the waist with a long fitted sleeve: an elbow dart turns the forearm forward.',
  },
  'causeway-cuff': {
    ...CAUSEWAY,
    draft: cuffed,
    notes: 'Bodice to the waist with a long straight sleeve, gathered into a buttoned cuff.',
  },
  jetty: {
    ease: 50,
    draft: sheath,
    notes:
      'Sheath in one from shoulder to hem, without sleeves: side darts, and darts with two points that shape the waist; front on the fold, back opening, neck facings. Drafted with 50 mm ease at bust and hip and 30 mm at the waist.',
  },
  landing: {
    garment: 'bottom',
    draft: trousers,
    notes:
      'Straight trousers to the waist with one dart in each half, a waistband, a fly and pockets in the side seams. Drafted with 30 mm ease at the waist, 50 mm at the hip and 15 mm under the seat.',
  },
  ebb: {
    ease: -30,
    fabric: { kind: 'knit', stretch: 0.4 },
    draft: (row) => ({ pieces: draftRaglan(row, -30), seams: raglanSeams }),
    notes: 'Raglan top in a knit that stretches by two fifths; no darts, 30 mm smaller than the body.',
  },
  quay: {
    ease: SHIRT.ease,
    style: 'loose',
    draft: yokedShirt,
    views: SHIRT_VIEWS,
    notes:
      'Loose shirt with a yoke, buttoned in front with a facing cut on, and a shirt tail. View A: collar and stand, long sleeves with cuffs. View B: stand alone, short sleeves. Cut yoke, stand, collar and cuffs twice.',
  },
  skiff: {
    ease: CHILD.ease,
    style: 'loose',
    fabric: { kind: 'knit', stretch: 0.4 },
    draft: childTop,
    child: true,
    notes:
      'Child’s loose top in a knit, with short sleeves and a neckband. Each size is drafted for a height of its own, 98 to 140 cm.',
  },
  'skerry-armhole': {
    ease: 50,
    draft: (row) => princess(row, 'armhole'),
    notes: 'Waistcoat-blouse in panels; the seams run from the armholes over the bust to the waist.',
  },
  'skerry-shoulder': {
    ease: 50,
    draft: (row) => princess(row, 'shoulder'),
    notes: 'Waistcoat-blouse in panels; the seams run from the shoulders over the bust to the waist.',
  },
} as const satisfies Record<SampleId, SampleSpec>;

const specOf = (id: SampleId): SampleSpec => SPECS[id];

/** What a sample is drafted for, size by size; more than it prints. */
export const chartOf = (id: SampleId): readonly ChartRow[] => (specOf(id).child ? CHILD_CHART : SAMPLE_CHART);

/** A sample drafted in one size, once: a piece never changes. Throws on a size that is not in the chart. */
function draftedIn(id: SampleId, size: string): Drafted {
  const key = `${id} ${size}`;
  const known = inOneSize.get(key);
  if (known) return known;
  const made = draftAnew(id, size);
  inOneSize.set(key, made);
  return made;
}
const inOneSize = new Map<string, Drafted>();

function draftAnew(id: SampleId, size: string): Drafted {
  const row = chartOf(id).find((r) => r.size === size);
  if (!row) throw new Error(`draftSample: expected a size of ${SAMPLE_SIZES.join(', ')}, got "${size}"`);
  const { pieces, seams } = specOf(id).draft(row);
  // Where darts were turned in drafting counts for nothing: the line is laid on the draft as it is sold.
  return { pieces: pieces.map(withoutBustLine), seams };
}

/** The pieces of one sample pattern in one size. Throws on a size that is not in the chart. */
export const draftSample = (id: SampleId, size: string): readonly Piece[] => draftedIn(id, size).pieces;

/** A sample in all its sizes; made once, when it is first asked for. */
export function wholeSample(id: SampleId): Pattern {
  const known = inAllSizes.get(id);
  if (known) return known;
  const pattern = samplePattern(id);
  inAllSizes.set(id, pattern);
  return pattern;
}
const inAllSizes = new Map<SampleId, Pattern>();

/** A sample as a pattern document, in the sizes asked for. Deterministic: the same every time. */
export function samplePattern(id: SampleId, sizes: readonly string[] = SAMPLE_SIZES): Pattern {
  const spec = specOf(id);
  const all = sizes.map((s) => [s, draftedIn(id, s)] as const);
  const bust = (pieces: readonly Piece[]): number =>
    Math.round(expectOk(flatMeasure(pieces, 'bust'), `${id} bust`) / 5) * 5;
  return {
    format: 'ample-draft/pattern',
    version: PATTERN_VERSION,
    id,
    house: 'Halyard Paper Patterns',
    number: nameOfSample(id).number,
    name: nameOfSample(id).name,
    fabric: spec.fabric ?? { kind: 'woven', stretch: 0 },
    style: spec.style ?? 'fitted',
    garment: spec.garment ?? 'top',
    cups: [],
    views: [...(spec.views ?? [])],
    flat: {},
    underarmDrop: {},
    like: null,
    allowance: 15,
    draftCup: spec.child ? 0 : 50,
    bustEase: spec.ease ?? null,
    draftedHeight: spec.child ? null : 1660,
    chart: spec.child ? PRINTED_CHILD : PRINTED_CHART[spec.garment ?? 'top'],
    finished: spec.ease === undefined ? {} : Object.fromEntries(all.map(([s, d]) => [s, { bust: bust(d.pieces) }])),
    seams: all[0]?.[1].seams ?? [],
    sizes: Object.fromEntries(all.map(([s, d]) => [s, d.pieces])),
    notes: spec.notes,
  };
}
