import { refuse } from '@ample/core/units';
import { askOnce } from './askOnce.ts';
import { PROTOCOL, TOO_MANY, type PictureReply, type PictureRequest } from './protocol.ts';

/** One question about a picture, in a worker that is let go with the answer. */
export async function askPicture(input: PictureRequest): Promise<PictureReply> {
  const worker = new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' });
  try {
    return (await askOnce(
      worker,
      { v: PROTOCOL, id: 1, input },
      30_000,
      'it took longer than half a minute',
    )) as PictureReply;
  } catch (error) {
    const detail = (error instanceof Error ? error.message : String(error)).slice(0, 160);
    return detail.includes(TOO_MANY) ? refuse('picture-too-many-pixels') : refuse('picture-unreadable', { detail });
  } finally {
    worker.terminate();
  }
}
