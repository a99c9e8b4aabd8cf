import { create } from 'zustand';
import { useDrawn } from './drawn.ts';
import { usePicture } from './picture.ts';
import { useTyped } from './typed.ts';

/** What one sets by hand over a picture or off a mat, and may take back. */
const now = () => ({
  marks: usePicture.getState().marks,
  shared: usePicture.getState().shared,
  clicks: usePicture.getState().clicks,
  kind: usePicture.getState().kind,
  pieces: useDrawn.getState().pieces,
  rows: useTyped.getState().rows,
});
type Standing = ReturnType<typeof now>;

interface History {
  readonly past: readonly Standing[];
  readonly future: readonly Standing[];
}
export const useDrawnHistory = create<History>()(() => ({ past: [], future: [] }));
const MOST_PAST = 200;

let quiet = false;
let last = now();
/** Several changes as one step, or none where they put a step back. */
function together(change: () => void): void {
  quiet = true;
  try {
    change();
  } finally {
    quiet = false;
    last = now();
  }
}

const STEPS = ['marks', 'shared', 'clicks', 'pieces'] as const;
function look(): void {
  if (quiet) return;
  const here = now();
  const before = last;
  last = here;
  if (STEPS.every((k) => here[k] === before[k])) return;
  useDrawnHistory.setState((h) => ({ past: [...h.past, before].slice(-MOST_PAST), future: [] }));
}
useDrawn.subscribe(look);
usePicture.subscribe((s, before) => {
  // Another picture, laid flat or joined: what was clicked before lies elsewhere.
  if (s.flat === before.flat && s.grey === before.grey) return look();
  last = now();
  useDrawnHistory.setState({ past: [], future: [] });
});

/** One step of one's own that changes several things, as adding a piece clears its clicks. */
export function inOneStep(change: () => void): void {
  const before = now();
  together(change);
  const after = now();
  if (STEPS.some((k) => after[k] !== before[k]))
    useDrawnHistory.setState((h) => ({ past: [...h.past, before].slice(-MOST_PAST), future: [] }));
}

function stand({ marks, shared, clicks, kind, pieces, rows }: Standing): void {
  together(() => {
    usePicture.setState({ marks, shared, clicks, kind, failed: null });
    useDrawn.setState({ pieces });
    useTyped.setState({ rows });
  });
}
/** Takes the last place, mark or piece back. */
export function takeBackDrawn(): void {
  const { past, future } = useDrawnHistory.getState();
  const before = past.at(-1);
  if (!before) return;
  const here = now();
  stand(before);
  useDrawnHistory.setState({ past: past.slice(0, -1), future: [...future, here] });
}
export function doAgainDrawn(): void {
  const { past, future } = useDrawnHistory.getState();
  const next = future.at(-1);
  if (!next) return;
  const here = now();
  stand(next);
  useDrawnHistory.setState({ past: [...past, here], future: future.slice(0, -1) });
}
