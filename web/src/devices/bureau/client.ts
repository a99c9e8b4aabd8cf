import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { z } from 'zod';
import {
  bureauErrorSchema,
  CHUNK,
  estimateSchema,
  ticketSchema,
  uploadSchema,
  type Estimate,
  type Fault,
  type Order,
  type Ticket,
} from '@ample/core/out/bureau';
import { ok, refuse, type Refusal, type Result } from '@ample/core/units';

/** Where an upload stands while it is under way. */
export type Progress =
  | { readonly kind: 'sending'; readonly share: number }
  | { readonly kind: 'waiting'; readonly share: number; readonly seconds: number; readonly why: 'lost' | 'busy' }
  | { readonly kind: 'again'; readonly share: 0 };

/** Timing and retries; shorter in tests. */
export interface Patience {
  /** Pauses before trying again, s; the last stands for all further ones. */
  readonly pauses: readonly number[];
  /** Tries in a row without anything getting through. */
  readonly tries: number;
  readonly wait: (seconds: number, signal: AbortSignal) => Promise<void>;
}
const sleep = (seconds: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const timer = setTimeout(done, seconds * 1000);
    function done(): void {
      clearTimeout(timer);
      signal.removeEventListener('abort', done);
      resolve();
    }
    signal.addEventListener('abort', done);
  });
export const USUAL_PATIENCE: Patience = { pauses: [0.5, 1, 2, 4, 8], tries: 5, wait: sleep };

const BASE = `${import.meta.env.BASE_URL}api/bureau`;
/** Whether a bureau is there to be asked at all: not on a plain static server, nor with the server gone. */
export async function isThere(): Promise<boolean> {
  try {
    const response = await fetch(`${import.meta.env.BASE_URL}api/health`, { signal: AbortSignal.timeout(UNANSWERED) });
    return response.ok && (response.headers.get('content-type') ?? '').includes('json');
  } catch {
    return false;
  }
}
/** Requests time out after this, ms. */
const UNANSWERED = 15_000;

/** Asks the bureau; a lost connection and an answer that cannot be read are refusals like any other. */
async function ask<T>(schema: z.ZodType<T>, path: string, init: RequestInit, signal?: AbortSignal): Promise<Result<T>> {
  let response: Response;
  let body: unknown;
  try {
    const limit = AbortSignal.timeout(UNANSWERED);
    response = await fetch(BASE + path, { ...init, signal: signal ? AbortSignal.any([signal, limit]) : limit });
    body = await response.json();
  } catch (error) {
    return refuse(error instanceof SyntaxError ? 'bureau-strange' : 'bureau-lost');
  }
  if (response.ok) {
    const value = schema.safeParse(body);
    return value.success ? ok(value.data) : refuse('bureau-strange');
  }
  const error = bureauErrorSchema.safeParse(body);
  return error.success ? refuse(error.data.code, error.data.data) : refuse('bureau-strange');
}
const post = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});

const PASSING = new Set(['bureau-lost', 'bureau-busy', 'bureau-down', 'bureau-strange', 'bureau-full']);
export interface Sent {
  readonly bytes: Uint8Array<ArrayBuffer>;
  readonly name: string;
  readonly fault: Fault;
}

/**
 * Sends a file piece by piece and asks what it costs. What the bureau already has is not sent again: after a lost
 * connection it is asked how far it came. Tries again with growing pauses, gives up after so many in a row; a file
 * damaged on its way is sent anew once. Ends with the refusal `stopped` when the signal says so.
 */
export async function sendFile(
  { bytes, name, fault }: Sent,
  tell: (progress: Progress) => void,
  signal: AbortSignal,
  patience: Patience = USUAL_PATIENCE,
): Promise<Result<Estimate>> {
  const begin = () =>
    ask(
      uploadSchema,
      '/uploads',
      post({ name, bytes: bytes.length, sha256: bytesToHex(sha256(bytes)), fault }),
      signal,
    );
  let upload: { id: string; received: number } | null = null;
  // Tries in a row after which the bureau had no more than before.
  let failures = 0;
  let most = -1;
  let damaged = false;
  let share = 0;
  for (;;) {
    if (signal.aborted) return refuse('stopped');
    const result: Result<Estimate | { id: string; received: number }> = !upload
      ? await begin()
      : upload.received < bytes.length
        ? await ask(
            uploadSchema,
            `/uploads/${upload.id}?from=${upload.received}`,
            {
              method: 'PUT',
              headers: { 'content-type': 'application/octet-stream' },
              body: bytes.slice(upload.received, upload.received + CHUNK),
            },
            signal,
          )
        : await ask(estimateSchema, `/uploads/${upload.id}/estimate`, post({}), signal);
    if (signal.aborted) return refuse('stopped');
    if (result.ok) {
      if ('pages' in result.value) return ok(result.value);
      upload = result.value;
      share = upload.received / bytes.length;
      if (upload.received > most) failures = 0;
      most = Math.max(most, upload.received);
      tell({ kind: 'sending', share });
      continue;
    }
    const { code } = result.error;
    if (code === 'bureau-damaged' && !damaged) {
      damaged = true;
      upload = null;
      most = -1;
      tell({ kind: 'again', share: 0 });
    } else if (code === 'bureau-unknown-upload' || code === 'bureau-wrong-place' || code === 'bureau-incomplete') {
      // Asks the bureau what it has, by the file's checksum.
      upload = null;
      if (++failures >= patience.tries) return result;
    } else if (PASSING.has(code)) {
      if (++failures >= patience.tries) return result;
      const seconds = patience.pauses[Math.min(failures, patience.pauses.length) - 1] ?? 1;
      tell({ kind: 'waiting', share, seconds, why: code === 'bureau-lost' ? 'lost' : 'busy' });
      await patience.wait(seconds, signal);
      upload = null;
    } else return result;
  }
}

/** Orders; sent again after a lost answer it is still one order, by its key. */
export async function placeOrder(
  order: Order,
  signal: AbortSignal,
  patience: Patience = USUAL_PATIENCE,
): Promise<Result<Ticket>> {
  let last: Refusal = { code: 'bureau-lost', data: {} };
  for (let i = 0; i < patience.tries; i++) {
    const result = await ask(ticketSchema, '/tickets', post(order), signal);
    if (result.ok || !PASSING.has(result.error.code)) return result;
    last = result.error;
    await patience.wait(patience.pauses[Math.min(i, patience.pauses.length - 1)] ?? 1, signal);
    if (signal.aborted) return refuse('stopped');
  }
  return { ok: false, error: last };
}
export const askTicket = (number: string): Promise<Result<Ticket>> =>
  ask(ticketSchema, `/tickets/${encodeURIComponent(number)}`, {});
export const takeBack = (number: string): Promise<Result<Ticket>> =>
  ask(ticketSchema, `/tickets/${encodeURIComponent(number)}`, { method: 'DELETE' });
