import { outOfOrder, type Draft } from '@ample/core/fitting/plan';
import { useJob } from '../../store/job.ts';
import { sortPlan } from '../../store/plan.ts';

/** The order of work: top down, or the bust first; the plan can be put in it at any time. */
export function WorkOrder({ draft }: { readonly draft: Draft }) {
  const order = useJob((s) => s.job?.order ?? 'topDown');
  if (draft.steps.length < 2) return null;
  const off = outOfOrder(
    draft.steps.map((s) => s.step),
    order,
  ).length;
  return (
    <section className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2" aria-label="How the plan is ordered">
      <label className="flex items-center gap-2">
        Order of work
        <select
          className="field"
          value={order}
          onChange={(e) => sortPlan(e.target.value === 'bustFirst' ? 'bustFirst' : 'topDown')}
        >
          <option value="topDown">top down</option>
          <option value="bustFirst">the bust first</option>
        </select>
      </label>
      {off > 0 ? (
        <button className="btn" onClick={() => sortPlan(order)}>
          Put the plan in this order
        </button>
      ) : (
        <span className="text-quiet">The plan stands in this order.</span>
      )}
    </section>
  );
}
