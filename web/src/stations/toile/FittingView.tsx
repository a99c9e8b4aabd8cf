import { ToggleGroup } from 'radix-ui';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Draft } from '@ample/core/fitting/plan';
import { viewsOf, type View } from '@ample/core/fitting/fit';
import { wornAs, type Worn } from '@ample/core/pattern';
import type { Point } from '@ample/core/geometry';
import type { Fitting } from '@ample/core/documents';
import { FITTING_WORDS, VERDICT_WORDS, VIEW_WORDS } from '@ample/core/words';
import { longDate, today } from '../../lib/time.ts';
import { SeenFigure } from '../../shared/figure/SeenFigure.tsx';
import { editFitting, removeFitting } from '../../store/fittings.ts';
import { useJob } from '../../store/job.ts';
import { TextBox } from '../../ui/TextBox.tsx';
import { AddSeen } from './AddSeen.tsx';
import { Causes } from './Causes.tsx';
import { Followed } from './Followed.tsx';
import { Photos } from './Photos.tsx';
import { Seen } from './Seen.tsx';
import type { Observation } from '@ample/core/documents';

const DATE = /^\d{4}-\d{2}-\d{2}$/;

/** What a garment is tried at; on the form it only hangs. */
const WORN = [
  ['sitting', 'Sitting'],
  ['armsForward', 'Arms forward'],
  ['walking', 'Walking, reaching'],
] as const;

/** One fitting: the figure with what was seen, what became of earlier things, the causes, pictures and the verdict. */
export function FittingView({ fitting, draft }: { readonly fitting: Fitting; readonly draft: Draft | null }) {
  const { job } = useParams();
  const version = useJob((s) => s.job?.versions.find((v) => v.id === fitting.version)?.name ?? null);
  const [view, setView] = useState<View>('front');
  const [chosen, setChosen] = useState<string | null>(null);
  const [at, setAt] = useState<Point | null>(null);
  const numbered = useMemo(() => fitting.observations.map((o, i) => ({ ...o, number: i + 1 })), [fitting]);
  const choose = (id: string) => {
    const found = fitting.observations.find((o) => o.id === id);
    if (found) setView(found.view);
    setChosen(id);
    setAt(null);
  };
  return (
    <article aria-label={`${FITTING_WORDS[fitting.kind]}, ${longDate(fitting.date)}`} className="min-w-0">
      <FittingHead fitting={fitting} version={version} job={job} />
      <div className="grid gap-5 min-[760px]:grid-cols-[300px_minmax(0,1fr)] min-[1180px]:grid-cols-[300px_minmax(0,1fr)_minmax(0,1.15fr)]">
        <FittingFigure
          worn={wornAs(draft?.pieces ?? [])}
          view={view}
          setView={setView}
          numbered={numbered}
          chosen={chosen}
          choose={choose}
          setAt={setAt}
          at={at}
          fitting={fitting}
          setChosen={setChosen}
        />
        <div className="min-w-0 space-y-5">
          <Followed fitting={fitting} />
          <Seen fitting={fitting.id} observations={numbered} chosen={chosen} onChoose={choose} />
          <section aria-labelledby="worn">
            <h3 id="worn" className={fitting.kind === 'form' ? 'sr-only' : 'mb-2'}>
              {fitting.kind === 'form' ? 'Notes' : 'Worn'}
            </h3>
            <div className="grid gap-3">
              {(fitting.kind === 'form' ? [] : WORN).map(([key, name]) => (
                <TextBox
                  key={key}
                  label={name}
                  value={fitting[key]}
                  max={1000}
                  onCommit={(text) => editFitting(fitting.id, (f) => ({ ...f, [key]: text }))}
                />
              ))}
            </div>
            <div className="mt-3">
              <TextBox
                label="Notes"
                value={fitting.notes}
                max={4000}
                onCommit={(notes) => editFitting(fitting.id, (f) => ({ ...f, notes }))}
              />
            </div>
          </section>
          <Photos fitting={fitting} />
        </div>
        <div className="min-w-0 min-[760px]:max-[1179px]:col-span-2">
          <Causes fitting={fitting} draft={draft} />
        </div>
      </div>
    </article>
  );
}

