import { useEffect, useRef, useState } from 'react';
import type { ImportItem } from '@ample/core/documents/bundle';
import { sayRefusal } from '@ample/core/words';
import { longDate } from '../../lib/time.ts';
import { useOffline, type Offline } from '../../store/update.ts';
import {
  askToPersist,
  backupDue,
  backupState,
  exportAll,
  offer,
  takeIn,
  undoable,
  undoImport,
  type Offered,
} from '../../store/backup.ts';
import { AMPLE, download } from '../../store/export.ts';
import { useHanded } from '../../store/handed.ts';
import { useLibrary } from '../../store/library.ts';
import { useUnits } from '../../store/prefs.ts';
import { Notice } from '../../shared/parts.tsx';
import { Ask } from '../../ui/Ask.tsx';
import { BusyButton } from '../../ui/BusyButton.tsx';
import type { RefObject } from 'react';
import type { Units } from '@ample/core/speech';
import { Check } from '../../ui/Check.tsx';

/** Everything to a file and back: with a reminder, a look before anything is replaced, and a way back. */
export function Keeping() {
  const units = useUnits();
  const jobs = useLibrary((s) => s.jobs);
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [offered, setOffered] = useState<Offered | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [state, setState] = useState<{
    since: string | null;
    exported: string | null;
    undo: string | null;
    persisted: boolean;
  }>({
    since: null,
    exported: null,
    undo: null,
    persisted: false,
  });
  const own = jobs.some((j) => !j.demo);
  useEffect(() => {
    let left = false;
    // Only what is one's own is worth asking the browser to keep.
    void Promise.all([backupState(jobs, new Date()), undoable(), own ? askToPersist() : false])
      .then(([s, undo, persisted]) => !left && setState({ ...s, undo, persisted }))
      .catch(() => undefined);
    return () => {
      left = true;
    };
  }, [jobs, own, busy]);
  const offline = useOffline((s) => s.state);
  const due = backupDue(jobs, state.since, state.exported, new Date());
  const run = async (what: string, work: () => Promise<string | null>) => {
    setBusy(what);
    setTrouble(null);
    try {
      setTrouble(await work());
    } catch (error) {
      setTrouble(
        sayRefusal({ code: 'storage-failed', data: { detail: error instanceof Error ? error.message : '' } }, units),
      );
    }
    setBusy(null);
  };
  const everything = () =>
    run('Packing…', async () => {
      const now = new Date();
      const bytes = await exportAll(now);
      download(`ample-draft-${now.toISOString().slice(0, 10)}.ample`, bytes as BlobPart, AMPLE);
      return null;
    });
  const look = (chosen: File | undefined) =>
    chosen &&
    run('Reading…', async () => {
      const read = await offer(chosen);
      if (!read.ok) return sayRefusal(read.error, units);
      setOffered(read.value);
      return null;
    });
  // A file the system handed to the app: opened by a double press, or dropped on its icon.
  const handed = useHanded((s) => s.file);
  useEffect(() => {
    if (!handed) return;
    useHanded.setState({ file: null });
    queueMicrotask(() => void look(handed));
  });
  return (
    <section aria-labelledby="keeping" className="min-[800px]:col-span-2">
      <h2 id="keeping" className="border-b border-ink pb-1">
        Keep a copy
      </h2>
      {due !== null && (
        <div className="mt-3">
          <Notice grade="look">
            Your work has stood in this browser alone for {due} days. Export everything to a file and keep that file
            elsewhere.
          </Notice>
        </div>
      )}
      {trouble && (
        <div className="mt-3">
          <Notice grade="fault">{trouble}</Notice>
        </div>
      )}
      <KeepingButtons
        busy={busy}
        everything={everything}
        file={file}
        look={look}
        state={state}
        run={run}
        units={units}
      />
      <p className="mt-2 text-sm text-quiet">
        {state.exported ? `Last exported ${longDate(state.exported.slice(0, 10))}. ` : 'Never exported yet. '}
        {own &&
          (state.persisted
            ? 'This browser has agreed not to clear it when room runs short.'
            : 'This browser may clear it when room runs short, so keep a file elsewhere.')}
      </p>
      <p className="mt-1 text-sm text-quiet" role="status">
        {OFFLINE[offline]}
      </p>
      {offered && (
        <TakeIn
          offered={offered}
          onClose={() => setOffered(null)}
          onTake={(leave) => {
            setOffered(null);
            void run('Importing it…', async () => {
              const failed = await takeIn(offered.bundle, leave, new Date());
              return failed && sayRefusal(failed, units);
            });
          }}
        />
      )}
    </section>
  );
}

