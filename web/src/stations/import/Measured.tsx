import { distance } from '@ample/core/geometry';
import { useImport } from '../../store/import.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { MEASURE_SAYS } from './tools.ts';

/** Two ends clicked on the sheet, and the true length between them, typed: everything is scaled by it. */
export function Measured({ onTrue }: { readonly onTrue: (factor: number) => void }) {
  const clicks = useImport((s) => s.clicks);
  const [a, b] = clicks;
  const found = a && b ? distance(a, b) : null;
  return (
    <div className="mt-2" role="status">
      {found === null ? (
        <p>{MEASURE_SAYS[clicks.length === 1 ? 1 : 0]}</p>
      ) : (
        <>
          <p className="mb-2">
            It measures <span className="num">{found.toFixed(2)} mm</span> here. Type what it should be, as printed
            beside it.
          </p>
          <LengthField
            label="True length"
            value={found}
            min={5}
            max={3000}
            onCommit={(v) => v !== null && found > 0 && onTrue(v / found)}
          />
        </>
      )}
    </div>
  );
}
