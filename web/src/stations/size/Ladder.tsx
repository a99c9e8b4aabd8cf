import type { MeasurementKey } from '@ample/core/pattern';
import { formatLength } from '@ample/core/units';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';

export interface Rule {
  readonly key: MeasurementKey;
  readonly rungs: readonly { readonly size: string; readonly at: number }[];
  readonly wearer: number | null;
}

const WIDTH = 860;
const ROW = 118;
const LEFT = 40;
const RIGHT = 30;

/** One horizontal rule per measurement, sizes as rungs, the wearer as a marker, the chosen size joined by a line. */
export function Ladder({
  rules: all,
  chosen,
  graded,
}: {
  readonly rules: readonly Rule[];
  readonly chosen: string | null;
  /** Where another size is taken: waist and hip. */
  readonly graded: Readonly<Partial<Record<MeasurementKey, string>>>;
}) {
  const rules = all.filter((r) => r.rungs.length > 0);
  const sizeAt = (r: Rule): string | null => graded[r.key] ?? chosen;
  const { unit, fraction } = useUnits();
  const height = rules.length * ROW + 6;
  const scaleOf = (r: Rule) => {
    const all = [...r.rungs.map((g) => g.at), ...(r.wearer === null ? [] : [r.wearer])];
    const lo = Math.min(...all);
    const hi = Math.max(...all);
    return (v: number) => LEFT + ((v - lo) / (hi - lo || 1)) * (WIDTH - LEFT - RIGHT);
  };
  const line = rules.flatMap((r, i) => {
    const rung = r.rungs.find((g) => g.size === sizeAt(r));
    return rung ? [`${scaleOf(r)(rung.at)},${i * ROW + 66}`] : [];
  });
  const describe = rules
    .map(
      (r) =>
        `${MEASUREMENT_WORDS[r.key].name}: wearer ${r.wearer === null ? 'not measured' : formatLength(r.wearer, unit, { fraction })}, size ${sizeAt(r) ?? 'none'} ${formatLength(r.rungs.find((g) => g.size === sizeAt(r))?.at ?? 0, unit, { fraction })}`,
    )
    .join('; ');
  return (
    <svg viewBox={`0 0 ${WIDTH} ${height}`} className="sheet block w-full" role="img" aria-label={describe}>
      <polyline points={line.join(' ')} fill="none" stroke="#2B4C9B" strokeWidth="5" strokeOpacity="0.35" />
      {rules.map((r, i) => {
        const x = scaleOf(r);
        const y = i * ROW + 66;
        const wx = r.wearer === null ? null : x(r.wearer);
        const anchor = wx !== null && wx > WIDTH - 130 ? 'end' : wx !== null && wx < 110 ? 'start' : 'middle';
        return (
          <g key={r.key}>
            <text x={LEFT - 24} y={y - 42} fontSize="17" fontFamily="Bitter, serif" fontWeight="600" fill="#1E2A38">
              {MEASUREMENT_WORDS[r.key].name}
            </text>
            <line x1={LEFT - 18} x2={WIDTH - RIGHT + 18} y1={y} y2={y} stroke="#1E2A38" strokeWidth="1.5" />
            {r.rungs.map((g) => {
              const on = g.size === sizeAt(r);
              return (
                <g key={g.size}>
                  <line
                    x1={x(g.at)}
                    x2={x(g.at)}
                    y1={y - (on ? 12 : 7)}
                    y2={y + (on ? 12 : 7)}
                    stroke={on ? '#2B4C9B' : '#1E2A38'}
                    strokeWidth={on ? 4 : 1.5}
                  />
                  <text
                    x={x(g.at)}
                    y={y + 32}
                    textAnchor="middle"
                    fontSize={on ? 20 : 17}
                    fontWeight={on ? 700 : 400}
                    className="num"
                    fill={on ? '#2B4C9B' : '#5A5F66'}
                  >
                    {g.size}
                  </text>
                </g>
              );
            })}
            {wx !== null ? (
              <g>
                <path d={`M${wx} ${y - 2}l-8 -15h16z`} fill="#B32D24" />
                <text
                  x={wx + (anchor === 'start' ? -8 : anchor === 'end' ? 8 : 0)}
                  y={y - 23}
                  textAnchor={anchor}
                  fontSize="17"
                  className="num"
                  fill="#B32D24"
                >
                  {formatLength(r.wearer ?? 0, unit, { fraction })}
                </text>
              </g>
            ) : (
              <text x={WIDTH - RIGHT} y={y - 22} textAnchor="end" fontSize="16" fill="#5A5F66">
                not measured
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
