import { useState } from 'react';
import {
  symptomOf,
  symptomsFor,
  symptomsNear,
  ZONES,
  type SymptomId,
  type View,
  type Zone,
} from '@ample/core/fitting/fit';
import type { Worn } from '@ample/core/pattern';
import type { Point } from '@ample/core/geometry';
import { SYMPTOM_WORDS, ZONE_WORDS } from '@ample/core/words';
import { addObservation } from '../../store/fittings.ts';
import { Select } from '../../ui/Select.tsx';

/** As many as one reads at a glance. */
const NEAREST = 6;

/** Notes something seen: the signs nearest to the place pointed at, or all of them by where they are. */
export function AddSeen({
  fitting,
  worn,
  view,
  at,
  onDone,
}: {
  readonly fitting: string;
  readonly worn: Worn;
  readonly view: View;
  readonly at: Point | null;
  readonly onDone: (id: string | null) => void;
}) {
  const [zone, setZone] = useState<Zone | 'all'>('all');
  const add = (sign: SymptomId) => {
    const own = symptomOf(sign);
    onDone(addObservation(fitting, sign, at && own.view === view ? { at } : {}));
  };
  const symptoms = symptomsFor(worn);
  const zones = ZONES.filter((z) => symptoms.some((s) => s.zone === z));
  const near = at ? symptomsNear(symptoms, view, at).slice(0, NEAREST) : [];
  const listed = symptoms.filter((s) => zone === 'all' || s.zone === zone);
  return (
    <section className="mt-3" aria-label="Note what you see">
      {at && (
        <div className="card mb-3 p-3" role="group" aria-label="What is it?">
          <h3 className="mb-2">What is it?</h3>
          <ul className="space-y-1">
            {near.map((s) => (
              <li key={s.id}>
                <button className="btn w-full justify-start text-left" onClick={() => add(s.id)}>
                  {SYMPTOM_WORDS[s.id].name}
                </button>
              </li>
            ))}
          </ul>
          <button className="btn btn-plain mt-1" onClick={() => onDone(null)}>
            None of these
          </button>
        </div>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <Select
          label="Where"
          value={zone}
          set={(chosen) => setZone(chosen as Zone | 'all')}
          wide
          className="min-w-0 flex-1 basis-[110px]"
        >
          <option value="all">anywhere</option>
          {zones.map((z) => (
            <option key={z} value={z}>
              {ZONE_WORDS[z]}
            </option>
          ))}
        </Select>
        <Select
          label="Note what you see"
          value=""
          set={(chosen) => chosen && add(chosen as SymptomId)}
          wide
          className="min-w-0 flex-[2] basis-[180px]"
        >
          <option value="">choose…</option>
          {listed.map((s) => (
            <option key={s.id} value={s.id}>
              {SYMPTOM_WORDS[s.id].name}
            </option>
          ))}
        </Select>
      </div>
    </section>
  );
}
