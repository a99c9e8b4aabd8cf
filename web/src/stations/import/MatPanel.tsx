import { useState, type KeyboardEvent } from 'react';
import type { PlaceKind } from '@ample/core/in/tracing';
import type { Refusal } from '@ample/core/units';
import { sayFileRefusal } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import { addFromMat } from '../../store/drawn.ts';
import { inOneStep } from '../../store/drawnHistory.ts';
import { readRows, useTyped, type Typed, type TypedRow } from '../../store/typed.ts';
import { Notice } from '../../shared/basics.tsx';
import { PLACE_WORDS } from './placeWords.ts';
import { en } from '@ample/core/speech';
import { Select } from '../../ui/Select.tsx';

const BLANK: TypedRow = { x: '', y: '', kind: 'corner' };

/** A quick table for the keyboard: across, Enter, up, Enter, next row; C and K say corner or curve by a letter. */
export function MatPanel() {
  const typed = useTyped();
  const units = useUnits();
  const [failed, setFailed] = useState<Refusal | null>(null);
  const { read, wrong } = readRows(typed);
  const rows = [...typed.rows, BLANK];
  const set = (i: number, change: Partial<TypedRow>) =>
    useTyped.setState({
      rows: rows.map((r, k) => (k === i ? { ...r, ...change } : r)).slice(0, Math.max(typed.rows.length, i + 1)),
    });
  // Synchronously: a fast typist is already at the next number.
  const focus = (i: number, column: 'x' | 'y') =>
    document.querySelector<HTMLInputElement>(`[data-mat="${i} ${column}"]`)?.focus();
  const onKey = (e: KeyboardEvent, i: number, column: 'x' | 'y') => {
    const kind = PLACE_WORDS.find(([, , letter]) => letter === e.key.toLowerCase())?.[0];
    if (kind && !e.ctrlKey && !e.metaKey && !e.altKey) {
      e.preventDefault();
      return set(i, { kind });
    }
    if (e.key !== 'Enter') return;
    e.preventDefault();
    if (column === 'x') focus(i, 'y');
    else focus(i + 1, 'x');
  };
  return (
    <section className="card space-y-3 p-4" aria-label="Mat coordinates">
      <p>
        {en`Lay the piece on the mat and read off every corner, and on curves a place every few centimetres, going round one way. Enter goes on; the letters C, K, N, D, L, G and B make a row a corner, on a curve, a notch, a dart tip, a dart leg, a grain end or the bust point. A dart is its tip and then both legs where they meet the outline.`}
      </p>
      <MatFacts typed={typed} />
      <table className="w-full">
        <thead>
          <tr className="border-b border-ink text-left text-sm">
            <th className="w-8 py-1 font-normal">No.</th>
            <th className="font-normal">Across</th>
            <th className="font-normal">{typed.from === 'lowerLeft' ? 'Up' : 'Down'}</th>
            <th className="font-normal">is</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <PlaceRow key={i} index={i} wrong={wrong} typed={typed} row={r} set={set} onKey={onKey} />
          ))}
        </tbody>
      </table>
      {wrong[0] !== undefined && (
        <Notice grade="look">{sayFileRefusal({ code: 'typed-wrong-row', data: { row: wrong[0] + 1 } }, units)}</Notice>
      )}
      {failed && <Notice grade="fault">{sayFileRefusal(failed, units)}</Notice>}
      <div className="flex flex-wrap gap-2">
        <button
          className="btn btn-main"
          disabled={read.length === 0}
          onClick={() => inOneStep(() => setFailed(addFromMat()))}
        >
          Add this piece
        </button>
        <button className="btn" disabled={typed.rows.length === 0} onClick={() => useTyped.setState({ rows: [] })}>
          Clear the table
        </button>
      </div>
    </section>
  );
}

function MatFacts({ typed }: { readonly typed: Typed }) {
  return (
    <div className="flex flex-wrap gap-4">
      <Select
        label="The mat counts in"
        value={typed.unit}
        set={(chosen) => useTyped.setState({ unit: chosen === 'in' ? 'in' : 'cm' })}
      >
        <option value="cm">{en`centimetres`}</option>
        <option value="in">inches</option>
      </Select>
      <Select
        label="from its"
        value={typed.from}
        set={(chosen) => useTyped.setState({ from: chosen === 'upperLeft' ? 'upperLeft' : 'lowerLeft' })}
      >
        <option value="lowerLeft">lower left corner</option>
        <option value="upperLeft">upper left corner</option>
      </Select>
    </div>
  );
}

function PlaceRow({
  index,
  wrong,
  typed,
  row,
  set,
  onKey,
}: {
  readonly index: number;
  readonly wrong: readonly number[];
  readonly typed: Typed;
  readonly row: TypedRow;
  readonly set: (i: number, change: Partial<TypedRow>) => unknown;
  readonly onKey: (e: KeyboardEvent, i: number, column: 'x' | 'y') => unknown;
}) {
  return (
    <tr className={wrong.includes(index) ? 'bg-tissue' : ''}>
      <td className="num text-sm">{index + 1}</td>
      {(['x', 'y'] as const).map((column) => (
        <td key={column} className="py-0.5 pr-1">
          <input
            className="field num w-[84px]"
            data-mat={`${index} ${column}`}
            aria-label={`Row ${index + 1}, ${column === 'x' ? 'across' : typed.from === 'lowerLeft' ? 'up' : 'down'}`}
            inputMode="decimal"
            autoComplete="off"
            maxLength={20}
            value={row[column]}
            aria-invalid={wrong.includes(index)}
            onChange={(e) => set(index, { [column]: e.target.value })}
            onKeyDown={(e) => onKey(e, index, column)}
          />
        </td>
      ))}
      <td>
        <select
          className="field !px-1"
          aria-label={`Row ${index + 1} is`}
          value={row.kind}
          onChange={(e) => set(index, { kind: e.target.value as PlaceKind })}
        >
          {PLACE_WORDS.map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </td>
      <td>
        {index < typed.rows.length && (
          <button
            className="link px-1 text-sm"
            onClick={() => useTyped.setState({ rows: typed.rows.filter((_, k) => k !== index) })}
          >
            out<span className="sr-only"> with row {index + 1}</span>
          </button>
        )}
      </td>
    </tr>
  );
}
