import { clipPath, flatten, spansOf, type Box, type Path, type Point } from '../../geometry/index.ts';

/** How an independent program draws lines into a PDF: raw operators, millimetres with y down turned into points with y up. */
export interface Pen {
  /** Curves as they are, as chords so long (mm), or as filled slivers so wide (mm). */
  readonly curves: 'bezier' | { readonly chord: number } | { readonly sliver: number };
  /** Outlines in bits with such gaps between them, mm; null in one go. */
  readonly gap: number | null;
}

const PT = 72 / 25.4;
const num = (v: number): string => (Math.round(v * 1e4) / 1e4).toString();

/** From the sheet (mm, y down) to a page whose lower left corner lies at `origin`, points. */
export interface ToPage {
  /** What lies outside is cut off the line itself, on the sheet; null draws lines whole, for the page to clip. */
  readonly cut: Box | null;
  readonly left: number;
  readonly bottom: number;
  readonly scale: number;
}
export const at = (to: ToPage, p: Point): string =>
  `${num((p.x - to.left) * to.scale * PT)} ${num((to.bottom - p.y) * to.scale * PT)}`;

/** Points along a path no farther apart than a chord. */
function along(path: Path, chord: number): readonly Point[] {
  const fine = flatten(path, 0.002);
  const out: Point[] = [];
  let left = 0;
  fine.forEach((p, i) => {
    const before = fine[i - 1];
    if (!before) {
      out.push(p);
      return;
    }
    left += Math.hypot(p.x - before.x, p.y - before.y);
    if (left >= chord || i === fine.length - 1) {
      out.push(p);
      left = 0;
    }
  });
  return out;
}

const polylineOps = (to: ToPage, points: readonly Point[]): string =>
  points.map((p, i) => `${at(to, p)} ${i === 0 ? 'm' : 'l'}`).join('\n');

function bezierOps(to: ToPage, path: Path): string {
  const ops = [`${at(to, path.start)} m`];
  for (const s of spansOf(path))
    ops.push(s.kind === 'line' ? `${at(to, s.b)} l` : `${at(to, s.c1)} ${at(to, s.c2)} ${at(to, s.b)} c`);
  return ops.join('\n');
}

/** A line as a thin filled shape: out along one rim and back along the other. */
function sliverOps(to: ToPage, points: readonly Point[], width: number): string {
  const rim = (side: number): readonly Point[] =>
    points.map((p, i) => {
      const a = points[Math.max(0, i - 1)] as Point;
      const b = points[Math.min(points.length - 1, i + 1)] as Point;
      const size = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      return { x: p.x + (side * (width / 2) * (b.y - a.y)) / size, y: p.y - (side * (width / 2) * (b.x - a.x)) / size };
    });
  return `${polylineOps(to, [...rim(1), ...[...rim(-1)].reverse()])}\nh f`;
}

/** One line, drawn by the pen. */
export function stroke(pen: Pen, to: ToPage, path: Path): string {
  if (to.cut)
    return clipPath(path, to.cut)
      .filter((part) => part.segments.length > 0)
      .map((part) => stroke(pen, { ...to, cut: null }, part))
      .join('\n');
  if (pen.curves === 'bezier' && pen.gap === null) return `${bezierOps(to, path)}\nS`;
  const points = along(path, typeof pen.curves === 'object' && 'chord' in pen.curves ? pen.curves.chord : 1);
  if (typeof pen.curves === 'object' && 'sliver' in pen.curves) return sliverOps(to, points, pen.curves.sliver);
  if (pen.gap === null) return `${polylineOps(to, points)}\nS`;
  return inBits(points, pen.gap)
    .map((bit) => `${polylineOps(to, bit)}\nS`)
    .join('\n');
}

/** A line parted into bits of 60 mm with gaps of just so much between them. */
function inBits(points: readonly Point[], gap: number): readonly (readonly Point[])[] {
  const bits: Point[][] = [[]];
  let drawing = true;
  let left = 60;
  points.forEach((p, i) => {
    let at = points[i - 1] ?? p;
    for (;;) {
      const rest = Math.hypot(p.x - at.x, p.y - at.y);
      if (rest <= left) {
        left -= rest;
        break;
      }
      at = { x: at.x + ((p.x - at.x) * left) / rest, y: at.y + ((p.y - at.y) * left) / rest };
      if (drawing) bits.at(-1)?.push(at);
      else bits.push([at]);
      drawing = !drawing;
      left = drawing ? 60 : gap;
    }
    if (drawing) bits.at(-1)?.push(p);
  });
  return bits.filter((b) => b.length > 1);
}

/** A word, set in a plain font of the page. */
export const word = (to: ToPage, p: Point, text: string, size = 5): string =>
  `BT /F1 ${num(size * to.scale * PT)} Tf ${at(to, p)} Td (${text.replace(/[\\()]/g, '\\$&')}) Tj ET`;
