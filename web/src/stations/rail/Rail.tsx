import { useState } from 'react';
import { Link } from 'react-router';
import { isSample, nameOfSample, SAMPLE_IDS, SAMPLE_SIZES, sampleName } from '@ample/core/drafting';
import type { Job, Wearer } from '@ample/core/formats';
import type { Pattern } from '@ample/core/pattern';
import { sayRefusal } from '@ample/core/words';
import { bringDemoBack, clearDemo, forgetDamaged, useLibrary } from '../../store/library.ts';
import { wearerOf } from '../../store/job.ts';
import { download } from '../../store/export.ts';
import { useUnits } from '../../store/prefs.ts';
import { longDate } from '../../app/time.ts';
import { Notice } from '../../ui/parts.tsx';
import { ClearDemo, StartOwn } from './Dialogs.tsx';

/** What comes next, in a few words. */
function nextAction(job: Job, wearer: Wearer | undefined): readonly [string, string] {
  const newest = [...(wearer?.sets ?? [])].sort((a, b) => b.date.localeCompare(a.date))[0];
  if (!newest || !newest.readings.highBust || !newest.readings.fullBust) return ['Measure the body', 'body'];
  if (job.steps.length === 0) return ['See the size, plan the changes', 'size'];
  return ['Carry out the plan on the table', 'table'];
}

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
  const hasDemo = jobs.some((j) => j.demo);
  const sorted = [...jobs].sort((a, b) => (a.due ?? '9').localeCompare(b.due ?? '9'));
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-[1160px] px-6 py-4">
        <h1 className="sr-only">The rail</h1>
        {trouble && (
          <div className="mb-3">
            <Notice grade="fault">{sayRefusal(trouble, units)}</Notice>
          </div>
        )}
        {damaged.map((d) => (
          <div key={d.id} className="mb-3">
            <Notice grade="look">
              <p>{sayRefusal({ code: 'document-damaged', data: { kind: d.kind, detail: d.detail } }, units)}</p>
              <div className="mt-2 flex gap-2">
                <button
                  className="btn"
                  onClick={() =>
                    download(`${d.kind}-${d.key}.damaged.json`, JSON.stringify(d.raw, null, 2), 'application/json')
                  }
                >
                  Export it as it is
                </button>
                <button className="btn" onClick={() => void forgetDamaged(d.id)}>
                  Throw it away
                </button>
              </div>
            </Notice>
          </div>
        ))}
        <ul className="grid grid-cols-1 gap-5 overflow-x-clip px-4 pt-2 min-[600px]:grid-cols-2 min-[1000px]:grid-cols-3">
          {sorted.map((job) => (
            <Tag key={job.id} job={job} wearer={wearerOf(job, wearers)} pattern={patternName(job, patterns)} />
          ))}
        </ul>
        {jobs.length === 0 && <p className="px-4 py-8">The rail is empty. Start with a wearer and a pattern.</p>}
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
        <div className="mt-7 grid gap-6 px-4 min-[800px]:grid-cols-2">
          <section aria-labelledby="wearers">
            <h2 id="wearers" className="border-b border-ink pb-1">
              Wearers
            </h2>
            <ul>
              {wearers.map((w) => {
                const newest = [...w.sets].sort((a, b) => b.date.localeCompare(a.date))[0];
                return (
                  <li key={w.id} className="flex justify-between gap-4 border-b border-line py-2">
                    <span>{w.name}</span>
                    <span className="text-sm text-quiet">
                      {newest && Object.keys(newest.readings).length > 0
                        ? `measured ${longDate(newest.date)}`
                        : 'not measured yet'}
                    </span>
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
        </div>
      </div>
      <StartOwn open={dialog === 'start'} onClose={() => setDialog(null)} />
      <ClearDemo open={dialog === 'clear'} onClose={() => setDialog(null)} onClear={() => void clearDemo()} />
    </main>
  );
}

const PatternRow = ({ name, sizes }: { readonly name: string; readonly sizes: string }) => (
  <li className="flex justify-between gap-4 border-b border-line py-2">
    <span>{name}</span>
    <span className="text-sm whitespace-nowrap text-quiet">{sizes}</span>
  </li>
);

function Tag({
  job,
  wearer,
  pattern,
}: {
  readonly job: Job;
  readonly wearer: Wearer | undefined;
  readonly pattern: string | undefined;
}) {
  const [next, station] = nextAction(job, wearer);
  return (
    <li className="relative flex flex-col items-center">
      {/* Every row of tags hangs on a rail of its own. */}
      <span className="absolute -inset-x-5 top-1 h-[7px] border-t-2 border-[#b9b5a6] bg-[#8C8878]" aria-hidden="true" />
      <svg className="relative" viewBox="0 0 60 40" width="60" height="40" aria-hidden="true">
        <path d="M30 4c9 0 9 10 2 12l-2 1v8" fill="none" stroke="#5A5F66" strokeWidth="2.5" />
        <path d="M30 24v16" stroke="#8C8878" strokeWidth="1.5" />
      </svg>
      <Link
        to={`/job/${job.id}/${station}`}
        className="block w-full border border-ink bg-tissue px-4 pt-3 pb-3 hover:bg-[#f9f1df]"
        style={{ clipPath: 'polygon(12% 0, 88% 0, 100% 10%, 100% 100%, 0 100%, 0 10%)' }}
      >
        <span className="mx-auto mb-2 block h-3 w-3 rounded-full border border-ink bg-page" aria-hidden="true" />
        <span className="block font-head text-lg font-semibold">{wearer?.name ?? 'Unknown wearer'}</span>
        <span className="block">
          {job.title || 'Untitled'} · {pattern ?? 'no pattern'}
        </span>
        <span className="mt-2 block text-sm">{job.due ? `due ${longDate(job.due)}` : 'no date set'}</span>
        <span className="block text-sm">no fitting yet</span>
        <span className="mt-2 block border-t border-ink/40 pt-2 underline">{next}</span>
      </Link>
    </li>
  );
}
