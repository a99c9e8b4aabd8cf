import { useMemo, useState } from 'react';
import { bodyFrom, checkBody, MEASUREMENT_CATALOGUE, meanOf, type MeasurementDefinition } from '@ample/core/fit';
import type { MeasurementKey } from '@ample/core/pattern';
import { MEASUREMENT_WORDS, sayBodyProblem } from '@ample/core/words';
import { longDate } from '../../app/time.ts';
import { Figure } from '../../figure/Figure.tsx';
import { setReading, useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../ui/LengthField.tsx';
import { Length, Notice, Station } from '../../ui/parts.tsx';

/** Measurements in measuring order, two readings each, beside the figure with the tape of the one in hand. */
export function Body() {
  const wearer = useJob((s) => s.wearer);
  const units = useUnits();
  const [focused, setFocused] = useState<MeasurementKey>('highBust');
  const [all, setAll] = useState(false);
  const sets = useMemo(() => [...(wearer?.sets ?? [])].sort((a, b) => b.date.localeCompare(a.date)), [wearer]);
  const newest = sets[0];
  const older = sets[1];
  const problems = useMemo(() => checkBody(bodyFrom(sets), newest), [sets, newest]);
  const shown = MEASUREMENT_CATALOGUE.filter((d) => all || d.essential || newest?.readings[d.key] !== undefined);
  const rest = MEASUREMENT_CATALOGUE.length - shown.length;
  if (!wearer || !newest) return <Station title="Body">There is no set of measurements in this record.</Station>;
  const words = MEASUREMENT_WORDS[focused];
  return (
    <Station
      title={`${wearer.name}, measured ${longDate(newest.date)}`}
      lead="Take each reading twice, in the underwear meant for the garment, tape level and snug, never tight. Type the way you write: 92.5, 92,5 cm, 36 1/2 or 36-1/2″."
    >
      <div className="grid gap-6 min-[860px]:grid-cols-[minmax(0,1fr)_320px]">
        <table className="sheet w-full self-start">
          <thead>
            <tr className="border-b border-ink text-left text-sm">
              <th className="px-3 py-2 font-normal">Measurement</th>
              <th className="py-2 font-normal">First</th>
              <th className="py-2 font-normal">Second</th>
              <th className="px-3 py-2 text-right font-normal">Used</th>
              <th className="px-3 py-2 text-right font-normal max-[700px]:hidden">{older ? 'Since last' : ''}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((d) => (
              <Row
                key={d.key}
                definition={d}
                readings={newest.readings[d.key]}
                before={meanOf(older?.readings[d.key])}
                onFocus={() => setFocused(d.key)}
                problems={problems
                  .filter((p) => p.key === d.key)
                  .map((p) => ({
                    grade: p.grade,
                    says: sayBodyProblem(p, units),
                    meant: typeof p.data['meant'] === 'number' ? p.data['meant'] : null,
                  }))}
              />
            ))}
          </tbody>
        </table>
        <div className="self-start min-[860px]:sticky min-[860px]:top-0">
          <div className="sheet p-4">
            <h2>{words.name}</h2>
            <p className="mt-1 mb-2 min-h-[88px]">{words.how}</p>
            <Figure of={focused} />
          </div>
          {rest > 0 && (
            <button className="btn mt-3" onClick={() => setAll(true)}>
              Show {rest} more measurements
            </button>
          )}
        </div>
      </div>
    </Station>
  );
}

interface RowProps {
  readonly definition: MeasurementDefinition;
  readonly readings: readonly number[] | undefined;
  readonly before: number | undefined;
  readonly onFocus: () => void;
  readonly problems: readonly {
    readonly grade: 'stop' | 'ask';
    readonly says: string;
    readonly meant: number | null;
  }[];
}

function Row({ definition, readings, before, onFocus, problems }: RowProps) {
  const { key, essential } = definition;
  const name = MEASUREMENT_WORDS[key].name;
  const used = meanOf(readings);
  return (
    <>
      <tr className={problems.length > 0 ? '' : 'border-b border-line'}>
        <th scope="row" className="px-3 py-1.5 text-left font-normal">
          {name}
          {essential && used === undefined && <span className="ml-2 text-sm text-pencil">needed</span>}
        </th>
        {([0, 1] as const).map((i) => (
          <td key={i} className="py-1.5 pr-2">
            <LengthField
              label={`${name}, ${i === 0 ? 'first' : 'second'} reading`}
              bare
              optional
              width="w-full min-w-[96px] max-w-[120px]"
              value={readings?.[i] ?? null}
              onCommit={(v) => setReading(key, i, v)}
              onFocus={onFocus}
            />
          </td>
        ))}
        <td className="px-3 text-right">{used !== undefined && <Length value={used} />}</td>
        <td className="px-3 text-right text-quiet max-[700px]:hidden">
          {used !== undefined && before !== undefined && <Length value={used - before} sign />}
        </td>
      </tr>
      {problems.length > 0 && (
        <tr className="border-b border-line">
          <td colSpan={5} className="px-3 pb-2">
            {problems.map((p) => (
              <Notice key={p.says} grade={p.grade === 'stop' ? 'fault' : 'look'}>
                {p.says}
                {p.meant !== null && (
                  <button className="btn ml-3" onClick={() => setReading(key, 0, p.meant)}>
                    Yes, use that
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
