import { Trash2 } from 'lucide-react';
import { Suspense, useState } from 'react';
import { useSearchParams } from 'react-router';
import { isSample, nameOfSample, SAMPLE_IDS, SAMPLE_SIZES, sampleName } from '@ample/core/blocks';
import type { Job, Wearer } from '@ample/core/documents';
import type { Pattern } from '@ample/core/pattern';
import { sayKeeping } from '@ample/core/words';
import { bringDemoBack, clearDemo, useLibrary, wearerOf } from '../../store/library.ts';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { longDate } from '../../lib/time.ts';
import { Notice } from '../../shared/basics.tsx';
import { fetchedLater, NotFetchedOver } from '../../ui/fetchedLater.tsx';
import { PracticeTag } from './PracticeTag.tsx';
import { Tag, type TagDialog } from './Tag.tsx';

/** The tags come first; what is pressed later is loaded later. */
const StartOwn = fetchedLater(async () => (await import('./Dialogs.tsx')).StartOwn, NotFetchedOver);
const ClearDemo = fetchedLater(async () => (await import('./Dialogs.tsx')).ClearDemo, NotFetchedOver);
const Keeping = fetchedLater(async () => (await import('./Keeping.tsx')).Keeping);
const TagDialogs = fetchedLater(async () => (await import('./TagDialogs.tsx')).TagDialogs, NotFetchedOver);
const DamagedDocument = fetchedLater(async () => (await import('./DamagedDocument.tsx')).DamagedDocument);
const DeleteWearer = fetchedLater(async () => (await import('./DeleteWearer.tsx')).DeleteWearer, NotFetchedOver);

/** What a job's pattern is called, without drafting it. */
function patternName(job: Job, patterns: readonly Pattern[]): string | undefined {
  const ref = job.pattern;
  if ('name' in ref) return ref.name;
  const id = 'id' in ref ? ref.id : 'sample' in ref ? ref.sample : '';
  return patterns.find((p) => p.id === id)?.name ?? (isSample(id) ? nameOfSample(id).name : undefined);
}

/** Home: the jobs on a clothes rail, wearers and patterns in drawers below. */
export function Rail() {
  const { jobs, wearers, patterns, damaged, trouble } = useLibrary();
  const units = useUnits();
  const [dialog, setDialog] = useState<'start' | 'clear' | null>(null);
  const [onTag, setOnTag] = useState<{ readonly job: Job; readonly dialog: TagDialog } | null>(null);
  const [gone, setGone] = useState<Wearer | null>(null);
  const [query, setQuery] = useSearchParams();
  const told = usePrefs((s) => s.toldPrivacy);
  const hasDemo = jobs.some((j) => j.demo);
  const only = wearers.some((w) => w.id === query.get('wearer')) ? query.get('wearer') : null;
  const away = query.get('away') === 'yes';
  const choose = (change: { wearer?: string | null; away?: boolean }) => {
    const next = new URLSearchParams(query);
    if (change.wearer !== undefined) next.delete('wearer');
    if (change.wearer) next.set('wearer', change.wearer);
    if (change.away !== undefined) next.delete('away');
    if (change.away) next.set('away', 'yes');
    setQuery(next, { replace: true });
  };
  // Who has begun nothing yet meets practice first.
  const untouched = jobs.every((j) => j.demo);
  const put = jobs.filter((j) => j.archived).length;
  const sorted = jobs
    .filter((j) => j.archived === away && (only === null || wearerOf(j, wearers)?.id === only))
    .sort((a, b) => (a.due ?? '9').localeCompare(b.due ?? '9'));
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-[1160px] px-6 py-4">
        <h1 className="sr-only">The rail</h1>
        {trouble && (
          <div className="mb-3">
            <Notice grade="fault">{sayKeeping(trouble, units)}</Notice>
          </div>
        )}
        {damaged.map((d) => (
          <Suspense key={d.id}>
            <DamagedDocument document={d} />
          </Suspense>
        ))}
        {!told && <PrivacyNote />}
        {(wearers.length > 1 || put > 0 || away) && (
          <WhichJobs wearers={wearers} only={only} choose={choose} put={put} away={away} />
        )}
        <ul className="grid grid-cols-1 gap-5 overflow-x-clip px-4 pt-2 min-[600px]:grid-cols-2 min-[1000px]:grid-cols-3">
          {!away && untouched && <PracticeTag />}
          {sorted.map((job) => (
            <Tag
              key={job.id}
              job={job}
              wearer={wearerOf(job, wearers)}
              pattern={patternName(job, patterns)}
              onDialog={(of, which) => setOnTag({ job: of, dialog: which })}
            />
          ))}
          {!away && !untouched && <PracticeTag />}
        </ul>
        {jobs.length === 0 && <p className="px-4 py-8">The rail is empty. Start with a wearer and a pattern.</p>}
        {jobs.length > 0 && sorted.length === 0 && (
          <p className="px-4 py-8">{away ? 'Nothing is put away.' : 'No job hangs here for this choice.'}</p>
        )}
        <RailButtons setDialog={setDialog} hasDemo={hasDemo} />
        <Drawers wearers={wearers} setGone={setGone} patterns={patterns} />
      </div>
      <Suspense>
        {onTag && <TagDialogs open={onTag} onClose={() => setOnTag(null)} />}
        {gone && <DeleteWearer wearer={gone} onClose={() => setGone(null)} />}
        {dialog === 'start' && <StartOwn open onClose={() => setDialog(null)} />}
        {dialog === 'clear' && <ClearDemo onClose={() => setDialog(null)} onClear={() => void clearDemo()} />}
      </Suspense>
    </main>
  );
}

