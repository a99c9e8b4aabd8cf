import { describe, expect, it, vi } from 'vitest';
import { newerVersion, offerNewer } from './newerVersion.ts';

/** A worker that waits, as far as taking it goes. */
class Waiting extends EventTarget {
  state: ServiceWorkerState = 'installed';
  readonly told: unknown[] = [];
  postMessage(message: unknown): void {
    this.told.push(message);
  }
  becomes(state: ServiceWorkerState): void {
    this.state = state;
    this.dispatchEvent(new Event('statechange'));
  }
}
const settled = () =>
  new Promise<void>((resolve) => queueMicrotask(() => queueMicrotask(() => queueMicrotask(resolve))));

function set(waiting: Waiting | null, save: () => Promise<unknown> = async () => undefined) {
  const container = new EventTarget() as unknown as ServiceWorkerContainer & EventTarget;
  const reload = vi.fn();
  const registration = { waiting: waiting as unknown as ServiceWorker | null };
  const take = newerVersion(registration, container, save, reload);
  return { container, reload, registration, take };
}

describe('taking a newer version', () => {
  it('reloads a page that no worker controlled yet: it is never told of a new controller', async () => {
    const waiting = new Waiting();
    const { take, reload } = set(waiting);
    take();
    await settled();
    expect(waiting.told).toEqual([{ type: 'SKIP_WAITING' }]);
    expect(reload).not.toHaveBeenCalled();
    waiting.becomes('activating');
    waiting.becomes('activated');
    await settled();
    expect(reload).toHaveBeenCalledTimes(1);
  });

  it('reloads once where both the worker and the page tell of it', async () => {
    const waiting = new Waiting();
    const { take, reload, container } = set(waiting);
    take();
    await settled();
    waiting.becomes('activated');
    container.dispatchEvent(new Event('controllerchange'));
    await settled();
    expect(reload).toHaveBeenCalledTimes(1);
  });

  it('reloads at once where it has taken over already, and follows another window after saving', async () => {
    const gone = set(null);
    gone.take();
    await settled();
    expect(gone.reload).toHaveBeenCalledTimes(1);
    const order: string[] = [];
    const other = set(new Waiting(), async () => order.push('saved'));
    other.reload.mockImplementation(() => order.push('reloaded'));
    other.container.dispatchEvent(new Event('controllerchange'));
    await settled();
    expect(order).toEqual(['saved', 'reloaded']);
  });

  it('is not held up by a save that fails: the journal keeps what was not saved', async () => {
    const waiting = new Waiting();
    const { take, reload } = set(waiting, () => Promise.reject(new Error('no room')));
    take();
    await settled();
    waiting.becomes('activated');
    await settled();
    expect(reload).toHaveBeenCalledTimes(1);
  });
});

/** A registration whose versions come and go as they do in a browser. */
class Registered extends EventTarget {
  installing: Waiting | null = null;
  waiting: Waiting | null = null;
  active: Waiting | null = null;
  fetches(): Waiting {
    this.installing = new Waiting();
    this.installing.state = 'installing';
    this.dispatchEvent(new Event('updatefound'));
    return this.installing;
  }
  hasFetched(): void {
    const done = this.installing!;
    this.installing = null;
    this.waiting = done;
    done.becomes('installed');
  }
}
function watched(set: (registered: Registered) => void) {
  const registered = new Registered();
  set(registered);
  const offer = vi.fn();
  offerNewer(registered as unknown as ServiceWorkerRegistration, offer);
  return { registered, offer };
}

describe('offering a newer version', () => {
  const active = new Waiting();

  it('offers one that waited before the page was there, at once', () => {
    expect(watched((r) => Object.assign(r, { active, waiting: new Waiting() })).offer).toHaveBeenCalledTimes(1);
  });

  it('offers one that was being fetched already for another window, and one that is found later', () => {
    const early = watched((r) => {
      r.active = active;
      r.fetches();
    });
    expect(early.offer).not.toHaveBeenCalled();
    early.registered.hasFetched();
    expect(early.offer).toHaveBeenCalledTimes(1);
    const late = watched((r) => (r.active = active));
    late.registered.fetches();
    late.registered.hasFetched();
    expect(late.offer).toHaveBeenCalledTimes(1);
  });

  it('does not offer the very first', () => {
    const { registered, offer } = watched(() => undefined);
    registered.fetches();
    registered.hasFetched();
    expect(offer).not.toHaveBeenCalled();
  });
});
