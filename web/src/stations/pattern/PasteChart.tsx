import { useState } from 'react';
import { Dialog } from 'radix-ui';
import { LOOKS_LIKE, pasteChart } from '@ample/core/fitting/fit';
import type { Pattern } from '@ample/core/pattern';
import { counted, sayChartProblem } from '@ample/core/words';
import { editPattern } from '../../store/patterns.ts';
import { useUnits } from '../../store/prefs.ts';
import { Notice } from '../../shared/basics.tsx';
import type { PastedChart } from '@ample/core/fitting/fit';
import type { Units } from '@ample/core/speech';
import { en } from '@ample/core/speech';
import { Modal } from '../../ui/Modal.tsx';

/** A chart from a spreadsheet: pasted, read, shown with what is odd about it, and only then taken. */
export function PasteChart({ pattern }: { readonly pattern: Pattern }) {
  const units = useUnits();
  const [text, setText] = useState('');
  const [unit, setUnit] = useState(units.unit);
  const [open, setOpen] = useState(false);
  const read = text.trim() === '' ? null : pasteChart(text, unit);
  // Read in the wrong unit, every sum after it would be wrong: that is answered first.
  const doubted = read?.problems.some((p) => LOOKS_LIKE.has(p.code)) === true;
  const take = () => {
    if (!read || read.rows.length === 0) return;
    const names = read.rows.map((r) => r.size);
    // A size named twice is kept under a name of its own: nothing that was pasted is lost.
    const rows = read.rows.map((r, i) => (names.indexOf(r.size) === i ? r : { ...r, size: `${r.size} (${i + 1})` }));
    editPattern((p) => ({ ...p, chart: rows as Pattern['chart'] as typeof p.chart }));
    setText('');
    setOpen(false);
  };
  return (
    <Modal
      title="Paste a chart"
      about={
        <>
          Copy the cells with their headings from a spreadsheet: sizes down the side or along the top. The chart of “
          {pattern.name}” is replaced; undo brings it back.
        </>
      }
      open={open}
      onOpenChange={setOpen}
      trigger="Paste a chart"
      width="w-[720px]"
    >
      <textarea
        className="field num mt-3 h-40 w-full"
        aria-label="The copied cells"
        value={text}
        onChange={(e) => setText(e.target.value)}
        placeholder={'Size\tHigh bust\tBust\tWaist\tHip\n1\t75\t80\t62\t87'}
      />
      <label className="mt-2 flex items-center gap-2">
        Numbers without a unit are in
        <select className="field" value={unit} onChange={(e) => setUnit(e.target.value === 'in' ? 'in' : 'cm')}>
          <option value="cm">{en`centimetres`}</option>
          <option value="in">inches</option>
        </select>
      </label>
      {read && (
        <p className="mt-3" role="status">
          {counted(read.rows.length, 'size')} read
          {read.rows.length > 0 && `: ${read.rows.map((r) => r.size).join(', ')}`}.
        </p>
      )}
      {read && read.problems.length > 0 && <PasteProblems read={read} units={units} setUnit={setUnit} />}
      <div className="mt-4 flex gap-3">
        <button className="btn btn-main" disabled={!read || read.rows.length === 0 || doubted} onClick={take}>
          Use this chart
        </button>
        <Dialog.Close className="btn">Cancel</Dialog.Close>
      </div>
    </Modal>
  );
}

function PasteProblems({
  read,
  units,
  setUnit,
}: {
  readonly read: PastedChart;
  readonly units: Units;
  readonly setUnit: (value: 'in' | 'cm') => void;
}) {
  return (
    <ul className="mt-2 max-h-52 space-y-2 overflow-auto">
      {read.problems.map((p, i) => (
        <li key={i}>
          <Notice grade="look">
            {sayChartProblem(p, units)}
            {(p.code === 'chart-looks-like-inches' || p.code === 'chart-looks-like-cm') && (
              <button className="btn ml-3" onClick={() => setUnit(p.code === 'chart-looks-like-inches' ? 'in' : 'cm')}>
                Convert the numbers
              </button>
            )}
          </Notice>
        </li>
      ))}
    </ul>
  );
}
