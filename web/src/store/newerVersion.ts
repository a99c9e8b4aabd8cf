/** What is needed of a registration and of the page's service workers. */
type Registration = Pick<ServiceWorkerRegistration, 'waiting'>;
type Container = Pick<ServiceWorkerContainer, 'addEventListener'>;

/**
 * How a waiting version is taken: the work is saved, the waiting worker is told to take over, and the page is loaded
 * anew once it has. A page that no worker controls yet is not told of a new controller, so the waiting worker itself is
 * watched as well; where it has taken over already, from another window, the page is loaded anew at once. When another
 * window takes it, this one follows after saving: its own old parts are no longer kept. Reloads once at most.
 */
export function newerVersion(
  registration: Registration,
  container: Container,
  save: () => Promise<unknown>,
  reload: () => void,
): () => void {
  let done = false;
  const saved = (): Promise<unknown> => save().catch(() => undefined);
  const leave = (): void => {
    if (done) return;
    done = true;
    void saved().then(reload);
  };
  container.addEventListener('controllerchange', leave);
  return () =>
    void saved().then(() => {
      const { waiting } = registration;
      if (!waiting) return leave();
      waiting.addEventListener('statechange', () => {
        if (waiting.state === 'activated') leave();
      });
      waiting.postMessage({ type: 'SKIP_WAITING' });
    });
}

/** What tells of versions that come in. */
type Watched = Pick<ServiceWorkerRegistration, 'waiting' | 'installing' | 'active' | 'addEventListener'>;

/**
 * Offers a version that waits, at once or as soon as it does: one that waited before the page was there, or was being fetched already
 * for another window, is not told of again. The very first version is none to offer.
 */
export function offerNewer(registration: Watched, offer: () => void): void {
  const look = (): void => {
    if (registration.active && registration.waiting) offer();
  };
  const follow = (): void => {
    if (registration.active) registration.installing?.addEventListener('statechange', look);
  };
  look();
  follow();
  registration.addEventListener('updatefound', follow);
}
