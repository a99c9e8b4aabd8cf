import { useState } from 'react';
import { calibrate, type Calibrated, type CalibrateError } from '@ample/core/out/projector';
import { formatLength, type Refusal } from '@ample/core/units';
import { sayCalibrate, sayStand } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Notice } from '../../shared/basics.tsx';
import { squareNow, thisScreen, useProjector } from './state.ts';

const UNREAD = { across: null, down: null, rising: null, falling: null } as const;
type Readings = { readonly [K in keyof typeof UNREAD]: number | null };
const FIELDS = [
  ['across', 'Across', false],
  ['down', 'Down', false],
  ['falling', 'Diagonal ╲', true],
  ['rising', 'Diagonal ╱', true],
] as const;

/** The square is measured on the table, line to line; the readings make the scale. */
export function CalibratePanel({ moved }: { readonly moved: boolean }) {
  const units = useUnits();
  const state = useProjector();
  const { calibration, calibrating } = state;
  const [read, setRead] = useState<Readings>(UNREAD);
  const [failed, setFailed] = useState<Refusal<CalibrateError> | null>(null);
  const [told, setTold] = useState<Calibrated | null>(null);
  const square = squareNow(state);
  const take = () => {
    const done = calibrate(square, { ...read, across: read.across ?? NaN, down: read.down ?? NaN });
    if (!done.ok) return setFailed(done.error);
    setFailed(null);
    setTold(done.value);
    setRead(UNREAD);
    // The next square is drawn by the new scale, to be measured once more.
    useProjector.setState({ calibration: done.value.calibration, madeOn: thisScreen(), calibrating: true });
  };
  return (
    <section className="card mx-auto max-w-[880px] space-y-2 p-3" aria-label="Calibrate">
      <p>
        {told || (calibration && calibrating && !moved)
          ? `Measure the square once more: it should be ${square.side === null ? '' : formatLength(square.side, units.unit)} both ways. If it is, go on to the pieces; if not, type what it measures.`
          : 'Lay a tape on the table along the projected square, from line to line, and type what it measures. The diagonals tell whether the projector stands square.'}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        {FIELDS.map(([key, label, optional]) => (
          <LengthField
            key={key}
            label={label}
            value={read[key]}
            min={1}
            max={9000}
            width="w-28"
            optional={optional}
            onCommit={(v) => setRead((r) => ({ ...r, [key]: v }))}
          />
        ))}
        <button className="btn btn-main" onClick={take}>
          Take the readings
        </button>
        {calibration && (
          <button className="btn" onClick={() => useProjector.setState({ calibrating: false })}>
            On to the pieces
          </button>
        )}
      </div>
      {failed && <Notice grade="fault">{sayCalibrate(failed, units)}</Notice>}
      {told &&
        sayStand(told).map((line) => (
          <Notice key={line} grade="look">
            {line}
          </Notice>
        ))}
    </section>
  );
}
