import { Suspense, useEffect, useState } from 'react';
import { Link, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { sayKeeping } from '@ample/core/words';
import { Boundary } from '../shared/Boundary.tsx';
import { useDraft } from '../store/draft.ts';
import { closeJob, openJob, startAutosave, useJob } from '../store/job.ts';
import { redoHere, undoHere } from '../store/stationHistory.ts';
import { useLibrary, wearerOf } from '../store/library.ts';
import { switchUnits, usePrefs, useUnits } from '../store/prefs.ts';
import { takeUpUndo } from '../store/undoKept.ts';
import { followWindows } from '../store/windows.ts';
import { focusWork } from '../lib/focus.ts';
import { useHotkeys } from '../lib/hotkeys.ts';
import { fetchedLater, NotFetchedOver } from '../ui/fetchedLater.tsx';
import { NewVersion } from './NewVersion.tsx';
import { STATIONS } from './stations.ts';
import { TopBar } from './TopBar.tsx';

const Help = fetchedLater(async () => (await import('./Help.tsx')).Help, NotFetchedOver);
/** A job's own; the rail does without it. */
const Tape = fetchedLater(async () => (await import('./Tape.tsx')).Tape);
/** The finder knows every alteration and measurement: it comes when it is first asked for. */
const Finder = fetchedLater(async () => (await import('./Finder.tsx')).Finder, NotFetchedOver);
/** Only who takes the first walk through meets it. */
const Walk = fetchedLater(async () => (await import('./Walk.tsx')).Walk);
/** After the first screen stands, so that letters typed right after the key are not lost. */
const FETCH_FINDER = 1500;

function useKeys(job: string | undefined, help: () => void, find: () => void): void {
  const navigate = useNavigate();
  // Half-typed text takes its own undo first.
  const halfTyped = ({ target }: KeyboardEvent) =>
    target instanceof HTMLInputElement && target.type === 'text' && target.value !== target.defaultValue;
  const step = (take: () => void) => (e: KeyboardEvent) => {
    if (!job || halfTyped(e)) return;
    e.preventDefault();
    take();
  };
  useHotkeys({
    undo: step(undoHere),
    redo: step(redoHere),
    find: (e) => {
      e.preventDefault();
      find();
    },
    station: (e) => {
      const station = STATIONS[Number(e.key) - 1];
      if (station && job) void navigate(`/job/${job}/${station.id}`);
    },
    units: switchUnits,
    help,
  });
}

function WorkerTrouble() {
  const trouble = useDraft((s) => s.trouble);
  const again = useDraft((s) => s.again);
  const units = useUnits();
  if (!trouble) return null;
  return (
    <div className="flex items-center gap-4 border-b border-pencil bg-white px-4 py-2">
      <p role="alert">{sayKeeping(trouble, units)}</p>
      <button className="btn" onClick={again}>
        Try again
      </button>
    </div>
  );
}

/** The first stop of the Tab key: past the bar and the tape, to the station itself. */
const SkipToWork = () => (
  <button
    className="btn sr-only focus:not-sr-only focus:!absolute focus:top-2 focus:left-2 focus:z-50 focus:!px-4"
    onClick={focusWork}
  >
    Skip to the work
  </button>
);

/** Opens the job of the address and keeps it saved; the rail has none. */
function useOpenJob(id: string | undefined): void {
  useEffect(() => {
    if (id !== undefined) {
      if (openJob(id)) takeUpUndo();
    } else closeJob();
  }, [id]);
  useEffect(startAutosave, []);
  useEffect(followWindows, []);
}

/** Fetches what a key may ask for once the first screen stands. */
function useFetchAhead(): void {
  useEffect(() => {
    const ahead = (): unknown =>
      // Asked for again when they are opened: without a connection nothing is lost here.
      Promise.all([import('./Finder.tsx'), import('./Help.tsx')]).catch(() => undefined);
    const timer = setTimeout(ahead, FETCH_FINDER);
    return () => clearTimeout(timer);
  }, []);
}

/** The drafter comes with the first job that is opened; the rail does without it. */
function useDrafter(working: boolean): void {
  useEffect(() => {
    if (!working) return;
    let stop: (() => void) | null = null;
    let left = false;
    void import('../store/draftWorker.ts').then((m) => {
      if (!left) stop = m.startDrafting();
    });
    return () => {
      left = true;
      stop?.();
    };
  }, [working]);
}

const NoSuchJob = () => (
  <main className="p-6">
    <h1>This job is not here</h1>
    <p className="my-2">It was cleared, or it belongs to another browser.</p>
    <Link className="btn" to="/">
      Back to the rail
    </Link>
  </main>
);

/** The frame around every station. */
export function Shell() {
  const { job: id } = useParams();
  const { pathname } = useLocation();
  const [help, setHelp] = useState(false);
  const walk = usePrefs((s) => s.walk);
  const open = useJob((s) => s.job?.id === id);
  const missing = useLibrary((s) => id !== undefined && !s.jobs.some((j) => j.id === id && wearerOf(j, s.wearers)));
  const [showHelp] = useState(() => () => setHelp(true));
  const [finding, setFinding] = useState(false);
  const [showFinder] = useState(() => () => setFinding(true));
  useKeys(id, showHelp, showFinder);
  useOpenJob(id);
  useFetchAhead();
  useDrafter(id !== undefined);
  // The projector lies over everything: what it covers is no stop for the Tab key.
  const covered = pathname.endsWith('/projector');
  const station = STATIONS.find((s) => pathname.endsWith(`/${s.id}`));
  useEffect(() => {
    document.title = station ? `${station.name} · Ample Draft` : 'Ample Draft';
  }, [station]);
  return (
    <div className="flex h-full flex-col">
      {!covered && (
        <>
          <SkipToWork />
          <TopBar onHelp={showHelp} onFind={showFinder} />
          {id !== undefined && (
            // As high as the tape, so that nothing moves when it comes.
            <Suspense fallback={<div className="h-[59px] border-b border-ink bg-tape" />}>
              <Tape />
            </Suspense>
          )}
          <NewVersion />
        </>
      )}
      <WorkerTrouble />
      <div className="min-h-0 flex-1">
        {missing && !open ? (
          <NoSuchJob />
        ) : (
          (id === undefined || open) && (
            <Boundary key={pathname} where={station?.name ?? 'The rail'}>
              <Outlet />
            </Boundary>
          )
        )}
      </div>
      <Suspense>{walk !== null && !covered && <Walk step={walk} />}</Suspense>
      <Suspense>{help && <Help open onClose={() => setHelp(false)} />}</Suspense>
      {finding && (
        <Suspense>
          <Finder open onClose={() => setFinding(false)} />
        </Suspense>
      )}
    </div>
  );
}
