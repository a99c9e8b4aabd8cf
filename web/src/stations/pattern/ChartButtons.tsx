import { MEASUREMENT_CATALOGUE, scaleChart } from '@ample/core/fitting/fit';
import type { MeasurementKey, Pattern } from '@ample/core/pattern';
import { MEASUREMENT_WORDS, sayChartProblem } from '@ample/core/words';
import { editPattern } from '../../store/patterns.ts';
import { Notice } from '../../shared/basics.tsx';
import { PasteChart } from './PasteChart.tsx';
import type { ChartProblem } from '@ample/core/fitting/fit';
import type { Units } from '@ample/core/speech';

export function ChartButtons({
  setExtra,
  extra,
  keys,
  pattern,
}: {
  readonly setExtra: (value: readonly MeasurementKey[]) => void;
  readonly extra: readonly MeasurementKey[];
  readonly keys: MeasurementKey[];
  readonly pattern: Pattern;
}) {
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      <button className="btn" onClick={() => addSize()}>
        Add a size
      </button>
      <label className="flex items-center gap-2">
        Add a column
        <select className="field" value="" onChange={(e) => setExtra([...extra, e.target.value as MeasurementKey])}>
          <option value="">choose</option>
          {MEASUREMENT_CATALOGUE.filter((d) => !keys.includes(d.key)).map((d) => (
            <option key={d.key} value={d.key}>
              {MEASUREMENT_WORDS[d.key].name}
            </option>
          ))}
        </select>
      </label>
      <PasteChart pattern={pattern} />
    </div>
  );
}

export function ChartProblems({
  problems,
  units,
}: {
  readonly problems: readonly ChartProblem[];
  readonly units: Units;
}) {
  return (
    <ul className="mt-3 space-y-2" aria-label="Problems in the chart">
      {problems.map((p, i) => (
        <li key={i}>
          <Notice grade="look">
            {sayChartProblem(p, units)}
            {(p.code === 'chart-looks-like-inches' || p.code === 'chart-looks-like-cm') && (
              <button
                className="btn ml-3"
                onClick={() =>
                  editPattern((q) => ({
                    ...q,
                    chart: [...scaleChart(q.chart, p.code === 'chart-looks-like-inches' ? 2.54 : 1 / 2.54)],
                  }))
                }
              >
                Convert the whole chart
              </button>
            )}
          </Notice>
        </li>
      ))}
    </ul>
  );
}

function addSize(): void {
  editPattern((p) => {
    const last = p.chart.at(-1)?.size ?? '0';
    const next = /^\d+$/.test(last) ? String(Number(last) + 1) : `${last} +`;
    const taken = new Set(p.chart.map((r) => r.size));
    let name = next;
    while (taken.has(name)) name = `${name} +`;
    return { ...p, chart: [...p.chart, { size: name, body: {} }] };
  });
}
