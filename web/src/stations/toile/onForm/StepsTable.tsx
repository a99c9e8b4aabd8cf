import type { Reading } from '@ample/core/drape';
import type { WithoutStep } from '@ample/core/fitting/onForm';
import type { Draft } from '@ample/core/fitting/plan';
import { alterationName, READING_WORDS, sayMoved, stepName } from '@ample/core/words';
import { useUnits } from '../../../store/prefs.ts';
import type { Draped } from '../../../workers/protocol.ts';

/** A step changes a reading worth telling when it moves it by this share of what shows. */
const TELLS = 0.5;

/** What each step of the plan does to what is read: with it less without it, all the others done. */
export function StepsTable({ draped, steps }: { readonly draped: Draped; readonly steps: Draft['steps'] }) {
  const units = useUnits();
  const { readings, more } = draped;
  if (!more || more.without.length === 0) return null;
  const by = (r: Reading, i: number): number =>
    r.value - (more.without[i]?.readings.find((x) => x.id === r.id)?.value ?? r.value);
  const nameOf = ({ step, alteration }: WithoutStep): string => {
    const own = steps.find((s) => s.step.id === step);
    return own ? stepName(own) : alterationName(alteration);
  };
  const told = readings.planned.filter((r) => more.without.some((_, i) => Math.abs(by(r, i)) >= TELLS * r.threshold));
  if (told.length === 0) return <p className="mt-2">No step changes a reading by as much as would show.</p>;
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="w-full" aria-label="What each step does">
        <caption className="pb-1 text-left">What each step changes, with the others done</caption>
        <thead>
          <tr className="border-b border-ink text-left text-sm">
            <th className="py-1 font-normal">Reading</th>
            {more.without.map((w) => (
              <th key={w.step} className="py-1 pl-3 text-right font-normal">
                {nameOf(w)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {told.map((r) => (
            <tr key={r.id} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {READING_WORDS[r.id].name}
              </th>
              {more.without.map((w, i) => (
                <td
                  key={w.step}
                  className={`py-1 pl-3 text-right ${Math.abs(by(r, i)) < TELLS * r.threshold ? 'text-quiet' : ''}`}
                >
                  {sayMoved(r, by(r, i), units)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
