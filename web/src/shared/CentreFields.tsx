import type { CentreInside } from '@ample/core/pattern';
import { LengthField } from './LengthField.tsx';
import { en } from '@ample/core/speech';

/** Where the centre lies inside the outer edge of an extension or a facing, and where that folds. */
export function CentreFields({
  at,
  onChange,
}: {
  readonly at: CentreInside;
  readonly onChange: (at: CentreInside) => void;
}) {
  return (
    <>
      <LengthField
        label={en`Centre inside the edge`}
        value={at.centre}
        min={0}
        max={300}
        width="w-40"
        onCommit={(centre) => centre !== null && onChange({ ...at, centre })}
      />
      <LengthField
        label="Fold inside the edge"
        value={at.fold}
        optional
        min={0}
        max={300}
        width="w-40"
        onCommit={(fold) => onChange({ ...at, fold })}
      />
    </>
  );
}
