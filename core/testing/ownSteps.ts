import type { Values } from '../alterations/index.ts';
import { draft, planStep, type Draft } from '../fitting/plan/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { wearerWith, type Readings } from './wearers.ts';

/**
 * A pattern in one size for a body, altered by the app’s own steps at its own amounts, what follows from them included; before
 * them, where given, by one that no measurement asks for.
 */
export function withOwnSteps(
  pattern: Pattern,
  size: string,
  body: Readings,
  first?: readonly [id: string, values: Values],
): Draft {
  const wearer = wearerWith(body);
  const sizeMethod = pattern.garment === 'top' ? ('highBust' as const) : ('hip' as const);
  const made = (steps: readonly ReturnType<typeof planStep>[]): Draft =>
    draft({ job: { size, sizeMethod, steps: [...steps] }, wearer, pattern });
  const own = first ? [planStep('own', ...first)] : [];
  const asked = made([]).asks.map((a, i) => planStep(`s${i}`, a.alteration));
  const follow = made([...own, ...asked]).followers.map((f, i) => planStep(`f${i}`, f.alteration));
  return made([...own, ...asked, ...follow]);
}
