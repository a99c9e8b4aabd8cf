import { createHash } from 'node:crypto';
import type { z } from 'zod';
import type { Estimate, Fault, Upload, uploadAskSchema } from '@ample/core/out/bureau';

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
  /** When it was last sent to. */
  touched: number;
  estimate: Estimate | null;
}

/** So many files, so many bytes. */
const MOST_FILES = 16;
const MOST_BYTES = 200 * 1024 * 1024;
/** A file that nobody went on sending for so long, ms, makes room. */
const LEFT = 10 * 60_000;

export class Uploads {
  private readonly stored = new Map<string, Stored>();
  constructor(private readonly now: () => number = Date.now) {}

  /**
   * An upload by what is sent: the same file begun before goes on where it stopped. Null where there is no room: what is
   * done, or was left lying, makes room; what another is still sending never does.
   */
  begin(ask: z.output<typeof uploadAskSchema>): Stored | null {
    const id = `${ask.sha256.slice(0, 32)}-${ask.fault}`;
    const known = this.stored.get(id);
    if (known && known.bytes === ask.bytes) return known;
    this.stored.delete(id);
    if (ask.bytes > MOST_BYTES) return null;
    const held = (): number => [...this.stored.values()].reduce((sum, s) => sum + s.data.length, 0);
    while (this.stored.size >= MOST_FILES || held() + ask.bytes > MOST_BYTES) {
      const free = [...this.stored.values()].find((s) => s.estimate !== null || this.now() - s.touched > LEFT);
      if (!free) return null;
      this.stored.delete(free.id);
    }
    const fresh: Stored = {
      ...ask,
      id,
      data: new Uint8Array(ask.bytes),
      received: 0,
      struck: 0,
      touched: this.now(),
      estimate: null,
    };
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
    s.touched = this.now();
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
