import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { formatLength } from '@ample/core/units';
import { longDate } from '../../lib/time.ts';
import { useUnits } from '../../store/prefs.ts';
import { COLOURS } from '@ample/core/out';
import { shortMonth } from '../../lib/time.ts';

/** A measurement over time, with its dates to scale. */
export function HistoryChart({
  history,
  name,
}: {
  readonly history: readonly { readonly date: string; readonly value: number }[];
  readonly name: string;
}) {
  const { unit, fraction } = useUnits();
  const data = history.map((h) => ({ at: Date.parse(h.date), value: h.value }));
  const say = (v: number): string => formatLength(v, unit, { fraction, bare: true });
  const first = history[0];
  const last = history.at(-1);
  const values = history.map((h) => h.value);
  // Whole steps of 2 cm or 1 in, so that the three lines of the chart can be read off.
  const step = unit === 'cm' ? 20 : 25.4;
  const least = Math.floor((Math.min(...values) - 1) / step) * step;
  const most = Math.ceil((Math.max(...values) + 1) / step) * step;
  const tick = { fontSize: 15, fill: COLOURS.ink };
  return (
    <figure className="m-0 mt-3">
      <figcaption className="mb-1">
        {name} over time{first && last && `: ${say(first.value)} to ${say(last.value)} ${unit}`}
      </figcaption>
      <div
        className="h-[170px]"
        role="img"
        aria-label={history.map((h) => `${longDate(h.date)}: ${say(h.value)} ${unit}`).join('; ')}
      >
        <ResponsiveContainer>
          <LineChart data={data} margin={{ top: 8, right: 26, bottom: 4, left: 4 }}>
            <CartesianGrid stroke={COLOURS.line} vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              ticks={[...new Set([data[0]?.at ?? 0, data.at(-1)?.at ?? 0])]}
              tickFormatter={shortMonth}
              tick={tick}
              stroke={COLOURS.ink}
            />
            <YAxis
              width={54}
              domain={[least, most]}
              ticks={[least, (least + most) / 2, most]}
              tickFormatter={say}
              tick={tick}
              stroke={COLOURS.ink}
            />
            <Line dataKey="value" stroke={COLOURS.carbon} strokeWidth={2} dot={{ r: 4 }} isAnimationActive={false} />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
