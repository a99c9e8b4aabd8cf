import { add, midpoint, polyline, roomiest, type Point } from '../../geometry/index.ts';
import { paperOutline, type Piece } from '../../pattern/index.ts';
import { arrowHeads, type PieceDrawing } from '../drawing.ts';
import type { Placed } from '../pages.ts';
import { BLUE, GREY, INK, POINT, type MmCanvas } from './canvas.ts';
import type { PdfInput, PdfLabel } from './input.ts';
import type { Layers } from './layers.ts';
import { nth } from '../../units/index.ts';
import { COLOURS } from '../colours.ts';
import { en } from '../../speech/index.ts';

const PAPER_ADDED = COLOURS.insert;
const CENTRE_DASH = [10, 2, 2, 2];
const FOLD_DASH = [6, 3];
/** Radius of a button mark, mm. */
const BUTTON = 5;

/** One piece, or one patch of it, where its page has been shifted to. */
export function drawPlaced(c: MmCanvas, { drawing }: Placed, input: PdfInput, layers: Layers): void {
  const { patch } = drawing;
  if (!patch) return drawLines(c, drawing, input, layers);
  c.doc.save();
  c.path(patch.edge, true);
  c.doc.clip();
  layers.on('patch', () => drawUntouched(c, patch.untouched));
  drawLines(c, drawing, { ...input, original: [] }, layers);
  c.doc.restore();
  layers.on('patch', () => {
    c.path(patch.edge, true).stroke(INK, 0.25, [6, 2, 1, 2]);
    patchLabel(c, drawing, input.label);
  });
}

function drawLines(c: MmCanvas, drawing: PieceDrawing, input: PdfInput, layers: Layers): void {
  const { piece, patch } = drawing;
  const before = input.original.find((p) => p.id === piece.id);
  const added = input.added?.[piece.id];
  if (added)
    layers.on('added', () => {
      for (const ring of added) c.path(polyline([...ring, nth(ring, 0)]), true);
      c.fillAndStroke(PAPER_ADDED, GREY, 0.15);
    });
  if (before) layers.on('original', () => void c.path(paperOutline(before), true).stroke(GREY, 0.2, [1, 1.2]));
  layers.on('cutting', () => void c.path(drawing.cutting, true).stroke(INK, 0.5));
  layers.on('seam', () => void c.path(drawing.seam, true).stroke(BLUE, 0.35, [4, 1.5]));
  layers.on('marks', () => drawMarks(c, drawing));
  layers.on('words', () => {
    if (!patch) pieceLabel(c, piece, drawing.bounds, input.label);
    foldWords(c, drawing);
  });
}

/** The tissue's own lines, by which a patch is laid: thin and dashed, in grey. */
function drawUntouched(c: MmCanvas, d: PieceDrawing): void {
  c.path(d.cutting, true).stroke(GREY, 0.2, [1, 1.2]);
  c.path(d.seam, true).stroke(GREY, 0.2, [1, 1.2]);
  for (const dart of d.darts) c.path(dart.legs).stroke(GREY, 0.2, [1, 1.2]);
}

function drawMarks(c: MmCanvas, drawing: PieceDrawing): void {
  for (const dart of drawing.darts) {
    c.path(dart.legs).stroke(BLUE, 0.35);
    c.path(dart.centre).stroke(BLUE, 0.2, [1.5, 1.5]);
    for (const tip of dart.tips) c.doc.circle(tip.x * POINT, tip.y * POINT, 0.8 * POINT).fill(BLUE);
  }
  for (const notch of drawing.notches) for (const [a, b] of notch.lines) c.line(a, b).stroke(INK, 0.4);
  for (const [a, b] of drawing.grain) {
    c.line(a, b).stroke(INK, 0.3);
    for (const [p, q] of arrowHeads(a, b)) c.line(p, q).stroke(INK, 0.3);
  }
  if (drawing.bustPoint) {
    const p = drawing.bustPoint;
    c.line(add(p, { x: -4, y: 0 }), add(p, { x: 4, y: 0 })).stroke(INK, 0.3);
    c.line(add(p, { x: 0, y: -4 }), add(p, { x: 0, y: 4 })).stroke(INK, 0.3);
  }
  if (drawing.centreLine) c.line(...drawing.centreLine).stroke(INK, 0.35, CENTRE_DASH);
  for (const [a, b] of drawing.folds) c.line(a, b).stroke(INK, 0.3, FOLD_DASH);
  for (const p of drawing.buttons) {
    c.doc.circle(p.x * POINT, p.y * POINT, BUTTON * POINT);
    c.stroke(INK, 0.3);
    c.line(add(p, { x: -BUTTON, y: 0 }), add(p, { x: BUTTON, y: 0 })).stroke(INK, 0.3);
  }
}

