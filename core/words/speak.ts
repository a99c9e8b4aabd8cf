import type { Finding } from '../paper/truing/index.ts';
import type { BodyProblem } from '../fitting/fit/index.ts';
import { ERROR_WORDS } from './errors.ts';
import { FINDING_WORDS } from './findings.ts';
import { WHY_WORDS } from './alterations.ts';
import type { StepCode, WhyCode } from '../alterations/index.ts';
import type { Coded, RefusalCode } from '../units/index.ts';
import { BODY_WORDS, FIT_WORDS, type FitReason } from './fit.ts';
import { sentence } from './refusal.ts';
import type { Units } from '../speech/index.ts';
import { STEP_WORDS } from './steps.ts';

export const sayStep = (m: Coded<StepCode>, units: Units): string => sentence(STEP_WORDS, m.code, m.data, units);
/** Why an alteration suits a pattern, or what the pattern lacks for it. */
export const sayWhy = (m: Coded<WhyCode | RefusalCode>, units: Units): string =>
  sentence({ ...WHY_WORDS, ...ERROR_WORDS }, m.code, m.data, units);
export const sayFinding = (f: Finding, units: Units): string => sentence(FINDING_WORDS, f.code, f.data, units);
export const sayFit = (m: Coded<FitReason>, units: Units): string => sentence(FIT_WORDS, m.code, m.data, units);
export const sayBodyProblem = (p: BodyProblem, units: Units): string =>
  (p.right ? 'On the right: ' : '') +
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
