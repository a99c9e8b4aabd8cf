import {
  compared,
  formUnder,
  joined,
  read,
  standFor,
  wear,
  type Fineness,
  type Halves,
  type Progress,
  type Reading,
  type Stand,
  type Worn,
} from '../../drape/index.ts';
import type { ClothId } from '../../cloth/index.ts';
import type { Body, Form } from '../../form/index.ts';
import type { Garment } from '../../sew/index.ts';
import { ok, refuse, telling, toEnd, type Result } from '../../units/index.ts';
import { draft, setupOf, type ResolvedJob, type Side } from '../plan/index.ts';

/** A garment on a form, and what is read off it beside the drafted body, on the side in hand. */
export interface Seen {
  readonly garment: Garment;
  readonly worn: Worn;
  readonly halves: Halves;
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
  /** The sides differ, in the body or in the steps: the halves hang sewn together, and this one is read. */
  readonly differ: boolean;
  readonly side: Side;
}

/** What is being worked on, in this order. */
export type Stage = 'drafted' | 'planned' | 'chart';
/** How far it has come, or what has come to rest. */
export type Working = { readonly stage: Stage } & (
  { readonly share: number } | { readonly halves: Halves } | { readonly form: Form }
);

/** What is put on: the pieces of a job as drafted and as planned, the wearer, and the body the pattern was drafted for. */
export interface ToSee {
  readonly size: string;
  readonly body: Body;
  /** The body as its right side is; null where that is alike. */
  readonly right: Body | null;
  readonly chart: Body;
  readonly drafted: Garment;
  /** One and the same where both sides are alike; null without a step. */
  readonly planned: Both<Garment> | null;
  readonly differ: boolean;
  /** The side that is read. */
  readonly side: Side;
}
export interface Both<T> {
  readonly left: T;
  readonly right: T;
}
export const both = <T>(one: T): Both<T> => ({ left: one, right: one });
/** The body of the side that is read. */
export const bodyInHand = ({ body, right, side }: Pick<ToSee, 'body' | 'right' | 'side'>): Body =>
  (side === 'right' && right) || body;

/** What a job has to put on a form, with its set-in sleeves or without. Refused without pieces, a row of the chart, or the girths a form is made of. */
export function toSee(job: ResolvedJob, side: Side = 'left', sleeves = false): Result<ToSee> {
  const { body, right, size, sewn, standIn, pattern, refusal } = setupOf(job);
  if (refusal) return { ok: false, error: refusal };
  const row = pattern.chart.find((r) => r.size === size);
  if (size === null || standIn || !row) return refuse('form-no-pieces');
  if (body.waist === undefined || (body.fullBust ?? body.highBust ?? body.hip) === undefined)
    return refuse('form-no-body');
  const steps = job.job.steps.some((s) => s.on);
  const { sides } = draft(job);
  const same = sides.left.pieces === sides.right.pieces;
  const left = { ...sides.left, sleeves };
  const height = pattern.draftedHeight === null ? {} : { height: pattern.draftedHeight };
  return ok({
    ...{ size, body, right, chart: { ...row.body, ...height }, drafted: { ...sewn, sleeves } },
    planned: steps ? { left, right: same ? left : { ...sides.right, sleeves } } : null,
    differ: !same || right !== null,
    side,
  });
}

/** What was put on before, to begin from: what is the same is not done again. */
export interface Before {
  readonly wanted: ToSee;
  readonly cloth: ClothId;
  readonly fineness: Fineness;
  readonly drafted: Halves;
  readonly planned: Halves;
  readonly chart: Worn;
}
/** A job that hangs on its form, and what to begin from next time. */
export interface Hung {
  readonly seen: OnForm;
  readonly kept: Before;
}
const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Puts a job on the wearer’s form, as drafted and as planned, and reads both beside the same pattern on the body it was
 * drafted for. Tells on the way how far it is and what has come to rest. After a change of the plan only that is hung again,
 * from where it lay.
 */
