import { ToggleGroup } from 'radix-ui';
import type { Fitting, FollowUp } from '@ample/core/documents';
import { toFollow } from '@ample/core/fitting/toile';
import { RESULT_WORDS, sayAnswer, SYMPTOM_WORDS } from '@ample/core/words';
import { longDate } from '../../lib/time.ts';
import { followUp } from '../../store/fittings.ts';
import { useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';

const RESULTS: readonly FollowUp[] = ['gone', 'less', 'same', 'more'];

/** What earlier fittings showed, to be looked at again: gone, less, as before, more. */
export function Followed({ fitting }: { readonly fitting: Fitting }) {
  const units = useUnits();
  const fittings = useJob((s) => s.job?.fittings);
  const list = toFollow(fittings ?? [], fitting.id);
  if (list.length === 0) return null;
  return (
    <section aria-labelledby="followed" className="workings p-3">
      <h3 id="followed" className="mb-2">
        From the fittings before
      </h3>
      <ul className="space-y-2">
        {list.map(({ observation: o, fitting: from, result }) => {
          const done = o.answers.at(-1);
          return (
            <li key={o.id} className="flex flex-wrap items-center gap-x-4 gap-y-1">
              <span className="min-w-[240px] flex-1">
                {SYMPTOM_WORDS[o.sign].name}
                <span className="block text-sm text-quiet">
                  {longDate(from.date)}; {done ? `after ${sayAnswer(done, units)}` : 'nothing was done about it'}
                </span>
              </span>
              <ToggleGroup.Root
                type="single"
                className="flex gap-1"
                value={result ?? ''}
                onValueChange={(v) => v && followUp(fitting.id, o, v as FollowUp)}
                aria-label={`${SYMPTOM_WORDS[o.sign].name}: now`}
              >
                {RESULTS.map((r) => (
                  <ToggleGroup.Item
                    key={r}
                    value={r}
                    className="btn !px-3 data-[state=on]:bg-ink data-[state=on]:text-white"
                  >
                    {RESULT_WORDS[r]}
                  </ToggleGroup.Item>
                ))}
              </ToggleGroup.Root>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
