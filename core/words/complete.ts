import type { RefusalCode } from '../units/index.ts';
import type { BUREAU_WORDS } from './bureau.ts';
import type { ERROR_WORDS } from './errors.ts';
import type { FILE_WORDS } from './files.ts';
import type { CALIBRATE_WORDS } from './projector.ts';

/** The refusals that have a sentence somewhere. */
type Said =
  keyof typeof ERROR_WORDS | keyof typeof FILE_WORDS | keyof typeof CALIBRATE_WORDS | keyof typeof BUREAU_WORDS;

/** Does not compile while a refusal has no sentence: the error names it. */
export const everyRefusalIsSaid: Record<Exclude<RefusalCode, Said>, never> = {};
