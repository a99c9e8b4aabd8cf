import { type DraftStep, waysOn } from '@ample/core/fitting/plan';
import { WAY_WORDS } from '@ample/core/words';
import { takeWay } from '../store/plan.ts';

/** When one dart would take too much: the ways on, one click each. */
export function WaysOn({ step }: { readonly step: DraftStep }) {
  const ways = waysOn(step);
  if (ways.length === 0) return null;
  return (
    <section className="border-l-4 border-brass bg-white px-3 py-2" aria-label="Ways on">
      <h3>{step.outcome.ok ? 'Too much for one dart: ways on' : 'More than the dart can give up: ways on'}</h3>
      <ul className="mt-2 grid grid-cols-[repeat(auto-fit,minmax(210px,1fr))] gap-3">
        {ways.map(({ code, steps }) => {
          const words = WAY_WORDS[code];
          return (
            <li key={code}>
              <button
                className="btn w-full !justify-start"
                disabled={!steps}
                onClick={() => steps && takeWay(step.step.id, steps)}
              >
                {words?.name}
              </button>
              <p className="mt-0.5 text-sm">{steps ? words?.about : words?.cannot}</p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
