import { layOutAll } from '@ample/core/out/layout';
import { PROTOCOL, type ClothRequest } from './protocol.ts';

/** Lays pieces on cloth and reports progress; the caller terminates it when it is no longer needed. */
self.onmessage = (event: MessageEvent<ClothRequest>) => {
  const { v, id, input } = event.data;
  if (v !== PROTOCOL) return;
  try {
    const value = layOutAll(input.pieces, input.wishes, (done, of) =>
      self.postMessage({ v: PROTOCOL, id, progress: done / of }),
    );
    self.postMessage({ v: PROTOCOL, id, ok: true, value });
  } catch (error) {
    self.postMessage({ v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) });
  }
};
