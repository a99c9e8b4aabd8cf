import { garmentOf, MEASUREMENT_CATALOGUE, takesEase } from '@ample/core/fitting/fit';
import { isTight, isTold, type Row } from '@ample/core/fitting/compare';
import type { MeasurementKey, Pattern } from '@ample/core/pattern';
import { formatShare, TOL } from '@ample/core/units';
import { MEASUREMENT_WORDS, sayShare, shownRow } from '@ample/core/words';
import { useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length } from '../../shared/basics.tsx';
import { EaseCell, PatternCell, LeftCell } from './Cells.tsx';
import { Difference } from './Difference.tsx';

interface Props {
  readonly rows: readonly Row[];
  readonly paper: boolean;
  readonly size: string;
  readonly pattern: Pattern;
  readonly focused: MeasurementKey | null;
  readonly onFocus: (key: MeasurementKey) => void;
}

export function Worksheet({ rows, paper, size, pattern, focused, onFocus }: Props) {
  const { unit } = useUnits();
  return (
    <div className="relative overflow-x-auto">
      <table className="workings w-full">
        <caption className="sr-only">Body, ease, wanted, pattern, difference and each piece’s share</caption>
        <thead>
          <tr className="border-b border-ink text-right text-sm">
            <th className="px-2 py-2 text-left font-normal">Measurement, {unit}</th>
            <th className="px-1.5 py-2 font-normal">Body</th>
            <th className="max-w-[88px] px-1.5 py-2 font-normal">Design’s ease</th>
            <th className="px-1.5 py-2 text-left font-normal">+ Ease</th>
            <th className="px-1.5 py-2 font-normal whitespace-nowrap">= Wanted</th>
            <th className={`px-1.5 py-2 font-normal ${paper ? 'text-left' : ''}`}>
              {paper ? '− Your paper' : '− Pattern'}
            </th>
            <th className="px-1.5 py-2 font-normal whitespace-nowrap">= Difference</th>
            <th className="px-1.5 py-2 font-normal">Each piece</th>
            <th className="px-2 py-2 font-normal">Left after the plan</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <Line
              key={r.key}
              row={r}
              paper={paper}
              size={size}
              pattern={pattern}
              on={r.key === focused}
              onFocus={() => onFocus(r.key)}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The ease the design has, and where that is less than a body needs, how much it needs. */
const DesignCell = ({ row }: { readonly row: Row }) => (
  <td className="px-1.5">
    {row.design !== null && row.from !== 'chart' ? (
      <>
        <Length bare value={row.design} />
        {isTight(row) && (
          <div className="ml-auto max-w-[88px] text-sm text-quiet">
            a body needs <Length bare value={row.wearing} />
          </div>
        )}
      </>
    ) : (
      <span className="text-quiet">–</span>
    )}
  </td>
);

function Line({
  row,
  paper,
  size,
  pattern,
  on,
  onFocus,
}: {
  readonly row: Row;
  readonly paper: boolean;
  readonly size: string;
  readonly pattern: Pattern;
  readonly on: boolean;
  readonly onFocus: () => void;
}) {
  const { key: measurement } = row;
  const units = useUnits();
  const shown = shownRow(row, units);
  const name = MEASUREMENT_WORDS[measurement].name;
  const definition = MEASUREMENT_CATALOGUE.find((d) => d.key === measurement);
  const garment = garmentOf(pattern);
  const own = useJob((s) => s.wearer?.eases[garment]?.[measurement]);
  // A length has no ease of its own, but a design may end away from where the body does.
  const shaped = Math.abs(row.design ?? 0) >= TOL.seam;
  const eased = definition !== undefined && (takesEase(definition) || shaped) && (row.from !== 'chart' || paper);
  return (
    <tr className={`border-b border-line text-right ${on ? 'bg-tissue' : ''}`} onClick={onFocus} onFocus={onFocus}>
      <th scope="row" className="px-2 py-1.5 text-left font-normal">
        <button className="min-h-[40px] min-w-[40px] text-left underline-offset-4 hover:underline" onClick={onFocus}>
          {name}
        </button>
      </th>
      <td className="px-1.5">
        {shown.body !== null ? <Length bare value={shown.body} /> : <span className="text-quiet">not measured</span>}
      </td>
      <DesignCell row={row} />
      <EaseCell
        eased={eased}
        name={name}
        row={row}
        garment={garment}
        measurement={measurement}
        own={own}
        definition={definition}
        pattern={pattern}
      />
      <td className="px-1.5">{shown.wanted !== null && <Length bare value={shown.wanted} />}</td>
      <PatternCell paper={paper} name={name} row={row} shown={shown.pattern} size={size} measurement={measurement} />
      <td className={`px-1.5 ${isTold(row) ? 'font-bold' : 'text-quiet'}`}>
        {shown.difference !== null && <Difference value={shown.difference} />}
      </td>
      <td className="px-1.5 whitespace-nowrap" title={sayShare(row.share)}>
        {row.each !== null && row.share.parts !== 1 && isTold(row) && (
          <>
            <span className="text-sm text-quiet">÷{row.share.parts} </span>
            <span className="num whitespace-nowrap">
              {formatShare(shown.difference ?? row.each, row.share.parts, units.unit, {
                fraction: units.fraction,
                sign: true,
                bare: true,
              })}
            </span>
          </>
        )}
      </td>
      <LeftCell row={row} />
    </tr>
  );
}
