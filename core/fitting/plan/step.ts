import type { Fit, Run, Values } from '../../alterations/index.ts';
import type { Amounts } from '../fit/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { Piece } from '../../pattern/index.ts';
import type { Result } from '../../units/index.ts';

/** One step of the plan, carried out. */
export interface DraftStep {
  readonly step: Step;
  /** The values it runs with: computed ones, overridden by those set by hand. */
  readonly values: Values;
  /** Every way of computing a bust amount, on the pieces the step began with; null for other steps. */
  readonly amounts: Amounts | null;
  /** What body and pieces asked for, where they tell. */
  readonly fit: Fit | null;
  /** The pieces the step began with: its own side's, the left where it is for both. */
  readonly before: readonly Piece[];
  readonly outcome: Result<Run>;
  /** The other side, where the sides already differed and the step is for both. */
  readonly other: Result<Run> | null;
}
