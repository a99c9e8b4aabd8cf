import { parse, stringify } from 'flatted';
import { JOB_VERSION, type Job, type Wearer } from '@ample/core/documents';
import { useJob } from './job.ts';

/** Under which the steps to take back lie while the page is loaded anew: of this window only, gone with it. */
const KEY = 'ample-draft.undo';
/** The most it may take of the browser's small store, characters: older steps are left out. */
const MOST = 2_000_000;

interface Documents {
  readonly job?: Job | null;
  readonly wearer?: Wearer | null;
}
interface Kept {
  readonly version: number;
  readonly now: string;
  readonly past: readonly Documents[];
  readonly future: readonly Documents[];
}
const asText = ({ job, wearer }: Documents): string => JSON.stringify([job, wearer]);

/** Keeps what can be undone and done again over a reload. States share what did not change, and are written so. */
export function keepUndo(): void {
  const { pastStates, futureStates } = useJob.temporal.getState();
  const now = useJob.getState();
  try {
    sessionStorage.removeItem(KEY);
    if (!now.job || pastStates.length + futureStates.length === 0) return;
    for (let from = 0; from <= pastStates.length; from = from * 2 + 1) {
      const kept: Kept = { version: JOB_VERSION, now: asText(now), past: pastStates.slice(from), future: futureStates };
      const text = stringify(kept);
      if (text.length > MOST) continue;
      return sessionStorage.setItem(KEY, text);
    }
  } catch {
    // Without it undo begins anew, as it would in another window.
  }
}

/** Takes up again what could be undone, where the open documents are just those it was kept with. Once. */
export function takeUpUndo(): void {
  try {
    const text = sessionStorage.getItem(KEY);
    if (text === null) return;
    sessionStorage.removeItem(KEY);
    const kept = parse(text) as Kept;
    if (kept.version !== JOB_VERSION || kept.now !== asText(useJob.getState())) return;
    useJob.temporal.setState({ pastStates: [...kept.past], futureStates: [...kept.future] } as never);
  } catch {
    // As above.
  }
}
