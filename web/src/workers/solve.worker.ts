import '../lib/zodSetup.ts';
import { solve, thinned } from '@ample/core/fitting/solve';
import { PROTOCOL, type Reply, type Request } from './protocol.ts';

/** Finds amounts, and what each step of a plan is worth; keeps nothing between questions. */
self.onmessage = (event: MessageEvent<Request>) => {
  const request = event.data;
  if (request.v !== PROTOCOL || (request.kind !== 'solve' && request.kind !== 'thin')) return;
  let reply: Reply;
  try {
    const value = request.kind === 'thin' ? thinned(request.input) : solve(request.input.job, request.input.wish);
    reply = { v: PROTOCOL, id: request.id, ok: true, value };
  } catch (error) {
    reply = { v: PROTOCOL, id: request.id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
