import type { Shown } from '@ample/core/drape';

/** What the cloth is coloured by. */
export const MAPS = ['cloth', 'pull', 'standOff'] as const;
export type Colouring = (typeof MAPS)[number];

/** The scale of a map: where it ends, and how a number of it is said. Light to dark, so that it can be read without colour. */
export const SCALES = {
  pull: { most: 1, steps: [0, 0.25, 0.5, 0.75, 1], unit: '%' },
  /** As far as distances are kept. */
  standOff: { most: 20, steps: [0, 5, 10, 15, 20], unit: 'mm' },
} as const;

type Rgb = readonly [number, number, number];
const LIGHT: Rgb = [0.96, 0.92, 0.83];
const DARK: Record<'pull' | 'standOff', Rgb> = { pull: [0.5, 0.07, 0.07], standOff: [0.06, 0.2, 0.32] };

/** From light to dark along a scale, each 0 to 1. */
export function shadeOf(map: 'pull' | 'standOff', value: number): Rgb {
  const t = Math.min(1, Math.max(0, value / SCALES[map].most));
  return [0, 1, 2].map((d) => LIGHT[d]! + t * (DARK[map][d]! - LIGHT[d]!)) as unknown as Rgb;
}
export const cssOf = (rgb: Rgb): string => `rgb(${rgb.map((c) => Math.round(255 * c)).join(' ')})`;

/** A colour for every point of the cloth. */
export function coloursOf(shown: Shown, map: Colouring): Float32Array {
  const count = shown.pull.length;
  const out = new Float32Array(3 * count);
  for (let i = 0; i < count; i++) out.set(map === 'cloth' ? LIGHT : shadeOf(map, shown[map][i]!), 3 * i);
  return out;
}
