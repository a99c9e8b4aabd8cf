import type { Draft } from '@ample/core/fitting/plan';
import { CLOTH_WIDTHS, clothToBuy, type Layout } from '@ample/core/out/layout';
import { formatLength, type Result } from '@ample/core/units';
import { sayRefusal } from '@ample/core/words';
import { Length } from '../../shared/basics.tsx';
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
