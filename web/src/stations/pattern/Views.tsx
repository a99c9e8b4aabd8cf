import { useState } from 'react';
import { viewOf, type Pattern } from '@ample/core/pattern';
import { editJob, useJob } from '../../store/job.ts';
import { editPattern } from '../../store/patterns.ts';
import { Check } from '../../ui/Check.tsx';
import { Select } from '../../ui/Select.tsx';

type View = Pattern['views'][number];

/** Which view of the pattern this job makes. */
export function ViewChoice({ pattern }: { readonly pattern: Pattern }) {
  const view = useJob((s) => s.job?.view ?? null);
  return (
    <Select
      label="View made in this job"
      value={viewOf(pattern, view)?.name ?? ''}
      set={(name) => editJob((j) => ({ ...j, view: name }))}
      wide
      className="mb-4 block w-full max-w-[460px]"
    >
      {pattern.views.map((v) => (
        <option key={v.name}>{v.name}</option>
      ))}
    </Select>
  );
}

/** The pieces of all sizes, each once. */
const piecesOf = (pattern: Pattern): readonly { readonly id: string; readonly name: string }[] => [
  ...new Map(
    Object.values(pattern.sizes).flatMap((pieces) => pieces.map((p) => [p.id, { id: p.id, name: p.name }] as const)),
  ).values(),
];

/** The views of a pattern of one’s own: a name for each, and the pieces it takes. */
export function ViewFields({ pattern }: { readonly pattern: Pattern }) {
  const [name, setName] = useState('');
  const pieces = piecesOf(pattern);
  if (pieces.length < 2) return null;
  const edit = (change: (views: readonly View[]) => readonly View[]) =>
    editPattern((p) => ({ ...p, views: change(p.views).map((v) => ({ ...v, pieces: [...v.pieces] })) }));
  const tick = (view: View, id: string, on: boolean) =>
    edit((views) =>
      views.map((v) =>
        v.name === view.name ? { ...v, pieces: on ? [...v.pieces, id] : v.pieces.filter((p) => p !== id) } : v,
      ),
    );
  return (
    <section className="my-4 max-w-[860px]" aria-labelledby="views">
      <h2 id="views">Views</h2>
      <p className="mt-1 text-sm text-quiet">
        Where the pattern can be made up in several ways, tick the pieces that belong to one way only. A piece ticked in
        none belongs to all.
      </p>
      {pattern.views.map((view) => (
        <fieldset key={view.name} className="mt-3 border border-line p-3">
          <legend className="px-1 font-semibold">{view.name}</legend>
          <div className="flex flex-wrap gap-x-5">
            {pieces.map((p) => (
              <Check key={p.id} on={view.pieces.includes(p.id)} set={(on) => tick(view, p.id, on)}>
                {p.name}
              </Check>
            ))}
          </div>
          <button className="btn mt-2" onClick={() => edit((views) => views.filter((v) => v.name !== view.name))}>
            Remove<span className="sr-only"> view {view.name}</span>
          </button>
        </fieldset>
      ))}
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <label>
          <span className="mb-1 block text-sm">Another view</span>
          <input className="field w-60" value={name} maxLength={60} onChange={(e) => setName(e.target.value)} />
        </label>
        <button
          className="btn"
          disabled={
            name.trim() === '' || pattern.views.length >= 12 || pattern.views.some((v) => v.name === name.trim())
          }
          onClick={() => {
            edit((views) => [...views, { name: name.trim(), pieces: [] }]);
            setName('');
          }}
        >
          Add the view
        </button>
      </div>
    </section>
  );
}
