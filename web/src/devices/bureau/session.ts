import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { isOver, type Estimate, type Fault, type Ticket } from '@ample/core/out/bureau';
import type { Refusal } from '@ample/core/units';
import { freshId } from '../../lib/ids.ts';
import { askTicket, placeOrder, sendFile, takeBack, type Progress } from './client.ts';

export type Stage =
  | { readonly kind: 'idle' }
  | { readonly kind: 'making' }
  | Progress
  /** Given up, or stopped by hand; can be resumed. */
  | { readonly kind: 'stopped'; readonly error: Refusal | null }
  | { readonly kind: 'offered'; readonly estimate: Estimate; readonly error: Refusal | null }
  | { readonly kind: 'ordering'; readonly estimate: Estimate };

interface Bureau {
  /** The job the file is of. */
  readonly job: string | null;
  readonly stage: Stage;
  /** The last ticket of every job: kept when the page is closed. */
  readonly tickets: Readonly<Record<string, Ticket>>;
  /** The bureau did not answer when it was last asked; what is shown is what it last said. */
  readonly silent: Refusal | null;
}
export const useBureau = create<Bureau>()(
  persist((): Bureau => ({ job: null, stage: { kind: 'idle' }, tickets: {}, silent: null }), {
    name: 'ample-draft.bureau',
    partialize: ({ tickets }) => ({ tickets }),
  }),
);
const set = (change: Partial<Bureau> | ((s: Bureau) => Partial<Bureau>)): void => {
  useBureau.setState(change);
};

/** The file under way: kept, so that going on sends the same bytes. */
let file: {
  readonly job: string;
  readonly name: string;
  readonly fault: Fault;
  readonly bytes: Uint8Array<ArrayBuffer>;
} | null = null;
let stop = new AbortController();
let orderKey = '';

/** Makes the file and sends it. */
export async function send(job: string, name: string, fault: Fault, make: () => Promise<Uint8Array>): Promise<void> {
  stop.abort();
  set({ job, stage: { kind: 'making' }, silent: null });
  try {
    file = { job, name, fault, bytes: Uint8Array.from(await make()) };
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return set({ stage: { kind: 'stopped', error: { code: 'bureau-pages-failed', data: { detail } } } });
  }
  await goOn();
}

/** Sends what the bureau does not have yet. */
export async function goOn(): Promise<void> {
  if (!file) return set({ stage: { kind: 'idle' } });
  stop.abort();
  const mine = new AbortController();
  stop = mine;
  set({ stage: { kind: 'sending', share: 0 } });
  const done = await sendFile(
    file,
    (stage) => {
      if (!mine.signal.aborted) set({ stage });
    },
    mine.signal,
  );
  if (stop !== mine) return;
  if (done.ok) {
    orderKey = `${done.value.upload} ${freshId('')}`;
    return set({ stage: { kind: 'offered', estimate: done.value, error: null } });
  }
  set({ stage: { kind: 'stopped', error: done.error.code === 'stopped' ? null : done.error } });
}

export function stopSending(): void {
  stop.abort();
  set({ stage: { kind: 'stopped', error: null } });
}
/** Leaves file and offer; a ticket that was placed stays. */
export function leaveOffer(): void {
  stop.abort();
  file = null;
  set({ stage: { kind: 'idle' } });
}

export async function order(copies: number): Promise<void> {
  const { job, stage } = useBureau.getState();
  if (stage.kind !== 'offered' || job === null) return;
  const { estimate } = stage;
  set({ stage: { kind: 'ordering', estimate } });
  const placed = await placeOrder({ upload: estimate.upload, copies, key: orderKey }, new AbortController().signal);
  if (!placed.ok) return set({ stage: { kind: 'offered', estimate, error: placed.error } });
  file = null;
  set((s) => ({ stage: { kind: 'idle' }, silent: null, tickets: { ...s.tickets, [job]: placed.value } }));
}

const keep = (job: string, ticket: Ticket): void =>
  set((s) => ({ silent: null, tickets: { ...s.tickets, [job]: ticket } }));

/** Asks how a job's ticket stands, as long as something can become of it; returns what stops asking. */
export function followTicket(job: string, every = 1500): () => void {
  let ended = false;
  let timer: ReturnType<typeof setTimeout>;
  const round = async (): Promise<void> => {
    const ticket = useBureau.getState().tickets[job];
    if (ticket && !isOver(ticket)) {
      const now = await askTicket(ticket.number);
      if (ended) return;
      if (now.ok) keep(job, now.value);
      else set({ silent: now.error });
    }
    timer = setTimeout(() => void round(), every);
  };
  void round();
  return () => {
    ended = true;
    clearTimeout(timer);
  };
}

/** Takes an order back, or says why it cannot be. */
export async function takeOrderBack(job: string): Promise<void> {
  const ticket = useBureau.getState().tickets[job];
  if (!ticket) return;
  const done = await takeBack(ticket.number);
  if (done.ok) keep(job, done.value);
  else set({ silent: done.error });
}
export const forgetTicket = (job: string): void =>
  set((s) => {
    const { [job]: _gone, ...tickets } = s.tickets;
    return { tickets, silent: null };
  });
