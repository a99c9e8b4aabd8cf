import type { Refusal, RefusalCode } from '../units/index.ts';
import { ERROR_WORDS } from './errors.ts';
import { sampleSpeaker, speaker, type Data, type Sentence, type Units } from '../speech/index.ts';

/** The sentence of a code. A code without words shows itself: a test makes sure there is none. */
export function sentence(
  table: Readonly<Record<string, Sentence | undefined>>,
  code: string,
  data: Data,
  units: Units,
): string {
  return table[code]?.(speaker(data, units)) ?? code;
}

/** Why something may be refused, said with examples: for a page that lists what may go wrong. */
export const sampleRefusal = (code: RefusalCode, units: Units): string =>
  (ERROR_WORDS as Partial<Record<RefusalCode, Sentence>>)[code]?.(sampleSpeaker(units)) ?? code;

/** Why something was refused. By itself, so that the first screen need not load every other sentence. */
export const sayRefusal = (r: Refusal, units: Units): string => sentence(ERROR_WORDS, r.code, r.data, units);
