import type { Observation } from '@ample/core/documents';
import { SIDE_WORDS } from '@ample/core/words';

/** Which side of the body something was seen on. */
export function SidePick({
  value,
  onChange,
}: {
  readonly value: Observation['side'];
  readonly onChange: (side: Observation['side']) => void;
}) {
  return (
    <label>
      <span className="mb-1 block text-sm">Side</span>
      <select className="field" value={value} onChange={(e) => onChange(e.target.value as Observation['side'])}>
        {Object.entries(SIDE_WORDS).map(([id, word]) => (
          <option key={id} value={id}>
            {word}
          </option>
        ))}
      </select>
    </label>
  );
}
