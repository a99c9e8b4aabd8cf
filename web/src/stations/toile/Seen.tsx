import { X } from 'lucide-react';
import { symptomOf } from '@ample/core/fitting/fit';
import type { Observation } from '@ample/core/documents';
import { becameOf } from '@ample/core/fitting/toile';
import { RESULT_WORDS, sayAnswer, SYMPTOM_WORDS } from '@ample/core/words';
import { longDate } from '../../lib/time.ts';
import { removeObservation, setObservation } from '../../store/fittings.ts';
import { useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { SidePick } from '../../ui/SidePick.tsx';
import { TextBox } from '../../ui/TextBox.tsx';

/** The list of what was seen: side, pinned amount, a word; what was done about it and what became of it. */
export function Seen({
  fitting,
  observations,
  chosen,
  onChoose,
}: {
  readonly fitting: string;
  readonly observations: readonly (Observation & { readonly number: number })[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}) {
  return (
    <section aria-labelledby="seen">
      <h3 id="seen" className="mb-2">
        What was seen
      </h3>
      {observations.length === 0 && (
        <p className="text-quiet">Nothing noted. If all lines up and moves well, give the verdict above.</p>
      )}
      <ol className="space-y-2">
        {observations.map((o) => (
          <li
            key={o.id}
            className={`card border-l-4 p-3 ${o.id === chosen ? '!border-l-ink' : '!border-l-line'}`}
            onFocus={() => onChoose(o.id)}
          >
            <Item fitting={fitting} observation={o} />
          </li>
        ))}
      </ol>
    </section>
  );
}

function Item({
  fitting,
  observation: o,
}: {
  readonly fitting: string;
  readonly observation: Observation & { readonly number: number };
}) {
  const { counts } = symptomOf(o.sign);
  const words = SYMPTOM_WORDS[o.sign];
  return (
    <>
      <div className="flex items-start gap-3">
        <span className="num text-lg">{o.number}</span>
        <div className="min-w-0 flex-1">
          <p className="font-semibold">{words.name}</p>
          {counts !== null && <p className="text-sm text-quiet">Pin or measure: {words.pin}.</p>}
        </div>
        <button
          className="btn btn-plain !px-1"
          onClick={() => removeObservation(fitting, o.id)}
          aria-label={`Remove: ${words.name}`}
        >
          <X size={20} aria-hidden="true" />
        </button>
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-3 pl-7">
        <SidePick value={o.side} onChange={(side) => setObservation(fitting, o.id, { side })} />
        {counts !== null && (
          <LengthField
            label="Pinned"
            width="w-28"
            optional
            min={0}
            max={400}
            value={o.pinned}
            onCommit={(pinned) => setObservation(fitting, o.id, { pinned })}
          />
        )}
        <div className="min-w-[160px] flex-1">
          <TextBox
            label="Note on it"
            rows={1}
            max={1000}
            value={o.note}
            onCommit={(note) => setObservation(fitting, o.id, { note })}
          />
        </div>
      </div>
      <Became observation={o} />
    </>
  );
}

/** What was done about it, and what the next fittings said: "after +0.6 cm: gone". */
export function Became({ observation: o }: { readonly observation: Observation }) {
  const units = useUnits();
  const fittings = useJob((s) => s.job?.fittings);
  const became = becameOf(fittings ?? [], o);
  if (o.answers.length === 0 && became.length === 0) return null;
  return (
    <ul className="mt-2 border-t border-line pt-2 pl-7 text-sm">
      {o.answers.map((a, i) => (
        <li key={`${a.step}${i}`}>
          {longDate(a.date)}: {sayAnswer(a, units)}
        </li>
      ))}
      {became.map((b) => (
        <li key={b.fitting.id} className="font-semibold">
          {longDate(b.fitting.date)}: {b.after ? `after ${sayAnswer(b.after, units)}: ` : ''}
          {RESULT_WORDS[b.result]}
        </li>
      ))}
    </ul>
  );
}
