import { registerSW } from 'virtual:pwa-register';
import { saveNow } from './job.ts';
import { newerVersion } from './newerVersion.ts';
import { useOffline, useUpdate } from './update.ts';

/** An hour: new versions are rare, and asking costs a request on the home network. */
const ASK_AGAIN = 3_600_000;

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
