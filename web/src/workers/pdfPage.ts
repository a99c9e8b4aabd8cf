import { getDocument, GlobalWorkerOptions } from 'pdfjs-dist';
import Parser from 'pdfjs-dist/build/pdf.worker.mjs?worker';
import { PDF_OPEN } from '@ample/core/in/readers';
import { COLOURS } from '@ample/core/out';

/** Dots to the millimetre that a page is drawn with: about 250 to the inch. */
const PER_MM = 10;
const MM = 25.4 / 72;

interface Surface {
  canvas: OffscreenCanvas;
  context: OffscreenCanvasRenderingContext2D | null;
}
/** The library draws on canvases of the page; a worker has only those off the screen. */
class Surfaces {
  create(width: number, height: number): Surface {
    const canvas = new OffscreenCanvas(width, height);
    return { canvas, context: canvas.getContext('2d', { willReadFrequently: true }) };
  }
  reset(surface: Surface, width: number, height: number): void {
    surface.canvas.width = width;
    surface.canvas.height = height;
  }
  destroy(surface: Surface): void {
    surface.canvas.width = 0;
    surface.canvas.height = 0;
  }
}
/** Colour filters are made of elements of the page; a scan looks the same without. */
class NoFilters {
  addFilter = (): string => 'none';
  addHCMFilter = (): string => 'none';
  addAlphaFilter = (): string => 'none';
  addLuminosityFilter = (): string => 'none';
  addHighlightHCMFilter = (): string => 'none';
  destroy(): void {
    // Nothing was made.
  }
}

/** Draws one page, as fine as `most` pixels allow. Throws where the file is none or has no such page. */
export async function picturePage(
  data: Uint8Array,
  number: number,
  most: number,
): Promise<{
  readonly canvas: OffscreenCanvas;
  readonly page: { readonly width: number; readonly height: number; readonly of: number };
}> {
  GlobalWorkerOptions.workerPort = new Parser();
  const document = await getDocument({ data, ...PDF_OPEN, CanvasFactory: Surfaces, FilterFactory: NoFilters }).promise;
  const page = await document.getPage(Math.min(Math.max(1, number), document.numPages));
  const unit = page.getViewport({ scale: page.userUnit });
  const size = { width: unit.width * MM, height: unit.height * MM };
  const perMm = Math.min(PER_MM, Math.sqrt(most / (size.width * size.height)));
  const viewport = page.getViewport({ scale: page.userUnit * perMm * MM });
  const canvas = new OffscreenCanvas(Math.max(2, Math.round(viewport.width)), Math.max(2, Math.round(viewport.height)));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no drawing surface');
  await page.render({
    canvas: null,
    // The library's types know only the canvas of a page.
    canvasContext: context as never,
    viewport,
    background: COLOURS.white,
  }).promise;
  return { canvas, page: { ...size, of: document.numPages } };
}