function PrivacyNote() {
  return (
    <div className="mb-3">
      <Notice grade="note">
        <p>
          Measurements, fittings and pictures stay in this browser, on this device. Nothing is sent anywhere; they leave
          only in files you export. Who uses this browser can see them, and a wearer can be deleted completely below.
        </p>
        <button className="btn mt-2" onClick={() => usePrefs.setState({ toldPrivacy: true })}>
          I have read it
        </button>
      </Notice>
    </div>
  );
}

function WhichJobs({
  wearers,
  only,
  choose,
  put,
  away,
}: {
  readonly wearers: readonly Wearer[];
  readonly only: string | null;
  readonly choose: (change: { wearer?: string | null; away?: boolean }) => void;
  readonly put: number;
  readonly away: boolean;
}) {
  return (
    <div className="mb-2 flex flex-wrap items-end gap-3 px-4">
      {wearers.length > 1 && (
        <label className="flex items-center gap-2">
          <span className="text-sm">Jobs for</span>
          <select className="field" value={only ?? ''} onChange={(e) => choose({ wearer: e.target.value || null })}>
            <option value="">everyone</option>
            {wearers.map((w) => (
              <option key={w.id} value={w.id}>
                {w.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {(put > 0 || away) && (
        <button className="btn" onClick={() => choose({ away: !away })}>
          {away ? 'Back to the rail' : `Put away: ${put}`}
        </button>
      )}
      {away && <h2 className="pb-2">Put away</h2>}
    </div>
  );
}

function RailButtons({
  setDialog,
  hasDemo,
}: {
  readonly setDialog: (value: 'start' | 'clear' | null) => void;
  readonly hasDemo: boolean;
}) {
  return (
    <div className="mt-6 flex flex-wrap gap-3 px-4">
      <button className="btn btn-main" onClick={() => setDialog('start')}>
        Start my own
      </button>
      {hasDemo ? (
        <button className="btn" onClick={() => setDialog('clear')}>
          Clear the demo
        </button>
      ) : (
        <button className="btn" onClick={() => void bringDemoBack()}>
          Bring the demo back
        </button>
      )}
    </div>
  );
}

function Drawers({
  wearers,
  setGone,
  patterns,
}: {
  readonly wearers: readonly Wearer[];
  readonly setGone: (value: Wearer | null) => void;
  readonly patterns: readonly Pattern[];
}) {
  return (
    <div className="mt-7 grid gap-6 px-4 min-[800px]:grid-cols-2">
      <section aria-labelledby="wearers">
        <h2 id="wearers" className="border-b border-ink pb-1">
          Wearers
        </h2>
        <ul>
          {wearers.map((w) => {
            const newest = [...w.sets].sort((a, b) => b.date.localeCompare(a.date))[0];
            return (
              <li key={w.id} className="flex items-center gap-3 border-b border-line py-1">
                <span className="min-w-0 flex-1">{w.name}</span>
                <span className="text-sm text-quiet">
                  {newest && Object.keys(newest.readings).length > 0
                    ? `measured ${longDate(newest.date)}`
                    : 'not measured yet'}
                </span>
                <button className="btn btn-plain !px-2" onClick={() => setGone(w)} aria-label={`Delete ${w.name}`}>
                  <Trash2 size={18} aria-hidden="true" />
                </button>
              </li>
            );
          })}
        </ul>
      </section>
      <section aria-labelledby="patterns">
        <h2 id="patterns" className="border-b border-ink pb-1">
          Patterns
        </h2>
        <ul>
          {patterns
            .filter((p) => !isSample(p.id))
            .map((p) => (
              <PatternRow key={p.id} name={p.name} sizes={`sizes ${p.chart[0]?.size}–${p.chart.at(-1)?.size}`} />
            ))}
          {SAMPLE_IDS.map((id) => (
            <PatternRow key={id} name={sampleName(id)} sizes={`sizes ${SAMPLE_SIZES[0]}–${SAMPLE_SIZES.at(-1)}`} />
          ))}
        </ul>
      </section>
      <Suspense>
        <Keeping />
      </Suspense>
    </div>
  );
}

const PatternRow = ({ name, sizes }: { readonly name: string; readonly sizes: string }) => (
  <li className="flex justify-between gap-4 border-b border-line py-2">
    <span>{name}</span>
    <span className="text-sm whitespace-nowrap text-quiet">{sizes}</span>
  </li>
);
