import { distance, type Point } from '../../geometry/index.ts';
import {
  MOST_SPANS,
  type Lettering,
  type LineLayer,
  type Lines,
  type LineStyle,
  type RepairCode,
  type Stroke,
  dashId,
  dashOf,
} from '../tracing/index.ts';
import { ok, refuse, type Refusal, type Result, nth } from '../../units/index.ts';
import { Budget, Pen, type Drawn } from './pen.ts';
import { middleLines } from './slivers.ts';

/** The part of the PDF reading library used here; the caller passes an open document in, so core imports none. */
export interface PdfPage {
  readonly userUnit: number;
  getViewport(options: { scale: number }): {
    readonly transform: readonly number[];
    readonly width: number;
    readonly height: number;
  };
  getOperatorList(): Promise<{ readonly fnArray: readonly number[]; readonly argsArray: readonly unknown[] }>;
  getTextContent(): Promise<{ readonly items: readonly unknown[] }>;
  cleanup(): unknown;
}
export interface PdfDocument {
  readonly numPages: number;
  getPage(n: number): Promise<PdfPage>;
  getOptionalContentConfig(): Promise<unknown>;
}
export type PdfOps = Readonly<Record<string, number>>;
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
/** PDF counts in points; exact. */
const MM = 25.4 / 72;
/** Closed lines smaller than this on every side are letters drawn as shapes, mm: there may be thousands. */
const LETTER_SHAPE = 2.2;

type Matrix = readonly [number, number, number, number, number, number];
const times = (m: Matrix, n: readonly number[]): Matrix => {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = n;
  return [
    m[0] * a + m[2] * b,
    m[1] * a + m[3] * b,
    m[0] * c + m[2] * d,
    m[1] * c + m[3] * d,
    m[0] * e + m[2] * f + m[4],
    m[1] * e + m[3] * f + m[5],
  ];
};
const through = (m: Matrix, p: Point): Point => ({
  x: m[0] * p.x + m[2] * p.y + m[4],
  y: m[1] * p.x + m[3] * p.y + m[5],
});

interface Window {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}
interface State {
  readonly matrix: Matrix;
  readonly color: string | null;
  readonly fill: string | null;
  readonly width: number;
  /** As the file has them, in its own units. */
  readonly dash: readonly number[];
  readonly window: Window;
}

const dashesOf = (list: unknown): readonly number[] =>
  Array.isArray(list) ? list.filter((v): v is number => typeof v === 'number') : [];

