import type { MeasurementKey } from '@ample/core/pattern';
import { Difference } from './Difference.tsx';
import { usualEase } from '@ample/core/fitting/fit';
import { type Row } from '@ample/core/fitting/compare';
import type { Pattern } from '@ample/core/pattern';
import { TOL } from '@ample/core/units';
import { FLAT_WORDS } from '@ample/core/words';
import { setEase, setFlat } from '../../store/compare.ts';
import { goDown } from '../../lib/goDown.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length } from '../../shared/basics.tsx';
import type { Garment } from '@ample/core/fitting/fit';
import type { MeasurementDefinition } from '@ample/core/fitting/fit';

export function EaseCell({
  eased,
  name,
  row,
  garment,
  measurement,
  own,
  definition,
  pattern,
}: {
  readonly eased: boolean;
  readonly name: string;
  readonly row: Row;
  readonly garment: Garment;
  readonly measurement: MeasurementKey;
  readonly own: number | undefined;
  readonly definition: MeasurementDefinition | undefined;
  readonly pattern: Pattern;
}) {
  return (
    <td className="px-1.5 text-left">
      {eased ? (
        <>
          <LengthField
            label={`Ease at ${name.toLowerCase()}`}
            bare
            signed
            optional
            min={-400}
            max={800}
            width="w-[104px]"
            value={row.ease}
            onCommit={(v) => setEase(garment, measurement, v)}
            onEnter={goDown}
          />
          {own !== undefined && definition && (
            <button
              className="min-h-[40px] text-sm whitespace-nowrap underline"
              onClick={() => setEase(garment, measurement, null)}
            >
              {row.design === null ? 'usual' : 'design’s'}{' '}
              <Length bare value={row.design ?? usualEase(pattern, definition)} />
            </button>
          )}
          {row.easeFrom === 'room' && row.design !== null && (
            <div className="text-sm whitespace-nowrap text-quiet">
              <Length bare value={row.wearing} /> is enough
              {row.design - row.ease > row.within && (
                <button
                  className="block min-h-[40px] text-ink underline"
                  onClick={() => setEase(garment, measurement, row.design)}
                >
                  keep all <Length bare value={row.design} />
                </button>
              )}
            </div>
          )}
        </>
      ) : (
        <span className="text-quiet">–</span>
      )}
    </td>
  );
}

export function PatternCell({
  paper,
  name,
  row,
  shown,
  size,
  measurement,
}: {
  readonly paper: boolean;
  readonly name: string;
  readonly row: Row;
  /** The pattern's length so that the row adds up. */
  readonly shown: number | null;
  readonly size: string;
  readonly measurement: MeasurementKey;
}) {
  return (
    <td className={`px-1.5 ${paper ? 'text-left' : ''}`}>
      {paper ? (
        <>
          <LengthField
            label={`${name} on the paper`}
            bare
            optional
            min={1}
            max={4000}
            width="w-[112px]"
            value={row.from === 'typed' ? row.pattern : null}
            onCommit={(v) => setFlat(size, measurement, v)}
            onEnter={goDown}
          />
          {row.from !== 'typed' && row.pattern !== null && (
            <span className="block text-sm whitespace-nowrap text-quiet">
              <Length bare value={shown ?? row.pattern} />{' '}
              {row.from === 'chart' ? 'by chart' : row.from && FLAT_WORDS[row.from]}
            </span>
          )}
        </>
      ) : row.pattern !== null ? (
        <>
          <Length bare value={shown ?? row.pattern} />
          {row.from !== 'pieces' && row.from && (
            <div className="text-sm whitespace-nowrap text-quiet">{FLAT_WORDS[row.from]}</div>
          )}
        </>
      ) : (
        <span className="text-quiet">not on these pieces</span>
      )}
    </td>
  );
}

export function LeftCell({ row }: { readonly row: Row }) {
  return (
    <td className="px-2">
      {row.left !== null && row.difference !== null && (
        <span className={Math.max(Math.abs(row.left), Math.abs(row.fallen)) > row.within ? '' : 'text-quiet'}>
          {Math.abs(row.fallen) < TOL.seam ? (
            <Difference value={row.left} />
          ) : (
            <>
              <Length bare value={Math.abs(row.fallen)} /> {row.fallen > 0 ? 'lower' : 'higher'}
            </>
          )}
        </span>
      )}
    </td>
  );
}
