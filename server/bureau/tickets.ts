import { randomBytes } from 'node:crypto';
import { isOver, ticketAt, type Fault, type Kept, type Order, type Ticket } from '@ample/core/out/bureau';

/** Jobs of others that are always in the queue before a new one. */
const OTHERS = 2;
const MOST = 200;

/** No one can guess another's ticket: forty random bits, in letters and digits that are not mistaken for each other. */
const SIGNS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
const freshNumber = (): string => `B-${[...randomBytes(8)].map((v) => SIGNS[v % SIGNS.length]).join('')}`;

export class Tickets {
  private readonly kept = new Map<string, Kept>();
  private readonly byKey = new Map<string, string>();
  constructor(
    private readonly now: () => number,
    /** How long one job takes, ms. */
    private readonly pace: number,
  ) {}

  /** Places an order; the same key again gives the ticket it already has. Null while the queue is full. */
  place(order: Order, job: { readonly name: string; readonly cents: number; readonly fault: Fault }): Ticket | null {
    const known = this.byKey.get(order.key);
    if (known !== undefined) return this.at(known);
    if (this.kept.size >= MOST) {
      const over = [...this.kept.keys()].find((n) => isOver(this.at(n) as Ticket));
      if (over === undefined) return null;
      this.kept.delete(over);
      for (const [key, number] of this.byKey) if (number === over) this.byKey.delete(key);
    }
    const number = freshNumber();
    const { name, cents, fault } = job;
    const waiting = [...this.kept.keys()].filter((n) => this.at(n)?.state === 'waiting').length;
    this.kept.set(number, {
      number,
      name,
      cents,
      fault,
      copies: order.copies,
      placed: this.now(),
      ahead: OTHERS + waiting,
      cancelled: false,
    });
    this.byKey.set(order.key, number);
    return this.at(number);
  }

  at(number: string): Ticket | null {
    const kept = this.kept.get(number);
    return kept ? ticketAt(kept, this.now(), this.pace) : null;
  }

  /** Takes a ticket out of the queue; only while it waits. */
  cancel(number: string): Ticket | 'too-late' | null {
    const kept = this.kept.get(number);
    const at = this.at(number);
    if (!kept || !at) return null;
    if (at.state !== 'waiting') return at.state === 'cancelled' ? at : 'too-late';
    this.kept.set(number, { ...kept, cancelled: true });
    return this.at(number);
  }
}
