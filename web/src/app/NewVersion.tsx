import { useState } from 'react';
import { useUpdate } from '../store/update.ts';

/** A newer version is offered, never forced. */
export function NewVersion() {
  const take = useUpdate((s) => s.take);
  const [taken, setTaken] = useState(false);
  if (!take) return null;
  return (
    <div role="status" className="flex flex-wrap items-center gap-3 border-b border-line bg-white px-4 py-2">
      <span className="flex-1">
        {taken
          ? 'The newer version takes over once the old one has finished what it was asked. Go on working; the page loads again by itself.'
          : 'A newer version is ready. Your work is saved first; nothing changes until you take it.'}
      </span>
      {!taken && (
        <button
          className="btn btn-main"
          onClick={() => {
            setTaken(true);
            take();
          }}
        >
          Use it now
        </button>
      )}
      {!taken && (
        <button className="btn" onClick={() => useUpdate.setState({ take: null })}>
          Later
        </button>
      )}
    </div>
  );
}
