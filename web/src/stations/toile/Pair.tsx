import { useState } from 'react';
import type { Fitting } from '@ample/core/documents';
import { compareFittings } from '@ample/core/fitting/toile';
import { FITTING_WORDS, RESULT_WORDS, sayAnswer, SYMPTOM_WORDS, VERDICT_WORDS, VIEW_WORDS } from '@ample/core/words';
import { formatLength } from '@ample/core/units';
import { viewsOf, type View } from '@ample/core/fitting/fit';
import type { Worn } from '@ample/core/pattern';
import { longDate } from '../../lib/time.ts';
import { SeenFigure } from '../../shared/figure/SeenFigure.tsx';
import { useUnits } from '../../store/prefs.ts';
import { usePicture } from './Photos.tsx';
import type { FittingPair } from '@ample/core/fitting/toile';
import type { Units } from '@ample/core/speech';
import { Select } from '../../ui/Select.tsx';

/** Two fittings beside each other: the figures, what went, what stayed, what is new. */
export function Pair({ worn, fittings }: { readonly worn: Worn; readonly fittings: readonly Fitting[] }) {
  const units = useUnits();
  const [ids, setIds] = useState<readonly [string, string]>([fittings.at(-2)?.id ?? '', fittings.at(-1)?.id ?? '']);
  const [view, setView] = useState<View>('front');
  const [first, second] = ids.map((id) => fittings.find((f) => f.id === id));
  if (!first || !second) return <p>Two fittings are needed to lay side by side.</p>;
  const pairs = compareFittings(first, second);
  const pinned = (v: number | null | undefined): string =>
    v === null || v === undefined ? '' : formatLength(v, units.unit, { fraction: units.fraction });
  const name = (f: Fitting): string => `${FITTING_WORDS[f.kind]}, ${longDate(f.date)}`;
  const pick = (at: 0 | 1) => (
    <Select
      label={at === 0 ? 'Before' : 'After'}
      value={ids[at]}
      set={(chosen) => setIds(at === 0 ? [chosen, ids[1]] : [ids[0], chosen])}
      wide
    >
      {fittings.map((f) => (
        <option key={f.id} value={f.id}>
          {name(f)}
        </option>
      ))}
    </Select>
  );
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-end gap-4">
        {pick(0)}
        {pick(1)}
        <Select label="View" value={view} set={(chosen) => setView(chosen as View)}>
          {viewsOf(worn).map((v) => (
            <option key={v} value={v}>
              {VIEW_WORDS[v]}
            </option>
          ))}
        </Select>
      </div>
      <div className="grid gap-5 min-[1000px]:grid-cols-[230px_230px_minmax(0,1fr)]">
        {[first, second].map((f, i) => (
          <figure key={i} className="card m-0 p-2">
            <SeenFigure
              view={view}
              worn={worn}
              observations={f.observations.map((o, n) => ({ ...o, number: n + 1 }))}
              chosen={null}
              onChoose={() => undefined}
              height="h-[340px]"
            />
            <figcaption className="text-center text-sm">{name(f)}</figcaption>
            <div className="mt-2 grid grid-cols-2 gap-1">
              {f.photos.slice(0, 4).map((p) => (
                <Small key={p.id} id={p.id} name={p.caption || 'Picture'} />
              ))}
            </div>
          </figure>
        ))}
        <section aria-label="What became of what was seen" className="min-w-0">
          <WhatBecame pairs={pairs} pinned={pinned} units={units} />
          {pairs.length === 0 && <p>Nothing was noted at either.</p>}
          <PairDates first={first} second={second} />
        </section>
      </div>
    </div>
  );
}

function WhatBecame({
  pairs,
  pinned,
  units,
}: {
  readonly pairs: readonly FittingPair[];
  readonly pinned: (v: number | null | undefined) => string;
  readonly units: Units;
}) {
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-ink text-left text-sm">
          <th className="py-1 pr-3 font-normal">Seen</th>
          <th className="py-1 pr-3 font-normal">Before</th>
          <th className="py-1 pr-3 font-normal">Done</th>
          <th className="py-1 pr-3 font-normal">After</th>
          <th className="py-1 font-normal">It is</th>
        </tr>
      </thead>
      <tbody>
        {pairs.map((p, i) => {
          const one = p.before ?? p.after;
          const done = p.before?.answers.at(-1);
          return (
            <tr key={i} className="border-b border-line align-top">
              <th scope="row" className="py-2 pr-3 text-left font-normal">
                {one && SYMPTOM_WORDS[one.sign].name}
              </th>
              <td className="num py-2 pr-3 whitespace-nowrap">{pinned(p.before?.pinned)}</td>
              <td className="py-2 pr-3 text-sm">{done ? sayAnswer(done, units) : ''}</td>
              <td className="num py-2 pr-3 whitespace-nowrap">{pinned(p.after?.pinned)}</td>
              <td className="py-2 font-semibold">{RESULT_WORDS[p.result]}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function PairDates({ first, second }: { readonly first: Fitting; readonly second: Fitting }) {
  return (
    <dl className="mt-4 grid grid-cols-[auto_1fr_1fr] gap-x-4 gap-y-1 text-sm">
      {(
        [
          ['Sitting', 'sitting'],
          ['Arms forward', 'armsForward'],
          ['Walking', 'walking'],
        ] as const
      ).map(([label, key]) => (
        <div key={key} className="contents">
          <dt className="text-quiet">{label}</dt>
          <dd>{first[key] || '–'}</dd>
          <dd>{second[key] || '–'}</dd>
        </div>
      ))}
      <dt className="text-quiet">Verdict</dt>
      <dd>{VERDICT_WORDS[first.verdict]}</dd>
      <dd>{VERDICT_WORDS[second.verdict]}</dd>
    </dl>
  );
}

function Small({ id, name }: { readonly id: string; readonly name: string }) {
  const url = usePicture(id);
  return url ? <img src={url} alt={name} className="h-24 w-full object-contain" /> : null;
}
