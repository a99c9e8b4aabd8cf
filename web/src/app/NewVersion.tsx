import { useUpdate } from '../store/update.ts';

/** A newer version is offered, never forced. */
export function NewVersion() {
  const take = useUpdate((s) => s.take);
  if (!take) return null;
  return (
    <div role="status" className="flex flex-wrap items-center gap-3 border-b border-line bg-white px-4 py-2">
      <span className="flex-1">
        A newer version is ready. Your work is saved first; nothing changes until you take it.
      </span>
      <button className="btn btn-main" onClick={take}>
        Use it now
      </button>
      <button className="btn" onClick={() => useUpdate.setState({ take: null })}>
        Later
      </button>
    </div>
  );
}
