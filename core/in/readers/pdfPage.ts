import { isFinitePoint, type Point } from '../../geometry/index.ts';
import { type Lettering, type LineStyle, type RepairCode, type Stroke, dashId, dashOf } from '../tracing/index.ts';
import { nth } from '../../units/index.ts';
import { Pen, type Budget, type Drawn } from './pen.ts';
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
/** PDF counts in points; exact. */
const MM = 25.4 / 72;
/** Closed lines smaller than this on every side are letters drawn as shapes, mm: there may be thousands. */
const LETTER_SHAPE = 2.2;

/** Texts of one document that are kept, and states of the pen put aside at one time. */
const MOST_TEXTS = 40_000;
const MOST_SAVED = 4000;

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

/** What has been read so far, page by page. */
export interface PdfDrawing {
  readonly strokes: Stroke[];
  readonly letters: Lettering[];
  readonly styles: Map<string, LineStyle>;
  readonly repairs: Map<RepairCode, number>;
  readonly budget: Budget;
  pictures: number;
}

type Args = readonly unknown[];

/** One page being read: the commands change the pen's state, and what they draw goes to the drawing. */
class PageReader {
  readonly #drawing: PdfDrawing;
  readonly #page: number;
  readonly #base: Matrix;
  #state: State;
  readonly #saved: State[] = [];
  readonly #layers: string[] = [];
  /** The next path bounds what is shown. */
  #clipNext = false;
  readonly #commands: ReadonlyMap<number | undefined, (args: Args) => void>;
  readonly #lines: ReadonlySet<number | undefined>;
  readonly #fills: ReadonlySet<number | undefined>;
  readonly #closes: ReadonlySet<number | undefined>;

  constructor(drawing: PdfDrawing, page: number, base: Matrix, shown: Window, ops: PdfOps) {
    this.#drawing = drawing;
    this.#page = page;
    this.#base = base;
    this.#state = { matrix: base, color: '#000000', fill: '#000000', width: 1, dash: [], window: shown };
    const codes = (...names: string[]): ReadonlySet<number | undefined> => new Set(names.map((n) => ops[n]));
    this.#lines = codes('stroke', 'closeStroke', 'fillStroke', 'eoFillStroke', 'closeFillStroke', 'closeEOFillStroke');
    this.#fills = codes('fill', 'eoFill');
    this.#closes = codes('closeStroke', 'closeFillStroke');
    this.#commands = this.#commandsOf(ops);
  }

