import { useDrawn } from './drawn.ts';
import { usePicture } from './picture.ts';
import { stepsOf } from './steps.ts';
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

const KEYS = ['marks', 'shared', 'clicks', 'pieces'] as const;
function look(): void {
  if (quiet) return;
  const here = now();
  const before = last;
  last = here;
  if (KEYS.every((k) => here[k] === before[k])) return;
  steps.made(before);
}
useDrawn.subscribe(look);
// Typing is not a step here, but what was typed stands when the next one is made.
useTyped.subscribe(() => {
  if (!quiet) last = now();
});
usePicture.subscribe((s, before) => {
  // Another picture, laid flat or joined: what was clicked before lies elsewhere.
  if (s.flat === before.flat && s.grey === before.grey) return look();
  last = now();
  steps.forget();
});

/** One step of one's own that changes several things, as adding a piece clears its clicks. */
export function inOneStep(change: () => void): void {
  const before = now();
  together(change);
  const after = now();
  if (KEYS.some((k) => after[k] !== before[k])) steps.made(before);
}

function stand({ marks, shared, clicks, kind, pieces, rows }: Standing): void {
  together(() => {
    usePicture.setState({ marks, shared, clicks, kind, failed: null });
    useDrawn.setState({ pieces });
    useTyped.setState({ rows });
  });
}
const steps = stepsOf(now, stand);
export const { useSteps: useDrawnHistory, takeBack: takeBackDrawn, doAgain: doAgainDrawn } = steps;
