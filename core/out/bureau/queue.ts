import type { Fault, Ticket } from './protocol.ts';

/** A ticket as the bureau keeps it: where it stands follows from the clock. */
export interface Kept {
  readonly number: string;
  readonly name: string;
  readonly copies: number;
  readonly cents: number;
  readonly placed: number;
  /** Jobs that were before it when it was placed. */
  readonly ahead: number;
  readonly fault: Fault;
  readonly cancelled: boolean;
}

/**
 * Where a ticket stands at a moment, when every job takes `pace` ms: it waits for those ahead, prints, is ready; or the
 * roll runs out under it.
 */
export function ticketAt(kept: Kept, now: number, pace: number): Ticket {
  const { number, name, copies, cents, placed } = kept;
  const gone = Math.max(0, now - placed) / pace;
  const ahead = Math.max(0, kept.ahead - Math.floor(gone));
  const through = gone - kept.ahead;
  const state: Ticket['state'] = kept.cancelled
    ? 'cancelled'
    : through < 0
      ? 'waiting'
      : kept.fault === 'refuses'
        ? 'refused'
        : through < 1
          ? 'printing'
          : 'ready';
  return { number, name, copies, cents, placed, state, ahead, reason: state === 'refused' ? 'roll-ran-out' : null };
}

/** A ticket is asked after as long as something can still become of it. */
export const isOver = ({ state }: Pick<Ticket, 'state'>): boolean =>
  state === 'ready' || state === 'refused' || state === 'cancelled';
