import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { traceOver } from '@ample/core/in/photo';
import type { Path } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';
import {
  marksFrom,
  outlinePlaces,
  outlineThrough,
  sheetOfDrawn,
  type Marked,
  type Place,
  type TypedPoint,
} from '@ample/core/in/tracing';
import type { Refusal, Result } from '@ample/core/units';
import { PIECE_WORDS } from '@ample/core/words';
import { takeLines, useImport } from './import.ts';
import { readPieces } from './contact.ts';
import { usePicture } from './picture.ts';
import { readRows, useTyped } from './typed.ts';
import { freshId } from '../lib/ids.ts';
import { nth } from '@ample/core/units';

/** A piece drawn over a picture or read off a mat, that waits to be brought in with the others. */
export interface DrawnPiece {
  readonly id: string;
  readonly part: Piece['part'] | null;
  readonly outline: Path;
  readonly marked: Marked;
  /** Id of the picture it was drawn on; null for what was read off a mat. */
  readonly on: string | null;
}
interface Drawn {
  readonly pieces: readonly DrawnPiece[];
  /** The size they are all of, as it stands on the envelope. */
  readonly size: string;
}
/** Pieces drawn by hand; kept in the browser until they are taken out. */
export const useDrawn = create<Drawn>()(
  persist((): Drawn => ({ pieces: [], size: '' }), { name: 'ample-draft.drawn' }),
);

const change = (to: (pieces: readonly DrawnPiece[]) => readonly DrawnPiece[]): void => {
  useDrawn.setState((s) => ({ pieces: to(s.pieces) }));
};

function add(places: readonly Place[], outline: Result<Path>, on: string | null): Refusal | null {
  if (!outline.ok) return outline.error;
  const marked = marksFrom(places, outline.value);
  if (!marked.ok) return marked.error;
  const piece = { id: freshId('d', 8), part: null, outline: outline.value, marked: marked.value, on };
  change((all) => [...all, piece]);
  return null;
}

/** The outline clicked over the picture, moved onto the edges that show, with its marks. */
export function addFromPicture(): void {
  const { flat, flatId, clicks } = usePicture.getState();
  if (!flat) return;
  const around = outlinePlaces(clicks);
  // Refuses too few places, and what encloses nothing, before the edges are followed.
  const rough = outlineThrough(around);
  const failed = add(clicks, rough.ok ? { ok: true, value: traceOver(flat, around) } : rough, flatId);
  usePicture.setState(failed ? { failed } : { failed: null, clicks: [], kind: 'corner' });
}

/** The outline typed off the mat, with its marks; the table is cleared for the next piece. */
export function addFromMat(): Refusal | null {
  const { read, wrong } = readRows(useTyped.getState());
  if (wrong.length > 0) return { code: 'typed-wrong-row', data: { row: nth(wrong, 0) + 1 } };
  const around: readonly TypedPoint[] = outlinePlaces(read);
  const failed = add(read, outlineThrough(around), null);
  if (!failed) useTyped.setState({ rows: [] });
  return failed;
}

export const callDrawn = (id: string, part: Piece['part']): void =>
  change((all) => all.map((p) => (p.id === id ? { ...p, part } : p)));
export const takeOutDrawn = (id: string): void => change((all) => all.filter((p) => p.id !== id));

/** Lays all pieces drawn so far on the sheet and reads them like those of a file. */
export function bringDrawn(): void {
  const { pieces, size } = useDrawn.getState();
  if (pieces.length === 0) return;
  const lines = sheetOfDrawn(
    pieces.map((p) => ({
      outline: p.outline,
      marked: p.marked,
      says: [...(p.part ? [PIECE_WORDS[p.part]] : []), ...(size.trim() === '' ? [] : [`Size ${size.trim()}`])],
    })),
    pieces.some((p) => p.on !== null) ? 'picture' : 'mat',
  );
  takeLines(lines, 'Pieces drawn by hand');
  useImport.setState({ from: 'file' });
  void readPieces({}, true);
}
