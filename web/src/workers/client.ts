import type { Draft, ResolvedJob } from '@ample/core/draft';
import type { Solution } from '@ample/core/solve';
import type { Refusal, Result } from '@ample/core/units';
import { PROTOCOL, type PdfRequest, type Reply, type Request, type SolveRequest } from './protocol.ts';

export type WorkerFactory = () => Worker;
/** A replay takes milliseconds; one that takes this long will not end. */
const PATIENCE = 8000;

export interface DraftClient {
  /** Asks for a draft; only the newest question is answered. */
  readonly ask: (input: ResolvedJob) => void;
  readonly stop: () => void;
}

/**
 * One worker that always works on the newest job. A crash or a hang ends it and starts another, which tries the
 * newest job once more; a second failure of the same job is reported and waits for the next change.
 */
export function draftClient(
  make: WorkerFactory,
  onDraft: (d: Draft, of: ResolvedJob) => void,
  onTrouble: (r: Refusal | null) => void,
  patience = PATIENCE,
): DraftClient {
  let worker: Worker | null = null;
  let id = 0;
  let busy: ResolvedJob | null = null;
  let waiting: ResolvedJob | null = null;
  let failures = 0;
  /** What this worker already holds. */
  let sent: ResolvedJob['pattern'] | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const fail = (code: 'worker-crashed' | 'worker-slow') => {
    clearTimeout(timer);
    worker?.terminate();
    worker = null;
    sent = null;
    const again = waiting ?? busy;
    busy = null;
    waiting = null;
    failures += 1;
    onTrouble({ code, data: {} });
    if (again && failures < 2) send(again);
  };

  const start = (): Worker => {
    const w = make();
    w.onmessage = (event: MessageEvent<Reply>) => {
      const reply = event.data;
      if (reply.v !== PROTOCOL || reply.id !== id) return;
      clearTimeout(timer);
      const of = busy;
      busy = null;
      if (!reply.ok) return fail('worker-crashed');
      failures = 0;
      if (of) onDraft(reply.value as Draft, of);
      onTrouble(null);
      const next = waiting;
      waiting = null;
      if (next) send(next);
    };
    w.onerror = (event) => {
      event.preventDefault();
      fail('worker-crashed');
    };
    return w;
  };

  function send(input: ResolvedJob): void {
    worker ??= start();
    busy = input;
    id += 1;
    timer = setTimeout(() => fail('worker-slow'), patience);
    const request: Request = {
      v: PROTOCOL,
      id,
      kind: 'draft',
      input: { ...input, pattern: input.pattern === sent ? null : input.pattern },
    };
    sent = input.pattern;
    worker.postMessage(request);
  }

  return {
    ask: (input) => {
      failures = 0;
      if (busy) waiting = input;
      else send(input);
    },
    stop: () => {
      clearTimeout(timer);
      worker?.terminate();
      worker = null;
    },
  };
}

/** One question to a worker of its own, which is let go with the answer. */
function askOnce(worker: Worker, request: Request, patience: number, slow: string): Promise<unknown> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => finish(() => reject(new Error(slow))), patience);
    function finish(then: () => void): void {
      clearTimeout(timer);
      worker.terminate();
      then();
    }
    worker.onmessage = (event: MessageEvent<Reply>) => {
      const reply = event.data;
      finish(() => (reply.ok ? resolve(reply.value) : reject(new Error(reply.message))));
    };
    worker.onerror = (event) => finish(() => reject(new Error(event.message || 'the work stopped')));
    worker.postMessage(request);
  });
}

/** Makes one PDF. */
export const makePdf = (input: PdfRequest): Promise<Uint8Array> =>
  askOnce(
    new Worker(new URL('./pdf.worker.ts', import.meta.url), { type: 'module' }),
    { v: PROTOCOL, id: 1, kind: 'pdf', input },
    60_000,
    'it took longer than a minute',
  ) as Promise<Uint8Array>;

/** Finds the amounts of a plan's steps together. */
export const findAmounts = (input: SolveRequest): Promise<Result<Solution>> =>
  askOnce(
    new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' }),
    { v: PROTOCOL, id: 1, kind: 'solve', input },
    20_000,
    'it took longer than twenty seconds',
  ) as Promise<Result<Solution>>;
