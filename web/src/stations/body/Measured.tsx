import { useState } from 'react';
import { meanOf, SIDED, type MeasurementDefinition } from '@ample/core/fitting/fit';
import type { Wearer } from '@ample/core/documents';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { setReading, setRight } from '../../store/body.ts';
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
    /** Of what was taken on the right. */
    readonly right: boolean;
  }[];
}

/** One measurement: two readings, what is used of them, and what is odd about it; where the sides differ the right’s below. */
export function Measured({ definition, set, before, needed, onFocus, problems }: Props) {
  const { key } = definition;
  const name = MEASUREMENT_WORDS[key].name;
  const readings = set.readings[key];
  const right = set.right[key];
  const used = meanOf(readings);
  const [opened, setOpened] = useState(false);
  const differs = right !== undefined || opened;
  const carried = set.carried.includes(key);
  const mayDiffer = SIDED.includes(key) && used !== undefined;
  const quiet = problems.length > 0 || (mayDiffer && differs);
  return (
    <>
      <tr className={quiet ? '' : 'border-b border-line'} data-measure={key}>
        <th scope="row" className="px-3 py-1.5 text-left font-normal">
          {name}
          {differs && <span className="ml-2 text-sm text-quiet">left</span>}
          {needed && used === undefined && <span className="ml-2 text-sm text-quiet">needed</span>}
          {carried && <span className="block text-sm text-quiet">carried over, not taken again</span>}
          {set.remarks[key] && <span className="block text-sm text-quiet">{set.remarks[key]}</span>}
          {mayDiffer && !differs && (
            <button
              className="link block min-h-[40px] text-sm"
              aria-label={`${name}: the right differs`}
              onClick={() => setOpened(true)}
            >
              The right differs
            </button>
          )}
        </th>
        <Readings {...{ name, readings, onFocus }} commit={(i, v) => setReading(set.id, key, i, v)} />
        <td className="px-3 text-right">{used !== undefined && <Length value={used} />}</td>
        <td className="px-3 text-right text-quiet max-[700px]:hidden">
          {used !== undefined && before !== undefined && !carried && <Length value={used - before} sign />}
        </td>
      </tr>
      {mayDiffer && differs && (
        <tr className={problems.length > 0 ? '' : 'border-b border-line'} data-measure={`${key} right`}>
          <th scope="row" className="px-3 py-1.5 text-left font-normal">
            {name}
            <span className="ml-2 text-sm text-quiet">right</span>
          </th>
          <Readings
            {...{ onFocus }}
            name={`${name}, right`}
            readings={right}
            commit={(i, v) => setRight(set.id, key, i, v)}
          />
          <td className="px-3 text-right">{right && <Length value={meanOf(right) ?? 0} />}</td>
          <td className="px-3 text-right text-quiet max-[700px]:hidden" />
        </tr>
      )}
      {problems.length > 0 && (
        <tr className="border-b border-line">
          <td colSpan={5} className="px-3 pb-2">
            {problems.map((p) => (
              <Notice key={p.says} grade={p.grade === 'stop' ? 'fault' : 'look'}>
                {p.says}
                {p.meant !== null && (
                  <button
                    className="btn ml-3"
                    onClick={() => (p.right ? setRight : setReading)(set.id, key, 0, p.meant)}
                  >
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

/** The fields of two readings, each of which a tape that sends may fill. */
function Readings({
  name,
  readings,
  commit,
  onFocus,
}: {
  readonly name: string;
  readonly readings: readonly number[] | undefined;
  readonly commit: (index: 0 | 1, value: number | null) => void;
  readonly onFocus: () => void;
}) {
  return ([0, 1] as const).map((i) => (
    <td key={i} className="py-1.5 pr-2">
      <LengthField
        label={`${name}, ${i === 0 ? 'first' : 'second'} reading`}
        bare
        optional
        width="w-full min-w-[96px] max-w-[120px]"
        value={readings?.[i] ?? null}
        onCommit={(v) => commit(i, v)}
        onFocus={() => {
          onFocus();
          aimTape({ name: name.toLowerCase(), take: (mm) => commit(i, mm) });
        }}
      />
    </td>
  ));
}
