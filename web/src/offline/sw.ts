import { PrecacheController, PrecacheRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope & {
  readonly __WB_MANIFEST: readonly { readonly url: string; readonly revision: string | null }[];
};

/** Files fetched at one time: one after another a first visit waited three times as long to be ready. */
const TOGETHER = 8;

/**
 * Keeps the whole app in the browser: everything it may ever ask for, workers and printing fonts too, so that it works
 * with the server gone. A newer version waits until it is asked for: nobody is taken from the middle of a dart.
 */
const kept = new PrecacheController();
const files = self.__WB_MANIFEST;
kept.addToCacheList([...files]);

async function keepAll(event: ExtendableEvent): Promise<void> {
  const left = [...files];
  const worker = async (): Promise<void> => {
    for (let file = left.shift(); file; file = left.shift()) {
      const { href } = new URL(file.url, self.location.href);
      // A name that carries its content never changes; the others are asked for anew.
      const request = new Request(href, {
        cache: file.revision === null ? 'default' : 'reload',
        credentials: 'same-origin',
      });
      const cacheKey = kept.getCacheKeyForURL(href);
      await Promise.all(kept.strategy.handleAll({ event, request, params: { cacheKey } }));
    }
  };
  await Promise.all(Array.from({ length: TOGETHER }, worker));
}

self.addEventListener('install', (event) => event.waitUntil(keepAll(event)));
self.addEventListener('activate', (event) => void kept.activate(event));
self.addEventListener('message', ({ data }: ExtendableMessageEvent) => {
  if ((data as { readonly type?: unknown } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});

registerRoute(new PrecacheRoute(kept));
// Every place of the app is the one page; what asks the server is left alone.
registerRoute(
  new NavigationRoute(kept.createHandlerBoundToURL('index.html'), {
    denylist: [new RegExp(`^${new URL('api/', self.location.href).pathname}`)],
  }),
);
