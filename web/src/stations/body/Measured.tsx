import { meanOf, type MeasurementDefinition } from '@ample/core/fitting/fit';
import type { Wearer } from '@ample/core/documents';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { setReading } from '../../store/body.ts';
import { aimTape } from '../../devices/tape/session.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length, Notice } from '../../shared/basics.tsx';

interface Props {
  readonly definition: MeasurementDefinition;
  readonly set: Wearer['sets'][number];
  readonly before: number | undefined;
  readonly needed: boolean;
  readonly onFocus: () => void;
  readonly problems: readonly {
    readonly grade: 'stop' | 'ask';
    readonly says: string;
    readonly meant: number | null;
  }[];
}

/** One measurement: two readings, what is used of them, and what is odd about it. */
export function Measured({ definition, set, before, needed, onFocus, problems }: Props) {
  const { key } = definition;
  const name = MEASUREMENT_WORDS[key].name;
  const readings = set.readings[key];
  const used = meanOf(readings);
  const carried = set.carried.includes(key);
  const aim = (i: 0 | 1) => {
    onFocus();
    aimTape({ name: name.toLowerCase(), take: (mm) => setReading(set.id, key, i, mm) });
  };
  return (
    <>
      <tr className={problems.length > 0 ? '' : 'border-b border-line'} data-measure={key}>
        <th scope="row" className="px-3 py-1.5 text-left font-normal">
          {name}
          {needed && used === undefined && <span className="ml-2 text-sm text-quiet">needed</span>}
          {carried && <span className="block text-sm text-quiet">carried over, not taken again</span>}
          {set.remarks[key] && <span className="block text-sm text-quiet">{set.remarks[key]}</span>}
        </th>
        {([0, 1] as const).map((i) => (
          <td key={i} className="py-1.5 pr-2">
            <LengthField
              label={`${name}, ${i === 0 ? 'first' : 'second'} reading`}
              bare
              optional
              width="w-full min-w-[96px] max-w-[120px]"
              value={readings?.[i] ?? null}
              onCommit={(v) => setReading(set.id, key, i, v)}
              onFocus={() => aim(i)}
            />
          </td>
        ))}
        <td className="px-3 text-right">{used !== undefined && <Length value={used} />}</td>
        <td className="px-3 text-right text-quiet max-[700px]:hidden">
          {used !== undefined && before !== undefined && !carried && <Length value={used - before} sign />}
        </td>
      </tr>
      {problems.length > 0 && (
        <tr className="border-b border-line">
          <td colSpan={5} className="px-3 pb-2">
            {problems.map((p) => (
              <Notice key={p.says} grade={p.grade === 'stop' ? 'fault' : 'look'}>
                {p.says}
                {p.meant !== null && (
                  <button className="btn ml-3" onClick={() => setReading(set.id, key, 0, p.meant)}>
                    Yes, use it
                  </button>
                )}
              </Notice>
            ))}
          </td>
        </tr>
      )}
    </>
  );
}
