import { useEffect, useState } from 'react';
import type { Draft } from '@ample/core/fitting/plan';
import { diagramOf } from '@ample/core/out';
import type { Version } from '@ample/core/documents';
import type { Piece } from '@ample/core/pattern';
import { differences, resolveVersion, standsAs } from '@ample/core/fitting/toile';
import { sayDifference, sayRefusal } from '@ample/core/words';
import { longDate, today } from '../../lib/time.ts';
import { useDraft } from '../../store/draft.ts';
import { goBackTo, keepVersion, removeVersion, renameVersion } from '../../store/fittings.ts';
import { useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { DiagramView } from '../../ui/DiagramView.tsx';
import { TextBox } from '../../ui/TextBox.tsx';
import { draftOnce } from '../../workers/client.ts';
import type { Job } from '@ample/core/documents';
import { en } from '@ample/core/speech';
import { Select } from '../../ui/Select.tsx';

const NOW = 'now';
/** The pattern before any step. */
const DRAFTED = 'drafted';
const stepCount = (v: Version): string => {
  const n = v.steps.filter((s) => s.on).length;
  return n === 1 ? '1 step' : `${n} steps`;
};

/** Named states of the plan: kept, laid over each other, gone back to. */
export function Versions({ draft }: { readonly draft: Draft | null }) {
  const job = useJob((s) => s.job);
  const [name, setName] = useState('');
  const [pair, setPair] = useState<readonly [string, string]>([job?.versions.at(-1)?.id ?? DRAFTED, NOW]);
  if (!job) return null;
  const held = job.versions.find((v) => standsAs(job, v));
  const moment = (v: Version): string => longDate(v.at.slice(0, 10));
  return (
    <div className="grid gap-6 min-[1000px]:grid-cols-[360px_minmax(0,1fr)]">
      <section aria-labelledby="kept">
        <h2 id="kept" className="mb-2">
          Versions
        </h2>
        <p className="mb-2 text-sm text-quiet">
          {en`Every toile keeps the plan it was sewn from. Going back changes size and steps; fittings, measurements and the other versions stay.`}
        </p>
        {job.versions.length === 0 && (
          <p className="mb-3">No version is kept yet. Save one before you try something else; it costs nothing.</p>
        )}
        <VersionList job={job} moment={moment} held={held} setPair={setPair} />
        <KeepVersion setPair={setPair} name={name} setName={setName} />
      </section>
      <Overlay versions={job.versions} pair={pair} onPair={setPair} now={draft} />
    </div>
  );
}

function VersionList({
  job,
  moment,
  held,
  setPair,
}: {
  readonly job: Job;
  readonly moment: (v: Version) => string;
  readonly held: Version | undefined;
  readonly setPair: (value: readonly [string, string]) => void;
}) {
  return (
    <ul className="space-y-2">
      {job.versions.map((v) => (
        <li key={v.id} className="card p-3">
          <TextBox
            bare
            label="Name of this version"
            rows={1}
            max={160}
            value={v.name}
            onCommit={(text) => text.trim() && renameVersion(v.id, text.trim())}
          />
          <p className="mt-1 text-sm text-quiet">
            {moment(v)} · {stepCount(v)}
            {held?.id === v.id ? ' · current' : ''}
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <button
              className="btn"
              disabled={held?.id === v.id}
              onClick={() => goBackTo(v.id, `Before going back to “${v.name}”`.slice(0, 160))}
            >
              Go back to it
            </button>
            <button className="btn" onClick={() => setPair([v.id, NOW])}>
              Compare
            </button>
            {!job.fittings.some((f) => f.version === v.id) && (
              <button className="btn btn-plain" onClick={() => removeVersion(v.id)}>
                Delete
              </button>
            )}
          </div>
        </li>
      ))}
    </ul>
  );
}

function KeepVersion({
  setPair,
  name,
  setName,
}: {
  readonly setPair: (value: readonly [string, string]) => void;
  readonly name: string;
  readonly setName: (value: string) => void;
}) {
  return (
    <form
      className="mt-3 flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        setPair([keepVersion(name.trim() || `Kept ${longDate(today())}`), NOW]);
        setName('');
      }}
    >
      <label className="min-w-0 flex-1">
        <span className="mb-1 block text-sm">Name</span>
        <input className="field w-full" value={name} maxLength={160} onChange={(e) => setName(e.target.value)} />
      </label>
      <button className="btn" type="submit">
        Save this version
      </button>
    </form>
  );
}

