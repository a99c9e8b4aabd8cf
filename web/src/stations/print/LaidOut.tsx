import { COLOURS } from '@ample/core/out';
import { cutList, type Laid, type Layout, type Stretch, type Strip } from '@ample/core/out/layout';
import type { Result } from '@ample/core/units';
import { sayCut, sayStretch } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';

interface Shown {
  readonly layout: Result<Layout> | undefined;
}

/** So many letters' heights go into the length of the cloth: drawn as wide as it is, they can be read. */
const LETTERS = 44;

/** Each piece's number on the drawing and in the list, in the order of laying. */
function numbersOf({ laid }: Layout): ReadonlyMap<string, number> {
  const ids = [...new Set(laid.map((l) => l.piece))];
  return new Map(ids.map((id, i) => [id, i + 1]));
}

const middle = (values: readonly number[]): number => (Math.min(...values) + Math.max(...values)) / 2;
const thin = { vectorEffect: 'non-scaling-stroke' as const };

/** The cloth from above, running from left to right: its folds and selvedges, and the pieces where they lie. */
export function LaidOut({ layout, stripes }: Shown & { readonly stripes: boolean }) {
  if (!layout?.ok) return null;
  const { across, length, laid, stretches, covered } = layout.value;
  const numbers = numbersOf(layout.value);
  const size = length / LETTERS;
  return (
    <figure className="m-0 min-w-0">
      <svg
        viewBox={`-10 ${-1.4 * size} ${length + 20} ${across + 2.8 * size}`}
        className="block max-h-[420px] w-full"
        role="img"
        aria-label={`${laid.length} pieces laid on the cloth`}
      >
        {stretches.map((s) => (
          <StretchOfCloth key={s.from} stretch={s} size={size} />
        ))}
        {laid.map((l, i) => (
          <LaidPiece key={i} laid={l} number={numbers.get(l.piece) ?? 0} size={size} stripes={stripes} />
        ))}
      </svg>
      <figcaption className="text-sm text-quiet">
        The cloth runs from left to right; grain along it. {Math.round(covered * 100)} % is covered.
        {stripes && ' Lay each dashed line on the same stripe: pieces sewn together at the side meet there.'}
      </figcaption>
    </figure>
  );
}

/** What the edge farthest from the first is. */
const edgeWords = (strips: readonly Strip[]): string => {
  const last = strips.at(-1);
  return last?.fold === 'to' ? 'fold' : last?.layers === 2 ? 'selvedges' : 'selvedge';
};

/** A stretch as it is folded, with what its two edges are. */
function StretchOfCloth({ stretch: { from, to, strips }, size }: { readonly stretch: Stretch; readonly size: number }) {
  const far = Math.max(...strips.map((s) => s.to));
  return (
    <g transform={`translate(${from} 0)`}>
      {strips.map((s) => (
        <StripOfCloth key={s.from} strip={s} length={to - from} />
      ))}
      <text x="4" y={-0.4 * size} fontSize={size} fill={COLOURS.ink}>
        {strips[0]?.fold ? 'fold' : 'selvedge'}
      </text>
      <text x="4" y={far + 1.1 * size} fontSize={size} fill={COLOURS.quiet}>
        {edgeWords(strips)}
      </text>
      {from > 0 && <line x1="0" x2="0" y1={-size} y2={far + size} stroke={COLOURS.pencil} strokeWidth="2" {...thin} />}
    </g>
  );
}

function StripOfCloth({
  strip: { from, to, layers, fold },
  length,
}: {
  readonly strip: Strip;
  readonly length: number;
}) {
  const at = fold === 'to' ? to : from;
  return (
    <>
      <rect
        x="0"
        y={from}
        width={length}
        height={to - from}
        fill={layers === 2 ? COLOURS.white : 'none'}
        stroke={COLOURS.grey}
        {...thin}
      />
      {fold && (
        <line
          x1="0"
          x2={length}
          y1={at}
          y2={at}
          stroke={COLOURS.ink}
          strokeWidth="3"
          strokeDasharray="14 8"
          {...thin}
        />
      )}
    </>
  );
}

function LaidPiece({
  laid: { outline, grain, level },
  number,
  size,
  stripes,
}: {
  readonly laid: Laid;
  readonly number: number;
  /** Height of the letters, in mm of the cloth. */
  readonly size: number;
  readonly stripes: boolean;
}) {
  const x = middle(outline.map((p) => p.y));
  const y = middle(outline.map((p) => p.x));
  return (
    <g>
      <polygon
        points={outline.map((p) => `${p.y},${p.x}`).join(' ')}
        fill={COLOURS.tissue}
        stroke={COLOURS.ink}
        {...thin}
      />
      {grain && <Line ends={grain} />}
      {stripes && level && <Line ends={level} stripe />}
      <circle cx={x} cy={y} r={size * 0.6} fill={COLOURS.tissue} />
      <text x={x} y={y + size * 0.36} fontSize={size} textAnchor="middle" fill={COLOURS.ink}>
        {number}
      </text>
    </g>
  );
}

const Line = ({
  ends: [a, b],
  stripe = false,
}: {
  readonly ends: NonNullable<Laid['grain']>;
  readonly stripe?: boolean;
}) => (
  <line
    x1={a.y}
    y1={a.x}
    x2={b.y}
    y2={b.x}
    stroke={stripe ? COLOURS.carbon : COLOURS.ink}
    strokeWidth={stripe ? 1.5 : 1}
    strokeDasharray={stripe ? '8 5' : undefined}
    {...thin}
  />
);

/** How each piece is cut, by its number on the drawing. */
export function CutList({ layout }: Shown) {
  const units = useUnits();
  if (!layout?.ok) return null;
  const numbers = numbersOf(layout.value);
  return (
    <>
      <h3 className="mt-3">How each piece is cut</h3>
      {layout.value.stretches.map((stretch, i) => (
        <section key={stretch.from}>
          {(layout.value.wish.again ?? []).length > 0 && (
            <h4 className="mt-2 font-normal text-quiet">
              {i + 1}. {sayStretch(stretch, units)}
            </h4>
          )}
          <ul>
            {cutList(layout.value.laid.filter((l) => l.stretch === i)).map((line) => (
              <li key={`${line.piece} ${line.how} ${line.oneLayer}`}>
                <span className="num mr-2">{numbers.get(line.piece)}</span>
                {line.name}: {sayCut(line)}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
