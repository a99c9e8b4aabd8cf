import type { Draft } from '@ample/core/fitting/plan';
import { isTold, type Row } from '@ample/core/fitting/compare';
import { TOL } from '@ample/core/units';
import { alterationName, MEASUREMENT_WORDS, sayFallen } from '@ample/core/words';
import { addStep } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length } from '../../shared/basics.tsx';

/** Rows the plan is about: a difference worth asking for, before or after. */
const told = (r: Row, paper: boolean): boolean =>
  r.difference !== null &&
  r.left !== null &&
  (paper || r.from !== 'chart') &&
  (isTold(r) || Math.abs(r.left) > r.within || Math.abs(r.fallen) > r.within);

/** Another way to a difference, by its name for more or for less. */
const nameOf = (o: Draft['offers'][number]): string => alterationName(o.alteration, o.fit.values['by'] ?? 0);

/** What is left at each measurement: the whole difference as an outline, what the plan leaves of it filled in. */
export function Left({ draft }: { readonly draft: Draft }) {
  const units = useUnits();
  const rows = draft.worksheet.filter((r) => told(r, draft.paper !== null));
  if (rows.length === 0) return null;
  const most = Math.max(...rows.flatMap((r) => [Math.abs(r.difference ?? 0), Math.abs(r.left ?? 0)]));
  const share = (v: number | null): string => `${(100 * Math.abs(v ?? 0)) / most}%`;
  return (
    <section className="card p-3" aria-label="What is left">
      <h2>What is left</h2>
      <p className="mb-2 text-sm text-quiet">The frame is the whole difference, the bar what the plan leaves of it.</p>
      <ul className="space-y-2">
        {rows.map((r) => {
          const done = Math.abs(r.left ?? 0) < TOL.seam;
          return (
            <li key={r.key}>
              <div className="flex justify-between gap-2">
                <span>{MEASUREMENT_WORDS[r.key].name}</span>
                <span>
                  <span className="text-sm text-quiet">
                    <Length value={r.difference ?? 0} sign /> →{' '}
                  </span>
                  {Math.abs(r.fallen) >= TOL.seam ? (
                    <>
                      <Length value={Math.abs(r.fallen)} /> {r.fallen > 0 ? 'lower' : 'higher'}
                    </>
                  ) : done ? (
                    'nothing'
                  ) : (
                    <Length value={r.left ?? 0} sign />
                  )}
                </span>
              </div>
              {sayFallen(r, units) !== '' && <p className="text-sm text-quiet">{sayFallen(r, units)}</p>}
              {draft.offers
                .filter((o) => o.fit.sum.data['key'] === r.key)
                .map((o) => (
                  <button key={o.alteration} className="btn my-1" onClick={() => addStep(o.alteration)}>
                    {Math.abs(r.fallen) >= TOL.seam ? 'Put it back to the wearer’s height' : nameOf(o)}
                  </button>
                ))}
              <div className="relative h-3" aria-hidden="true">
                <div className="absolute inset-y-0 left-0 border border-ink" style={{ width: share(r.difference) }} />
                {!done && <div className="absolute inset-y-[3px] left-0 bg-carbon" style={{ width: share(r.left) }} />}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