function FittingHead({
  fitting,
  version,
  job,
}: {
  readonly fitting: Fitting;
  readonly version: string | null;
  readonly job: string | undefined;
}) {
  return (
    <header className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
      <h2 className="pb-1.5">
        {FITTING_WORDS[fitting.kind]}
        {version && <span className="ml-2 text-sm font-normal text-quiet">from “{version}”</span>}
      </h2>
      <label>
        <span className="sr-only">Date</span>
        <input
          type="date"
          className="field num"
          value={fitting.date}
          max={today()}
          onChange={(e) =>
            DATE.test(e.target.value) && editFitting(fitting.id, (f) => ({ ...f, date: e.target.value }))
          }
        />
      </label>
      {fitting.kind !== 'form' && (
        <label className="flex items-center gap-2">
          <span className="text-sm">Verdict</span>
          <select
            className="field"
            value={fitting.verdict}
            onChange={(e) => editFitting(fitting.id, (f) => ({ ...f, verdict: e.target.value as Fitting['verdict'] }))}
          >
            {Object.entries(VERDICT_WORDS).map(([id, word]) => (
              <option key={id} value={id}>
                {word}
              </option>
            ))}
          </select>
        </label>
      )}
      {fitting.kind === 'tissue' && (
        <Link className="btn" to={`/job/${job}/tissue/${fitting.id}`}>
          Go through the looks
        </Link>
      )}
      <button className="btn ml-auto" onClick={() => removeFitting(fitting.id)}>
        Delete this fitting
      </button>
    </header>
  );
}

function FittingFigure({
  worn,
  view,
  setView,
  numbered,
  chosen,
  choose,
  setAt,
  at,
  fitting,
  setChosen,
}: {
  readonly worn: Worn;
  readonly view: View;
  readonly setView: (value: View) => void;
  readonly numbered: readonly (Observation & { readonly number: number })[];
  readonly chosen: string | null;
  readonly choose: (id: string) => void;
  readonly setAt: (value: Point | null) => void;
  readonly at: Point | null;
  readonly fitting: Fitting;
  readonly setChosen: (value: string | null) => void;
}) {
  return (
    <div>
      <section className="card p-3" aria-label="What was seen, on the figure">
        <ToggleGroup.Root
          type="single"
          value={view}
          onValueChange={(v) => v && setView(v as View)}
          className="mb-2 flex justify-center gap-2"
          aria-label="View"
        >
          {viewsOf(worn).map((v) => (
            <ToggleGroup.Item key={v} value={v} className="btn data-[state=on]:bg-ink data-[state=on]:text-white">
              {VIEW_WORDS[v]}
              <span className="num text-sm">{numbered.filter((o) => o.view === v).length || ''}</span>
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <SeenFigure
          view={view}
          worn={worn}
          observations={numbered}
          chosen={chosen}
          onChoose={choose}
          onPoint={setAt}
          height="h-[360px]"
        />
        <p className="text-center text-sm text-quiet">
          {view === 'front'
            ? 'The wearer’s left is on your right.'
            : view === 'back'
              ? 'The wearer’s left is on your left.'
              : view === 'seated'
                ? 'On a stool, seen from the left.'
                : 'Seen from the left.'}{' '}
          Point at the place.
        </p>
      </section>
      <AddSeen
        key={`${view}${at?.x ?? ''} ${at?.y ?? ''}`}
        fitting={fitting.id}
        worn={worn}
        view={view}
        at={at}
        onDone={(id) => {
          setAt(null);
          if (id) setChosen(id);
        }}
      />
    </div>
  );
}
