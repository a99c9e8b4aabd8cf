import { isFinitePoint, type Point } from '../../geometry/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Param, Value, Values } from '../contract.ts';

export type ValueError = 'value-unknown' | 'value-wrong-kind' | 'value-out-of-range';

function accepts(param: Param, value: Value): ValueError | null {
  switch (param.kind) {
    case 'length':
    case 'share':
      if (typeof value !== 'number' || !Number.isFinite(value)) return 'value-wrong-kind';
      return value < param.min || value > param.max ? 'value-out-of-range' : null;
    case 'choice':
      return typeof value === 'string' && param.options.includes(value) ? null : 'value-wrong-kind';
    case 'size':
      return value === null || typeof value === 'string' ? null : 'value-wrong-kind';
    case 'point':
      return value === null || (typeof value === 'object' && isFinitePoint(value)) ? null : 'value-wrong-kind';
  }
}

/** Values complete and in range: what is missing takes its initial value, what is unknown or out of range is refused. */
export function readValues(definition: AlterationDefinition, values: Values): Result<Values, ValueError> {
  const out: Record<string, Value> = {};
  for (const key of Object.keys(values))
    if (!definition.params.some((p) => p.key === key))
      return refuse('value-unknown', { key, alteration: definition.id });
  for (const param of definition.params) {
    const value = values[param.key] ?? param.initial;
    const error = accepts(param, value);
    if (error)
      return refuse(error, {
        key: param.key,
        value: String(value),
        ...('min' in param ? { min: param.min, max: param.max } : {}),
      });
    out[param.key] = value;
  }
  return ok(out);
}

/** True where the values ask for no change at all: every length that says how much is nothing. */
export function asksNothing(definition: AlterationDefinition, values: Values): boolean {
  const own = definition.params.some((p) => p.kind === 'length' && p.key === definition.amount && p.min <= 0);
  const keys = definition.amounts ?? (own && definition.amount ? [definition.amount] : []);
  return keys.length > 0 && keys.every((key) => values[key] === 0);
}

export const numberOf = (values: Values, key: string): number => {
  const v = values[key];
  if (typeof v !== 'number') throw new Error(`value ${key}: expected a number, got ${String(v)}`);
  return v;
};
export const choiceOf = (values: Values, key: string): string => {
  const v = values[key];
  if (typeof v !== 'string') throw new Error(`value ${key}: expected a choice, got ${String(v)}`);
  return v;
};
export const pointOf = (values: Values, key: string): Point | null => {
  const v = values[key];
  return v !== null && typeof v === 'object' ? v : null;
};
