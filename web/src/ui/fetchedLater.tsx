import { lazy, type ComponentType } from 'react';

/** In place of a part that did not arrive: the connection was lost, or a newer version has taken its place. */
export const NotFetched = () => (
  <p role="alert" className="flex flex-wrap items-center gap-3 border border-ink bg-white p-2">
    A part of the app did not arrive.
    <button className="btn" onClick={() => location.reload()}>
      Load again
    </button>
  </p>
);
/** The same for what would have lain over the page. */
export const NotFetchedOver = () => (
  <div className="fixed right-4 bottom-4 z-50">
    <NotFetched />
  </div>
);

/** A component whose code comes when it is first shown. Where that does not arrive, `missing` says so and the rest of the page stands. */
export const fetchedLater = <Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  missing: ComponentType<Props> = NotFetched,
) => lazy(async () => ({ default: await load().catch(() => missing) }));
