import { createContext, useContext, useMemo, useState } from 'react';
import { createColumnHelper, FlexRender, tableFeatures, useTable } from '@tanstack/react-table';
import { Trash2 } from 'lucide-react';
import { checkChart, derivedHighBust, MEASUREMENT_CATALOGUE } from '@ample/core/fitting/fit';
import type { ChartRow, MeasurementKey, Pattern } from '@ample/core/pattern';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { editPattern, setInChart } from '../../store/patterns.ts';
import { useUnits } from '../../store/prefs.ts';
import { goDown } from '../../lib/goDown.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length } from '../../shared/basics.tsx';
import type { ReactTable } from '@tanstack/react-table';
import { ChartButtons, ChartProblems } from './ChartButtons.tsx';

const features = tableFeatures({});
const column = createColumnHelper<typeof features, ChartRow>();
/** Shown even while empty, since nearly every envelope prints them. */
const USUAL: Readonly<Record<Pattern['garment'], readonly MeasurementKey[]>> = {
  top: ['highBust', 'fullBust', 'waist', 'hip', 'napeToWaist'],
  bottom: ['waist', 'hip'],
};

/** The size's name changes everywhere it is used. */
const renameSize = (from: string, to: string): void =>
  editPattern((p) => {
    if (to === '' || p.chart.some((r) => r.size === to)) return p;
    const moved = <T,>(record: Readonly<Record<string, T>>): Record<string, T> =>
      Object.fromEntries(Object.entries(record).map(([k, v]) => [k === from ? to : k, v]));
    return {
      ...p,
      chart: p.chart.map((r) => (r.size === from ? { ...r, size: to } : r)),
      sizes: moved(p.sizes),
      finished: moved(p.finished),
      flat: moved(p.flat),
    };
  });

const setFinished = (size: string, value: number | null): void =>
  editPattern((p) => {
    const { [size]: _gone, ...rest } = p.finished;
    return { ...p, finished: value === null ? rest : { ...rest, [size]: { bust: value } } };
  });

interface Charted {
  readonly pattern: Pattern;
  readonly size: string | null;
  readonly own: boolean;
}
const Shown = createContext<Charted | null>(null);
function useChart(): Charted {
  const shown = useContext(Shown);
  if (!shown) throw new Error('a cell of the chart: expected to stand in a chart');
  return shown;
}
interface CellOf {
  readonly row: { readonly original: ChartRow };
  readonly column: { readonly id: string };
}

function SizeCell({ row }: CellOf) {
  const { size, own } = useChart();
  return <SizeName name={row.original.size} current={row.original.size === size} own={own} />;
}

function MeasureCell({ row, column: { id } }: CellOf) {
  const { pattern, own } = useChart();
  return <Cell row={row.original} measure={id as MeasurementKey} pattern={pattern} own={own} />;
}

function FinishedCell({ row }: CellOf) {
  const { pattern, own } = useChart();
  const value = pattern.finished[row.original.size]?.bust ?? null;
  if (!own) return value !== null && <Length bare value={value} />;
  return (
    <LengthField
      label={`Finished bust, size ${row.original.size}`}
      bare
      optional
      width="w-[104px]"
      value={value}
      onCommit={(v) => setFinished(row.original.size, v)}
    />
  );
}

const made = new Map<string, ReturnType<typeof makeColumns>>();
const makeColumns = (keys: readonly MeasurementKey[], unit: string, garment: Pattern['garment']) => [
  column.display({ id: 'size', header: `Size, ${unit}`, cell: SizeCell }),
  ...keys.map((key) => column.display({ id: key, header: MEASUREMENT_WORDS[key].name, cell: MeasureCell })),
  ...(garment === 'top' ? [column.display({ id: 'finished', header: 'Finished bust', cell: FinishedCell })] : []),
];
/** The same columns each time, so that a cell keeps its place, and what is typed in it, while others change. */
function columnsFor(
  keys: readonly MeasurementKey[],
  unit: string,
  garment: Pattern['garment'],
): ReturnType<typeof makeColumns> {
  const id = [garment, unit, ...keys].join(' ');
  const known = made.get(id) ?? makeColumns(keys, unit, garment);
  made.set(id, known);
  return known;
}

