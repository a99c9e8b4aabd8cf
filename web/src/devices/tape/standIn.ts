import type { TapeDevice, TapeEvents } from './device.ts';

/** How the stand-in misbehaves. */
export interface Faults {
  /** Each reading is off by up to this, mm. */
  readonly noise: number;
  /** The next reading never arrives: the connection breaks instead. */
  readonly drop: boolean;
  /** Whatever is measured, the last reading is sent again. */
  readonly stuck: boolean;
}

/** A tape without a tape: readings are sent by hand, with the faults real ones have. `random` gives 0 to 1. */
export class StandInTape implements TapeDevice {
  readonly name = 'Stand-in tape';
  private events: TapeEvents | null = null;
  private last: number | null = null;
  private readonly random: () => number;
  private readonly delay: number;

  constructor(random: () => number = Math.random, delay = 120) {
    this.random = random;
    this.delay = delay;
  }

  connect = async (events: TapeEvents): Promise<void> => {
    await this.wait();
    this.events = events;
  };

  disconnect = (): void => {
    this.events = null;
  };

  /** The button on the tape: sends what it measures. */
  async send(mm: number, faults: Faults): Promise<void> {
    await this.wait();
    const { events } = this;
    if (!events) return;
    if (faults.drop) {
      this.events = null;
      events.lost();
      return;
    }
    const noisy = mm + (this.random() * 2 - 1) * faults.noise;
    const value = faults.stuck && this.last !== null ? this.last : Math.round(noisy);
    this.last = value;
    events.reading(value);
  }

  private wait = (): Promise<void> => new Promise((done) => setTimeout(done, this.delay));
}
