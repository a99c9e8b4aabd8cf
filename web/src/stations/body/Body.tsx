import { Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import {
  bodyFrom,
  changesBetween,
  checkAge,
  checkSets,
  historyOf,
  MEASUREMENT_CATALOGUE,
  meanOf,
  neededFor,
  newestFirst,
  rightFrom,
  type Body as BodyMeasured,
  type BodyProblem,
  type MeasurementDefinition,
} from '@ample/core/fitting/fit';
import type { MeasurementKey, Pattern } from '@ample/core/pattern';
import { MEASUREMENT_WORDS, sayBodyProblem } from '@ample/core/words';
import { longDate, today } from '../../lib/time.ts';
import { Figure } from '../../shared/figure/Figure.tsx';
import { useJob } from '../../store/job.ts';
import { useLibrary } from '../../store/library.ts';
import { patternOf } from '../../store/patterns.ts';
import { useUnits } from '../../store/prefs.ts';
import { TapeWindow } from '../../devices/tape/TapeWindow.tsx';
import { Length, Notice, Station } from '../../shared/basics.tsx';
import { Said } from '../../shared/Said.tsx';
import { fetchedLater } from '../../ui/fetchedLater.tsx';
import { HeightLies } from './HeightLies.tsx';
import { Measured } from './Measured.tsx';
import { Remark } from './Remark.tsx';
import { Sets } from './Sets.tsx';
import type { Wearer } from '@ample/core/documents';

const OnForm = fetchedLater(async () => (await import('./OnForm.tsx')).OnForm);
const HistoryChart = fetchedLater(async () => (await import('./HistoryChart.tsx')).HistoryChart);

type MeasurementSet = Wearer['sets'][number];

/** The set in hand, the one before it, and the body as all of them up to it tell. */
function useSetInHand(wearer: Wearer | null, chart: Pattern['chart'] | undefined) {
  const [chosen, setChosen] = useState<string | null>(null);
  const sets = useMemo(() => newestFirst(wearer?.sets ?? []), [wearer]);
  const index = Math.max(
    0,
    sets.findIndex((s) => s.id === chosen),
  );
  const upTo = useMemo(() => sets.slice(index), [sets, index]);
  const problems = useMemo(
    () => (upTo[0] ? [...checkSets(upTo, chart), ...checkAge(upTo, today())] : []),
    [upTo, chart],
  );
  return { sets, set: upTo[0], older: upTo[1], upTo, problems, setChosen };
}

/** Measurements in measuring order, two readings each, beside the figure with the tape of the one in hand. */
export function Body() {
  const { job, wearer } = useJob();
  const patterns = useLibrary((s) => s.patterns);
  const units = useUnits();
  const [search] = useSearchParams();
  const asked = MEASUREMENT_CATALOGUE.find((d) => d.key === search.get('take'))?.key;
  const [chosen, setFocused] = useState<MeasurementKey | null>(asked ?? null);
  const [tape, setTape] = useState(false);
  const pattern = patternOf(job, patterns);
  const { sets, set, older, upTo, problems, setChosen } = useSetInHand(wearer, pattern?.chart);
  const needed = useMemo(() => neededFor(pattern, job?.steps ?? []), [pattern, job]);
  const focused = chosen ?? needed.find((key) => key !== 'neck') ?? 'highBust';
  useEffect(() => {
    if (asked) document.querySelector<HTMLInputElement>(`[data-measure="${asked}"] input`)?.focus();
  }, [asked]);
  if (!wearer || !set) return <Station title="Body">There is no set of measurements in this record.</Station>;
  const old = problems.find((p) => p.code === 'set-old');
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
          wearer={wearer}
          set={set}
          older={older}
          body={bodyFrom(upTo)}
          needed={needed}
          problems={problems}
          showAll={asked !== undefined}
          onFocus={setFocused}
          tape={tape}
          onTape={() => setTape(true)}
        />
        <WhereItRuns
          words={MEASUREMENT_WORDS[focused]}
          focused={focused}
          set={set}
          history={historyOf(wearer.sets, focused)}
        />
      </div>
      <TapeChecked body={bodyFrom(upTo)} right={rightFrom(upTo)} name={wearer.name} />
      {tape && <TapeWindow onClose={() => setTape(false)} />}
    </Station>
  );
}

