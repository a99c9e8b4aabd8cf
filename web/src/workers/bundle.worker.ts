import '../lib/zodSetup.ts';
import { readBundle, writeBundle } from '@ample/core/documents/bundle';
import { PROTOCOL, type BundleRequest } from './protocol.ts';

/** Packs and unpacks; used once for each file, then let go. */
self.onmessage = async (event: MessageEvent<BundleRequest>) => {
  const request = event.data;
  if (request.v !== PROTOCOL) return;
  const { id } = request;
  try {
    const value =
      request.kind === 'pack'
        ? writeBundle(request.input.kept, request.input.of, request.input.made)
        : readBundle(new Uint8Array(await request.input.arrayBuffer()));
    self.postMessage({ v: PROTOCOL, id, ok: true, value });
  } catch (error) {
    self.postMessage({ v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) });
  }
};