/** Two states in words, and their pieces laid over each other. */
function Overlay({
  versions,
  pair,
  onPair,
  now,
}: {
  readonly versions: readonly Version[];
  readonly pair: readonly [string, string];
  readonly onPair: (pair: readonly [string, string]) => void;
  readonly now: Draft | null;
}) {
  const [before, after] = [useStateOf(versions, pair[0], now), useStateOf(versions, pair[1], now)];
  const pick = (at: 0 | 1, label: string) => (
    <Select label={label} value={pair[at]} set={(chosen) => onPair(at === 0 ? [chosen, pair[1]] : [pair[0], chosen])}>
      {versions.map((v) => (
        <option key={v.id} value={v.id}>
          {v.name}
        </option>
      ))}
      <option value={DRAFTED}>as drafted</option>
      <option value={NOW}>as it is now</option>
    </Select>
  );
  return (
    <section aria-labelledby="over" className="min-w-0">
      <h2 id="over" className="mb-2">
        Two overlaid
      </h2>
      <div className="mb-3 flex flex-wrap gap-4">
        {pick(0, 'Dashed')}
        {pick(1, 'Solid')}
      </div>
      {before === 'failed' || after === 'failed' ? (
        <NotDrafted />
      ) : !before || !after ? (
        <p>Drawing…</p>
      ) : (
        <Changes before={before} after={after} />
      )}
    </section>
  );
}

const NotDrafted = () => <p role="alert">{sayRefusal({ code: 'version-not-drafted', data: {} }, useUnits())}</p>;

/** What differs between two states, in words, and each piece that does, one over the other. */
function Changes({ before, after }: { readonly before: Draft; readonly after: Draft }) {
  const units = useUnits();
  const changes = differences(before, after);
  if (changes.length === 0) return <p className="mb-3">They are the same.</p>;
  const was = (p: Piece): Piece | undefined => before.pieces.find((x) => x.id === p.id);
  const isAsBefore = (p: Piece): boolean => JSON.stringify(was(p)) === JSON.stringify(p);
  const same = after.pieces.filter(isAsBefore);
  return (
    <>
      <ul className="mb-3 list-disc pl-6">
        {changes.map((d, i) => (
          <li key={i}>{sayDifference(d, units)}</li>
        ))}
      </ul>
      {same.length > 0 && (
        <p className="mb-3 text-sm text-quiet">Cut as before: {same.map((p) => p.name.toLowerCase()).join(', ')}.</p>
      )}
      <div className="flex flex-wrap gap-4">
        {after.pieces
          .filter((p) => !isAsBefore(p))
          .map((p) => (
            <figure key={p.id} className="card m-0 p-2">
              <DiagramView
                diagram={diagramOf({ piece: p, ghost: was(p) })}
                height={p.id.startsWith('skirt') ? 260 : 220}
              />
              <figcaption className="text-center text-sm">{p.name}</figcaption>
            </figure>
          ))}
      </div>
    </>
  );
}

/** A version drafted in the worker; the open job's own draft for now; null while it is being drawn. */
function useStateOf(versions: readonly Version[], id: string, now: Draft | null): Draft | 'failed' | null {
  const pattern = useDraft((s) => s.pattern);
  const version = versions.find((v) => v.id === id);
  const [made, setMade] = useState<{ readonly of: Version; readonly draft: Draft | 'failed' } | null>(null);
  useEffect(() => {
    if (!version || !pattern) return;
    let left = false;
    draftOnce(resolveVersion(version, pattern)).then(
      (draft) => !left && setMade({ of: version, draft }),
      () => !left && setMade({ of: version, draft: 'failed' }),
    );
    return () => {
      left = true;
    };
  }, [version, pattern]);
  if (id === DRAFTED) return now && { ...now, steps: [], pieces: now.untouched };
  if (!version) return now;
  // A new name is not a new state.
  return made && made.of.id === version.id ? made.draft : null;
}
