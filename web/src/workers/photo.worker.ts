import { openBitmap } from './openBitmap.ts';
import { COLOURS } from '@ample/core/out';

/** Draws a picture anew, smaller: what comes out holds nothing but what is to be seen. */
const LONGEST = 1600;
const QUALITY = 0.85;

self.onmessage = async (event: MessageEvent<Blob>) => {
  try {
    const picture = await openBitmap(event.data);
    const k = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const [width, height] = [Math.max(1, Math.round(picture.width * k)), Math.max(1, Math.round(picture.height * k))];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no drawing surface');
    // A clear ground would turn black in a JPEG.
    context.fillStyle = COLOURS.white;
    context.fillRect(0, 0, width, height);
    context.drawImage(picture, 0, 0, width, height);
    picture.close();
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    const bytes = new Uint8Array(await blob.arrayBuffer());
    self.postMessage({ ok: true, value: { bytes, type: 'image/jpeg', width, height } }, [bytes.buffer]);
  } catch (error) {
    self.postMessage({ ok: false, message: error instanceof Error ? error.message : String(error) });
  }
};
