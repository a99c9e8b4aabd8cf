import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { parseLength, type LengthUnit, type Refusal } from '@ample/core/units';
import { outlineThrough, type TypedPoint } from '@ample/core/tracing';
import { choose } from './bring.ts';
import { drawOwn } from './picture.ts';

export type RowKind = 'corner' | 'curve' | 'notch' | 'grain' | 'bustPoint';
/** A place as it was typed: kept as text, so that nothing half typed is lost. */
export interface TypedRow {
  readonly x: string;
  readonly y: string;
  readonly kind: RowKind;
}
interface Typed {
  readonly rows: readonly TypedRow[];
  readonly unit: LengthUnit;
  /** The corner of the mat its numbers count from. */
  readonly from: 'lowerLeft' | 'upperLeft';
}
/** The table of mat coordinates; kept in the browser until it is cleared. */
export const useTyped = create<Typed>()(
  persist((): Typed => ({ rows: [], unit: 'cm', from: 'lowerLeft' }), { name: 'ample-draft.mat' }),
);

export interface ReadRow extends TypedPoint {
  readonly kind: RowKind;
  /** Its place in the table, from 0. */
  readonly row: number;
}
/** The rows that read as places, in mm with y down; and those that do not, by their place. */
export function readRows({ rows, unit, from }: Typed): {
  readonly read: readonly ReadRow[];
  readonly wrong: readonly number[];
} {
  const read: ReadRow[] = [];
  const wrong: number[] = [];
  rows.forEach((r, row) => {
    if (r.x.trim() === '' && r.y.trim() === '') return;
    const [x, y] = [parseLength(r.x, unit), parseLength(r.y, unit)];
    if (!x.ok || !y.ok) return void wrong.push(row);
    read.push({
      x: x.value,
      y: from === 'lowerLeft' ? -y.value : y.value,
      curve: r.kind === 'curve',
      kind: r.kind,
      row,
    });
  });
  return { read, wrong };
}
export const onOutline = (r: ReadRow): boolean => r.kind === 'corner' || r.kind === 'curve';

/** Hands the outline on to be made a piece, with the notches, grain and bust point typed with it. */
export function takeTyped(): Refusal | null {
  const { read, wrong } = readRows(useTyped.getState());
  if (wrong.length > 0) return { code: 'typed-wrong-row', data: { row: (wrong[0] as number) + 1 } };
  const outline = outlineThrough(read.filter(onOutline));
  if (!outline.ok) return outline.error;
  const xs = read.map((r) => r.x);
  const ys = read.map((r) => r.y);
  drawOwn(outline.value, 'mat', 'Mat coordinates', {
    width: Math.max(...xs) - Math.min(...xs),
    height: Math.max(...ys) - Math.min(...ys),
  });
  const [from, to] = read.filter((r) => r.kind === 'grain');
  const bust = read.find((r) => r.kind === 'bustPoint');
  choose({
    ownNotches: read.filter((r) => r.kind === 'notch').map(({ x, y }) => ({ x, y })),
    grain: from && to ? { from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y } } : null,
    bustPoint: bust ? { x: bust.x, y: bust.y } : null,
  });
  return null;
}
