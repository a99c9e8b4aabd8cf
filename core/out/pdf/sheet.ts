import type { Point } from '../../geometry/index.ts';
import type { Diagram, Pen } from '../diagram.ts';
import { PENS } from '../diagramSvg.ts';
import type { MmCanvas } from './canvas.ts';
import { COLOURS } from '../colours.ts';

/** A hand sheet already put into words. */
export interface PrintedSheet {
  readonly title: string;
  readonly amount: string;
  readonly stages: readonly {
    readonly heading: string;
    readonly lines: readonly string[];
    readonly diagrams: readonly Diagram[];
  }[];
  readonly checks: readonly string[];
  /** What to mind while doing it. */
  readonly cautions?: readonly string[];
}

const LEFT = 15;
const TOP = 14;
const PICTURE = { width: 62, height: 58 };

/** Prints a hand sheet over as many pages as it takes: words to the left, the drawing of each stage to the right. */
export function printSheet(
  c: MmCanvas,
  sheet: PrintedSheet,
  paper: { readonly width: number; readonly height: number },
  newPage: () => void,
): void {
  const text = paper.width - 2 * LEFT - PICTURE.width - 6;
  let y = TOP;
  const room = (height: number): void => {
    if (y + height <= paper.height - 14) return;
    newPage();
    y = TOP;
  };
  newPage();
  c.text(sheet.title, LEFT, y, 7, { bold: true });
  y += 10;
  if (sheet.amount) {
    c.text(sheet.amount, LEFT, y, 6);
    y += 9;
  }
  for (const caution of sheet.cautions ?? []) {
    const high = c.height(caution, 3.4, paper.width - 2 * LEFT - 4);
    c.line({ x: LEFT, y: y - 0.5 }, { x: LEFT, y: y + high - 0.5 }).stroke(COLOURS.brass, 0.8);
    c.text(caution, LEFT + 3, y, 3.4, { width: paper.width - 2 * LEFT - 4 });
    y += high + 1.2;
  }
  if (sheet.cautions?.length) y += 2;
  let number = 1;
  for (const stage of sheet.stages) {
    const lines = stage.lines.map((line) => `${number++}. ${line}`);
    const words = lines.reduce((sum, line) => sum + c.height(line, 4.2, text) + 2, 0);
    const height = Math.max(words + 8, stage.diagrams.length > 0 ? PICTURE.height + 4 : 0);
    room(height);
    c.line({ x: LEFT, y: y - 1.5 }, { x: paper.width - LEFT, y: y - 1.5 }).stroke(COLOURS.grey, 0.15);
    c.text(stage.heading, LEFT, y, 5, { bold: true });
    let at = y + 7.5;
    for (const line of lines) {
      c.text(line, LEFT, at, 4.2, { width: text });
      at += c.height(line, 4.2, text) + 2;
    }
    drawDiagrams(c, stage.diagrams, { x: paper.width - LEFT - PICTURE.width, y });
    y += height + 3;
  }
  if (sheet.checks.length === 0) return;
  const heights = sheet.checks.map((line) => c.height(line, 4.2, paper.width - 2 * LEFT - 6) + 2.5);
  room(Math.min(60, 8 + heights.reduce((sum, h) => sum + h, 0)));
  c.text('Check at the end', LEFT, y, 5, { bold: true });
  y += 7.5;
  sheet.checks.forEach((line, i) => {
    room(heights[i] ?? 0);
    c.rect(LEFT, y + 0.4, 3, 3).stroke(COLOURS.ink, 0.25);
    c.text(line, LEFT + 6, y, 4.2, { width: paper.width - 2 * LEFT - 6 });
    y += heights[i] ?? 0;
  });
}

/** Diagrams beside each other at one scale, within a box. */
export function drawDiagrams(c: MmCanvas, diagrams: readonly Diagram[], at: Point, into = PICTURE): void {
  if (diagrams.length === 0) return;
  const gap = 12;
  const width = diagrams.reduce((sum, d) => sum + d.box.maxX - d.box.minX + gap, -gap);
  const height = Math.max(...diagrams.map((d) => d.box.maxY - d.box.minY));
  const k = Math.min(into.width / width, into.height / height);
  let x = at.x + (into.width - width * k) / 2;
  for (const d of diagrams) {
    const place = (p: Point): Point => ({ x: x + (p.x - d.box.minX) * k, y: at.y + (p.y - d.box.minY) * k });
    drawShapes(c, d, place);
    x += (d.box.maxX - d.box.minX + gap) * k;
  }
}

/** Pens of the screen in a printer's line widths. */
const width = (pen: Pen): number => PENS[pen].width * 0.14;

function drawShapes(c: MmCanvas, d: Diagram, place: (p: Point) => Point): void {
  for (const s of d.shapes) {
    if (s.kind === 'line') {
      const pen = PENS[s.pen];
      const drawn = c.path(
        {
          start: place(s.path.start),
          segments: s.path.segments.map((g) =>
            g.kind === 'line'
              ? { kind: 'line', to: place(g.to) }
              : { kind: 'cubic', c1: place(g.c1), c2: place(g.c2), to: place(g.to) },
          ),
        },
        s.closed,
      );
      if (pen.fill !== 'none') drawn.fillAndStroke(pen.fill, pen.stroke, width(s.pen));
      else
        drawn.stroke(
          pen.stroke,
          width(s.pen),
          pen.dash.map((v) => v * 0.18),
        );
    } else if (s.kind === 'dimension') {
      const a = place(s.from);
      const b = place(s.to);
      const y = Math.max(a.y, b.y) + 2.5;
      c.line(a, { x: a.x, y }).stroke(COLOURS.ink, 0.15);
      c.line(b, { x: b.x, y }).stroke(COLOURS.ink, 0.15);
      c.line({ x: a.x, y }, { x: b.x, y }).stroke(COLOURS.ink, 0.2);
      c.text(s.text, Math.max(a.x, b.x) + 1, y - 1.6, 3.4);
    } else if (s.kind === 'label') {
      const p = place(s.at);
      c.circle(p, 1.7).fillAndStroke(COLOURS.white, COLOURS.pencil, 0.2);
      c.text(s.text, p.x - 0.8, p.y - 1.3, 2.8, { color: COLOURS.pencil });
    } else {
      const p = place(s.at);
      if (s.kind === 'pin') c.circle(p, 0.9).fillAndStroke(COLOURS.brass, COLOURS.brassDark, 0.15);
      else {
        c.line({ x: p.x - 1.4, y: p.y }, { x: p.x + 1.4, y: p.y }).stroke(COLOURS.pencil, 0.3);
        c.line({ x: p.x, y: p.y - 1.4 }, { x: p.x, y: p.y + 1.4 }).stroke(COLOURS.pencil, 0.3);
      }
    }
  }
}
