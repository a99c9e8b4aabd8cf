import type { Result } from '../../../units/index.ts';
import type { AlterationDefinition, WhyCode } from '../../contract.ts';

type Suits = ReturnType<AlterationDefinition['suits']>;

/** Best where the front has what the procedure works through; not at all, and why, where it lacks it. */
export const suits = (found: Result<unknown>, why: WhyCode, grade: 'best' | 'possible' = 'best'): Suits =>
  found.ok
    ? { grade, why: { code: why, data: {} } }
    : { grade: 'no', why: { code: found.error.code, data: found.error.data } };
