import type { Path, Point } from '../../geometry/index.ts';
import { COLOURS } from '../colours.ts';

/** The part of the PDF library used here; the caller passes its constructor in, so core imports none. */
export interface PdfDoc {
  addPage(options: { size: [number, number]; margin: number }): PdfDoc;
  save(): PdfDoc;
  restore(): PdfDoc;
  translate(x: number, y: number): PdfDoc;
  rotate(degrees: number, options: { origin: [number, number] }): PdfDoc;
  moveTo(x: number, y: number): PdfDoc;
  lineTo(x: number, y: number): PdfDoc;
  bezierCurveTo(a: number, b: number, c: number, d: number, x: number, y: number): PdfDoc;
  closePath(): PdfDoc;
  rect(x: number, y: number, w: number, h: number): PdfDoc;
  circle(x: number, y: number, r: number): PdfDoc;
  clip(): PdfDoc;
  stroke(): PdfDoc;
  fill(color?: string): PdfDoc;
  fillAndStroke(fill: string, stroke: string): PdfDoc;
  heightOfString(text: string, options: { width: number }): number;
  lineWidth(w: number): PdfDoc;
  dash(length: number, options?: { space?: number }): PdfDoc;
  undash(): PdfDoc;
  strokeColor(color: string): PdfDoc;
  fillColor(color: string): PdfDoc;
  registerFont(name: string, source: Uint8Array | ArrayBuffer): PdfDoc;
  font(name: string): PdfDoc;
  fontSize(size: number): PdfDoc;
  text(
    text: string,
    x: number,
    y: number,
    options?: { width?: number; height?: number; align?: string; lineBreak?: boolean; lineGap?: number },
  ): PdfDoc;
  /** A JPEG file, as it is. */
  image(file: ArrayBuffer, x: number, y: number, options: { width: number; height: number }): PdfDoc;
  on(event: 'data' | 'end', listener: (chunk: Uint8Array) => void): unknown;
  end(): void;
  /** Puts raw drawing operators into the page. */
  addContent(text: string): PdfDoc;
  /** A new object of the file; its data may refer to others. */
  ref(data: Record<string, unknown>): PdfRef;
  readonly page: { readonly resources: { readonly data: Record<string, unknown> } };
  /** The catalog of the file. */
  readonly _root: { readonly data: Record<string, unknown> };
}
export interface PdfRef {
  end(): void;
}
export type PdfConstructor = new (options: {
  autoFirstPage: boolean;
  /** Null: no built-in font is wanted, the page's own are registered. */
  font: null;
  pdfVersion: string;
  compress: boolean;
  info: Record<string, string | Date>;
}) => unknown;

export const INK = COLOURS.ink;
export const BLUE = COLOURS.carbon;
export const GREY = COLOURS.grey;

/** PDF counts in points of 1/72 inch: exact. */
export const POINT = 72 / 25.4;

/** Draws in millimetres on a PDF page. */
export class MmCanvas {
  constructor(readonly doc: PdfDoc) {}

  /** A JPEG file, its upper left corner there. */
  picture(jpeg: Uint8Array, { x, y }: Point, width: number, height: number): this {
    const file = jpeg.slice().buffer;
    this.doc.image(file, x * POINT, y * POINT, { width: width * POINT, height: height * POINT });
    return this;
  }

  path(path: Path, closed = false): this {
    this.doc.moveTo(path.start.x * POINT, path.start.y * POINT);
    for (const g of path.segments) {
      if (g.kind === 'line') this.doc.lineTo(g.to.x * POINT, g.to.y * POINT);
      else
        this.doc.bezierCurveTo(
          g.c1.x * POINT,
          g.c1.y * POINT,
          g.c2.x * POINT,
          g.c2.y * POINT,
          g.to.x * POINT,
          g.to.y * POINT,
        );
    }
    if (closed) this.doc.closePath();
    return this;
  }
  line(a: Point, b: Point): this {
    this.doc.moveTo(a.x * POINT, a.y * POINT).lineTo(b.x * POINT, b.y * POINT);
    return this;
  }
  rect(x: number, y: number, w: number, h: number): this {
    this.doc.rect(x * POINT, y * POINT, w * POINT, h * POINT);
    return this;
  }
  circle(at: Point, r: number): this {
    this.doc.circle(at.x * POINT, at.y * POINT, r * POINT);
    return this;
  }
  stroke(color: string, width: number, dash: readonly number[] = []): this {
    this.doc.lineWidth(width * POINT).strokeColor(color);
    const [on, off] = dash;
    if (on !== undefined && off !== undefined) this.doc.dash(on * POINT, { space: off * POINT });
    this.doc.stroke();
    if (off !== undefined) this.doc.undash();
    return this;
  }
  fillAndStroke(fill: string, color: string, width: number): this {
    this.doc.lineWidth(width * POINT).fillAndStroke(fill, color);
    return this;
  }
  /** Height of a text set in lines of a width, mm. */
  height(text: string, size: number, width: number): number {
    this.doc.font('text').fontSize(size * POINT);
    return this.doc.heightOfString(text, { width: width * POINT }) / POINT;
  }
  text(
    text: string,
    x: number,
    y: number,
    size: number,
    options: { width?: number; bold?: boolean; color?: string; align?: string } = {},
  ): this {
    this.doc
      .font(options.bold ? 'bold' : 'text')
      .fontSize(size * POINT)
      .fillColor(options.color ?? COLOURS.ink);
    this.doc.text(text, x * POINT, y * POINT, {
      lineBreak: options.width !== undefined,
      // With a height the library never begins a page by itself: words of a piece may lie off this one.
      ...(options.width !== undefined ? { width: options.width * POINT, height: 1e6 } : {}),
      ...(options.align !== undefined ? { align: options.align } : {}),
    });
    return this;
  }
}
