import { imageSize } from 'image-size';
import { TOO_MANY } from './protocol.ts';

/** More pixels than any camera takes; as many again as fit the memory of a telephone, once they are unpacked. */
const MOST_PIXELS = 150_000_000;
/** Where a picture says how large it is, past what a camera writes before it, bytes. */
const HEAD = 2 ** 20;

/**
 * A picture, held as it was seen. How many pixels it unpacks to is read from its head first: a megabyte may claim a
 * thousand million, and the memory for them is taken before anything else can be said.
 */
export async function openBitmap(file: Blob): Promise<ImageBitmap> {
  const pixels = pixelsOf(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()));
  if (pixels !== null && pixels > MOST_PIXELS) throw new Error(TOO_MANY);
  return createImageBitmap(file, { imageOrientation: 'from-image' });
}

/** What the head of a picture says; null where it is of a kind only the browser knows, or of none. */
export function pixelsOf(head: Uint8Array): number | null {
  try {
    const { width, height } = imageSize(head);
    return width * height;
  } catch {
    return null;
  }
}
