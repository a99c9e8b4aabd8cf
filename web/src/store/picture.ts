import { create } from 'zustand';
import type { Path, Point } from '@ample/core/geometry';
import {
  cornerNear,
  edgeNear,
  traceOver,
  SCANNER,
  USUAL_CAMERA,
  type Flat,
  type Grey,
  type KnownPoint,
  type Residual,
} from '@ample/core/photo';
import { strokeOf, type Lines, type TypedPoint } from '@ample/core/tracing';
import type { Refusal } from '@ample/core/units';
import { askPicture } from '../workers/pictureClient.ts';
import { pickStroke, sheetOf, takeLines, useBring } from './bring.ts';

/** What lies beside the piece, whose size is known, mm. */
export const SHEETS = [
  { id: 'a4', name: 'a sheet of A4', width: 210, height: 297 },
  { id: 'letter', name: 'a sheet of Letter', width: 215.9, height: 279.4 },
  { id: 'grid', name: 'four crossings of the mat’s grid', width: 300, height: 400 },
] as const;
/** Or the page of the file itself, where the picture is one. */
export type SheetId = (typeof SHEETS)[number]['id'] | 'page';

interface Picture {
  readonly name: string;
  readonly busy: boolean;
  readonly failed: Refusal | null;
  readonly grey: Grey | null;
  /** Address of the picture as it is shown. */
  readonly url: string | null;
  readonly sheet: SheetId;
  /** Size of the rectangle between the four marks, mm. */
  readonly known: { readonly width: number; readonly height: number };
  /** The page of a PDF it is, and of how many; null for a picture of its own. */
  readonly page: { readonly file: File; readonly number: number; readonly of: number } | null;
  /** Corners of what is known, clockwise from the upper left, pixels. */
  readonly marks: readonly Point[];
  readonly flat: Flat | null;
  readonly residual: Residual | null;
  readonly clicks: readonly TypedPoint[];
  /** The next place clicked is on a curve. */
  readonly curve: boolean;
}
const EMPTY: Picture = {
  name: '',
  busy: false,
  failed: null,
  grey: null,
  url: null,
  sheet: 'a4',
  known: { width: 210, height: 297 },
  page: null,
  marks: [],
  flat: null,
  residual: null,
  clicks: [],
  curve: false,
};
/** The picture a piece is traced from; kept while the app is open. */
export const usePicture = create<Picture>()(() => EMPTY);
const set = usePicture.setState;

const shown = (jpeg: Uint8Array<ArrayBuffer>): string => {
  const before = usePicture.getState().url;
  if (before) URL.revokeObjectURL(before);
  return URL.createObjectURL(new Blob([jpeg], { type: 'image/jpeg' }));
};

async function take(asked: ReturnType<typeof askPicture>, name: string): Promise<void> {
  set({ busy: true, failed: null });
  const reply = await asked;
  if (!reply.ok) return set({ busy: false, failed: reply.error });
  const { sheet, known } = usePicture.getState();
  set({ ...EMPTY, sheet, known, name, grey: reply.value.grey, url: shown(reply.value.jpeg) });
}
/**
 * A page of a PDF that holds pictures only. The page's own size is known, so its corners are marked already; they can
 * be taken away to mark something else in it.
 */
export async function openPage(file: File, number: number): Promise<void> {
  set({ busy: true, failed: null });
  const reply = await askPicture({ kind: 'page', file, page: number });
  if (!reply.ok) return set({ busy: false, failed: reply.error });
  const { grey, jpeg, page } = reply.value;
  if (!page) return set({ busy: false });
  const [w, h] = [grey.width, grey.height];
  set({
    ...EMPTY,
    name: file.name,
    grey,
    url: shown(jpeg),
    sheet: 'page',
    known: { width: page.width, height: page.height },
    page: { file, number, of: page.of },
    marks: [
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: h },
      { x: 0, y: h },
    ],
  });
}
export const openPicture = (file: File): Promise<void> => take(askPicture({ kind: 'open', file }), file.name);
/** A picture from the stand-in: the camera leans over the table, the scanner looks straight down. */
export const standInPicture = (outline: Path, scanner: boolean, name: string): Promise<void> => {
  set({ sheet: 'a4', known: { width: 210, height: 297 } });
  return take(askPicture({ kind: 'standIn', outline, camera: scanner ? SCANNER : USUAL_CAMERA }), name);
};

/** How near to the middle of the picture's width a mark is searched for around a click, pixels. */
const around = (grey: Grey): number => Math.max(6, Math.round(grey.width / 180));

/** A corner of what is known was clicked; it is found between pixels. */
export function markAt(p: Point): void {
  const { grey, marks } = usePicture.getState();
  if (!grey || marks.length >= 4) return;
  set({ marks: [...marks, cornerNear(grey, p, around(grey))], failed: null });
}
export const moveMark = (i: number, by: Point): void =>
  set((s) => ({ marks: s.marks.map((m, k) => (k === i ? { x: m.x + by.x, y: m.y + by.y } : m)) }));

export async function flatten(): Promise<void> {
  const { grey, marks, known } = usePicture.getState();
  if (!grey || marks.length < 4) return;
  const corners = [
    { x: 0, y: 0 },
    { x: known.width, y: 0 },
    { x: known.width, y: known.height },
    { x: 0, y: known.height },
  ];
  set({ busy: true, failed: null });
  const reply = await askPicture({
    kind: 'flat',
    grey,
    known: marks.map((seen, i): KnownPoint => ({ seen, true: corners[i] as Point })),
  });
  if (!reply.ok) return set({ busy: false, failed: reply.error });
  const { flat, residual, jpeg } = reply.value;
  set({ busy: false, flat: flat ?? null, residual: residual ?? null, url: shown(jpeg), clicks: [] });
}

/** A place of the outline was clicked: drawn to the edge that shows near it. */
export function placeAt(p: Point): void {
  const { flat, clicks, curve } = usePicture.getState();
  if (!flat) return;
  const on = curve ? (edgeNear(flat, p) ?? p) : p;
  set({ clicks: [...clicks, { ...on, curve }], failed: null });
}
export const dropLast = (): void => set((s) => ({ clicks: s.clicks.slice(0, -1) }));
export const putAway = (): void => {
  const { url } = usePicture.getState();
  if (url) URL.revokeObjectURL(url);
  set(EMPTY);
};

/** The outline as the edges in the picture have it, handed on to be made a piece. */
export function takeOutline(): void {
  const { flat, clicks, name } = usePicture.getState();
  if (!flat || clicks.length < 3) return set({ failed: { code: 'typed-too-few', data: { count: clicks.length } } });
  if (clicks.every((c) => c.curve)) return set({ failed: { code: 'typed-no-corner', data: {} } });
  drawOwn(traceOver(flat, clicks), 'picture', name, {
    width: flat.width / flat.perMm,
    height: flat.height / flat.perMm,
  });
}

/** An outline of one's own as a drawing of one line, picked at once. */
export function drawOwn(
  path: Path,
  source: Lines['source'],
  name: string,
  page: { readonly width: number; readonly height: number },
): void {
  takeLines(
    {
      source,
      strokes: [strokeOf(path)],
      letters: [],
      layers: [],
      styles: [{ id: 'own', color: null, width: 0.5, dash: [] }],
      pages: [page],
      unit: { name: 'mm', stated: true },
      repairs: [],
      pieces: [],
    },
    name,
  );
  const sheet = sheetOf(useBring.getState());
  const stroke = sheet?.strokes[0];
  if (stroke) pickStroke(stroke);
}