/** The chart as a table: to read on a sample, to type into on one's own pattern. */
export function ChartEditor({
  pattern,
  size,
  own,
}: {
  readonly pattern: Pattern;
  readonly size: string | null;
  readonly own: boolean;
}) {
  const units = useUnits();
  const [extra, setExtra] = useState<readonly MeasurementKey[]>([]);
  const keys = MEASUREMENT_CATALOGUE.map((d) => d.key).filter(
    (k) =>
      USUAL[pattern.garment].includes(k) || extra.includes(k) || pattern.chart.some((r) => r.body[k] !== undefined),
  );
  const problems = useMemo(() => checkChart(pattern.chart), [pattern.chart]);
  const columns = columnsFor(keys, units.unit, pattern.garment);
  const table = useTable({ features, columns, data: pattern.chart as ChartRow[] });
  return (
    <Shown.Provider value={{ pattern, size, own }}>
      <section aria-label="Size chart">
        <ChartTable table={table} own={own} size={size} />
        {own && (
          <>
            <ChartButtons setExtra={setExtra} extra={extra} keys={keys} pattern={pattern} />
            {problems.length > 0 && <ChartProblems problems={problems} units={units} />}
          </>
        )}
      </section>
    </Shown.Provider>
  );
}

function ChartTable({
  table,
  own,
  size,
}: {
  readonly table: ReactTable<typeof features, ChartRow>;
  readonly own: boolean;
  readonly size: string | null;
}) {
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="group" aria-label="Size chart, to scroll">
      <table className="card w-full">
        <caption className="sr-only">Body measurements each size is drafted for</caption>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b border-ink text-sm">
              {group.headers.map((h) => (
                <th
                  key={h.id}
                  className={`px-2 py-2 font-normal ${own || h.id === 'size' ? 'text-left' : 'text-right'}`}
                >
                  <FlexRender header={h} />
                </th>
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row, i) => (
            <tr
              key={own ? i : row.id}
              className={`border-b border-line ${row.original.size === size ? 'bg-tissue' : ''}`}
            >
              {row.getAllCells().map((cell) => (
                <td key={cell.id} className={`px-2 py-1.5 ${own || cell.column.id === 'size' ? '' : 'text-right'}`}>
                  <FlexRender cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function SizeName({ name, current, own }: { readonly name: string; readonly current: boolean; readonly own: boolean }) {
  const [text, setText] = useState<string | null>(null);
  const chart = () =>
    editPattern((p) => (p.chart.length > 1 ? { ...p, chart: p.chart.filter((r) => r.size !== name) } : p));
  if (!own)
    return (
      <span className={`num whitespace-nowrap ${current ? 'font-bold' : ''}`}>
        {name}
        {current && <span className="sr-only"> this job</span>}
      </span>
    );
  return (
    <span className="flex items-center gap-1">
      <input
        className="field num w-16"
        aria-label={`Name of size ${name}`}
        value={text ?? name}
        maxLength={20}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => {
          if (text !== null) renameSize(name, text.trim());
          setText(null);
        }}
      />
      <button className="btn !px-2" title="Remove this size" onClick={chart}>
        <Trash2 size={18} aria-hidden="true" />
        <span className="sr-only">Remove size {name}</span>
      </button>
    </span>
  );
}

function Cell({
  row,
  measure,
  pattern,
  own,
}: {
  readonly row: ChartRow;
  readonly measure: MeasurementKey;
  readonly pattern: Pattern;
  readonly own: boolean;
}) {
  const value = row.body[measure] ?? null;
  const derived = measure === 'highBust' ? derivedHighBust(row, pattern) : null;
  if (!own) {
    if (value !== null) return <Length bare value={value} />;
    return derived === null ? null : (
      <span className="italic">
        <Length bare value={derived} /> derived
      </span>
    );
  }
  return (
    <>
      <LengthField
        label={`${MEASUREMENT_WORDS[measure].name}, size ${row.size}`}
        bare
        optional
        width="w-[104px]"
        value={value}
        onCommit={(v) => setInChart(row.size, measure, v)}
        onEnter={goDown}
      />
      {value === null && derived !== null && (
        <span className="text-sm italic">
          <Length bare value={derived} /> derived
        </span>
      )}
    </>
  );
}
