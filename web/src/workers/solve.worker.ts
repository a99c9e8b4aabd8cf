import '../zodSetup.ts';
import { solve } from '@ample/core/solve';
import { PROTOCOL, type Reply, type Request } from './protocol.ts';

/** Finds amounts; keeps nothing between questions. */
self.onmessage = (event: MessageEvent<Request>) => {
  const request = event.data;
  if (request.v !== PROTOCOL || request.kind !== 'solve') return;
  let reply: Reply;
  try {
    reply = { v: PROTOCOL, id: request.id, ok: true, value: solve(request.input.job, request.input.wish) };
  } catch (error) {
    reply = { v: PROTOCOL, id: request.id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
