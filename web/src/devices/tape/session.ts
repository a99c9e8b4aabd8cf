import { create } from 'zustand';
import type { TapeDevice } from './device.ts';

interface Session {
  readonly state: 'off' | 'connecting' | 'on' | 'lost';
  readonly device: TapeDevice | null;
  /** The last readings with the field each went to, oldest first. */
  readonly readings: readonly { readonly mm: number; readonly to: string }[];
  /** The same value came for different measurements: the tape may be stuck. */
  readonly stuck: boolean;
  /** A reading that could not be one. */
  readonly odd: number | null;
}
export const useTape = create<Session>(() => ({ state: 'off', device: null, readings: [], stuck: false, odd: null }));

/** Where the next reading goes: the field one is in. */
export interface TapeTarget {
  readonly name: string;
  readonly take: (mm: number) => void;
}
let target: TapeTarget | null = null;
export const aimTape = (at: TapeTarget | null): void => {
  target = at;
};

const SAME = 3;
/** No body is longer, mm. */
const LONGEST = 4000;

/** Three equal readings for more than one measurement: no body is so regular. */
export function isStuck(readings: Session['readings']): boolean {
  const last = readings.slice(-SAME);
  return last.length === SAME && last.every((r) => r.mm === last[0]?.mm) && new Set(last.map((r) => r.to)).size > 1;
}

export async function connectTape(device: TapeDevice): Promise<void> {
  useTape.setState({ state: 'connecting', device, stuck: false, odd: null });
  await device.connect({
    reading: (mm) => {
      if (!(mm > 0 && mm < LONGEST)) return useTape.setState({ odd: mm });
      const at = target;
      const readings = [...useTape.getState().readings, { mm, to: at?.name ?? '' }].slice(-10);
      useTape.setState({ readings, stuck: isStuck(readings), odd: null });
      at?.take(mm);
    },
    lost: () => useTape.setState({ state: 'lost' }),
  });
  useTape.setState({ state: 'on' });
}

export function endTape(): void {
  useTape.getState().device?.disconnect();
  useTape.setState({ state: 'off', device: null, readings: [], stuck: false, odd: null });
}
