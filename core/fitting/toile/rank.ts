import type { Draft } from '../plan/index.ts';
import type { Fitting, Job, Observation } from '../../documents/schema.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import { ADVICE } from '../../units/index.ts';
import type { Cause } from './cause.ts';
import { CAUSES } from './causes.ts';
import { changeFor, type Change } from './change.ts';

/** What a measurement says of a cause; `left` is what the pattern still differs by, mm. */
export interface Evidence {
  readonly key: MeasurementKey | null;
  readonly left: number | null;
  readonly says: 'for' | 'against' | 'right' | 'unknown' | 'sized';
}

/** A cause with everything that speaks for it and against it. */
export interface Ranked {
  readonly cause: string;
  readonly grade: 'likely' | 'possible' | 'doubtful';
  /** 0 to 1, only to rank by. */
  readonly score: number;
  readonly seen: readonly Observation[];
  readonly contrary: readonly Observation[];
  readonly because: readonly Evidence[];
  readonly change: Change;
}

/** How much evidence multiplies the odds. A measurement outweighs one sign, not two that agree. */
const ODDS = { for: 2.5, against: 0.35, right: 0.7, unknown: 1, sized: 4 } as const;
const CONTRARY = 0.4;
/** A sign on one side only, where others are on both, still counts for nearly as much. */
const LIKELY = 0.5;
const POSSIBLE = 0.28;

/**
 * The causes of what a fitting shows, the likeliest first. Each sign speaks for a cause by its weight (together as
 * independent hints do); what body and pattern still differ by then raises or lowers the odds.
 */
export function rankCauses(
  observations: Fitting['observations'],
  draft: Draft,
  job: Pick<Job, 'sizeMethod'>,
): readonly Ranked[] {
  return CAUSES.flatMap((cause): readonly Ranked[] => {
    const seen = observations.filter((o) => (cause.signs[o.sign] ?? 0) > 0);
    if (seen.length === 0) return [];
    if (cause.overdone && cause.remedy.kind === 'advice' && !plans(draft, cause.overdone)) return [];
    const contrary = observations.filter((o) => cause.against?.includes(o.sign));
    const because = evidenceFor(cause, draft, job);
    const hinted = 1 - seen.reduce((p, o) => p * (1 - (cause.signs[o.sign] ?? 0)), 1);
    let odds = hinted / (1 - hinted);
    for (const e of because) odds *= ODDS[e.says];
    odds *= CONTRARY ** contrary.length;
    const score = odds / (1 + odds);
    return [
      {
        cause: cause.id,
        grade: score >= LIKELY ? 'likely' : score >= POSSIBLE ? 'possible' : 'doubtful',
        score,
        seen,
        contrary,
        because,
        change: changeFor(cause, seen, draft),
      },
    ];
  }).sort((a, b) => b.score - a.score);
}

const plans = (draft: Draft, alterations: readonly string[]): boolean =>
  draft.steps.some((s) => s.step.on && s.outcome.ok && alterations.includes(s.step.alteration));

/** What the worksheet says of a cause on the pieces as the plan leaves them. */
function evidenceFor(cause: Cause, draft: Draft, job: Pick<Job, 'sizeMethod'>): readonly Evidence[] {
  const leftOf = (key: MeasurementKey): number | null => draft.worksheet.find((r) => r.key === key)?.left ?? null;
  const reads = cause.reads.map(({ key, way }): Evidence => {
    const left = leftOf(key);
    if (left === null) return { key, left, says: 'unknown' };
    const says = left * way >= ADVICE.worthAsking ? 'for' : left * way <= -ADVICE.worthAsking ? 'against' : 'right';
    return { key, left, says };
  });
  // Two measurements that tell of one cause count once: the stronger word of the two.
  const known = reads.filter((e) => e.says !== 'unknown');
  const strongest = known.find((e) => e.says === 'for') ?? known.find((e) => e.says === 'against') ?? known[0];
  const level = (cause.level ?? []).flatMap((key): readonly Evidence[] => {
    const left = leftOf(key);
    return left !== null && Math.abs(left) >= ADVICE.worthAsking ? [{ key, left, says: 'against' }] : [];
  });
  const sized: readonly Evidence[] =
    cause.sizedBy && job.sizeMethod === cause.sizedBy ? [{ key: null, left: null, says: 'sized' }] : [];
  return [...(strongest ? [strongest] : reads.slice(0, 1)), ...level, ...sized];
}
