import type { Draft } from '@ample/core/fitting/plan';
import type { MeasurementKey, Pattern } from '@ample/core/pattern';
import type { RefusalCode } from '@ample/core/units';
import { useState } from 'react';
import { useDraft } from '../../store/draft.ts';

/** What has to be known before there is anything to show, and the fields to type it into. */
export type FirstThing =
  | { readonly kind: 'measure'; readonly keys: readonly MeasurementKey[] }
  | { readonly kind: 'chart'; readonly size: string };

const NEEDS: Readonly<Partial<Record<RefusalCode, readonly MeasurementKey[]>>> = {
  'size-needs-high-bust': ['highBust', 'fullBust'],
  'size-needs-full-bust': ['highBust', 'fullBust'],
  'size-needs-hip': ['waist', 'hip'],
};

/** Whether something was not told yet, rather than told wrong. */
export const isOnlyMissing = (code: string): boolean => code in NEEDS || code === 'chart-has-no-bust';

/** The envelope of a pattern whose chart nobody has filled in yet; null where one has begun. */
export function blankChart({ chart }: Pick<Pattern, 'chart'>): FirstThing | null {
  const [row] = chart;
  return row && chart.every((r) => Object.keys(r.body).length === 0) ? { kind: 'chart', size: row.size } : null;
}

/** The one thing to do first; null once there is a size to start from, or where something is wrong instead of missing. */
export function firstThing(draft: Draft, pattern: Pattern): FirstThing | null {
  const refusal = draft.refusal ?? (draft.sizeChoice.ok ? null : draft.sizeChoice.error);
  if (!refusal || draft.size !== null) return null;
  const keys = NEEDS[refusal.code as RefusalCode];
  if (keys) return { kind: 'measure', keys };
  const [row] = pattern.chart;
  return refusal.code === 'chart-has-no-bust' && row ? { kind: 'chart', size: row.size } : null;
}

/**
 * The same for the open job. Measurements asked for stay asked for while one is here, until all of them are typed and none of
 * them is odd: the first may be enough for a size, and a field must not go away under the hand.
 */
export function useFirstThing(): FirstThing | null {
  const { draft, pattern } = useDraft();
  const [asked, setAsked] = useState<(FirstThing & { kind: 'measure' }) | null>(null);
  const now = draft && pattern ? firstThing(draft, pattern) : null;
  if (now?.kind === 'measure' && now.keys !== asked?.keys) setAsked(now);
  if (!draft || !asked) return now;
  const open = asked.keys.some(
    (key) =>
      draft.body[key] === undefined ||
      draft.bodyProblems.some((p) => p.key === key && (p.grade === 'stop' || p.data['meant'] !== undefined)),
  );
  return open ? asked : now;
}
