import type { Step } from '@ample/core/documents';
import { editStep } from '../store/job.ts';
import { Select } from '../ui/Select.tsx';

const SIDES: Readonly<Record<Step['side'], string>> = {
  both: 'both sides',
  left: 'left side only',
  right: 'right side only',
};

/** The side of the body a step is for. For one side the piece is opened out to a whole, or cut once for each side. */
export function SideChoice({ step }: { readonly step: Step }) {
  return (
    <Select
      label="For"
      value={step.side}
      set={(chosen) => editStep(step.id, (s) => ({ ...s, side: chosen as Step['side'] }))}
      className="block"
    >
      {Object.entries(SIDES).map(([side, name]) => (
        <option key={side} value={side}>
          {name}
        </option>
      ))}
    </Select>
  );
}
