import { boundsOf, flatten, type Box, type Path, type Point } from '../../geometry/index.ts';
import { expectOk, nth, pairs } from '../../units/index.ts';
import { findHomography, inverse, through, type Homography, type KnownPoint } from './homography.ts';
import type { Grey } from './image.ts';

/** What the stand-in camera is set to. Angles in degrees. */
export interface CameraSet {
  readonly width: number;
  readonly height: number;
  /** How far the camera leans over, and how it is turned about the line of sight. */
  readonly tilt: number;
  readonly turn: number;
  /** 0 to 1: how strong the shadow across the table, the creases of the tissue, and the noise of the picture are. */
  readonly shadow: number;
  readonly creases: number;
  readonly noise: number;
  readonly seed: number;
}
export const USUAL_CAMERA: CameraSet = {
  width: 1600,
  height: 1200,
  tilt: 22,
  turn: 4,
  shadow: 0.5,
  creases: 0.4,
  noise: 0.4,
  seed: 7,
};
export const SCANNER: CameraSet = { ...USUAL_CAMERA, tilt: 0, turn: 0.4, shadow: 0, creases: 0.15, noise: 0.15 };

export interface StandInPhoto {
  readonly picture: Grey;
  /** Picture to mm: what rectifying has to find again. */
  readonly truth: Homography;
  /** Corners of the sheet that lies beside the piece, in the picture and in mm. */
  readonly marks: readonly KnownPoint[];
}

/** A small generator of numbers, the same for the same seed. */
function numbers(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** How much of each pixel of a row a polygon covers, by eight lines through the row; adds to `cover`. */
function coverRow(polygon: readonly Point[], y: number, cover: Float32Array): void {
  cover.fill(0);
  const lines = 8;
  for (let k = 0; k < lines; k++) {
    const at = y + (k + 0.5) / lines;
    const xs: number[] = [];
    for (const [a, b] of pairs(polygon, true)) {
      if (a.y > at !== b.y > at) xs.push(a.x + ((at - a.y) * (b.x - a.x)) / (b.y - a.y));
    }
    xs.sort((p, q) => p - q);
    for (let i = 0; i + 1 < xs.length; i += 2) {
      const from = Math.max(0, nth(xs, i));
      const to = Math.min(cover.length, nth(xs, i + 1));
      for (let x = Math.floor(from); x < Math.ceil(to); x++)
        cover[x] = (cover[x] as number) + Math.max(0, Math.min(to, x + 1) - Math.max(from, x)) / lines;
    }
  }
}

/** What else lies on the table, and how much of it the camera sees; each has a default. */
export interface Scene {
  /** Crosses drawn on the paper, by which pictures are joined. */
  readonly crosses?: readonly Point[];
  /** Upper left corner of the sheet of known size. */
  readonly sheetAt?: Point;
  readonly view?: Box;
}
/** Half the length of a drawn cross, and half the width of its line, mm. */
const CROSS = { reach: 8, half: 0.6 } as const;

/** The sheet of known size that lies beside the piece, mm: A4. */
export const STAND_IN_SHEET = { width: 210, height: 297 } as const;
const GRID = 50;

/**
 * A believable photo of a paper piece on a cutting mat beside a sheet of A4, taken from a lean: perspective, a shadow
 * across the table, creases in the tissue, noise. For trying the whole path without a camera, and for tests: the same
 * seed gives the same picture. The piece is given by its cutting line, mm.
 */
export function takePhoto(outline: Path, set: CameraSet = USUAL_CAMERA, scene: Scene = {}): StandInPhoto {
  const ring = flatten(outline, 0.05);
  const [minX, maxX] = [Math.min(...ring.map((p) => p.x)), Math.max(...ring.map((p) => p.x))];
  const [minY, maxY] = [Math.min(...ring.map((p) => p.y)), Math.max(...ring.map((p) => p.y))];
  const sheetAt = scene.sheetAt ?? { x: maxX + 25, y: minY };
  const { width: sw, height: sh } = STAND_IN_SHEET;
  const view = scene.view ?? {
    minX: minX - 30,
    minY: minY - 30,
    maxX: sheetAt.x + sw + 30,
    maxY: Math.max(maxY, sheetAt.y + sh) + 30,
  };
  const truth = cameraOf(view, set);
  const seen = inverse(truth);
  const toPicture = (p: Point): Point => through(seen, p);
  const piece = ring.map(toPicture);
  const sheetCorners = [
    sheetAt,
    { x: sheetAt.x + sw, y: sheetAt.y },
    { x: sheetAt.x + sw, y: sheetAt.y + sh },
    { x: sheetAt.x, y: sheetAt.y + sh },
  ];
  const sheet = sheetCorners.map(toPicture);
  const random = numbers(set.seed);
  const { width, height } = set;
  const data = new Uint8ClampedArray(width * height);
  const [onPiece, onSheet] = [new Float32Array(width), new Float32Array(width)];
  const phase = random() * 6;
  for (let y = 0; y < height; y++) {
    coverRow(piece, y, onPiece);
    coverRow(sheet, y, onSheet);
    for (let x = 0; x < width; x++) {
      const p = through(truth, { x: x + 0.5, y: y + 0.5 });
      const grid = Math.min(near(p.x, GRID), near(p.y, GRID)) < 0.5 ? 26 : 0;
      const mat = 62 + grid;
      const crease =
        set.creases * 14 * Math.sin(p.x / 31 + phase + 1.7 * Math.sin(p.y / 83)) * Math.sin(p.y / 57 + p.x / 140);
      const paper = 214 + crease;
      const [a, b] = [onPiece[x] as number, onSheet[x] as number];
      let shade = mat * (1 - a) * (1 - b) + paper * a * (1 - b) + 244 * b;
      if (a > 0 && scene.crosses?.some((c) => onCross(c, p))) shade = 40;
      // A hand's soft shadow lies across one side; the lamp stands at the other.
      const across = (x / width - 0.35 + 0.25 * (y / height)) * 5;
      shade *= 1 - set.shadow * 0.38 * (1 / (1 + Math.exp(-across)));
      shade += (random() + random() + random() - 1.5) * 16 * set.noise;
      data[y * width + x] = shade;
    }
  }
  return {
    picture: { width, height, data },
    truth,
    marks: sheetCorners.map((t, i) => ({
      // A pixel's shade is that of its middle.
      seen: { x: nth(sheet, i).x - 0.5, y: nth(sheet, i).y - 0.5 },
      true: { x: t.x - sheetAt.x, y: t.y - sheetAt.y },
    })),
  };
}

/**
 * What a camera sees of a piece too long for one picture: its upper or its lower part with a strip of the other, three
 * crosses on the strip, and the sheet beside what it shows.
 */
export function partScene(outline: Path, part: 'upper' | 'lower'): Scene {
  const ring = flatten(outline, 1);
  const box = boundsOf(ring);
  const middle = (box.minY + box.maxY) / 2;
  const crosses = [
    [0.3, -30],
    [0.7, -10],
    [0.45, 40],
  ].map(([share = 0, down = 0]) => {
    const y = middle + down;
    const xs = pairs(ring, true).flatMap(([a, b]) =>
      a.y > y === b.y > y ? [] : [a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y)],
    );
    const [from, to] = [Math.min(...xs), Math.max(...xs)];
    return { x: from + share * (to - from), y };
  });
  const sheetAt = { x: box.maxX + 25, y: part === 'upper' ? box.minY : box.maxY - STAND_IN_SHEET.height };
  const [minY, maxY] = part === 'upper' ? [box.minY - 30, middle + 90] : [middle - 90, box.maxY + 30];
  const view = {
    minX: box.minX - 30,
    maxX: sheetAt.x + STAND_IN_SHEET.width + 30,
    minY: Math.min(minY, sheetAt.y - 30),
    maxY: Math.max(maxY, sheetAt.y + STAND_IN_SHEET.height + 30),
  };
  return { crosses, sheetAt, view };
}

