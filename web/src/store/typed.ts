import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { parseLength, type LengthUnit } from '@ample/core/units';
import type { Place, PlaceKind } from '@ample/core/in/tracing';

/** A place as it was typed: kept as text, so that nothing half typed is lost. */
export interface TypedRow {
  readonly x: string;
  readonly y: string;
  readonly kind: PlaceKind;
}
export interface Typed {
  readonly rows: readonly TypedRow[];
  readonly unit: LengthUnit;
  /** The corner of the mat its numbers count from. */
  readonly from: 'lowerLeft' | 'upperLeft';
}
/** The table of mat coordinates; kept in the browser until it is cleared. */
export const useTyped = create<Typed>()(
  persist((): Typed => ({ rows: [], unit: 'cm', from: 'lowerLeft' }), { name: 'ample-draft.mat' }),
);

export interface ReadRow extends Place {
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
      kind: r.kind,
      row,
    });
  });
  return { read, wrong };
}