function foldWords(c: MmCanvas, drawing: PieceDrawing): void {
  const along = (line: readonly [Point, Point], words: string): void => {
    const m = midpoint(...line);
    c.doc.save();
    c.doc.rotate(-90, { origin: [(m.x + 6) * POINT, m.y * POINT] });
    c.text(words, m.x + 6, m.y - 4, 4, { color: INK });
    c.doc.restore();
  };
  if (drawing.foldLine) along(drawing.foldLine, 'place on the fold');
  if (drawing.centreLine) along(drawing.centreLine, drawing.piece.part === 'back' ? en`centre back` : en`centre front`);
  for (const fold of drawing.folds) along(fold, 'fold line');
}

function pieceLabel(
  c: MmCanvas,
  piece: Piece,
  box: { minX: number; maxX: number; minY: number; maxY: number },
  label: PdfLabel,
): void {
  // Beside the grain line of a piece on the fold, where the tissue is widest; elsewhere nearer the middle.
  const x = piece.fold !== null ? box.minX + 32 : box.minX + (box.maxX - box.minX) * 0.34;
  const y = box.minY + (box.maxY - box.minY) * 0.3;
  const cut = piece.fold !== null ? `cut ${piece.cut} on the fold` : `cut ${piece.cut}`;
  c.text(piece.name, x, y, 6, { bold: true, width: 90 });
  c.text(`${label.pattern}, size ${label.size} · ${cut}`, x, y + 9, 3.8, { width: 90 });
  c.text(`${label.wearer} · ${label.date}`, x, y + 15, 3.8, { width: 90 });
  const changed = label.changes[piece.id] ?? 'as drafted';
  c.text(changed, x, y + 21, 3.8, { width: 80 });
  let at = y + 21 + c.height(changed, 3.8, 80) + 1.5;
  // The pattern's own note on the piece, then what the sewist wrote for herself.
  for (const word of [piece.notes, label.words?.[piece.id] ?? '']) {
    if (word === '') continue;
    c.text(word, x, at, 3.8, { width: 80, bold: word !== piece.notes });
    at += c.height(word, 3.8, 80) + 1.5;
  }
}

/** Which piece and which patch, where the patch has most room for words. */
function patchLabel(c: MmCanvas, { piece, patch }: PieceDrawing, label: PdfLabel): void {
  if (!patch) return;
  const ring = [patch.edge.start, ...patch.edge.segments.map((g) => g.to)];
  const { at, room } = roomiest(ring);
  const size = Math.max(2.4, Math.min(4.2, room / 5));
  const width = Math.max(24, Math.min(80, room * 1.6));
  const which = patch.of > 1 ? `${piece.name}, patch ${patch.number} of ${patch.of}` : `${piece.name}, patch`;
  const lines = [`${label.pattern} ${label.size} · ${label.wearer}`, 'Lay the dashed lines on the tissue’s own.'];
  let y = at.y - size * 2.4;
  c.text(which, at.x - width / 2, y, size, { bold: true, width });
  y += c.height(which, size, width) + 0.6;
  for (const line of lines) {
    c.text(line, at.x - width / 2, y, size * 0.85, { width });
    y += c.height(line, size * 0.85, width) + 0.4;
  }
}
