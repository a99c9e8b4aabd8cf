import {
  fittingSchema,
  MOST,
  observationSchema,
  type Answer,
  type Fitting,
  type FollowUp,
  type Job,
  type Observation,
} from '@ample/core/documents';
import { symptomOf, type SymptomId, type TissueCheckId } from '@ample/core/fitting/fit';
import { makeAgain, returnTo, standsAs, stillAt, versionOf, withVersion, type Change } from '@ample/core/fitting/toile';
import { planStep, insertAt, type Draft } from '@ample/core/fitting/plan';
import { editJob, useJob } from './job.ts';
import { freshId } from '../lib/ids.ts';

const now = (): string => new Date().toISOString();

export const editFitting = (id: string, change: (f: Fitting) => Fitting): void =>
  editJob((j) => ({ ...j, fittings: j.fittings.map((f) => (f.id === id ? change(f) : f)) }));
const editObservation = (fitting: string, id: string, change: (o: Observation) => Observation): void =>
  editFitting(fitting, (f) => ({ ...f, observations: f.observations.map((o) => (o.id === id ? change(o) : o)) }));

/**
 * A fitting begun, with what is seen at once; the plan as it stands is kept as a version that it was sewn from. Returns its
 * id.
 */
export function addFitting(
  kind: Fitting['kind'],
  date: string,
  name: string,
  seen: readonly (Pick<Observation, 'sign'> & Partial<Observation>)[] = [],
): string {
  const id = freshId('f');
  useJob.setState(({ job, wearer }) => {
    if (!job || !wearer || job.fittings.length >= MOST.fittings) return {};
    const kept = job.versions.find((v) => standsAs(job, v));
    const version = kept ?? versionOf(job, wearer, freshId('v'), name, now());
    const fitting = fittingSchema.parse({
      ...{ id, date, kind, version: version.id },
      observations: seen.slice(0, MOST.observations).map((o) => ({ ...placeOf(o.sign), id: freshId('o'), ...o })),
    });
    const begun: Job = { ...job, fittings: [...job.fittings, fitting] };
    return { job: kept ? begun : withVersion(begun, version) };
  });
  return id;
}
export const removeFitting = (id: string): void =>
  editJob((j) => ({ ...j, fittings: j.fittings.filter((f) => f.id !== id) }));

/** Where a sign is usually seen. */
const placeOf = (sign: SymptomId): Pick<Observation, 'view' | 'at'> => {
  const { view, at } = symptomOf(sign);
  return { view, at };
};

/** Something seen, where it is usually seen unless a place was pointed at. Returns its id. */
export function addObservation(fitting: string, sign: SymptomId, fields: Partial<Observation> = {}): string {
  const id = freshId('o');
  editFitting(fitting, (f) =>
    f.observations.length >= MOST.observations
      ? f
      : {
          ...f,
          // Something that needs looking at: the verdict can no longer be that all is right.
          verdict: f.verdict === 'good' ? 'open' : f.verdict,
          observations: [...f.observations, observationSchema.parse({ id, sign, ...placeOf(sign), ...fields })],
        },
  );
  return id;
}
export const setObservation = (fitting: string, id: string, fields: Partial<Observation>): void =>
  editObservation(fitting, id, (o) => ({ ...o, ...fields }));
export const removeObservation = (fitting: string, id: string): void =>
  editFitting(fitting, (f) => ({ ...f, observations: f.observations.filter((o) => o.id !== id) }));

/** What became of something an earlier fitting showed. What is not gone is seen here as well. */
export const followUp = (fitting: string, earlier: Observation, result: FollowUp): void =>
  editFitting(fitting, (f) => {
    const followed = [...f.followed.filter((x) => x.observation !== earlier.id), { observation: earlier.id, result }];
    const again = stillAt(earlier.id, fitting);
    const others = f.observations.filter((o) => o.id !== again);
    const still = f.observations.find((o) => o.id === again) ?? {
      ...earlier,
      id: again,
      pinned: null,
      note: '',
      answers: [],
    };
    return { ...f, followed, observations: result === 'gone' ? others : [...others, still] };
  });

