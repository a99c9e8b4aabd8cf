import { create } from 'zustand';
import { useBring, type BringState } from './bring.ts';

/** What one does on this station and may take back: pages, scale, what is shown, the pieces, the one in hand. */
const KEYS = [
  'unit',
  'scale',
  'placing',
  'window',
  'overlap',
  'columns',
  'hidden',
  'heal',
  'picked',
  'choices',
  'size',
  'contact',
] as const;
export type Standing = Pick<BringState, (typeof KEYS)[number]>;

export const standingOf = (s: BringState): Standing =>
  Object.fromEntries(KEYS.map((k) => [k, s[k]])) as unknown as Standing;

interface History {
  readonly past: readonly Standing[];
  readonly future: readonly Standing[];
}
export const useBringHistory = create<History>()(() => ({ past: [], future: [] }));
/** So many steps may be taken back. */
const MOST_PAST = 200;

let quiet = false;
/** A reading that goes on or comes in is no step of anyone's: it belongs to the one that asked for it. */
const comesIn = (s: BringState, before: BringState): boolean =>
  s.contact !== before.contact &&
  KEYS.every((k) => k === 'contact' || s[k] === before[k]) &&
  (before.contact === null || before.contact.state === 'reading' || s.contact === null);

useBring.subscribe((s, before) => {
  if (quiet) return;
  if (s.raw !== before.raw) return useBringHistory.setState({ past: [], future: [] });
  if (KEYS.every((k) => s[k] === before[k]) || comesIn(s, before)) return;
  useBringHistory.setState((h) => ({ past: [...h.past, standingOf(before)].slice(-MOST_PAST), future: [] }));
});

/** Changes that are no step of one's own: what follows from one, or is put back. */
export function withoutTrace(change: () => void): void {
  quiet = true;
  try {
    change();
  } finally {
    quiet = false;
  }
}

const stand = (as: Standing): void =>
  withoutTrace(() => useBring.setState({ ...as, choiceFailed: null, pickFailed: null, chosenEdge: null, clicks: [] }));

/** Takes the last step on this station back; false where there is none. */
export function takeBack(): boolean {
  const { past, future } = useBringHistory.getState();
  const before = past.at(-1);
  if (!before) return false;
  const now = standingOf(useBring.getState());
  stand(before);
  useBringHistory.setState({ past: past.slice(0, -1), future: [...future, now] });
  return true;
}
/** Does the step taken back again; false where there is none. */
export function doAgain(): boolean {
  const { past, future } = useBringHistory.getState();
  const next = future.at(-1);
  if (!next) return false;
  const now = standingOf(useBring.getState());
  stand(next);
  useBringHistory.setState({ past: [...past, now], future: future.slice(0, -1) });
  return true;
}