function KeepingButtons({
  busy,
  everything,
  file,
  look,
  state,
  run,
  units,
}: {
  readonly busy: string | null;
  readonly everything: () => Promise<void>;
  readonly file: RefObject<HTMLInputElement | null>;
  readonly look: (chosen: File | undefined) => Promise<void> | undefined;
  readonly state: { since: string | null; exported: string | null; undo: string | null; persisted: boolean };
  readonly run: (what: string, work: () => Promise<string | null>) => Promise<void>;
  readonly units: Units;
}) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <BusyButton busy={busy !== null} onClick={() => void everything()}>
        Export everything
      </BusyButton>
      <BusyButton busy={busy !== null} onClick={() => file.current?.click()}>
        Import a file
      </BusyButton>
      <input
        ref={file}
        type="file"
        accept=".ample,.zip,.json,.txt"
        className="hidden"
        aria-label="A file made by Export everything, or for a friend"
        onChange={(e) => {
          void look(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
      {state.undo && (
        <button
          className="btn"
          disabled={busy !== null}
          onClick={() =>
            void run('Putting it back…', async () => {
              const failed = await undoImport();
              return failed && sayRefusal(failed, units);
            })
          }
        >
          Undo the import of {longDate(state.undo.slice(0, 10))}
        </button>
      )}
      {busy && <span role="status">{busy}</span>}
    </div>
  );
}

const OFFLINE: Readonly<Record<Offline, string>> = {
  coming: 'Keeping the app in this browser, so that it works without a connection…',
  ready: 'The whole app is kept in this browser: it works without a connection.',
  never: 'At this address the app needs its server: a browser keeps an app only over https, or on its own machine.',
};

const KINDS: Readonly<Record<ImportItem['kind'], string>> = { wearer: 'wearer', pattern: 'pattern', job: 'job' };
const key = (i: ImportItem): string => `${i.kind}:${i.id}`;

/** What a file would add and replace, thing by thing; what differs can be left as it is here. */
function TakeIn({
  offered,
  onTake,
  onClose,
}: {
  readonly offered: Offered;
  readonly onTake: (leave: ReadonlySet<string>) => void;
  readonly onClose: () => void;
}) {
  const [leave, setLeave] = useState<ReadonlySet<string>>(new Set());
  const { items, photos, bundle } = offered;
  const of = (what: ImportItem['what']): readonly ImportItem[] => items.filter((i) => i.what === what);
  const [fresh, same, differs] = [of('new'), of('same'), of('differs')];
  const toggle = (i: ImportItem) =>
    setLeave((s) => {
      const next = new Set(s);
      if (!next.delete(key(i))) next.add(key(i));
      return next;
    });
  return (
    <Ask title="Import this file" action="Import it" onAction={() => onTake(leave)} onClose={onClose}>
      <p>
        {bundle.made === '' ? 'One job' : `Made ${longDate(bundle.made.slice(0, 10))}`}
        {bundle.kind === 'job' && bundle.made !== '' ? ', one job' : ''};{' '}
        {photos === 0 ? 'no pictures' : photos === 1 ? '1 picture' : `${photos} pictures`}. It can be undone afterwards.
      </p>
      {fresh.length > 0 && (
        <>
          <h3 className="mt-3">New</h3>
          <ul className="max-h-[24vh] overflow-auto">
            {fresh.map((i) => (
              <li key={key(i)}>
                {i.name} <span className="text-quiet">({KINDS[i.kind]})</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {differs.length > 0 && (
        <>
          <h3 className="mt-3">Already here, but different</h3>
          <ul className="max-h-[24vh] overflow-auto">
            {differs.map((i) => (
              <li key={key(i)}>
                <Check on={!leave.has(key(i))} set={() => toggle(i)}>
                  replace {i.name}
                  <span className="text-quiet">({KINDS[i.kind]})</span>
                </Check>
              </li>
            ))}
          </ul>
        </>
      )}
      {same.length > 0 && <p className="mt-3 text-quiet">{same.length} are here already, unchanged.</p>}
    </Ask>
  );
}
