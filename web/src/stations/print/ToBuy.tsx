import type { Draft } from '@ample/core/fitting/plan';
import { CLOTH_WIDTHS, clothToBuy, type Layout } from '@ample/core/out/layout';
import { formatLength, type Result } from '@ample/core/units';
import { sayRefusal } from '@ample/core/words';
import { Length } from '../../shared/basics.tsx';
import { COLOURS } from '@ample/core/out';
import type { Units } from '@ample/core/speech';
import type { ClothPrefs } from '../../store/prefs.ts';

export interface Found {
  readonly altered: readonly Result<Layout>[];
  readonly drafted: readonly Result<Layout>[];
}

export function ToBuy({
  found,
  units,
  cloth,
  shown,
  setShown,
}: {
  readonly found: { readonly of: string; readonly by: Draft; readonly found: Found };
  readonly units: Units;
  readonly cloth: ClothPrefs;
  readonly shown: number;
  readonly setShown: (value: number) => void;
}) {
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-ink text-left text-sm">
          <th className="py-1 font-normal">Width</th>
          <th className="py-1 font-normal">Buy</th>
          <th className="py-1 font-normal">Laid</th>
          <th className="py-1 font-normal">As drafted</th>
          <th>
            <span className="sr-only">What can be done</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {found.found.altered.map((r, i) => {
          const before = found.found.drafted[i];
          const width = CLOTH_WIDTHS[i] ?? 0;
          return (
            <tr key={width} className="border-b border-line">
              <th scope="row" className="num py-2 text-left font-normal">
                {formatLength(width, units.unit, { fraction: units.fraction })}
              </th>
              {r.ok ? (
                <>
                  <td className="num py-2 text-lg">{sayCloth(clothToBuy(r.value.length, cloth.shrink), units.unit)}</td>
                  <td className="py-2">
                    <Length value={r.value.length} />
                  </td>
                  <td className="py-2">{before?.ok && <Length value={before.value.length} />}</td>
                  <td className="py-2 text-right">
                    <button className="btn" aria-pressed={shown === i} onClick={() => setShown(i)}>
                      Show
                    </button>
                  </td>
                </>
              ) : (
                <td colSpan={4} className="py-2 text-sm">
                  {sayRefusal(r.error, units)}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Cloth is asked for in metres, or in yards by eighths. */
const sayCloth = (mm: number, unit: 'cm' | 'in'): string => {
  if (unit === 'cm') return `${(mm / 1000).toFixed(1)} m`;
  const eighths = Math.ceil((mm / 914.4) * 8);
  const [whole, rest] = [Math.floor(eighths / 8), eighths % 8];
  const part = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'][rest] ?? '';
  return `${[whole || '', part].filter((x) => x !== '').join(' ')} yd`;
};

/** The cloth from above: fold at the top, selvedge below, pieces where they lie. */
export function LaidOut({ layout }: { readonly layout: Result<Layout> | undefined }) {
  if (!layout?.ok) return null;
  const { across, length, laid, wish, covered } = layout.value;
  return (
    <figure className="m-0 min-w-0">
      <svg
        viewBox={`-10 -46 ${length + 20} ${across + 92}`}
        className="block max-h-[420px] w-full"
        role="img"
        aria-label={`${laid.length} pieces laid on the cloth`}
      >
        <rect
          x="0"
          y="0"
          width={length}
          height={across}
          fill={COLOURS.white}
          stroke={COLOURS.grey}
          vectorEffect="non-scaling-stroke"
        />
        <line
          x1="0"
          x2={length}
          y1="0"
          y2="0"
          stroke={COLOURS.ink}
          strokeWidth={wish.fold ? 3 : 1}
          strokeDasharray={wish.fold ? '14 8' : undefined}
          vectorEffect="non-scaling-stroke"
        />
        <text x="4" y="-12" fontSize="34" fill={COLOURS.ink}>
          {wish.fold ? 'fold' : 'selvedge'}
        </text>
        <text x="4" y={across + 38} fontSize="34" fill={COLOURS.quiet}>
          {wish.fold ? 'selvedges' : 'selvedge'}
        </text>
        {laid.map((l, i) => {
          const points = l.outline.map((p) => `${p.y},${p.x}`).join(' ');
          const mid = (of: (p: { x: number; y: number }) => number): number =>
            (Math.min(...l.outline.map(of)) + Math.max(...l.outline.map(of))) / 2;
          // A name longer than its piece stays on the cloth.
          const half = l.name.length * 8;
          const x = Math.min(
            length - half,
            Math.max(
              half,
              mid((p) => p.y),
            ),
          );
          return (
            <g key={i}>
              <polygon points={points} fill={COLOURS.tissue} stroke={COLOURS.ink} vectorEffect="non-scaling-stroke" />
              <text x={x} y={mid((p) => p.x) + 10} fontSize="30" textAnchor="middle" fill={COLOURS.ink}>
                {l.name}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="text-sm text-quiet">
        The cloth runs from left to right; grain along it. {Math.round(covered * 100)} % is covered.
      </figcaption>
    </figure>
  );
}
