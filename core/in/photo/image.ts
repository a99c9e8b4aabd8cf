import type { Point } from '../../geometry/index.ts';
import { inverse, through, type Homography } from './homography.ts';

/** A picture in shades of grey, row by row, 0 black to 255 white. */
export interface Grey {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}
/** A picture laid flat: `perMm` pixels to the millimetre, its upper left corner at `origin` (mm). */
export interface Flat extends Grey {
  readonly perMm: number;
  readonly origin: Point;
}

/** Grey from red, green, blue and opacity, as the eye weighs them. */
export function greyOf(rgba: {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
}): Grey {
  const n = rgba.width * rgba.height;
  const data = new Uint8ClampedArray(n);
  for (let i = 0; i < n; i++)
    data[i] =
      0.299 * (rgba.data[4 * i] ?? 0) + 0.587 * (rgba.data[4 * i + 1] ?? 0) + 0.114 * (rgba.data[4 * i + 2] ?? 0);
  return { width: rgba.width, height: rgba.height, data };
}

/** The shade at a place between pixels; the border goes on outside. */
export function shadeAt(g: Grey, x: number, y: number): number {
  const cx = Math.min(g.width - 1.001, Math.max(0, x));
  const cy = Math.min(g.height - 1.001, Math.max(0, y));
  const [i, j] = [Math.floor(cx), Math.floor(cy)];
  const [u, v] = [cx - i, cy - j];
  const at = (a: number, b: number): number => g.data[b * g.width + a] ?? 0;
  return (
    at(i, j) * (1 - u) * (1 - v) + at(i + 1, j) * u * (1 - v) + at(i, j + 1) * (1 - u) * v + at(i + 1, j + 1) * u * v
  );
}

/** No more pixels than this in a picture laid flat. */
export const MOST_PIXELS = 16_000_000;
/** How far beyond the marks the picture is still believed, as a share of their spread. */
const BEYOND = 2.5;

/** The rectangle of true places that a picture shows, cut where perspective would carry it too far, mm. */
export function shownBy(
  h: Homography,
  size: { readonly width: number; readonly height: number },
  marks: readonly Point[],
): { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number } {
  const xs = marks.map((p) => p.x);
  const ys = marks.map((p) => p.y);
  const [w, t] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const limit = {
    minX: Math.min(...xs) - BEYOND * w,
    maxX: Math.max(...xs) + BEYOND * w,
    minY: Math.min(...ys) - BEYOND * t,
    maxY: Math.max(...ys) + BEYOND * t,
  };
  const corners = [
    { x: 0, y: 0 },
    { x: size.width, y: 0 },
    { x: size.width, y: size.height },
    { x: 0, y: size.height },
  ].map((p) => {
    // Beyond the horizon a place is as far as one goes.
    const w0 = h[6] * p.x + h[7] * p.y + h[8];
    const middle = h[6] * (size.width / 2) + h[7] * (size.height / 2) + h[8];
    return w0 * middle > 0 ? through(h, p) : null;
  });
  const known = corners.filter((c) => c !== null);
  const far = known.length < 4;
  return {
    minX: far ? limit.minX : Math.max(limit.minX, Math.min(...known.map((p) => p.x))),
    maxX: far ? limit.maxX : Math.min(limit.maxX, Math.max(...known.map((p) => p.x))),
    minY: far ? limit.minY : Math.max(limit.minY, Math.min(...known.map((p) => p.y))),
    maxY: far ? limit.maxY : Math.min(limit.maxY, Math.max(...known.map((p) => p.y))),
  };
}

/** Lays a picture flat by its perspective (picture to mm), as fine as the picture is or as memory allows. */
export function layFlat(picture: Grey, h: Homography, marks: readonly Point[], finest: number): Flat {
  const box = shownBy(h, picture, marks);
  const [w, t] = [Math.max(1, box.maxX - box.minX), Math.max(1, box.maxY - box.minY)];
  const perMm = Math.min(finest, Math.sqrt(MOST_PIXELS / (w * t)));
  const width = Math.max(2, Math.round(w * perMm));
  const height = Math.max(2, Math.round(t * perMm));
  const [a, b, c, d, e, f, g, k, l] = inverse(h);
  const data = new Uint8ClampedArray(width * height);
  const { width: across, height: down, data: from } = picture;
  // Written out without a point for each pixel: there are millions.
  for (let j = 0; j < height; j++) {
    const y = box.minY + j / perMm;
    for (let i = 0; i < width; i++) {
      const x = box.minX + i / perMm;
      const w0 = g * x + k * y + l;
      const u = (a * x + b * y + c) / w0;
      const v = (d * x + e * y + f) / w0;
      if (!(u >= 0 && v >= 0 && u < across - 1 && v < down - 1)) {
        data[j * width + i] = 255;
        continue;
      }
      const [m, n] = [u | 0, v | 0];
      const [p, q] = [u - m, v - n];
      const at = n * across + m;
      data[j * width + i] =
        ((from[at] as number) * (1 - p) + (from[at + 1] as number) * p) * (1 - q) +
        ((from[at + across] as number) * (1 - p) + (from[at + across + 1] as number) * p) * q;
    }
  }
  return { width, height, data, perMm, origin: { x: box.minX, y: box.minY } };
}
