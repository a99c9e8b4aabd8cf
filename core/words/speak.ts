import type { Finding } from '../paper/truing/index.ts';
import type { BodyProblem } from '../fitting/fit/index.ts';
import { ERROR_WORDS } from './errors.ts';
import { FINDING_WORDS } from './findings.ts';
import { WHY_WORDS } from './alterations.ts';
import { BODY_WORDS, FIT_WORDS } from './fit.ts';
import { sentence } from './refusal.ts';
import type { Data, Units } from './say.ts';
import { STEP_WORDS } from './steps.ts';

export const sayStep = (m: { readonly code: string; readonly data: Data }, units: Units): string =>
  sentence(STEP_WORDS, m.code, m.data, units);
/** Why an alteration suits a pattern, or what the pattern lacks for it. */
export const sayWhy = (m: { readonly code: string; readonly data: Data }, units: Units): string =>
  sentence({ ...WHY_WORDS, ...ERROR_WORDS }, m.code, m.data, units);
export const sayFinding = (f: Finding, units: Units): string => sentence(FINDING_WORDS, f.code, f.data, units);
export const sayFit = (m: { readonly code: string; readonly data: Data }, units: Units): string =>
  sentence(FIT_WORDS, m.code, m.data, units);
export const sayBodyProblem = (p: BodyProblem, units: Units): string =>
  sentence(
    BODY_WORDS,
    p.code,
    {
      ...p.data,
      inches: Math.round(Number(p.data['value'] ?? 0)) / 10,
      cm: Math.round(Number(p.data['value'] ?? 0) / 2.54) / 10,
      limit: units.unit === 'cm' ? '1 cm' : '3/8″',
    },
    units,
  );
