import { CLOTHS, type ClothId } from '../cloth/index.ts';
import { READINGS, type ReadingId, type Readings } from './readings.ts';

export type ReadingUnit = '%' | 'mm' | '°';

/** A reading beside the one on the body the pattern was drafted for. */
export interface Reading {
  readonly id: ReadingId;
  readonly unit: ReadingUnit;
  readonly value: number;
  /** The same pattern, as drafted, on the chart’s body in the same size. */
  readonly control: number;
  /** How far it lies off that. Hems are compared by how level they hang: bodies differ in height. */
  readonly off: number;
  /** From here on it shows. */
  readonly threshold: number;
}

/** From which difference to the drafted body on a reading shows in cloth. */
const THRESHOLDS: Readonly<Record<ReadingId, { readonly unit: ReadingUnit; readonly from: number }>> = {
  'pull-bust': { unit: '%', from: 0.2 },
  'pull-waist': { unit: '%', from: 0.3 },
  'pull-hip': { unit: '%', from: 0.2 },
  'pull-cross-back': { unit: '%', from: 0.25 },
  'ease-cross-front': { unit: 'mm', from: 10 },
  'ease-cross-back': { unit: 'mm', from: 10 },
  'ease-bust': { unit: 'mm', from: 30 },
  'ease-waist': { unit: 'mm', from: 30 },
  'ease-hip': { unit: 'mm', from: 30 },
  'pull-upper-arm': { unit: '%', from: 0.3 },
  'ease-upper-arm': { unit: 'mm', from: 15 },
  'pull-seat': { unit: '%', from: 0.3 },
  'pull-crotch': { unit: '%', from: 0.3 },
  'crotch-drop': { unit: 'mm', from: 20 },
  'pull-thigh': { unit: '%', from: 0.3 },
  'ease-thigh': { unit: 'mm', from: 30 },
  'ease-knee': { unit: 'mm', from: 30 },
  'stand-off-neck': { unit: 'mm', from: 5 },
  'stand-off-armhole': { unit: 'mm', from: 10 },
  'surplus-back-waist': { unit: 'mm', from: 12 },
  'surplus-over-bust': { unit: 'mm', from: 30 },
  'waist-seam-front': { unit: 'mm', from: 12 },
  'waist-seam-side': { unit: 'mm', from: 12 },
  'waist-seam-back': { unit: 'mm', from: 12 },
  'hem-front': { unit: 'mm', from: 8 },
  'hem-side': { unit: 'mm', from: 8 },
  'hem-back': { unit: 'mm', from: 8 },
  'shoulder-end': { unit: 'mm', from: 8 },
  'side-seam-lean': { unit: '°', from: 3 },
  'neck-rise-back': { unit: 'mm', from: 10 },
};

/** Whether a reading shows in cloth. */
export const shows = ({ off, threshold }: Pick<Reading, 'off' | 'threshold'>): boolean => Math.abs(off) >= threshold;

/** Arms held up pull at chest and back by themselves, more or less as the cap lies: with sleeves a pull there counts from twice as much. */
const WITH_ARMS: readonly ReadingId[] = ['pull-bust', 'pull-cross-back'];

const HEMS: readonly ReadingId[] = ['hem-front', 'hem-side', 'hem-back'];

/** The middle of the hem, from which each place of it is told. */
const hemOf = (readings: Readings): number => {
  const heights = HEMS.flatMap((id) => readings[id] ?? []);
  return heights.reduce((sum, h) => sum + h, 0) / (heights.length || 1);
};

/** The same force draws softer cloth farther before anyone sees it: so many times as far as calico. */
function givesWay(cloth: ClothId): number {
  const stiff = (id: ClothId): number => CLOTHS[id].along + CLOTHS[id].across;
  return Math.max(1, stiff('calico') / stiff(cloth));
}

/** Readings beside those of the drafted body, in their order; what either has not is left out. */
export function compared(readings: Readings, control: Readings, cloth: ClothId = 'calico'): readonly Reading[] {
  const sleeved = readings['ease-upper-arm'] !== null;
  const [hem, usual] = [hemOf(readings), hemOf(control)];
  return READINGS.flatMap((id): readonly Reading[] => {
    const [value, was] = [readings[id], control[id]];
    if (value === null || was === null) return [];
    const off = HEMS.includes(id) ? value - hem - (was - usual) : value - was;
    const { unit, from } = THRESHOLDS[id];
    const threshold = from * (sleeved && WITH_ARMS.includes(id) ? 2 : 1) * (unit === '%' ? givesWay(cloth) : 1);
    return [{ id, unit, value, control: was, off, threshold }];
  });
}