  /** What each command does, by the library's number for it; the others change nothing that is read. */
  #commandsOf(ops: PdfOps): ReadonlyMap<number | undefined, (args: Args) => void> {
    const set = (change: Partial<State>): void => void (this.#state = { ...this.#state, ...change });
    const turn = (by: readonly number[]): void => set({ matrix: times(this.#state.matrix, by) });
    const save = (): void => void (this.#saved.length < MOST_SAVED && this.#saved.push(this.#state));
    const restore = (): void => void (this.#state = this.#saved.pop() ?? this.#state);
    const clip = (): void => void (this.#clipNext = true);
    const layer = (): string => this.#layers.at(-1) ?? '';
    const pictures = Object.entries(ops)
      .filter(([name]) => /^paint(Inline)?Image|^paintJpeg|^paintSolidColorImageMask/.test(name))
      .map(([, code]) => [code, () => void this.#drawing.pictures++] as const);
    return new Map<number | undefined, (args: Args) => void>([
      ...pictures,
      [ops['save'], save],
      [ops['restore'], restore],
      [ops['transform'], (args) => turn(args as readonly number[])],
      [
        ops['paintFormXObjectBegin'],
        ([by]) => {
          save();
          if (by) turn([...(by as ArrayLike<number> & Iterable<number>)]);
        },
      ],
      [ops['paintFormXObjectEnd'], restore],
      [ops['setLineWidth'], ([width]) => set({ width: Number(width) })],
      [ops['setDash'], ([dash]) => set({ dash: dashesOf(dash) })],
      [ops['setStrokeRGBColor'], (args) => set({ color: hexOf(args) })],
      [ops['setFillRGBColor'], (args) => set({ fill: hexOf(args) })],
      [
        ops['beginMarkedContentProps'],
        ([kind, of]) =>
          void this.#layers.push(kind === 'OC' ? String((of as { id?: string } | null)?.id ?? '') : layer()),
      ],
      [ops['beginMarkedContent'], () => void this.#layers.push(layer())],
      [ops['endMarkedContent'], () => void this.#layers.pop()],
      [ops['clip'], clip],
      [ops['eoClip'], clip],
      [ops['constructPath'], (args) => this.#path(args)],
    ]);
  }

  run(op: number, args: Args): void {
    this.#commands.get(op)?.(args);
  }

  #path(args: Args): void {
    const [paint, parts] = args as readonly [number, readonly (ArrayLike<number> | null)[] | null];
    const numbers = parts?.[0];
    const line = this.#lines.has(paint);
    const painted = line || this.#fills.has(paint);
    if (numbers && (painted || this.#clipNext)) {
      const { matrix } = this.#state;
      const pen = new Pen(this.#drawing.budget, (p) => through(matrix, p));
      sendPath(pen, numbers);
      if (this.#closes.has(paint)) pen.close();
      const drawn = pen.done();
      const box = this.#clipNext ? boxOfDrawn(drawn) : null;
      if (box) this.#state = { ...this.#state, window: meet(this.#state.window, box) };
      if (painted) this.#keep(drawn, line);
      if (pen.broken > 0) note(this.#drawing, 'repair-not-a-number');
    }
    this.#clipNext = false;
  }

  #keep(drawn: readonly Drawn[], line: boolean): void {
    const { matrix, window } = this.#state;
    const style = this.#styleOf(line, Math.hypot(matrix[0], matrix[1]));
    // Small filled shapes are letters; they are left out before anything is made of them.
    const shapes = line ? drawn : middleLines(drawn.filter((d) => !isLetter(d)));
    for (const d of shapes) {
      const box = boxOfDrawn([d]);
      // What lies wholly outside the window that is shown was never seen on this page.
      if (!box || box.minX > window.maxX || box.maxX < window.minX) continue;
      if (box.minY > window.maxY || box.maxY < window.minY) continue;
      const layer = this.#layers.at(-1) ?? '';
      this.#drawing.strokes.push({ ...d, layer, style, page: this.#page, kind: null, block: '' });
    }
  }

  #styleOf(line: boolean, grow: number): string {
    const { color, fill, width, dash } = this.#state;
    const style = line
      ? { color, width: Math.round(width * grow * 100) / 100, dash: dashOf(dash, grow) }
      : { color: fill, width: 0, dash: [] };
    const id = `${line ? 'line' : 'filled'} ${style.color ?? ''} ${style.width}${dashId(style.dash)}`;
    if (!this.#drawing.styles.has(id)) this.#drawing.styles.set(id, { id, ...style });
    return id;
  }

  /** Keeps a text with its place and, where that can be told, its middle. */
  letter(item: unknown): void {
    const { str, transform, width } = item as { str?: string; transform?: readonly number[]; width?: number };
    if (!str || str.trim() === '' || !transform || this.#drawing.letters.length > MOST_TEXTS) return;
    const [a = 1, b = 0, , , x = 0, y = 0] = transform;
    const at = through(this.#base, { x, y });
    if (!isFinitePoint(at)) return;
    const half = (width ?? 0) / 2 / (Math.hypot(a, b) || 1);
    const middle = through(this.#base, { x: x + half * a, y: y + half * b });
    this.#drawing.letters.push({
      text: str.slice(0, 400),
      at,
      ...(isFinitePoint(middle) ? { middle } : {}),
      page: this.#page,
      layer: '',
      block: '',
    });
  }
}

/** Reads one page into the drawing. Returns its size as it is shown, mm. */
export async function readPage(
  page: PdfPage,
  number: number,
  ops: PdfOps,
  drawing: PdfDrawing,
): Promise<{ width: number; height: number }> {
  const view = page.getViewport({ scale: 1 });
  const size = { width: view.width * MM, height: view.height * MM };
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = view.transform;
  const base: Matrix = [a * MM, b * MM, c * MM, d * MM, e * MM, f * MM];
  const reader = new PageReader(drawing, number, base, { minX: 0, minY: 0, maxX: size.width, maxY: size.height }, ops);
  const list = await page.getOperatorList();
  for (let i = 0; i < list.fnArray.length && !drawing.budget.spent; i++)
    reader.run(nth(list.fnArray, i), (list.argsArray[i] ?? []) as Args);
  const text = await page.getTextContent();
  for (const item of text.items) reader.letter(item);
  page.cleanup();
  return size;
}

const note = (drawing: PdfDrawing, code: RepairCode): void =>
  void drawing.repairs.set(code, (drawing.repairs.get(code) ?? 0) + 1);

function isLetter(d: Drawn): boolean {
  const box = boxOfDrawn([d]);
  return box !== null && box.maxX - box.minX < LETTER_SHAPE && box.maxY - box.minY < LETTER_SHAPE;
}

function boxOfDrawn(drawn: readonly Drawn[]): Window | null {
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
