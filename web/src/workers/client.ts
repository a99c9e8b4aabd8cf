import type { Draft, ResolvedJob } from '@ample/core/fitting/plan';
import type { Form } from '@ample/core/form';
import type { Care } from '@ample/core/paper/guard';
import type { Layout } from '@ample/core/out/layout';
import type { Solution, Thinned } from '@ample/core/fitting/solve';
import type { KeepingCode, Refusal, Result } from '@ample/core/units';
import { askOnce } from './askOnce.ts';
import {
  PROTOCOL,
  type ClothRequest,
  type Draped,
  type DrapePart,
  type DrapeRequest,
  type FormRequest,
  type PdfRequest,
  type RecordRequest,
  type Reply,
  type Request,
  type SolveRequest,
} from './protocol.ts';
import { spokenEnglish } from '@ample/core/speech';

export type WorkerFactory = () => Worker;
/** A replay takes milliseconds; one that takes this long will not end. */
const PATIENCE = 8000;
/** A new worker has its code to load and a whole job to draft; on a busy machine it is given so many times as long. */
const STARTING = 4;

/** A job to be drafted, and how closely its pieces are to be inspected. */
export type DraftWish = ResolvedJob & { readonly care?: Care };

export interface DraftClient {
  /** Asks for a draft; only the newest question is answered. */
  readonly ask: (input: DraftWish) => void;
  readonly stop: () => void;
}

/** A worker, what it already holds, and whether it has answered yet. */
interface Drafter {
  readonly worker: Worker;
  started: boolean;
  sent: ResolvedJob['pattern'] | null;
}

/**
 * One worker that always works on the newest job. A crash or a hang ends it and starts another, which tries the
 * newest job once more; a second failure of the same job is reported and waits for the next change.
 */
export function draftClient(
  make: WorkerFactory,
  onDraft: (d: Draft, of: DraftWish) => void,
  onTrouble: (r: Refusal<KeepingCode> | null) => void,
  patience = PATIENCE,
): DraftClient {
  let drafter: Drafter | null = null;
  let id = 0;
  let busy: DraftWish | null = null;
  let waiting: DraftWish | null = null;
  let failures = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const end = (): void => {
    clearTimeout(timer);
    drafter?.worker.terminate();
    drafter = null;
    busy = null;
  };
  const fail = (code: 'worker-crashed' | 'worker-slow') => {
    const again = waiting ?? busy;
    end();
    waiting = null;
    failures += 1;
    onTrouble({ code, data: {} });
    if (again && failures < 2) send(again);
  };
  const take = (reply: Reply): void => {
    if (reply.v !== PROTOCOL || reply.id !== id) return;
    clearTimeout(timer);
    const of = busy;
    busy = null;
    if (!reply.ok) return fail('worker-crashed');
    failures = 0;
    if (drafter) drafter.started = true;
    if (of) onDraft(reply.value as Draft, of);
    onTrouble(null);
    const next = waiting;
    waiting = null;
    if (next) send(next);
  };
  function send(input: DraftWish): void {
    drafter ??= { worker: listened(make(), take, () => fail('worker-crashed')), started: false, sent: null };
    busy = input;
    id += 1;
    timer = setTimeout(() => fail('worker-slow'), drafter.started ? patience : STARTING * patience);
    const pattern = input.pattern === drafter.sent ? null : input.pattern;
    drafter.sent = input.pattern;
    drafter.worker.postMessage({ v: PROTOCOL, id, kind: 'draft', input: { ...input, pattern } } satisfies Request);
  }

  return {
    ask: (input) => {
      failures = 0;
      if (busy) waiting = input;
      else send(input);
    },
    stop: end,
  };
}

function listened(worker: Worker, onReply: (reply: Reply) => void, onCrash: () => void): Worker {
  worker.onmessage = (event: MessageEvent<Reply>) => onReply(event.data);
  worker.onerror = (event) => {
    event.preventDefault();
    onCrash();
  };
  return worker;
}

/** Makes one PDF; its worker, with the fonts in it, is let go with the file. */
async function fromPdfWorker(request: Request): Promise<Uint8Array> {
  const worker = new Worker(new URL('./pdf.worker.ts', import.meta.url), {
    type: 'module',
    name: spokenEnglish(),
  });
  const made = await askOnce(worker, request, 60_000, 'it took longer than a minute');
  worker.terminate();
  return made as Uint8Array;
}
export const makePdf = (input: PdfRequest): Promise<Uint8Array> =>
  fromPdfWorker({ v: PROTOCOL, id: 1, kind: 'pdf', input });
