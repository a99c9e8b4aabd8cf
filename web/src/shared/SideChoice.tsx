import type { Step } from '@ample/core/documents';
import { editStep } from '../store/job.ts';

const SIDES: Readonly<Record<Step['side'], string>> = {
  both: 'both sides',
  left: 'left side only',
  right: 'right side only',
};

/** The side of the body a step is for. For one side the piece is opened out to a whole, or cut once for each side. */
export function SideChoice({ step }: { readonly step: Step }) {
  return (
    <label className="block">
      <span className="mb-1 block text-sm">For</span>
      <select
        className="field"
        value={step.side}
        onChange={(e) => editStep(step.id, (s) => ({ ...s, side: e.target.value as Step['side'] }))}
      >
        {Object.entries(SIDES).map(([side, name]) => (
          <option key={side} value={side}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
