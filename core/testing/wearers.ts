import { wearerSchema, type Wearer } from '../documents/index.ts';
import type { MeasurementKey } from '../pattern/index.ts';

/** Measurements of a body, mm: one reading or two. */
export type Readings = Readonly<Partial<Record<MeasurementKey, number | readonly number[]>>>;

const lists = (readings: Readings) =>
  Object.fromEntries(Object.entries(readings).map(([k, v]) => [k, typeof v === 'number' ? [v] : v]));

/** A wearer with one set of measurements, and what was taken on the right as well. */
export const wearerWith = (readings: Readings, right: Readings = {}): Wearer =>
  wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: 'w',
    name: 'W',
    sets: [
      {
        id: 's',
        date: '2026-10-01',
        readings: lists(readings),
        right: lists(right),
      },
    ],
  });