const onCross = (c: Point, p: Point): boolean => {
  const [x, y] = [Math.abs(p.x - c.x), Math.abs(p.y - c.y)];
  return Math.min(x, y) < CROSS.half && Math.max(x, y) < CROSS.reach;
};
const near = (v: number, step: number): number => Math.abs(v - Math.round(v / step) * step);

/** The perspective of a leaning camera that just sees a rectangle, picture to mm. */
function cameraOf(
  view: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number },
  set: CameraSet,
): Homography {
  const c = { x: (view.minX + view.maxX) / 2, y: (view.minY + view.maxY) / 2 };
  const [tilt, turn] = [(set.tilt * Math.PI) / 180, (set.turn * Math.PI) / 180];
  const far = 2.2 * Math.max(view.maxX - view.minX, view.maxY - view.minY);
  const seen = (p: Point): Point => {
    const [x, y] = [p.x - c.x, p.y - c.y];
    const [u, v] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
    const depth = far - v * Math.sin(tilt);
    return { x: (u * far) / depth, y: (v * Math.cos(tilt) * far) / depth };
  };
  const corners = [
    { x: view.minX, y: view.minY },
    { x: view.maxX, y: view.minY },
    { x: view.maxX, y: view.maxY },
    { x: view.minX, y: view.maxY },
  ];
  const flat = corners.map(seen);
  const [minX, maxX] = [Math.min(...flat.map((p) => p.x)), Math.max(...flat.map((p) => p.x))];
  const [minY, maxY] = [Math.min(...flat.map((p) => p.y)), Math.max(...flat.map((p) => p.y))];
  const k = Math.min(set.width / (maxX - minX), set.height / (maxY - minY));
  const known = corners.map((t, i): KnownPoint => ({
    seen: {
      x: (nth(flat, i).x - minX) * k + (set.width - (maxX - minX) * k) / 2,
      y: (nth(flat, i).y - minY) * k + (set.height - (maxY - minY) * k) / 2,
    },
    true: t,
  }));
  return expectOk(findHomography(known), 'stand-in camera');
}
