import { createHash } from 'node:crypto';
import type { z } from 'zod';
import type { Estimate, Fault, Upload, uploadAskSchema } from '@ample/core/bureau';

/** Files under way and done, in memory: a stand-in keeps nothing beyond its own life. */
export interface Stored {
  readonly id: string;
  readonly name: string;
  readonly bytes: number;
  readonly sha256: string;
  readonly fault: Fault;
  /** Empty once the file has been measured: nothing is kept that is not needed. */
  data: Uint8Array;
  received: number;
  /** The fault has shown itself: it does so once. */
  struck: number;
  estimate: Estimate | null;
}

/** The oldest go first: so many files, so many bytes. */
const MOST_FILES = 16;
const MOST_BYTES = 200 * 1024 * 1024;

export class Uploads {
  private readonly stored = new Map<string, Stored>();

  /** An upload by what is sent: the same file begun before goes on where it stopped. Null where there is no room. */
  begin(ask: z.output<typeof uploadAskSchema>): Stored | null {
    const id = `${ask.sha256.slice(0, 32)}-${ask.fault}`;
    const known = this.stored.get(id);
    if (known && known.bytes === ask.bytes) return known;
    this.stored.delete(id);
    if (ask.bytes > MOST_BYTES) return null;
    const held = (): number => [...this.stored.values()].reduce((sum, s) => sum + s.data.length, 0);
    while (this.stored.size >= MOST_FILES || held() + ask.bytes > MOST_BYTES) {
      const oldest = this.stored.keys().next().value;
      if (oldest === undefined) return null;
      this.stored.delete(oldest);
    }
    const fresh: Stored = { ...ask, id, data: new Uint8Array(ask.bytes), received: 0, struck: 0, estimate: null };
    this.stored.set(id, fresh);
    return fresh;
  }

  find(id: string): Stored | undefined {
    return this.stored.get(id);
  }

  /** Puts a piece behind what is there. False where it does not belong there, or is too long. */
  put(s: Stored, from: number, piece: Uint8Array): boolean {
    if (from !== s.received || from + piece.length > s.bytes) return false;
    s.data.set(piece, from);
    s.received += piece.length;
    return true;
  }

  /** Whether all is there and as it was sent; what was damaged is to be sent again from the start. */
  sound(s: Stored): boolean {
    if (createHash('sha256').update(s.data).digest('hex') === s.sha256) return true;
    s.received = 0;
    return false;
  }
}

export const tellUpload = ({ id, bytes, received }: Stored): Upload => ({ id, bytes, received });