/** A look of the tissue-fit, answered. */
export const answerCheck = (fitting: string, check: TissueCheckId, answer: 'lines-up' | 'differs' | 'skipped'): void =>
  editFitting(fitting, (f) => ({ ...f, checks: { ...f.checks, [check]: answer } }));

/** Carries out what a cause would change, and notes it with what was seen; one change to undo. */
export function takeChange(
  fitting: string,
  cause: string,
  seen: readonly string[],
  change: Change,
  date: string,
): void {
  if (change.kind === 'station' || change.kind === 'none') return;
  editJob((j) => {
    const done = applied(j, change);
    const answer: Answer = { did: change.kind, cause, alteration: change.alteration, date, ...done.answer };
    return {
      ...done.job,
      fittings: j.fittings.map((f) =>
        f.id === fitting
          ? {
              ...f,
              verdict: f.verdict === 'open' ? 'alter' : f.verdict,
              observations: f.observations.map((o) =>
                seen.includes(o.id) ? { ...o, answers: [...o.answers, answer].slice(-12) } : o,
              ),
            }
          : f,
      ),
    };
  });
}

type Doing = Exclude<Change, { kind: 'station' | 'none' }>;

function applied(
  job: Job,
  change: Doing,
): { readonly job: Job; readonly answer: Pick<Answer, 'step' | 'from' | 'to'> } {
  switch (change.kind) {
    case 'add': {
      const id = freshId('s');
      const step = {
        ...planStep(id, change.alteration, change.values),
        side: change.side,
      };
      const at = insertAt(job.steps, change.alteration, job.order);
      const steps = [...job.steps.slice(0, at), step, ...job.steps.slice(at)];
      return { job: { ...job, steps }, answer: { step: id, from: null, to: change.to ?? change.asked } };
    }
    case 'edit': {
      const { key, to } = change;
      const steps = job.steps.map((s) => (s.id === change.step ? { ...s, values: { ...s.values, [key]: to } } : s));
      return { job: { ...job, steps }, answer: { step: change.step, from: change.from, to } };
    }
    case 'undo':
      return {
        job: { ...job, steps: job.steps.map((s) => (s.id === change.step ? { ...s, on: false } : s)) },
        answer: { step: change.step, from: change.from, to: null },
      };
  }
}

/** The job as it stands, kept under a name. Returns the version's id. */
export function keepVersion(name: string): string {
  const id = freshId('v');
  useJob.setState(({ job, wearer }) =>
    job && wearer ? { job: withVersion(job, versionOf(job, wearer, id, name, now())) } : {},
  );
  return id;
}

/** Goes back to a version; what stands now is kept first unless a version holds it already. */
export const goBackTo = (id: string, keepAs: string): void =>
  useJob.setState(({ job, wearer }) => {
    const version = job?.versions.find((v) => v.id === id);
    if (!job || !wearer || !version || standsAs(job, version)) return {};
    const held = job.versions.some((v) => standsAs(job, v));
    const safe = held ? job : withVersion(job, versionOf(job, wearer, freshId('v'), keepAs, now()));
    return { job: returnTo(safe, version) };
  });
export const renameVersion = (id: string, name: string): void =>
  editJob((j) => ({ ...j, versions: j.versions.map((v) => (v.id === id ? { ...v, name } : v)) }));
/** A version that a fitting was sewn from stays. */
export const removeVersion = (id: string): void =>
  editJob((j) =>
    j.fittings.some((f) => f.version === id) ? j : { ...j, versions: j.versions.filter((v) => v.id !== id) },
  );

/** The altered pattern as a master for another cloth: a new job beside this one. Null without an open job. */
export function againFrom(draft: Draft, fabric: string, today: string): Job | null {
  const { job } = useJob.getState();
  return job ? makeAgain(job, draft, { id: freshId('j'), fabric, today }) : null;
}
