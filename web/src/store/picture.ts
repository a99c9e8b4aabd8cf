import { create } from 'zustand';
import type { Path, Point } from '@ample/core/geometry';
import {
  cornerNear,
  edgeNear,
  SCANNER,
  USUAL_CAMERA,
  type Flat,
  type Grey,
  type Joint,
  type KnownPoint,
  type Residual,
  type Scene,
} from '@ample/core/in/photo';
import type { Place, PlaceKind } from '@ample/core/in/tracing';
import type { Refusal } from '@ample/core/units';
import { askPicture } from '../workers/pictureClient.ts';
import { freshId } from '../lib/ids.ts';
import { nth } from '@ample/core/units';

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
  /** Which picture laid flat it is: pieces are drawn on one. */
  readonly flatId: string;
  readonly clicks: readonly Place[];
  /** What the next place clicked is. */
  readonly kind: PlaceKind;
  /** Clicks now set marks that the next picture shows too, mm in the picture laid flat. */
  readonly sharing: boolean;
  readonly shared: readonly Point[];
  /** The picture before, with the marks set on it, while the next is opened and laid flat. */
  readonly base: {
    readonly flat: Flat;
    readonly flatId: string;
    readonly url: string;
    readonly marks: readonly Point[];
    readonly clicks: readonly Place[];
  } | null;
  /** How well the last two pictures were joined. */
  readonly joint: Joint | null;
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
  flatId: '',
  clicks: [],
  kind: 'corner',
  sharing: false,
  shared: [],
  base: null,
  joint: null,
};
/** The picture a piece is traced from; kept while the app is open. */
export const usePicture = create<Picture>()(() => EMPTY);
const set = usePicture.setState;

/** The address of a picture to be shown instead of the one that is. */
export const shown = (jpeg: Uint8Array<ArrayBuffer>): string => {
  const before = usePicture.getState().url;
  if (before) URL.revokeObjectURL(before);
  return URL.createObjectURL(new Blob([jpeg], { type: 'image/jpeg' }));
};

async function take(asked: ReturnType<typeof askPicture>, name: string): Promise<void> {
  set({ busy: true, failed: null });
  const reply = await asked;
  if (!reply.ok) return set({ busy: false, failed: reply.error });
  const { sheet, known, base } = usePicture.getState();
  set({ ...EMPTY, sheet, known, base, name, grey: reply.value.grey, url: shown(reply.value.jpeg) });
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
    base: usePicture.getState().base,
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
export const standInPicture = (outline: Path, scanner: boolean, name: string, scene: Scene): Promise<void> => {
  set({ sheet: 'a4', known: { width: 210, height: 297 } });
  return take(askPicture({ kind: 'standIn', outline, camera: scanner ? SCANNER : USUAL_CAMERA, scene }), name);
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
    known: marks.map((seen, i): KnownPoint => ({ seen, true: nth(corners, i) })),
  });
  if (!reply.ok) return set({ busy: false, failed: reply.error });
  const { flat, residual, jpeg } = reply.value;
  set({
    busy: false,
    flat: flat ?? null,
    flatId: freshId('f', 8),
    residual: residual ?? null,
    url: shown(jpeg),
    clicks: [],
    // Of a next picture the marks are asked for first.
    sharing: usePicture.getState().base !== null,
  });
}

/** A place was clicked: one of a curve is drawn to the edge that shows near it, the others stay where they are. */
export function placeAt(p: Point): void {
  const { flat, clicks, kind } = usePicture.getState();
  if (!flat) return;
  const on = kind === 'curve' ? (edgeNear(flat, p) ?? p) : p;
  // After a dart's tip its two legs are meant, and then a tip again.
  const second = kind === 'dartLeg' && clicks.at(-1)?.kind === 'dartLeg';
  const next = kind === 'dartTip' ? 'dartLeg' : second ? 'dartTip' : kind;
  set({ clicks: [...clicks, { ...on, kind }], kind: next, failed: null });
}
export const dropLast = (): void => set((s) => ({ clicks: s.clicks.slice(0, -1) }));
export const putAway = (): void => {
  const { url, base } = usePicture.getState();
  for (const u of [url, base?.url]) if (u) URL.revokeObjectURL(u);
  set(EMPTY);
};