export const makeRecord = (input: RecordRequest): Promise<Uint8Array> =>
  fromPdfWorker({ v: PROTOCOL, id: 1, kind: 'record', input });

export interface Solver {
  /** Finds the amounts of a plan's steps together. One question at a time. */
  readonly find: (input: SolveRequest) => Promise<Result<Solution>>;
  readonly stop: () => void;
}

/** What each step of a plan is worth, in a worker of its own; cancelled, the promise never settles. */
export function startThinning(input: ResolvedJob): { readonly done: Promise<Thinned>; readonly cancel: () => void } {
  const worker = new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' });
  const request: Request = { v: PROTOCOL, id: 1, kind: 'thin', input };
  const done = askOnce(worker, request, 20_000, 'it took longer than twenty seconds').finally(() => worker.terminate());
  return { done: done as Promise<Thinned>, cancel: () => worker.terminate() };
}

/** A worker for the search, started before it is asked so that the answer need not wait for it. */
export function startSolver(): Solver {
  const make = () => new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' });
  let worker: Worker | null = make();
  return {
    find: async (input) => {
      worker ??= make();
      const request: Request = { v: PROTOCOL, id: 1, kind: 'solve', input };
      try {
        return (await askOnce(worker, request, 20_000, 'it took longer than twenty seconds')) as Result<Solution>;
      } catch (error) {
        worker = null;
        throw error;
      }
    },
    stop: () => worker?.terminate(),
  };
}

export interface ClothWork {
  readonly done: Promise<readonly Result<Layout>[]>;
  readonly cancel: () => void;
}

/** Lays pieces on each of some cloths, in a worker of its own; cancelled, the promise never settles. */
export function startCloth(input: ClothRequest['input'], onProgress: (share: number) => void): ClothWork {
  const worker = new Worker(new URL('./cloth.worker.ts', import.meta.url), { type: 'module' });
  const request: ClothRequest = { v: PROTOCOL, id: 1, kind: 'cloth', input };
  const done = askOnce(worker, request, 60_000, 'it took longer than a minute', onProgress).finally(() =>
    worker.terminate(),
  );
  return { done: done as ClothWork['done'], cancel: () => worker.terminate() };
}

/** The form of a body, in a worker of its own; cancelled, the promise never settles. */
export function startForm(input: FormRequest['input']): { readonly done: Promise<Form>; readonly cancel: () => void } {
  const worker = new Worker(new URL('./form.worker.ts', import.meta.url), { type: 'module' });
  const request: FormRequest = { v: PROTOCOL, id: 1, kind: 'form', input };
  const done = askOnce(worker, request, 20_000, 'it took longer than twenty seconds').finally(() => worker.terminate());
  return { done: done as Promise<Form>, cancel: () => worker.terminate() };
}

export interface Draper {
  /** Hangs a job; a new question ends the one before. */
  readonly ask: (
    input: DrapeRequest['input'],
    told: { readonly share: (share: number) => void; readonly part: (part: DrapePart) => void },
  ) => Promise<Result<Draped>>;
  readonly stop: () => void;
}

/** A worker that hangs cloth on a form, and keeps what it hung last to begin from. */
export function startDraper(): Draper {
  const make = (): Worker => new Worker(new URL('./drape.worker.ts', import.meta.url), { type: 'module' });
  let worker: Worker | null = null;
  let busy = false;
  return {
    ask: async (input, told) => {
      if (busy) worker?.terminate();
      worker = busy || !worker ? make() : worker;
      const mine = worker;
      busy = true;
      const request: DrapeRequest = { v: PROTOCOL, id: 1, kind: 'drape', input };
      try {
        const onProgress = (progress: number, part?: unknown): void =>
          part === undefined ? told.share(progress) : told.part(part as DrapePart);
        return (await askOnce(
          mine,
          request,
          HANGING,
          'it took longer than five minutes',
          onProgress,
        )) as Result<Draped>;
      } catch (error) {
        if (worker === mine) worker = null;
        throw error;
      } finally {
        if (worker === mine || worker === null) busy = false;
      }
    },
    stop: () => {
      worker?.terminate();
      worker = null;
      busy = false;
    },
  };
}
/** The longest a garment is waited for, ms. */
const HANGING = 300_000;

/** One draft of a state that is not the open one; its worker is let go with it. */
export async function draftOnce(input: ResolvedJob): Promise<Draft> {
  const worker = new Worker(new URL('./draft.worker.ts', import.meta.url), { type: 'module' });
  const request: Request = { v: PROTOCOL, id: 1, kind: 'draft', input };
  const made = await askOnce(worker, request, STARTING * PATIENCE, 'it took longer than half a minute');
  worker.terminate();
  return made as Draft;
}
