import { temporal } from 'zundo';
import { create } from 'zustand';
import type { Value } from '@ample/core/alterations';
import type { Point } from '@ample/core/geometry';
import { merge3, type Job, type Step, type Wearer } from '@ample/core/documents';
import type { KeepingCode, Refusal } from '@ample/core/units';
import { clearJournal, writeJournal } from './journal.ts';
import { putInLibrary, useLibrary, wearerOf } from './library.ts';
import { knownText, saveTogether, type Saved } from './persistence.ts';

/** The open job: the two documents one edits. Undo is a list of these. */
interface OpenJob {
  readonly job: Job | null;
  readonly wearer: Wearer | null;
}

export const useJob = create<OpenJob>()(
  temporal((): OpenJob => ({ job: null, wearer: null }), {
    limit: 200,
    equality: (a, b) => a.job === b.job && a.wearer === b.wearer,
  }),
);

interface SaveState {
  readonly state: 'saved' | 'saving' | 'failed';
  readonly at: Date | null;
  readonly trouble: Refusal<KeepingCode> | null;
  /** What another window has done to the open job; read once and put away. */
  readonly notice: Refusal<KeepingCode> | null;
}
export const useSave = create<SaveState>(() => ({ state: 'saved', at: null, trouble: null, notice: null }));

export const history = () => useJob.temporal.getState();

/** Opens a job from the library; history starts afresh. */
export function openJob(id: string): boolean {
  if (useJob.getState().job?.id === id) return true;
  flush();
  const { jobs, wearers } = useLibrary.getState();
  const job = jobs.find((j) => j.id === id);
  const wearer = job && wearerOf(job, wearers);
  if (!job || !wearer) return false;
  history().pause();
  useJob.setState({ job, wearer });
  history().resume();
  history().clear();
  return true;
}

export const editJob = (change: (job: Job) => Job): void =>
  useJob.setState((s) => (s.job ? { job: change(s.job) } : s));
export const editStep = (id: string, change: (step: Step) => Step): void =>
  editJob((j) => ({ ...j, steps: j.steps.map((s) => (s.id === id ? change(s) : s)) }));
export const setValue = (step: string, key: string, value: Value): void =>
  editStep(step, (s) => ({ ...s, values: { ...s.values, [key]: value as Step['values'][string] } }));

/**
 * Nudges go from what the job says now, not from what was drawn last: keys can come faster than drawings.
 * `shown` is what the drawing used while the job leaves the value to be worked out.
 */
export function nudgeTotal(
  step: string,
  shown: number,
  by: number,
  limits: { readonly min: number; readonly max: number },
): void {
  const now = useJob.getState().job?.steps.find((s) => s.id === step);
  const from = typeof now?.values['total'] === 'number' ? now.values['total'] : shown;
  setValue(step, 'total', Math.min(limits.max, Math.max(limits.min, from + by)));
}
export function nudgeNumber(
  step: string,
  key: string,
  shown: number,
  by: number,
  limits: { readonly min: number; readonly max: number },
): void {
  const now = useJob.getState().job?.steps.find((s) => s.id === step)?.values[key];
  const from = typeof now === 'number' ? now : shown;
  setValue(step, key, Math.min(limits.max, Math.max(limits.min, from + by)));
}
export function nudgePoint(step: string, key: string, shown: Point, by: Point): void {
  const now = useJob.getState().job?.steps.find((s) => s.id === step)?.values[key];
  const from = now !== null && typeof now === 'object' ? now : shown;
  setValue(step, key, { x: from.x + by.x, y: from.y + by.y });
}

/** True while something is dragged: pieces are then looked at in haste, and again once it is let go. */
export const useGesture = create<{ readonly dragging: boolean }>(() => ({ dragging: false }));

/**
 * A gesture that changes the job many times but is undone as one: begin, change, then end or cancel.
 * Cancel restores the documents of the beginning.
 */
