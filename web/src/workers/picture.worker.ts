import { findHomography, greyOf, joinFlat, layFlat, residualOf, takePhoto, type Grey } from '@ample/core/in/photo';
import { ok } from '@ample/core/units';
import { openBitmap } from './openBitmap.ts';
import { PROTOCOL, type PictureRequest, type PictureReply } from './protocol.ts';
import { COLOURS } from '@ample/core/out';

/** Larger pictures are brought down to so many pixels: finer than a hand traces. */
const MOST_PIXELS = 12_000_000;
const FINEST = 5;

async function jpegOf(grey: Grey): Promise<Uint8Array<ArrayBuffer>> {
  const canvas = new OffscreenCanvas(grey.width, grey.height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no drawing surface');
  const image = context.createImageData(grey.width, grey.height);
  for (let i = 0; i < grey.data.length; i++) {
    const v = grey.data[i] as number;
    image.data.set([v, v, v, 255], i * 4);
  }
  context.putImageData(image, 0, 0);
  return new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.88 })).arrayBuffer());
}

async function openPicture(file: Blob): Promise<Grey> {
  const bitmap = await openBitmap(file);
  const k = Math.min(1, Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height)));
  const [width, height] = [Math.max(2, Math.round(bitmap.width * k)), Math.max(2, Math.round(bitmap.height * k))];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no drawing surface');
  context.fillStyle = COLOURS.white;
  context.fillRect(0, 0, width, height);
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return greyOf(context.getImageData(0, 0, width, height));
}

/** One page of a PDF as a picture, and its true size: scans have the size of what lay on the glass. */
async function openPage(file: Blob, number: number): Promise<PictureReply> {
  const { picturePage } = await import('./pdfPage.ts');
  const { canvas, page } = await picturePage(new Uint8Array(await file.arrayBuffer()), number, MOST_PIXELS);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no drawing surface');
  const grey = greyOf(context.getImageData(0, 0, canvas.width, canvas.height));
  return ok({ grey, jpeg: await jpegOf(grey), page });
}

async function answer(request: PictureRequest): Promise<PictureReply> {
  switch (request.kind) {
    case 'open': {
      const grey = await openPicture(request.file);
      return ok({ grey, jpeg: await jpegOf(grey) });
    }
    case 'page':
      return openPage(request.file, request.page);
    case 'standIn': {
      const { picture } = takePhoto(request.outline, request.camera, request.scene);
      return ok({ grey: picture, jpeg: await jpegOf(picture) });
    }
    case 'flat': {
      const found = findHomography(request.known);
      if (!found.ok) return found;
      const residual = residualOf(found.value, request.known);
      const finest = Math.min(FINEST, 1 / Math.max(0.05, residual.perPixel));
      const flat = layFlat(
        request.grey,
        found.value,
        request.known.map((k) => k.true),
        Math.max(2, finest),
      );
      return ok({ grey: flat, flat, residual, jpeg: await jpegOf(flat) });
    }
    case 'join': {
      const flat = joinFlat(request.base, request.next, request.joint);
      return ok({ grey: flat, flat, jpeg: await jpegOf(flat) });
    }
  }
}

/** Opens pictures, lays them flat, and plays the camera; one question, then let go. */
self.onmessage = async (event: MessageEvent<{ v: number; id: number; input: PictureRequest }>) => {
  const { v, id, input } = event.data;
  if (v !== PROTOCOL) return;
  try {
    self.postMessage({ v: PROTOCOL, id, ok: true, value: await answer(input) });
  } catch (error) {
    self.postMessage({ v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) });
  }
};
