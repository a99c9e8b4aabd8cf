import '../lib/zodSetup.ts';
import { draft, emptyCache, type DraftCache } from '@ample/core/fitting/plan';
import type { Pattern } from '@ample/core/pattern';
import { PROTOCOL, type Reply, type Request } from './protocol.ts';

/** Replays a job. Keeps nothing between messages but caches: the pattern sent last, and the steps made from it. */
let pattern: Pattern | null = null;
let cache: DraftCache = emptyCache();

self.onmessage = (event: MessageEvent<Request>) => {
  const request = event.data;
  if (request.v !== PROTOCOL || request.kind !== 'draft') return;
  let reply: Reply;
  try {
    pattern = request.input.pattern ?? pattern;
    if (!pattern) throw new Error('draft worker: expected a pattern with the first message');
    reply = {
      v: PROTOCOL,
      id: request.id,
      ok: true,
      value: draft({ ...request.input, pattern }, cache, request.input.care),
    };
  } catch (error) {
    cache = emptyCache();
    reply = { v: PROTOCOL, id: request.id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