export function beginGesture(): { readonly end: () => void; readonly cancel: () => void } {
  const before = useJob.getState();
  history().pause();
  useGesture.setState({ dragging: true });
  return {
    end: () => {
      const after = useJob.getState();
      useJob.setState({ job: before.job, wearer: before.wearer });
      history().resume();
      if (after.job !== before.job || after.wearer !== before.wearer)
        useJob.setState({ job: after.job, wearer: after.wearer });
      useGesture.setState({ dragging: false });
    },
    cancel: () => {
      useJob.setState({ job: before.job, wearer: before.wearer });
      history().resume();
      useGesture.setState({ dragging: false });
    },
  };
}

let timer: ReturnType<typeof setTimeout> | undefined;
let saves: Promise<void> = Promise.resolve();

interface Documents {
  readonly job: Job;
  readonly wearer: Wearer;
}
/** What waits for its turn to be saved, by job. A save that ends first puts into it what another window wrote. */
const waiting = new Map<string, Documents>();

async function save(id: string, again: boolean): Promise<void> {
  const sent = waiting.get(id);
  // An earlier turn has taken it along.
  if (!sent) return;
  waiting.delete(id);
  const saved = await saveTogether(sent, again);
  if (!saved.ok) {
    useSave.setState({ state: 'failed', trouble: saved.error });
    return;
  }
  clearJournal(sent);
  if (saved.value.notice) takeOver(sent, saved.value);
  useSave.setState({ state: waiting.size > 0 ? 'saving' : 'saved', at: new Date(), trouble: null });
}

/** What another window wrote becomes part of what is open or waits here; changes made meanwhile stay on top. */
function takeOver(sent: Documents, saved: Saved): void {
  const on = <T>(was: T, now: T, next: T): T => (now === was ? next : merge3(was, now, next).merged);
  const freshened = (now: Documents): Documents => ({
    job: now.job.id === sent.job.id ? on(sent.job, now.job, saved.job) : now.job,
    wearer: now.wearer.id === sent.wearer.id ? on(sent.wearer, now.wearer, saved.wearer) : now.wearer,
  });
  putInLibrary(saved.job, saved.wearer);
  for (const [id, now] of waiting) {
    const next = freshened(now);
    waiting.set(id, next);
    putInLibrary(next.job, next.wearer);
  }
  const { job, wearer } = useJob.getState();
  if (!job || !wearer || (job.id !== sent.job.id && wearer.id !== sent.wearer.id)) return;
  const now = freshened({ job, wearer });
  replaceOpen(now.job, now.wearer);
  useSave.setState({ notice: saved.notice });
}

/** Puts documents in the place of the open ones. What could be undone belonged to the old ones: undo starts afresh. */
export function replaceOpen(job: Job, wearer: Wearer): void {
  replacing = true;
  history().pause();
  useJob.setState({ job, wearer });
  history().resume();
  history().clear();
  replacing = false;
}
let replacing = false;

/** True while a change waits to be saved, or could not be. */
export const unsaved = (): boolean => timer !== undefined || waiting.size > 0 || useSave.getState().state !== 'saved';

/** Saves the documents as they are at this moment, whatever is opened next. */
export const saveNow = (again = false): Promise<void> => {
  clearTimeout(timer);
  timer = undefined;
  const { job, wearer } = useJob.getState();
  if (job && wearer) {
    waiting.set(job.id, { job, wearer });
    // At once: another job of the same body may be opened from the library before this one is saved.
    putInLibrary(job, wearer);
    saves = saves.then(() => save(job.id, again));
  }
  return saves;
};

/** A change still waiting to be saved is saved before another job takes its place. */
function flush(): void {
  if (timer !== undefined) void saveNow();
}

export function closeJob(): void {
  flush();
  useJob.setState({ job: null, wearer: null });
}

/** Saves a moment after every change; the journal holds it until then. */
export function startAutosave(): () => void {
  return useJob.subscribe((now, before) => {
    if (!now.job || !now.wearer || now.job.id !== before.job?.id) return;
    if (replacing || (now.job === before.job && now.wearer === before.wearer)) return;
    const bases = { job: knownText('job', now.job.id), wearer: knownText('wearer', now.wearer.id) };
    writeJournal({ job: now.job, wearer: now.wearer }, bases);
    useSave.setState({ state: 'saving' });
    clearTimeout(timer);
    timer = setTimeout(() => void saveNow(), 250);
  });
}
