import { useImport, type ImportState } from './import.ts';
import { stepsOf } from './steps.ts';

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
export type Standing = Pick<ImportState, (typeof KEYS)[number]>;

export const standingOf = (s: ImportState): Standing =>
  Object.fromEntries(KEYS.map((k) => [k, s[k]])) as unknown as Standing;

let quiet = false;
/** A reading that goes on or comes in is not a step of anyone's: it belongs to the one that asked for it. */
const comesIn = (s: ImportState, before: ImportState): boolean =>
  s.contact !== before.contact &&
  KEYS.every((k) => k === 'contact' || s[k] === before[k]) &&
  (before.contact === null || before.contact.state === 'reading' || s.contact === null);

useImport.subscribe((s, before) => {
  if (quiet) return;
  if (s.raw !== before.raw) return steps.forget();
  if (KEYS.every((k) => s[k] === before[k]) || comesIn(s, before)) return;
  steps.made(standingOf(before));
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
  withoutTrace(() => useImport.setState({ ...as, choiceFailed: null, pickFailed: null, chosenEdge: null, clicks: [] }));
const steps = stepsOf(() => standingOf(useImport.getState()), stand);
export const { useSteps: useBringHistory, takeBack, doAgain } = steps;
