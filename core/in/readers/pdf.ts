import { distance } from '../../geometry/index.ts';
import { MOST_SPANS, type LineLayer, type Lines } from '../tracing/index.ts';
import { ok, refuse, type Refusal, type Result } from '../../units/index.ts';
import { Budget } from './pen.ts';
import { readPage, type PdfDocument, type PdfOps, type PdfDrawing } from './pdfPage.ts';

export type { PdfDocument, PdfOps, PdfPage } from './pdfPage.ts';
export type PdfError = 'pdf-only-pictures' | 'pdf-too-many-pages' | 'lines-none' | 'lines-too-many';

/** How a file is opened: nothing in it is run, no font is made, nothing is fetched. */
export const PDF_OPEN = {
  isEvalSupported: false,
  disableFontFace: true,
  useSystemFonts: false,
  useWorkerFetch: false,
  disableRange: true,
  disableStream: true,
  verbosity: 0,
} as const;
/** Why opening failed: it is locked, or no PDF at all. */
export const openFailure = (error: unknown): Refusal<'pdf-locked' | 'pdf-broken'> => ({
  code: error instanceof Error && error.name === 'PasswordException' ? 'pdf-locked' : 'pdf-broken',
  data: {},
});

const MOST_PAGES = 400;
/** Layers by id with their names, on as the file opens; in the order the file shows them where it says one. */
function layersOf(config: unknown): readonly LineLayer[] {
  const c = config as { [Symbol.iterator]?: () => Iterator<[string, { name?: string | null; visible?: boolean }]> };
  if (!c || typeof c[Symbol.iterator] !== 'function') return [];
  return [...(c as Iterable<[string, { name?: string | null; visible?: boolean }]>)].map(([id, g], i) => ({
    id,
    name: (g.name ?? '').slice(0, 80) || `Layer ${i + 1}`,
    on: g.visible ?? true,
  }));
}

/**
 * Takes every page of an open PDF apart into lines: layer, colour, width and dashes kept, curves as curves, each
 * page's coordinates in mm from its upper left corner as it is shown (rotation and user unit applied). Lines outside
 * the window a page shows are left out, others are not cut to it: a drawing repeated on every tile stays whole.
 * Refuses a file that holds pictures only. `onPage` is called with the share done.
 */
export async function readPdf(
  document: PdfDocument,
  ops: PdfOps,
  onPage: (share: number) => void = () => undefined,
): Promise<Result<Lines, PdfError>> {
  if (document.numPages > MOST_PAGES)
    return refuse('pdf-too-many-pages', { pages: document.numPages, most: MOST_PAGES });
  const drawing: PdfDrawing = {
    strokes: [],
    letters: [],
    styles: new Map(),
    repairs: new Map(),
    budget: new Budget(MOST_SPANS * 3),
    pictures: 0,
  };
  const pages: { width: number; height: number }[] = [];
  for (let n = 1; n <= document.numPages; n++) {
    const left = drawing.budget.left;
    pages.push(await readPage(await document.getPage(n), n - 1, ops, drawing));
    onPage(n / document.numPages);
    // A drawing repeated on every tile counts each time, but no page alone has more than a pattern.
    if (left - drawing.budget.left > MOST_SPANS || drawing.budget.spent)
      return refuse('lines-too-many', { most: MOST_SPANS });
  }
  const long = drawing.strokes.filter(
    (s) => distance(s.path.start, s.path.segments.at(-1)?.to ?? s.path.start) > 0 || s.closed,
  );
  if (long.length === 0)
    return drawing.pictures > 0 ? refuse('pdf-only-pictures', { pages: pages.length }) : refuse('lines-none');
  return ok({
    source: 'pdf',
    strokes: drawing.strokes,
    letters: drawing.letters,
    layers: layersOf(await document.getOptionalContentConfig()).filter((l) =>
      drawing.strokes.some((s) => s.layer === l.id),
    ),
    styles: [...drawing.styles.values()],
    pages,
    unit: { name: 'pt', stated: true },
    repairs: [...drawing.repairs].map(([code, count]) => ({ code, data: { count } })),
    pieces: [],
  });
}
