import { format } from '../lib/time.ts';
import { CircleHelp, Redo2, Search, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { sayKeeping } from '@ample/core/words';
import { useDraft } from '../store/draft.ts';
import { exportWork } from '../store/export.ts';
import { saveNow, useJob, useSave } from '../store/job.ts';
import { redoHere, undoHere, useStationHistory } from '../store/stationHistory.ts';
import { switchUnits, useUnits } from '../store/prefs.ts';
import { en } from '@ample/core/speech';

function Saved() {
  const { state, at, trouble } = useSave();
  const units = useUnits();
  if (state === 'failed' && trouble)
    return (
      <div role="alert" className="flex items-center gap-2 border-l-4 border-pencil bg-white px-2 text-sm">
        <span className="max-w-[46ch]">{sayKeeping(trouble, units)}</span>
        <button className="btn" onClick={exportWork}>
          Export to a file
        </button>
        <button className="btn" onClick={() => void saveNow(trouble.code === 'document-gone')}>
          {trouble.code === 'document-gone' ? 'Keep it' : 'Try again'}
        </button>
      </div>
    );
  return (
    <span className="text-sm text-quiet" role="status">
      {state === 'saving' ? 'saving…' : at ? `saved ${format(at)}` : 'saved'}
    </span>
  );
}

/** Says what another window did to the open job. */
function OtherWindow() {
  const notice = useSave((s) => s.notice);
  const units = useUnits();
  if (!notice) return null;
  return (
    <div role="status" className="flex w-full items-center gap-3 border-l-4 border-brass bg-white px-3 py-1">
      <span className="flex-1">{sayKeeping(notice, units)}</span>
      <button className="btn" onClick={() => useSave.setState({ notice: null })}>
        Put away
      </button>
    </div>
  );
}

/** Wordmark, what is open, saved state, undo and redo, units, help. */
export function TopBar({ onHelp, onFind }: { readonly onHelp: () => void; readonly onFind: () => void }) {
  const job = useJob((s) => s.job);
  const wearer = useJob((s) => s.wearer);
  const size = useDraft((s) => s.draft?.size ?? null);
  const pattern = useDraft((s) => s.pattern?.name ?? null);
  const { unit } = useUnits();
  const station = useStationHistory((s) => s.station);
  const back = useStore(useJob.temporal, (s) => s.pastStates.length);
  const forth = useStore(useJob.temporal, (s) => s.futureStates.length);
  return (
    <header className="flex min-h-[52px] flex-wrap items-center gap-x-4 gap-y-1 px-4 py-1">
      <Link to="/" className="flex min-h-[40px] items-center font-head text-lg font-semibold">
        Ample Draft
      </Link>
      {job && wearer && (
        <>
          <span className="min-w-0 flex-1 basis-[180px]">
            {wearer.name}
            {pattern && ` · ${pattern}`}
            {size && ` · size ${size}`}
          </span>
          <Saved />
          <button
            className="btn btn-plain"
            onClick={undoHere}
            disabled={back === 0 && !station?.back}
            title="Undo (Ctrl+Z)"
          >
            <Undo2 size={20} aria-hidden="true" />
            <span className="sr-only">Undo</span>
          </button>
          <button
            className="btn btn-plain"
            onClick={redoHere}
            disabled={forth === 0 && !station?.forth}
            title="Redo (Ctrl+Shift+Z)"
          >
            <Redo2 size={20} aria-hidden="true" />
            <span className="sr-only">Redo</span>
          </button>
        </>
      )}
      {!job && <span className="ml-auto" />}
      <button className="btn btn-plain" onClick={onFind} title="Find (Ctrl+K, or /)">
        <Search size={20} aria-hidden="true" />
        <span className="sr-only">Find</span>
      </button>
      <button
        className="btn num"
        onClick={switchUnits}
        title={en`Switch between centimetres and inches (key U)`}
        aria-label={`Units: ${unit === 'cm' ? en`centimetres` : 'inches'}. Switch.`}
      >
        <span className={unit === 'cm' ? 'font-semibold underline underline-offset-4' : 'text-quiet'}>cm</span>
        <span className={unit === 'in' ? 'font-semibold underline underline-offset-4' : 'text-quiet'}>in</span>
      </button>
      <button className="btn btn-plain" onClick={onHelp} title="Help (?)">
        <CircleHelp size={20} aria-hidden="true" />
        <span className="sr-only">Help</span>
      </button>
      {job && <OtherWindow />}
    </header>
  );
}