const hexOf = (args: unknown): string | null => {
  const [first, g, b] = args as readonly (string | number)[];
  if (typeof first === 'string') return first.toLowerCase();
  if (typeof first !== 'number' || typeof g !== 'number' || typeof b !== 'number') return null;
  return `#${[first, g, b]
    .map((v) =>
      Math.max(0, Math.min(255, Math.round(v)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
};

const meet = (a: Window, b: Window): Window => ({
  minX: Math.max(a.minX, b.minX),
  minY: Math.max(a.minY, b.minY),
  maxX: Math.min(a.maxX, b.maxX),
  maxY: Math.min(a.maxY, b.maxY),
});

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

/** Sends a path's numbers (0 move, 1 line, 2 curve, 3 one-handled curve, 4 close) to the pen. */
function sendPath(pen: Pen, n: ArrayLike<number>): void {
  const at = (i: number): number => n[i] ?? NaN;
  for (let i = 0; i < n.length;) {
    const code = n[i];
    if (code === 0) pen.move(at(i + 1), at(i + 2));
    else if (code === 1) pen.line(at(i + 1), at(i + 2));
    else if (code === 2) pen.curve(at(i + 1), at(i + 2), at(i + 3), at(i + 4), at(i + 5), at(i + 6));
    else if (code === 3) pen.bend(at(i + 1), at(i + 2), at(i + 3), at(i + 4));
    else pen.close();
    i += code === 0 || code === 1 ? 3 : code === 2 ? 7 : code === 3 ? 5 : 1;
  }
}

interface Sheet {
  readonly strokes: Stroke[];
  readonly letters: Lettering[];
  readonly styles: Map<string, LineStyle>;
  readonly told: Map<RepairCode, number>;
  readonly budget: Budget;
  pictures: number;
}

async function readPage(
  page: PdfPage,
  number: number,
  ops: PdfOps,
  sheet: Sheet,
): Promise<{ width: number; height: number }> {
  const view = page.getViewport({ scale: 1 });
  const size = { width: view.width * MM, height: view.height * MM };
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = view.transform;
  const base: Matrix = [a * MM, b * MM, c * MM, d * MM, e * MM, f * MM];
  const list = await page.getOperatorList();
  let state: State = {
    matrix: base,
    color: '#000000',
    fill: '#000000',
    width: 1,
    dash: [],
    window: { minX: 0, minY: 0, maxX: size.width, maxY: size.height },
  };
  const stack: State[] = [];
  const layers: string[] = [];
  let clipNext = false;
  const drawsLine = new Set([
    ops['stroke'],
    ops['closeStroke'],
    ops['fillStroke'],
    ops['eoFillStroke'],
    ops['closeFillStroke'],
    ops['closeEOFillStroke'],
  ]);
  const drawsFill = new Set([ops['fill'], ops['eoFill']]);
  const pictures = new Set(
    Object.entries(ops)
      .filter(([name]) => /^paint(Inline)?Image|^paintJpeg|^paintSolidColorImageMask/.test(name))
      .map(([, code]) => code),
  );

  const push = (): void => {
    if (stack.length < 4000) stack.push(state);
  };
  for (let i = 0; i < list.fnArray.length; i++) {
    const op = nth(list.fnArray, i);
    const args = (list.argsArray[i] ?? []) as readonly unknown[];
    if (op === ops['save']) push();
    else if (op === ops['restore']) state = stack.pop() ?? state;
    else if (op === ops['transform']) state = { ...state, matrix: times(state.matrix, args as readonly number[]) };
    else if (op === ops['paintFormXObjectBegin']) {
      push();
      if (args[0])
        state = { ...state, matrix: times(state.matrix, [...(args[0] as ArrayLike<number> & Iterable<number>)]) };
    } else if (op === ops['paintFormXObjectEnd']) state = stack.pop() ?? state;
    else if (op === ops['setLineWidth']) state = { ...state, width: Number(args[0]) };
    else if (op === ops['setDash']) state = { ...state, dash: dashesOf(args[0]) };
    else if (op === ops['setStrokeRGBColor']) state = { ...state, color: hexOf(args) };
    else if (op === ops['setFillRGBColor']) state = { ...state, fill: hexOf(args) };
    else if (op === ops['beginMarkedContentProps'])
      layers.push(args[0] === 'OC' ? String((args[1] as { id?: string } | null)?.id ?? '') : (layers.at(-1) ?? ''));
    else if (op === ops['beginMarkedContent']) layers.push(layers.at(-1) ?? '');
    else if (op === ops['endMarkedContent']) layers.pop();
    else if (op === ops['clip'] || op === ops['eoClip']) clipNext = true;
    else if (pictures.has(op)) sheet.pictures++;
    else if (op === ops['constructPath']) {
      const [paint, parts] = args as readonly [number, readonly (ArrayLike<number> | null)[] | null];
      const numbers = parts?.[0];
      const line = drawsLine.has(paint);
      if (numbers && (line || drawsFill.has(paint) || clipNext)) {
        const pen = new Pen(sheet.budget, (p) => through(state.matrix, p));
        sendPath(pen, numbers);
        if (paint === ops['closeStroke'] || paint === ops['closeFillStroke']) pen.close();
        const drawn = pen.done();
        if (clipNext) {
          const box = boxOfDrawn(drawn);
          if (box) state = { ...state, window: meet(state.window, box) };
        }
        if (line || drawsFill.has(paint)) keep(drawn, line);
        if (pen.broken > 0) tell(sheet, 'repair-not-a-number');
      }
      clipNext = false;
    }
    if (sheet.budget.spent) break;
  }

  function keep(drawn: ReturnType<Pen['done']>, line: boolean): void {
    const grow = Math.hypot(state.matrix[0], state.matrix[1]);
    const width = line ? Math.round(state.width * grow * 100) / 100 : 0;
    const color = line ? state.color : state.fill;
    const dash = line ? dashOf(state.dash, grow) : [];
    const id = `${line ? 'line' : 'filled'} ${color ?? ''} ${width}${dashId(dash)}`;
    if (!sheet.styles.has(id)) sheet.styles.set(id, { id, color, width, dash });
    // Small filled shapes are letters; they are left out before anything is made of them.
    const shapes = line ? drawn : middleLines(drawn.filter((d) => !isLetter(d)));
    for (const d of shapes) {
      const box = boxOfDrawn([d]);
      if (!box) continue;
      const w = state.window;
      // What lies wholly outside the window that is shown was never seen on this page.
      if (box.minX > w.maxX || box.maxX < w.minX || box.minY > w.maxY || box.maxY < w.minY) continue;
      sheet.strokes.push({ ...d, layer: layers.at(-1) ?? '', style: id, page: number, kind: null, block: '' });
    }
  }

  const text = await page.getTextContent();
  for (const item of text.items) {
    const { str, transform, width } = item as { str?: string; transform?: readonly number[]; width?: number };
    if (!str || str.trim() === '' || !transform || sheet.letters.length > 40_000) continue;
    const at = through(base, { x: transform[4] ?? 0, y: transform[5] ?? 0 });
    if (!Number.isFinite(at.x) || !Number.isFinite(at.y)) continue;
    const [a = 1, b = 0] = transform;
    const half = (width ?? 0) / 2 / (Math.hypot(a, b) || 1);
    const middle = through(base, { x: (transform[4] ?? 0) + half * a, y: (transform[5] ?? 0) + half * b });
    const set = Number.isFinite(middle.x) && Number.isFinite(middle.y) ? { middle } : {};
    sheet.letters.push({ text: str.slice(0, 400), at, ...set, page: number, layer: '', block: '' });
  }
  page.cleanup();
  return size;
}

const tell = (sheet: Sheet, code: RepairCode): void => void sheet.told.set(code, (sheet.told.get(code) ?? 0) + 1);

function isLetter(d: Drawn): boolean {
  const box = boxOfDrawn([d]);
  return box !== null && box.maxX - box.minX < LETTER_SHAPE && box.maxY - box.minY < LETTER_SHAPE;
}

function boxOfDrawn(drawn: ReturnType<Pen['done']>): Window | null {
  let box: Window | null = null;
  for (const { path } of drawn)
    for (const p of [path.start, ...path.segments.flatMap((g) => (g.kind === 'line' ? [g.to] : [g.c1, g.c2, g.to]))])
      box = box
        ? {
            minX: Math.min(box.minX, p.x),
            minY: Math.min(box.minY, p.y),
            maxX: Math.max(box.maxX, p.x),
            maxY: Math.max(box.maxY, p.y),
          }
        : { minX: p.x, minY: p.y, maxX: p.x, maxY: p.y };
  return box;
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
  const sheet: Sheet = {
    strokes: [],
    letters: [],
    styles: new Map(),
    told: new Map(),
    budget: new Budget(MOST_SPANS * 3),
    pictures: 0,
  };
  const pages: { width: number; height: number }[] = [];
  for (let n = 1; n <= document.numPages; n++) {
    const left = sheet.budget.left;
    pages.push(await readPage(await document.getPage(n), n - 1, ops, sheet));
    onPage(n / document.numPages);
    // A drawing repeated on every tile counts each time, but no page alone has more than a pattern.
    if (left - sheet.budget.left > MOST_SPANS || sheet.budget.spent)
      return refuse('lines-too-many', { most: MOST_SPANS });
  }
  const long = sheet.strokes.filter(
    (s) => distance(s.path.start, s.path.segments.at(-1)?.to ?? s.path.start) > 0 || s.closed,
  );
  if (long.length === 0)
    return sheet.pictures > 0 ? refuse('pdf-only-pictures', { pages: pages.length }) : refuse('lines-none');
  return ok({
    source: 'pdf',
    strokes: sheet.strokes,
    letters: sheet.letters,
    layers: layersOf(await document.getOptionalContentConfig()).filter((l) =>
      sheet.strokes.some((s) => s.layer === l.id),
    ),
    styles: [...sheet.styles.values()],
    pages,
    unit: { name: 'pt', stated: true },
    repairs: [...sheet.told].map(([code, count]) => ({ code, data: { count } })),
    pieces: [],
  });
}
