export { STEPS as STEP_WORDS } from '../alterations/words.ts';

export const STAGE_WORDS: Readonly<Record<string, { readonly name: string; readonly lapName?: string }>> = {
  mark: { name: 'Mark' },
  cut: { name: 'Cut' },
  open: { name: 'Open', lapName: 'Lap' },
  level: { name: 'Level' },
  dart: { name: 'Dart' },
  true: { name: 'True' },
  match: { name: 'Match' },
};
