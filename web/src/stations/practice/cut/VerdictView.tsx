import type { Difference, Verdict } from '@ample/core/practice';
import { sayMistake, sayOutcome } from '@ample/core/words';
import { useUnits } from '../../../store/prefs.ts';

/** How many differences are told of one mistake. */
const MOST = 4;
/** Seams that no longer meet tell more than where a corner lies. */
const FIRST: readonly Difference['kind'][] = ['seam', 'length', 'legs', 'tip', 'grain', 'corner', 'opening'];

/** The differences that tell most: the largest of each kind, and no corner beside another. */
function telling(all: readonly Difference[]): readonly Difference[] {
  const sorted = [...all].sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
  const corner = sorted.find((d) => d.kind === 'corner');
  return sorted
    .filter((d) => d.kind !== 'corner' || d === corner)
    .filter((d) => d.kind !== 'opening')
    .sort((a, b) => FIRST.indexOf(a.kind) - FIRST.indexOf(b.kind))
    .slice(0, MOST);
}

/** What the cut comes to: the largest difference, and what made it. */
export function VerdictView({ verdict }: { readonly verdict: Verdict }) {
  const units = useUnits();
  const said = new Set(verdict.mistakes.flatMap((m) => m.makes));
  const rest = verdict.differences.filter((d) => !said.has(d));
  return (
    <section aria-label="What it comes to" aria-live="polite" className="space-y-2 border-t-2 border-ink pt-2">
      <p className="text-lg">
        <strong className="num text-xl">{verdict.score.toFixed(1)} mm</strong>{' '}
        {verdict.careful
          ? 'at the most from how it should be. This can be cut in good cloth.'
          : 'is the largest difference from how it should be.'}
      </p>
      {verdict.mistakes.map((m, i) => {
        const { name, why } = sayMistake(m, units);
        // What an earlier mistake was said to make is not said again.
        const before = new Set(verdict.mistakes.slice(0, i).flatMap((o) => o.makes));
        const makes = telling(m.makes.filter((d) => !before.has(d)));
        return (
          <div key={`${m.code} ${m.piece}`} className="border-l-4 border-brass bg-white px-3 py-2">
            <h3>{name}</h3>
            <p>{why}</p>
            {makes.length > 0 && (
              <ul className="mt-1 list-disc pl-5 text-sm">
                {makes.map((d, k) => (
                  <li key={k}>{sayOutcome(d, units)}</li>
                ))}
              </ul>
            )}
          </div>
        );
      })}
      {verdict.mistakes.length === 0 && rest.length > 0 && (
        <ul className="list-disc pl-5">
          {telling(rest).map((d, i) => (
            <li key={i}>{sayOutcome(d, units)}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
