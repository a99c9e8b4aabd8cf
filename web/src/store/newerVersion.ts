/** What is needed of a registration and of the page's service workers. */
type Registration = Pick<ServiceWorkerRegistration, 'waiting'>;
type Container = Pick<ServiceWorkerContainer, 'addEventListener'>;

/**
 * How a waiting version is taken: the work is saved, the waiting worker is told to take over, and the page is loaded
 * anew once it has. When another window takes it, this one follows after saving: its own old parts are no longer kept.
 * A page that no worker controls is not told of a new controller, whoever took it, so the waiting worker itself is watched
 * from the start; where it has taken over already, the page is loaded anew at once. Reloads once at most.
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
  const watch = (worker: ServiceWorker | null): void =>
    worker?.addEventListener('statechange', () => {
      if (worker.state === 'activated') leave();
    });
  container.addEventListener('controllerchange', leave);
  const first = registration.waiting;
  watch(first);
  return () =>
    void saved().then(() => {
      const { waiting } = registration;
      if (!waiting) return leave();
      if (waiting !== first) watch(waiting);
      waiting.postMessage({ type: 'SKIP_WAITING' });
    });
}
