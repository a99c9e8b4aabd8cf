import type { Look } from './useDraped.ts';

/** How far the work is, with a stop; or what went wrong, with a way on. */
export function Working({
  look,
  stop,
  again,
}: {
  readonly look: Look;
  readonly stop: () => void;
  readonly again: () => void;
}) {
  if (look.share !== null)
    return (
      <div className="flex items-center gap-3" role="status">
        <progress max={1} value={look.share} aria-label="The cloth comes to rest" />
        <span>The cloth comes to rest …</span>
        <button className="btn" onClick={stop}>
          Stop
        </button>
      </div>
    );
  if (!look.trouble && !look.stopped) return null;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <span role={look.trouble ? 'alert' : 'status'}>
        {look.trouble ? `The cloth could not be hung: ${look.trouble}.` : 'Stopped before the cloth had come to rest.'}
      </span>
      <button className="btn" onClick={again}>
        Begin again
      </button>
    </div>
  );
}
