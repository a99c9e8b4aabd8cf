import { formOfBoth } from '@ample/core/form';
import { PROTOCOL, type FormRequest, type Reply } from './protocol.ts';

/** Works out the form of a body; keeps nothing between questions. */
self.onmessage = (event: MessageEvent<FormRequest>) => {
  const { v, id, input } = event.data;
  if (v !== PROTOCOL) return;
  let reply: Reply;
  try {
    reply = { v: PROTOCOL, id, ok: true, value: formOfBoth(input.body, input.right) };
  } catch (error) {
    reply = { v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
