import { compared, read, standOf, wear, type Progress, type Reading, type Worn } from '../../drape/index.ts';
import type { ClothId } from '../../cloth/index.ts';
import type { Fineness } from '../../drape/index.ts';
import { formOf, type Body, type Form } from '../../form/index.ts';
import type { Garment } from '../../sew/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import { draft, setupOf, type ResolvedJob } from '../plan/index.ts';

/** A garment on a form, and what is read off it beside the drafted body. */
export interface Seen {
  readonly garment: Garment;
  readonly worn: Worn;
  readonly readings: readonly Reading[];
}

/** A job seen before it is sewn: on the wearer’s form, as drafted and as planned. */
export interface OnForm {
  readonly size: string;
  readonly body: Body;
  readonly form: Form;
  readonly drafted: Seen;
  /** The same as drafted where the plan is empty. */
  readonly planned: Seen;
  /** Steps were for one side only: the wearer’s left is shown. */
  readonly oneSided: boolean;
}

/** What is being worked on. */
export type Stage = 'chart' | 'drafted' | 'planned';
export interface Working extends Progress {
  readonly stage: Stage;
}

/** What is put on: the pieces of a job as drafted and as planned, the wearer, and the body the pattern was drafted for. */
export interface ToSee {
  readonly size: string;
  readonly body: Body;
  readonly chart: Body;
  readonly drafted: Garment;
  readonly planned: Garment | null;
  readonly oneSided: boolean;
}

/** What a job has to put on a form. Refused without pieces, a row of the chart, or the girths a form is made of. */
export function toSee(job: ResolvedJob): Result<ToSee> {
  const { body, size, sewn, standIn, pattern, refusal } = setupOf(job);
  if (refusal) return { ok: false, error: refusal };
  const row = pattern.chart.find((r) => r.size === size);
  if (size === null || standIn || !row) return refuse('form-no-pieces');
  if (body.waist === undefined || (body.fullBust ?? body.highBust ?? body.hip) === undefined) return refuse('form-no-body');
  const steps = job.job.steps.some((s) => s.on);
  const { sides } = draft(job);
  const height = pattern.draftedHeight === null ? {} : { height: pattern.draftedHeight };
  return ok({
    ...{ size, body, chart: { ...row.body, ...height }, drafted: sewn },
    planned: steps ? sides.left : null,
    oneSided: sides.left.pieces !== sides.right.pieces,
  });
}

/**
 * Puts a job on the wearer’s form, as drafted and as planned, and reads both beside the same pattern on the body it was
 * drafted for. Each step of the cloth is told on the way; the cloth of the plan begins where the drafted one lies.
 */
export function* onForm(
  { size, body, chart, drafted, planned, oneSided }: ToSee,
  cloth: ClothId,
  fineness: Fineness = 'coarse',
): Generator<Working, Result<OnForm>> {
  const form = formOf(body);
  const stand = standOf(form.figure);
  const onChart = yield* dressed('chart', drafted, standOf(formOf(chart).figure), cloth, fineness);
  if (!onChart.ok) return onChart;
  const control = read(onChart.value);
  const seen = (garment: Garment, worn: Worn): Seen => ({ garment, worn, readings: compared(read(worn), control) });
  const before = yield* dressed('drafted', drafted, stand, cloth, fineness);
  if (!before.ok) return before;
  const asDrafted = seen(drafted, before.value);
  if (!planned) return ok({ size, body, form, drafted: asDrafted, planned: asDrafted, oneSided });
  const after = yield* dressed('planned', planned, stand, cloth, fineness);
  return after.ok ? ok({ size, body, form, drafted: asDrafted, planned: seen(planned, after.value), oneSided }) : after;
}

/** Coarse first: a fine mesh begins where a coarse one lies. */
function* dressed(
  stage: Stage,
  garment: Garment,
  stand: ReturnType<typeof standOf>,
  cloth: ClothId,
  fineness: Fineness,
): Generator<Working, Result<Worn>> {
  const rough = yield* told(stage, wear(garment, stand, cloth, 'coarse'));
  if (!rough.ok || fineness === 'coarse') return rough;
  return yield* told(stage, wear(garment, stand, cloth, 'fine', rough.value));
}

function* told(stage: Stage, work: Generator<Progress, Result<Worn>>): Generator<Working, Result<Worn>> {
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
    yield { ...next.value, stage };
  }
}

/** The whole of it at once. */
export function allOnForm(...args: Parameters<typeof onForm>): Result<OnForm> {
  const work = onForm(...args);
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
  }
}
