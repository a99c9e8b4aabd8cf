import '../lib/zodSetup.ts';
import { readWhole } from '@ample/core/in/tracing';
import { PROTOCOL, type Reply, type WholeRequest } from './protocol.ts';

/** Reads all pieces of one sheet; the caller terminates it when the sheet is no longer needed. */
self.onmessage = (event: MessageEvent<WholeRequest>) => {
  const { v, id, input } = event.data;
  if (v !== PROTOCOL) return;
  let reply: Reply;
  try {
    reply = { v: PROTOCOL, id, ok: true, value: readWhole(input.lines, input.wanted) };
  } catch (error) {
    reply = { v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
