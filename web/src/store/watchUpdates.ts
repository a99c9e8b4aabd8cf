import { registerSW } from 'virtual:pwa-register';
import { saveNow } from './job.ts';
import { newerVersion, offerNewer } from './newerVersion.ts';
import { useOffline, useUpdate } from './update.ts';

/** An hour: new versions are rare, and asking costs a request on the home network. */
const ASK_AGAIN = 3_600_000;

/** Works without the server after the first visit; a newer version is offered and waits. */
export function watchForUpdates(): void {
  registerSW({
    // A page is loaded anew once what it was at is saved, not before.
    onNeedReload: () => undefined,
    onOfflineReady: () => useOffline.setState({ state: 'ready' }),
    onRegisteredSW: (_url, registered) => {
      if (!registered) return;
      if (registered.active) useOffline.setState({ state: 'ready' });
      setInterval(() => void registered.update().catch(() => undefined), ASK_AGAIN);
      let take: (() => void) | null = null;
      offerNewer(registered, () => {
        take ??= newerVersion(registered, navigator.serviceWorker, saveNow, () => location.reload());
        useUpdate.setState({ take });
      });
    },
    // On a plain address of the home network a browser allows no such thing: the app then needs its server.
    onRegisterError: () => useOffline.setState({ state: 'never' }),
  });
}
