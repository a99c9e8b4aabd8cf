import type { KeepingCode, Refusal } from '../units/index.ts';
import { en, speaker, type Sentence, type Units } from '../speech/index.ts';

/** What became of saving, opening and drawing. By itself, so that the first screen need not load every other refusal. */
export const KEEPING_WORDS = {
  'document-damaged': (s) =>
    `A saved ${s.text('kind')} is damaged and was set aside, not deleted: ${s.text('detail')}. You can export it as it is.`,
  'document-gone': () =>
    'This was taken away in another window. It is still open here: keep it after all, or export it to a file first.',
  'storage-failed': (s) => `Saving did not work (${s.text('detail')}). Your work is still open: export it to a file.`,
  'storage-full': () =>
    'This device has no room left to save. Your work is still open: export it to a file, then free some space.',
  'storage-missing': () =>
    'This browser keeps nothing for the app, perhaps because the window is private. Nothing you do here is kept: export your work to a file.',
  'storage-silent': () =>
    'This browser’s storage does not answer, so nothing you do now is kept. Close other windows of the app and reload; until then, export your work to a file.',
  'stored-newer': (s) =>
    `${s.count('count', 'document')} kept here ${s.noun('count', 'was', 'were')} written by a newer version of the app and cannot be shown by this one. Nothing of them was changed. Load the page again to use the newer version.`,
  'window-adopted': (s) =>
    `Another window has changed this job, at ${s.text('time')}. You see it as it now stands; undo starts afresh.`,
  'window-clash': (s) =>
    en`Another window has changed the same thing, at ${s.text('time')}. Yours stands; the other’s is kept beside it: a plan under Toile, Versions, measurements as a set of their own, words in the notes. Undo starts afresh.`,
  'window-merged': (s) =>
    `Another window has changed this job too, at ${s.text('time')}. Both changes are kept; undo starts afresh.`,
  'worker-crashed': () =>
    'The drawing stopped and was started again. Nothing is lost. If it stops once more, undo the last change or make it smaller.',
  'worker-slow': () =>
    'The drawing took too long and was stopped. Try again; if it stops again, make the last change smaller, or undo it.',
} satisfies Record<KeepingCode, Sentence>;

export const sayKeeping = ({ code, data }: Refusal<KeepingCode>, units: Units): string =>
  KEEPING_WORDS[code](speaker(data, units));
