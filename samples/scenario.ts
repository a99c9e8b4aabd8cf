import { causewayPattern } from '@ample/core/drafting';
import { jobSchema, wearerSchema, type Job, type Step, type Wearer } from '@ample/core/formats';
import { patternSchema, type MeasurementKey, type Pattern } from '@ample/core/pattern';

/** The demo scenario: the Causeway Choir, its pattern and three singers. All invented. Lengths in mm. */
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
];

let pattern: Pattern | null = null;
/** No. 31 "Causeway" in all sizes; drafted once. */
export function demoPattern(): Pattern {
  pattern ??= patternSchema.parse(causewayPattern());
  return pattern;
}

export const bustStep = (id: string, values: Step['values'] = {}): Step => ({
  id,
  alteration: 'full-bust-side-dart',
  revision: 1,
  school: 'auto',
  values,
  side: 'both',
  on: true,
});

const job = (fields: Partial<Job> & Pick<Job, 'id'> & { wearer: Job['wearer'] }): Job =>
  jobSchema.parse({ format: 'ample-draft/job', version: 1, pattern: { id: 'causeway' }, demo: true, ...fields });

export const DEMO_JOBS: readonly Job[] = [
  job({
    id: 'marit-causeway',
    title: 'Concert bodice',
    wearer: { id: 'marit' },
    steps: [bustStep('bust')],
    due: '2026-12-12',
    fabric: 'Midnight wool crêpe',
  }),
  job({
    id: 'tove-causeway',
    title: 'Concert bodice',
    wearer: { id: 'tove' },
    steps: [bustStep('bust')],
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
];

/** A demo job with its documents inline: one file is enough for the terminal. */
export function inlineDemoJob(id: string): Job {
  const found = DEMO_JOBS.find((j) => j.id === id);
  const ref = found?.wearer;
  const who = ref && 'id' in ref ? DEMO_WEARERS.find((w) => w.id === ref.id) : undefined;
  if (!found || !who)
    throw new Error(`inlineDemoJob: expected one of ${DEMO_JOBS.map((j) => j.id).join(', ')}, got "${id}"`);
  return { ...found, wearer: who, pattern: { sample: 'causeway' } };
}
