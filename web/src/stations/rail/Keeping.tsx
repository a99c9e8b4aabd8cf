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
import { Notice } from '../../shared/basics.tsx';
import { Ask } from '../../ui/Ask.tsx';
import { BusyButton } from '../../ui/BusyButton.tsx';
import type { Refusal } from '@ample/core/units';
import { Check } from '../../ui/Check.tsx';

interface Kept {
  readonly since: string | null;
  readonly exported: string | null;
  readonly undo: string | null;
  readonly persisted: boolean;
}
const NOTHING_KNOWN: Kept = { since: null, exported: null, undo: null, persisted: false };

/** When one's work was last exported, and what the browser has agreed to; asked again when work or `busy` changes. */
function useKept(own: boolean, busy: string | null): Kept {
  const jobs = useLibrary((s) => s.jobs);
  const [kept, setKept] = useState<Kept>(NOTHING_KNOWN);
  useEffect(() => {
    let left = false;
    // Only what is one's own is worth asking the browser to keep.
    void Promise.all([backupState(jobs, new Date()), undoable(), own ? askToPersist() : false])
      .then(([s, undo, persisted]) => !left && setKept({ ...s, undo, persisted }))
      .catch(() => undefined);
    return () => {
      left = true;
    };
  }, [jobs, own, busy]);
  return kept;
}

/** One piece of work at a time, with what is being done and what went wrong. */
function useWork() {
  const units = useUnits();
  const [busy, setBusy] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const run = async (what: string, work: () => Promise<Refusal | null>) => {
    setBusy(what);
    setTrouble(null);
    const failed = await work().catch((error: unknown) => ({
      code: 'storage-failed' as const,
      data: { detail: error instanceof Error ? error.message : '' },
    }));
    setTrouble(failed && sayRefusal(failed, units));
    setBusy(null);
  };
  return { busy, trouble, run };
}

async function exportEverything(): Promise<null> {
  const now = new Date();
  const bytes = await exportAll(now);
  download(`ample-draft-${now.toISOString().slice(0, 10)}.ample`, bytes as BlobPart, AMPLE);
  return null;
}

/** Everything to a file and back: with a reminder, a look before anything is replaced, and a way back. */
export function Keeping() {
  const jobs = useLibrary((s) => s.jobs);
  const own = jobs.some((j) => !j.demo);
  const { busy, trouble, run } = useWork();
  const kept = useKept(own, busy);
  const [offered, setOffered] = useState<Offered | null>(null);
  const look = (chosen: File | undefined) =>
    chosen &&
    run('Reading…', async () => {
      const read = await offer(chosen);
      if (!read.ok) return read.error;
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
      <Reminder due={backupDue(jobs, kept.since, kept.exported, new Date())} />
      {trouble && (
        <div className="mt-3">
          <Notice grade="fault">{trouble}</Notice>
        </div>
      )}
      <KeepingButtons busy={busy} look={look} kept={kept} run={run} />
      <WhereItIsKept own={own} kept={kept} />
      {offered && (
        <TakeIn
          offered={offered}
          onClose={() => setOffered(null)}
          onTake={(leave) => {
            setOffered(null);
            void run('Importing it…', () => takeIn(offered.bundle, leave, new Date()));
          }}
        />
      )}
    </section>
  );
}

const Reminder = ({ due }: { readonly due: number | null }) =>
  due !== null && (
    <div className="mt-3">
      <Notice grade="look">
        Your work has stood in this browser alone for {due} days. Export everything to a file and keep that file
        elsewhere.
      </Notice>
    </div>
  );

function WhereItIsKept({ own, kept }: { readonly own: boolean; readonly kept: Kept }) {
  const offline = useOffline((s) => s.state);
  return (
    <>
      <p className="mt-2 text-sm text-quiet">
        {kept.exported ? `Last exported ${longDate(kept.exported.slice(0, 10))}. ` : 'Never exported yet. '}
        {own &&
          (kept.persisted
            ? 'This browser has agreed not to clear it when room runs short.'
            : 'This browser may clear it when room runs short, so keep a file elsewhere.')}
      </p>
      <p className="mt-1 text-sm text-quiet" role="status">
        {OFFLINE[offline]}
      </p>
    </>
  );
}

function KeepingButtons({
  busy,
  look,
  kept,
  run,
}: {
  readonly busy: string | null;
  readonly look: (chosen: File | undefined) => Promise<void> | undefined;
  readonly kept: Kept;
  readonly run: (what: string, work: () => Promise<Refusal | null>) => Promise<void>;
}) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3">
      <BusyButton busy={busy !== null} onClick={() => void run('Packing…', exportEverything)}>
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
      {kept.undo && (
        <button className="btn" disabled={busy !== null} onClick={() => void run('Putting it back…', undoImport)}>
          Undo the import of {longDate(kept.undo.slice(0, 10))}
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
