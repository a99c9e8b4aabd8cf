import { draft, emptyCache, type ResolvedJob } from '@ample/core/fitting/plan';
import { causewayPattern } from '@ample/core/blocks';
import { addedPaper, patchPlan } from '@ample/core/out/patch';
import { stepSchema, wearerSchema, type Step } from '@ample/core/documents';

/** Ten steps on eight pieces: the whole dress, altered from top to bottom. */
const dress = causewayPattern(['3', '4', '5', '6']);

const step = (id: string, alteration: string, values: Step['values']): Step =>
  stepSchema.parse({ id, alteration, revision: 1, values });

const STEPS: readonly Step[] = [
  step('1', 'grade-between-sizes', { waistSize: '5', hipSize: '5' }),
  step('2', 'length-line', { by: -8 }),
  step('3', 'shoulder-slash', { by: -6 }),
  step('4', 'shoulder-slope', { by: 5 }),
  step('5', 'round-back', { by: 6 }),
  step('6', 'full-bust-side-dart', { total: 40, whose: 'pattern' }),
  step('7', 'swayback-waist-seam', { by: 8 }),
  step('8', 'neckline', { by: 10 }),
  step('9', 'cap-follows', {}),
  step('10', 'hem-sweep', { by: 40 }),
];
const wearer = wearerSchema.parse({
  format: 'ample-draft/wearer',
  version: 1,
  id: 'w',
  name: 'Bench',
  sets: [
    {
      id: 's',
      date: '2026-10-01',
      readings: { highBust: [870], fullBust: [968], waist: [750], hip: [1020], shoulder: [118], napeToWaist: [398] },
    },
  ],
});
const job = (steps: readonly Step[]): ResolvedJob => ({
  job: { size: '4', sizeMethod: 'highBust', steps: [...steps] },
  wearer,
  pattern: dress,
});
const last = (by: number): readonly Step[] => [...STEPS.slice(0, -1), step('10', 'hem-sweep', { by })];

/** One whole draft from nothing, one after the last of ten steps has changed, and what is printed of it; refuses to time a plan that does not run. */
export function planBench(): {
  readonly fresh: () => unknown;
  readonly again: () => unknown;
  readonly patches: () => unknown;
  readonly added: () => unknown;
} {
  const done = draft(job(STEPS));
  const refused = done.steps.filter((s) => !s.outcome.ok).map((s) => s.step.alteration);
  if (refused.length > 0) throw new Error(`bench: expected ten steps to run, refused: ${refused.join(', ')}`);
  if (done.original.length !== 8) throw new Error(`bench: expected eight pieces, got ${done.original.length}`);
  const cache = emptyCache();
  draft(job(STEPS), cache);
  let n = 0;
  return {
    fresh: () => draft(job(STEPS)),
    again: () => draft(job(last(41 + (n++ % 60))), cache),
    patches: () => patchPlan(done.pieces, done.original),
    added: () => addedPaper(done),
  };
}