export function* onForm(
  wanted: ToSee,
  cloth: ClothId,
  fineness: Fineness = 'coarse',
  before: Before | null = null,
): Generator<Working, Result<Hung>> {
  const { size, body, right, chart, drafted, planned, differ, side } = wanted;
  const form = formUnder(drafted, body, {}, right);
  yield { stage: 'drafted', form };
  const same =
    before &&
    before.cloth === cloth &&
    before.fineness === fineness &&
    alike([before.wanted.body, before.wanted.right], [body, right]);
  const again = same && alike(before.wanted.drafted, drafted) ? before : null;
  // What hangs already hangs on the same body.
  const stands: Both<Stand> = again ? again.drafted : standsFor(form, drafted);
  const first = again ? ok(again.drafted) : yield* onBoth('drafted', both(drafted), stands, { cloth, fineness });
  if (!first.ok) return first;
  yield { stage: 'drafted', halves: first.value };
  const unchanged = again && alike(before?.wanted.planned, planned) ? ok(again.planned) : null;
  const second =
    unchanged ??
    (planned ? yield* onBoth('planned', planned, stands, { cloth, fineness, before: again?.planned }) : first);
  if (!second.ok) return second;
  yield { stage: 'planned', halves: second.value };
  const third = again
    ? ok(again.chart)
    : yield* telling(
        dressed(drafted, standFor(formUnder(drafted, chart).figure, drafted), cloth, fineness),
        (share): Share => ({ stage: 'chart', share }),
      );
  if (!third.ok) return third;
  yield { stage: 'chart', halves: both(third.value) };
  const control = read(third.value);
  const seen = (garment: Garment, halves: Halves): Seen => ({
    ...{ garment, halves, worn: halves[side] },
    readings: compared(read(halves[side]), control, cloth),
  });
  return ok({
    seen: {
      size,
      body,
      form,
      drafted: seen(drafted, first.value),
      planned: seen(planned?.[side] ?? drafted, second.value),
      ...{ differ, side },
    },
    kept: { wanted, cloth, fineness, drafted: first.value, planned: second.value, chart: third.value },
  });
}

/** What both halves of a garment hang on. */
function standsFor({ figure }: Form, garment: Garment): Both<Stand> {
  const left = standFor(figure, garment);
  return { left, right: figure.right ? standFor(figure.right, garment) : left };
}

interface Hanging<T> {
  readonly cloth: ClothId;
  readonly fineness: Fineness;
  readonly before?: T | undefined;
}

interface Share {
  readonly stage: Stage;
  readonly share: number;
}

/** Both halves one after the other, and then joined; one for both where body and pieces are alike. */
export function* onBoth(
  stage: Stage,
  garments: Both<Garment>,
  stands: Both<Stand>,
  { cloth, fineness, before }: Hanging<Halves>,
): Generator<Share, Result<Halves>> {
  const alone = garments.left === garments.right && stands.left === stands.right;
  const half = (side: Side) => dressed(garments[side], stands[side], cloth, fineness, before?.[side]);
  const part = (done: number) => (share: number) => ({ stage, share: (done + share) / (alone ? 1 : 3) });
  const left = yield* telling(half('left'), part(0));
  if (!left.ok) return left;
  if (alone) return ok(both(left.value));
  const right = yield* telling(half('right'), part(1));
  if (!right.ok) return right;
  return ok(yield* telling(joined({ left: left.value, right: right.value }), (p) => part(2)(p.steps / p.most)));
}

/** Coarse first: a fine mesh begins where a coarse one lies. Tells what share of the steps it may take is done. */
function* dressed(
  garment: Garment,
  stand: Stand,
  cloth: ClothId,
  fineness: Fineness,
  before?: Worn,
): Generator<number, Result<Worn>> {
  const share = (p: Progress): number => p.steps / p.most;
  const rough = before ? ok(before) : yield* telling(wear(garment, stand, cloth, 'coarse'), share);
  if (!rough.ok || (fineness === 'coarse' && !before)) return rough;
  return yield* telling(wear(garment, stand, cloth, fineness, rough.value), share);
}

/** The whole of it at once. */
export const allOnForm = (wanted: ToSee, cloth: ClothId, fineness: Fineness): Result<Hung> =>
  toEnd(onForm(wanted, cloth, fineness));