/** The measurements on a dress form, once it is opened: whether they go together. */
function TapeChecked(of: { readonly body: BodyMeasured; readonly right: BodyMeasured | null; readonly name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="card mt-6 p-4" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-[40px] cursor-pointer py-2">
        <h2 className="inline">On a dress form</h2>
        <span className="ml-3 text-quiet">Do the measurements go together?</span>
      </summary>
      {open && (
        <Suspense fallback={<p role="status">One moment …</p>}>
          <OnForm {...of} />
        </Suspense>
      )}
    </details>
  );
}

interface OfSet {
  readonly wearer: Wearer;
  readonly set: MeasurementSet;
  readonly older: MeasurementSet | undefined;
  readonly body: BodyMeasured;
  readonly needed: readonly MeasurementKey[];
  readonly problems: readonly BodyProblem[];
  readonly onFocus: (key: MeasurementKey) => void;
}

function Row({
  definition,
  wearer,
  set,
  older,
  body,
  needed,
  problems,
  onFocus,
}: OfSet & { readonly definition: MeasurementDefinition }) {
  const units = useUnits();
  const { key } = definition;
  // A set that is old, or a value carried over from it, is told once, above.
  const own = problems.filter((p) => p.key === key && p.code !== 'set-old' && p.code !== 'value-carried');
  return (
    <>
      <Measured
        definition={definition}
        set={set}
        before={meanOf(older?.readings[key])}
        needed={needed.includes(key)}
        onFocus={() => onFocus(key)}
        problems={own.map((p) => ({
          grade: p.grade,
          says: sayBodyProblem(p, units),
          meant: typeof p.data['meant'] === 'number' ? p.data['meant'] : null,
          right: p.right === true,
        }))}
      />
      {key === 'height' && body.height !== undefined && <HeightLies value={wearer.heightLies} />}
    </>
  );
}

function MeasurementsOfSet({
  showAll,
  tape,
  onTape,
  ...of
}: OfSet & {
  /** Also what this job does not need. */
  readonly showAll: boolean;
  readonly tape: boolean;
  readonly onTape: () => void;
}) {
  const { job: id } = useParams();
  const [all, setAll] = useState(showAll);
  const first = MEASUREMENT_CATALOGUE.filter((d) => of.needed.includes(d.key));
  const rest = MEASUREMENT_CATALOGUE.filter((d) => !of.needed.includes(d.key));
  const missing = first.filter((d) => of.body[d.key] === undefined).length;
  return (
    <div>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <button className="btn" onClick={onTape} aria-expanded={tape}>
          Measure with a tape that sends
        </button>
        <Link className="btn" to={`/job/${id}/measuring-sheet`}>
          Blank sheet to print
        </Link>
        <span className="text-quiet">
          {missing === 0 ? 'All this job needs is measured.' : `${missing} still needed for this job.`}
        </span>
      </div>
      <table className="card w-full self-start">
        <thead>
          <tr className="border-b border-ink text-left text-sm">
            <th className="px-3 py-2 font-normal">Measurement</th>
            <th className="py-2 font-normal">First</th>
            <th className="py-2 font-normal">Second</th>
            <th className="px-3 py-2 text-right font-normal">Used</th>
            <th className="px-3 py-2 text-right font-normal max-[700px]:hidden">{of.older ? 'Since last' : ''}</th>
          </tr>
        </thead>
        <tbody>
          {[...first, ...(all ? rest : [])].map((d) => (
            <Row key={d.key} definition={d} {...of} />
          ))}
        </tbody>
      </table>
      {rest.length > 0 && (
        <button className="btn mt-3" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Hide what this job does not need' : `Show ${rest.length} more measurements`}
        </button>
      )}
      {of.older && <ChangedSince older={of.older} set={of.set} />}
    </div>
  );
}

/** Which values differ from the set before. */
function ChangedSince({ older, set }: { readonly older: MeasurementSet; readonly set: MeasurementSet }) {
  const moved = changesBetween(bodyFrom([older]), bodyFrom([set]));
  if (moved.length === 0) return null;
  return (
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
      <div className="card p-4 max-[899px]:grid max-[899px]:grid-cols-[minmax(0,1fr)_150px] max-[899px]:gap-x-4">
        <div>
          <h2>{words.name}</h2>
          <p className="mt-1 mb-2 min-h-[66px]">
            <Said>{words.how}</Said>
          </p>
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
