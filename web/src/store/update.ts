import { create } from 'zustand';
import { registerSW } from 'virtual:pwa-register';
import { saveNow } from './job.ts';
import { newerVersion } from './newerVersion.ts';

/** An hour: new versions are rare, and asking costs a request on the home network. */
const ASK_AGAIN = 3_600_000;

/** A newer version that waits; null while there is none, or it was put off. */
export const useUpdate = create<{ readonly take: (() => void) | null }>(() => ({ take: null }));

/**
 * Whether the whole app is kept in this browser, so that it works without a connection: under way, done, or not to be had
 * at this address, since a browser keeps an app only over https or on its own machine.
 */
export type Offline = 'coming' | 'ready' | 'never';
export const useOffline = create<{ readonly state: Offline }>(() => ({
  state: !('serviceWorker' in navigator) ? 'never' : navigator.serviceWorker.controller ? 'ready' : 'coming',
}));

/** Works without the server after the first visit; a newer version is offered and waits. */
export function watchForUpdates(): void {
  let registration: ServiceWorkerRegistration | undefined;
  registerSW({
    onNeedRefresh: () => {
      if (!registration) return;
      const take = newerVersion(registration, navigator.serviceWorker, saveNow, () => location.reload());
      useUpdate.setState({ take });
    },
    onOfflineReady: () => useOffline.setState({ state: 'ready' }),
    onRegisteredSW: (_url, registered) => {
      registration = registered;
      if (registered?.active) useOffline.setState({ state: 'ready' });
      setInterval(() => void registered?.update().catch(() => undefined), ASK_AGAIN);
    },
    // On a plain address of the home network a browser allows no such thing: the app then needs its server.
    onRegisterError: () => useOffline.setState({ state: 'never' }),
  });
}
