import type { MeasurementSet } from '@ample/core/fitting/fit';
import { longDate, today } from '../../lib/time.ts';
import { addSet, removeSet, setDate } from '../../store/body.ts';
import { Select } from '../../ui/Select.tsx';

const DATE = /^\d{4}-\d{2}-\d{2}$/;

/** The dated sets of a wearer: choose one, take a new one, or copy the last and take some of it again. */
export function Sets({
  sets,
  current,
  onChoose,
}: {
  readonly sets: readonly MeasurementSet[];
  readonly current: MeasurementSet;
  readonly onChoose: (id: string) => void;
}) {
  return (
    <section className="mb-4 flex flex-wrap items-end gap-3" aria-label="Sets of measurements">
      <Select label="Set" value={current.id} set={onChoose}>
        {sets.map((s, i) => (
          <option key={s.id} value={s.id}>
            {longDate(s.date)}
            {i === 0 ? ', in use' : ''}
          </option>
        ))}
      </Select>
      <label>
        <span className="mb-1 block text-sm">Taken on</span>
        <input
          type="date"
          className="field num"
          value={current.date}
          max={today()}
          onChange={(e) => DATE.test(e.target.value) && setDate(current.id, e.target.value)}
        />
      </label>
      <button className="btn" onClick={() => onChoose(addSet(today(), false))}>
        New set
      </button>
      <button className="btn" onClick={() => onChoose(addSet(today(), true))}>
        Copy the last set and retake some
      </button>
      {sets.length > 1 && (
        <button className="btn" onClick={() => removeSet(current.id)}>
          Delete this set
        </button>
      )}
    </section>
  );
}
