import type { Refusal } from '../units/index.ts';
import { ERROR_WORDS } from './errors.ts';
import { speaker, type Data, type Units } from './say.ts';

/** The sentence of a code. A code without words shows itself: a test makes sure there is none. */
export function sentence(
  table: Readonly<Record<string, ((s: ReturnType<typeof speaker>) => string) | undefined>>,
  code: string,
  data: Data,
  units: Units,
): string {
  return table[code]?.(speaker(data, units)) ?? code;
}

/** Why something was refused. By itself, so that the first screen need not load every other sentence. */
export const sayRefusal = (r: Refusal, units: Units): string => sentence(ERROR_WORDS, r.code, r.data, units);
