import type { AlterationName } from '../../../speech/index.ts';

export const same = (name: string, about: string, over = ''): AlterationName => ({ name, lapName: name, about, over });

export const both = (name: string, lapName: string, about: string, over = ''): AlterationName => ({
  name,
  lapName,
  about,
  over,
});
