import type { MeasurementKey } from '@ample/core/pattern';
import { formatLength } from '@ample/core/units';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import { useWidth } from '../../lib/useWidth.ts';
import { COLOURS } from '@ample/core/out';
import type { LengthUnit } from '@ample/core/units';
import type { InchFraction } from '@ample/core/units';

export interface Rule {
  readonly key: MeasurementKey;
  readonly rungs: readonly { readonly size: string; readonly at: number }[];
  readonly wearer: number | null;
}

/** Room of the drawing until it is laid out, px; it is drawn at the room it has, so that letters keep their size. */
const ROOM = 860;
/** Sizes nearer than this on a rule are not all named, px: the one taken always is. */
const BESIDE = 30;
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
  const [room, width] = useWidth(ROOM);
  const rules = all.filter((r) => r.rungs.length > 0);
  const sizeAt = (r: Rule): string | null => graded[r.key] ?? chosen;
  const { unit, fraction } = useUnits();
  const height = rules.length * ROW + 6;
  const scaleOf = (r: Rule) => {
    const all = [...r.rungs.map((g) => g.at), ...(r.wearer === null ? [] : [r.wearer])];
    const lo = Math.min(...all);
    const hi = Math.max(...all);
    return (v: number) => LEFT + ((v - lo) / (hi - lo || 1)) * (width - LEFT - RIGHT);
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
    <svg
      ref={room}
      viewBox={`0 0 ${width} ${height}`}
      height={height}
      className="card block w-full"
      role="img"
      aria-label={describe}
    >
      <polyline points={line.join(' ')} fill="none" stroke={COLOURS.carbon} strokeWidth="5" strokeOpacity="0.35" />
      {rules.map((r, i) => {
        const x = scaleOf(r);
        const y = i * ROW + 66;
        const wx = r.wearer === null ? null : x(r.wearer);
        const named = namedSizes(r.rungs, x, sizeAt(r));
        const anchor = wx !== null && wx > width - 130 ? 'end' : wx !== null && wx < 110 ? 'start' : 'middle';
        return (
          <LadderRow
            key={r.key}
            rule={r}
            y={y}
            width={width}
            sizeAt={sizeAt}
            x={x}
            named={named}
            wearerAt={wx}
            anchor={anchor}
            unit={unit}
            fraction={fraction}
          />
        );
      })}
    </svg>
  );
}

function LadderRow({
  rule,
  y,
  width,
  sizeAt,
  x,
  named,
  wearerAt,
  anchor,
  unit,
  fraction,
}: {
  readonly rule: Rule;
  readonly y: number;
  readonly width: number;
  readonly sizeAt: (r: Rule) => string | null;
  readonly x: (v: number) => number;
  readonly named: ReadonlySet<string>;
  readonly wearerAt: number | null;
  readonly anchor: 'start' | 'end' | 'middle';
  readonly unit: LengthUnit;
  readonly fraction: InchFraction;
}) {
  return (
    <g>
      <text x={LEFT - 24} y={y - 42} fontSize="17" fontFamily="Bitter, serif" fontWeight="600" fill={COLOURS.ink}>
        {MEASUREMENT_WORDS[rule.key].name}
      </text>
      <line x1={LEFT - 18} x2={width - RIGHT + 18} y1={y} y2={y} stroke={COLOURS.ink} strokeWidth="1.5" />
      {rule.rungs.map((g) => (
        <Rung key={g.size} x={x(g.at)} y={y} on={g.size === sizeAt(rule)} name={named.has(g.size) ? g.size : null} />
      ))}
      {wearerAt !== null ? (
        <g>
          <path d={`M${wearerAt} ${y - 2}l-8 -15h16z`} fill={COLOURS.pencil} />
          <text
            x={wearerAt + (anchor === 'start' ? -8 : anchor === 'end' ? 8 : 0)}
            y={y - 23}
            textAnchor={anchor}
            fontSize="17"
            className="num"
            fill={COLOURS.pencil}
          >
            {formatLength(rule.wearer ?? 0, unit, { fraction })}
          </text>
        </g>
      ) : (
        <text x={width - RIGHT} y={y - 22} textAnchor="end" fontSize="16" fill={COLOURS.quiet}>
          not measured
        </text>
      )}
    </g>
  );
}

/** One size on a rule: taken, it is longer and bolder. */
const Rung = ({
  x,
  y,
  on,
  name,
}: {
  readonly x: number;
  readonly y: number;
  readonly on: boolean;
  readonly name: string | null;
}) => (
  <g>
    <line
      x1={x}
      x2={x}
      y1={y - (on ? 12 : 7)}
      y2={y + (on ? 12 : 7)}
      stroke={on ? COLOURS.carbon : COLOURS.ink}
      strokeWidth={on ? 4 : 1.5}
    />
    {name !== null && (
      <text
        x={x}
        y={y + 32}
        textAnchor="middle"
        fontSize={on ? 20 : 17}
        fontWeight={on ? 700 : 400}
        className="num"
        fill={on ? COLOURS.carbon : COLOURS.quiet}
      >
        {name}
      </text>
    )}
  </g>
);

/** The sizes that are named on a rule: the one taken, then those along it that stay clear of every name before. */
function namedSizes(rungs: Rule['rungs'], x: (at: number) => number, taken: string | null): ReadonlySet<string> {
  const first = rungs.filter((g) => g.size === taken);
  const named: typeof first = [];
  for (const g of [...first, ...rungs]) if (named.every((n) => Math.abs(x(n.at) - x(g.at)) >= BESIDE)) named.push(g);
  return new Set(named.map((g) => g.size));
}
