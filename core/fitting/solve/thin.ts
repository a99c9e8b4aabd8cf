import { alterationById, isByBust } from '../../alterations/index.ts';
import { emptyCache, onRightOf, replay, setupOf, worksheetOf, type Replayed, type ResolvedJob } from '../plan/index.ts';
import type { Row } from '../compare/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { MeasurementKey } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';

/** What leaving a step out of a plan would cost: the measurement it costs most at. */
export interface Worth {
  readonly step: string;
  /** Null where nothing that is measured would differ. */
  readonly key: MeasurementKey | null;
  /** As it was taken on the right. */
  readonly right: boolean;
  /** What would be left there without the step, mm at the body: positive, the garment would lack it. */
  readonly left: number;
  /** How much more that is than the plan leaves, mm; never below nothing. */
  readonly cost: number;
  /** Whether all that would be left lies within what a tape can tell. */
  readonly within: boolean;
}

/** What each step is worth, and the steps a plan can do without: nothing would be left that a tape can tell. */
export interface Thinned {
  readonly worth: readonly Worth[];
  readonly drop: readonly string[];
}

/** A step that is there for a measurement; what follows, or shapes a dart, is worth what it is worth on the table. */
function isMeasured({ alteration }: Step): boolean {
  const d = alterationById(alteration);
  return d !== undefined && (isByBust(d) || d.fits !== undefined);
}

/**
 * What leaving out each step of a plan would cost at the body, and the smallest plan: the steps that can be left out
 * together with nothing left beyond what a tape can tell, or beyond what the whole plan leaves. The cheapest goes first.
 * Only steps that are on and answer to a measurement are weighed.
 */
export function thinned(resolved: ResolvedJob): Thinned {
  const start = setupOf(resolved);
  const cache = emptyCache();
  const rowsOf = (done: Replayed): readonly Sided[] => [
    ...worksheetOf(start, done).map((r) => ({ ...r, right: false })),
    ...onRightOf(start, done).map((r) => ({ ...r, right: true })),
  ];
  const left = (steps: readonly Step[]): readonly Sided[] => rowsOf(replay(start, steps, cache, { brief: true }));
  const all = resolved.job.steps;
  if (start.original.length === 0) return { worth: [], drop: [] };
  const done = replay(start, all, cache, { brief: true });
  const whole = rowsOf(done);
  // A step that nothing measured asks for is the sewist's own: nothing here can tell what it is worth.
  const asDrafted = start.contextOf(start.sewn);
  const told = new Set(
    done.steps
      .filter((s) => s.fit ?? s.amounts?.chosen ?? alterationById(s.step.alteration)?.fits?.(asDrafted))
      .map((s) => s.step.id),
  );
  const weighed = all.filter((s) => s.on && isMeasured(s) && told.has(s.id));
  const without = (steps: readonly Step[], id: string): readonly Step[] => steps.filter((s) => s.id !== id);
  const worth = weighed.map((s) => worthOf(s.id, whole, left(without(all, s.id))));
  const drop: string[] = [];
  let steps: readonly Step[] = all;
  for (;;) {
    const spare = weighed
      .filter((s) => !drop.includes(s.id))
      .map((s) => worthOf(s.id, whole, left(without(steps, s.id))))
      .filter((w) => w.within)
      .sort((a, b) => a.cost - b.cost)[0];
    if (!spare) return { worth, drop };
    drop.push(spare.step);
    steps = without(steps, spare.step);
  }
}

/** A row of the worksheet, or of what differs on the right. */
type Sided = Row & { readonly right: boolean };

/** What is left at a row: how far the bust point has fallen counts, where it has. */
const restOf = (r: Row): number => (Math.abs(r.fallen) > Math.abs(r.left ?? 0) ? r.fallen : (r.left ?? 0));

function worthOf(step: string, whole: readonly Sided[], without: readonly Sided[]): Worth {
  const at = without.flatMap((r) => {
    const was = whole.find((w) => w.key === r.key && w.right === r.right);
    if (r.left === null || was?.left === null || was === undefined || r.from === 'chart') return [];
    const [now, then] = [restOf(r), restOf(was)];
    const cost = Math.abs(now) - Math.abs(then);
    // What the whole plan leaves as well is no cost of this step.
    return [
      {
        key: r.key,
        right: r.right,
        left: now,
        cost,
        over: Math.abs(now) > Math.max(r.within, Math.abs(then) + TOL.sums),
      },
    ];
  });
  const worst = at.sort((a, b) => Number(b.over) - Number(a.over) || b.cost - a.cost)[0];
  const told = worst !== undefined && worst.cost > TOL.sums;
  return {
    step,
    key: told ? worst.key : null,
    right: told && worst.right,
    left: told ? worst.left : 0,
    cost: told ? worst.cost : 0,
    within: !at.some((x) => x.over),
  };
}
