import { Fragment, lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import {
  bodyFrom,
  changesBetween,
  checkAge,
  checkBody,
  historyOf,
  MEASUREMENT_CATALOGUE,
  meanOf,
  neededFor,
  newestFirst,
} from '@ample/core/fitting/fit';
import type { MeasurementKey } from '@ample/core/pattern';
import { MEASUREMENT_WORDS, sayBodyProblem } from '@ample/core/words';
import { longDate, today } from '../../lib/time.ts';
import { Figure } from '../../shared/figure/Figure.tsx';
import { useJob } from '../../store/job.ts';
import { useLibrary } from '../../store/library.ts';
import { patternOf } from '../../store/patterns.ts';
import { useUnits } from '../../store/prefs.ts';
import { TapeWindow } from '../../devices/tape/TapeWindow.tsx';
import { Length, Notice, Station } from '../../shared/parts.tsx';
import { HeightLies } from './HeightLies.tsx';
import { Measured } from './Measured.tsx';
import { Remark } from './Remark.tsx';
import { Sets } from './Sets.tsx';
import type { JSX } from 'react';
import type { MeasurementDefinition } from '@ample/core/fitting/fit';
import type { Change } from '@ample/core/fitting/fit';
import type { Wearer } from '@ample/core/documents';

const HistoryChart = lazy(async () => ({ default: (await import('./HistoryChart.tsx')).HistoryChart }));

/** Measurements in measuring order, two readings each, beside the figure with the tape of the one in hand. */
export function Body() {
  const { job, wearer } = useJob();
  const patterns = useLibrary((s) => s.patterns);
  const units = useUnits();
  const { job: id } = useParams();
  const [search] = useSearchParams();
  const asked = MEASUREMENT_CATALOGUE.find((d) => d.key === search.get('take'))?.key;
  const [focused, setFocused] = useState<MeasurementKey>(asked ?? 'highBust');
  const [all, setAll] = useState(asked !== undefined);
  const [tape, setTape] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const sets = useMemo(() => newestFirst(wearer?.sets ?? []), [wearer]);
  const set = sets.find((s) => s.id === chosen) ?? sets[0];
  const older = sets[sets.findIndex((s) => s.id === set?.id) + 1];
  const upTo = useMemo(() => sets.slice(sets.findIndex((s) => s.id === set?.id)), [sets, set]);
  const needed = useMemo(() => neededFor(patternOf(job, patterns), job?.steps ?? []), [job, patterns]);
  const problems = useMemo(
    () => (set ? [...checkBody(bodyFrom(upTo), set), ...checkAge(upTo, today())] : []),
    [upTo, set],
  );
  useEffect(() => {
    if (asked) document.querySelector<HTMLInputElement>(`[data-measure="${asked}"] input`)?.focus();
  }, [asked]);
  if (!wearer || !set) return <Station title="Body">There is no set of measurements in this record.</Station>;
  const words = MEASUREMENT_WORDS[focused];
  const first = MEASUREMENT_CATALOGUE.filter((d) => needed.includes(d.key));
  const rest = MEASUREMENT_CATALOGUE.filter((d) => !needed.includes(d.key));
  const history = historyOf(wearer.sets, focused);
  const moved = older ? changesBetween(bodyFrom([older]), bodyFrom([set])) : [];
  const missing = first.filter((d) => bodyFrom(upTo)[d.key] === undefined).length;
  const old = problems.find((p) => p.code === 'set-old');
  const row = (d: (typeof MEASUREMENT_CATALOGUE)[number]) => (
    <Fragment key={d.key}>
      <Measured
        definition={d}
        set={set}
        before={meanOf(older?.readings[d.key])}
        needed={needed.includes(d.key)}
        onFocus={() => setFocused(d.key)}
        problems={problems
          .filter((p) => p.key === d.key && p.code !== 'set-old' && p.code !== 'value-carried')
          .map((p) => ({
            grade: p.grade,
            says: sayBodyProblem(p, units),
            meant: typeof p.data['meant'] === 'number' ? p.data['meant'] : null,
          }))}
      />
      {d.key === 'height' && bodyFrom(upTo).height !== undefined && <HeightLies value={wearer.heightLies} />}
    </Fragment>
  );
  return (
    <Station
      title={`${wearer.name}, measured ${longDate(set.date)}`}
      lead="In the underwear meant for the garment, standing easy. First tie a tape or elastic round the natural waist and leave it on: bend sideways, the crease is the waist. Then go down the list, each reading twice, the tape level and snug, never tight."
      wide
    >
      <Sets sets={sets} current={set} onChoose={setChosen} />
      {old && (
        <div className="mb-3">
          <Notice grade="look">{sayBodyProblem(old, units)}</Notice>
        </div>
      )}
      <div className="grid gap-6 min-[900px]:grid-cols-[minmax(0,1fr)_360px]">
        <MeasurementsOfSet
          setTape={setTape}
          tape={tape}
          id={id}
          missing={missing}
          older={older}
          first={first}
          row={row}
          all={all}
          rest={rest}
          setAll={setAll}
          moved={moved}
        />
        <WhereItRuns words={words} focused={focused} set={set} history={history} />
      </div>
      {tape && <TapeWindow onClose={() => setTape(false)} />}
    </Station>
  );
}

function MeasurementsOfSet({
  setTape,
  tape,
  id,
  missing,
  older,
  first,
  row,
  all,
  rest,
  setAll,
  moved,
}: {
  readonly setTape: (value: boolean) => void;
  readonly tape: boolean;
  readonly id: string | undefined;
  readonly missing: number;
  readonly older:
    | {
        id: string;
        date: string;
        readings: Partial<Record<MeasurementKey, number[]>>;
        remarks: Partial<Record<MeasurementKey, string>>;
        carried: MeasurementKey[];
        notes: string;
      }
    | undefined;
  readonly first: MeasurementDefinition[];
  readonly row: (d: (typeof MEASUREMENT_CATALOGUE)[number]) => JSX.Element;
  readonly all: boolean;
  readonly rest: MeasurementDefinition[];
  readonly setAll: (value: boolean) => void;
  readonly moved: readonly Change[];
}) {
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <button className="btn" onClick={() => setTape(true)} aria-expanded={tape}>
          Measure with a tape that sends
        </button>
        <Link className="btn" to={`/job/${id}/measuring-sheet`}>
          Blank sheet to print
        </Link>
        <span className="text-quiet">
          {missing === 0 ? 'All this job needs is measured.' : `${missing} still needed for this job.`}
        </span>
      </div>
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
          {first.map(row)}
          {all && rest.map(row)}
        </tbody>
      </table>
      {rest.length > 0 && (
        <button className="btn mt-3" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Hide what this job does not need' : `Show ${rest.length} more measurements`}
        </button>
      )}
      {moved.length > 0 && older && (
        <p className="mt-4">
          Changed since {longDate(older.date)}:{' '}
          {moved.map((c, i) => (
            <span key={c.key}>
              {i > 0 && ', '}
              {MEASUREMENT_WORDS[c.key].name.toLowerCase()} <Length value={c.by} sign />
            </span>
          ))}
          .
        </p>
      )}
    </div>
  );
}

function WhereItRuns({
  words,
  focused,
  set,
  history,
}: {
  readonly words: { readonly name: string; readonly how: string };
  readonly focused: MeasurementKey;
  readonly set: Wearer['sets'][number];
  readonly history: readonly { readonly date: string; readonly value: number }[];
}) {
  return (
    <div className="self-start max-[899px]:order-first min-[900px]:sticky min-[900px]:top-0">
      <div className="sheet p-4 max-[899px]:grid max-[899px]:grid-cols-[minmax(0,1fr)_150px] max-[899px]:gap-x-4">
        <div>
          <h2>{words.name}</h2>
          <p className="mt-1 mb-2 min-h-[66px]">{words.how}</p>
        </div>
        <Figure of={focused} height="h-[250px] max-[899px]:h-[150px]" />
        <Remark key={`${set.id} ${focused}`} set={set} of={focused} />
        {history.length > 1 && (
          <Suspense fallback={<div className="h-[170px]" />}>
            <HistoryChart history={history} name={words.name} />
          </Suspense>
        )}
      </div>
    </div>
  );
}
