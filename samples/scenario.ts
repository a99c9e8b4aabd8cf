import {
  fittingSchema,
  JOB_VERSION,
  jobSchema,
  wearerSchema,
  type Job,
  type Step,
  type Wearer,
} from '@ample/core/documents';
import type { MeasurementKey } from '@ample/core/pattern';

/** The demo scenario: the Causeway Choir, its patterns and its singers, a child of the junior choir among them. All invented. Lengths in mm. */
type Readings = Readonly<Partial<Record<MeasurementKey, readonly number[]>>>;

const wearer = (
  id: string,
  name: string,
  notes: string,
  sets: readonly { readonly date: string; readonly readings: Readings }[],
): Wearer =>
  wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id,
    name,
    notes,
    sets: sets.map((s) => ({ id: `${id}-${s.date}`, ...s, notes: '' })),
  });

export const DEMO_WEARERS: readonly Wearer[] = [
  wearer('marit', 'Marit Quell', 'Alto. Fuller in the bust than the draft; waist and hip a size apart.', [
    { date: '2026-04-18', readings: { highBust: [868], fullBust: [956], waist: [744], hip: [1018] } },
    {
      date: '2026-10-24',
      readings: {
        neck: [364],
        highBust: [872, 874],
        fullBust: [967, 969],
        underbust: [792],
        waist: [752, 750],
        hip: [1026, 1024],
        shoulder: [122],
        crossBack: [356],
        napeToWaist: [405],
        neckPointToBustPoint: [272, 274],
        bustSpan: [194, 196],
        sideWaist: [196],
        upperArm: [304],
      },
    },
  ]),
  wearer('tove', 'Tove Anselm', 'Soprano. Narrow, sloping shoulders; smaller in the bust than the draft.', [
    {
      date: '2026-10-24',
      readings: {
        neck: [368],
        highBust: [912, 914],
        fullBust: [942, 944],
        waist: [782],
        hip: [1034],
        shoulder: [112],
        neckPointToBustPoint: [264],
        bustSpan: [190],
        napeToWaist: [408],
      },
    },
  ]),
  wearer('ines', 'Ines Hollow', 'Mezzo. Hollow at the back waist; shorter in the bodice.', [
    {
      date: '2026-10-31',
      readings: {
        neck: [356],
        highBust: [832],
        fullBust: [884],
        waist: [706],
        hip: [958],
        shoulder: [120],
        napeToWaist: [386],
        neckPointToBustPoint: [254],
        bustSpan: [180],
        sideWaist: [186],
      },
    },
  ]),
  wearer(
    'alva',
    'Alva Skern',
    'Contralto. Full upper arms, and longer in the arm than the draft; all else as drafted.',
    [
      {
        date: '2026-11-07',
        readings: {
          neck: [364],
          highBust: [870, 872],
          fullBust: [921],
          waist: [741],
          hip: [991],
          shoulder: [122],
          napeToWaist: [404],
          neckPointToBustPoint: [260],
          bustSpan: [186],
          sideWaist: [196],
          upperArm: [332, 334],
          wrist: [164],
          shoulderToElbow: [352],
          shoulderToWrist: [604, 606],
        },
      },
    ],
  ),
  wearer('runa', 'Runa Fell', 'Alto. Sings seated in the pit: a full seat, fuller thighs and a longer leg.', [
    {
      date: '2026-11-14',
      readings: {
        highBust: [871],
        fullBust: [918],
        waist: [742, 743],
        hip: [1006, 1008],
        crotchDepth: [276],
        crotchLength: [712, 710],
        thigh: [598],
        knee: [380],
        waistToKnee: [603],
        outsideLeg: [1004, 1006],
      },
    },
  ]),
  wearer('pim', 'Pim Askel', 'Junior choir. Narrow and tall: widths of one size, lengths of the next but one.', [
    {
      date: '2026-11-21',
      readings: { highBust: [582, 580], fullBust: [580], waist: [541], hip: [606], upperArm: [182], height: [1225] },
    },
  ]),
];

/** The steps of the demo jobs, nothing set by hand yet. */
const step = (alteration: string, id = 'bust', values: Step['values'] = {}): Step => ({
  id,
  alteration,
  revision: 1,
  school: 'auto',
  knitFactor: null,
  values,
  side: 'both',
  on: true,
});

const job = (fields: Partial<Job> & Pick<Job, 'id'> & { wearer: Job['wearer'] }): Job =>
  jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    pattern: { id: 'causeway' },
    demo: true,
    ...fields,
  });

/** What a first toile showed: nothing decided about it yet. */
const firstToile = fittingSchema.parse({
  id: 'tove-toile-1',
  date: '2026-11-14',
  kind: 'toile',
  observations: [
    {
      id: 'hangs',
      sign: 'shoulder-hangs',
      view: 'front',
      at: { x: 147, y: 91 },
      pinned: 8,
      note: 'The sleeve drags with it.',
    },
    { id: 'folds', sign: 'folds-neck-armhole', view: 'front', at: { x: 130, y: 101 }, pinned: 6 },
    { id: 'seat', sign: 'cloth-above-seat', view: 'back', at: { x: 100, y: 204 } },
  ],
  sitting: 'Easy; the waist does not climb.',
  armsForward: 'Pulls a little below the shoulder end.',
  verdict: 'alter',
});

export const DEMO_JOBS: readonly Job[] = [
  job({
    id: 'marit-causeway',
    title: 'Concert bodice',
    wearer: { id: 'marit' },
    steps: [step('full-bust-side-dart')],
    due: '2026-12-12',
    fabric: 'Midnight wool crêpe',
  }),
  job({
    id: 'tove-causeway',
    title: 'Concert bodice',
    wearer: { id: 'tove' },
    steps: [step('full-bust-side-dart')],
    fittings: [firstToile],
    due: '2026-12-12',
    fabric: 'Midnight wool crêpe',
  }),
  job({
    id: 'ines-causeway',
    title: 'Concert bodice',
    wearer: { id: 'ines' },
    due: '2026-12-14',
    fabric: 'Midnight wool crêpe',
  }),
  job({
    id: 'alva-sleeves',
    title: 'Concert bodice, long sleeves',
    wearer: { id: 'alva' },
    pattern: { id: 'causeway-long-sleeve' },
    steps: [step('upper-arm', 'arm', { by: 35, cap: 'lower' }), step('sleeve-length', 'length', { by: 49, upper: 43 })],
    due: '2026-12-14',
    fabric: 'Midnight wool crêpe',
  }),
  job({
    id: 'runa-landing',
    title: 'Pit trousers',
    wearer: { id: 'runa' },
    pattern: { id: 'landing' },
    sizeMethod: 'hip',
    due: '2026-12-19',
    fabric: 'Black wool twill',
  }),
  job({
    id: 'pim-skiff',
    title: 'Junior choir top',
    wearer: { id: 'pim' },
    pattern: { id: 'skiff' },
    due: '2026-12-19',
    fabric: 'White cotton jersey',
  }),
  job({
    id: 'marit-skerry',
    title: 'Interval waistcoat',
    wearer: { id: 'marit' },
    pattern: { id: 'skerry-armhole' },
    steps: [step('full-bust-princess-armhole')],
    due: '2027-01-16',
    fabric: 'Slate linen',
  }),
  job({
    id: 'marit-ebb',
    title: 'Rehearsal top',
    wearer: { id: 'marit' },
    pattern: { id: 'ebb' },
    steps: [step('full-bust-raglan')],
    due: '2027-01-30',
    fabric: 'Grey cotton jersey',
  }),
];
