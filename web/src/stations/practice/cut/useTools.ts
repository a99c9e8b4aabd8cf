import { useState } from 'react';
import { distance, insidePolygon, inverse, move, nearestOnPath, type Point } from '@ample/core/geometry';
import { bustPointOf, isInside, snapPlaces, type Piece } from '@ample/core/pattern';
import { lineMeant, moveBy, tapeDown, type CutSheet, type Laid, type Task } from '@ample/core/practice';
import type { Attempting } from './useAttempt.ts';
import type { Pen } from './usePen.ts';

export const TOOLS = ['line', 'bend', 'hinge', 'hand', 'tape', 'join', 'tip', 'true'] as const;
export type ToolId = (typeof TOOLS)[number];

/** Something under way: a tape being laid, a line or a seam followed by hand, or a panel in the hand. */
export type Doing =
  | { readonly kind: 'tape'; readonly piece: number; readonly from: Point; readonly to: Point }
  | {
      readonly kind: 'line' | 'bend' | 'seam';
      readonly piece: number;
      readonly course: readonly Point[];
      /** Where the crosshair has gone since, which is no place of it yet. */
      readonly ahead: Point | null;
    }
  | {
      readonly kind: 'hand';
      readonly piece: number;
      readonly panel: number;
      readonly grip: Point;
      readonly laid: Laid;
    };

/** How near a press is drawn to something, pixels. */
const NEAR = 12;

interface Setting {
  readonly task: Task;
  readonly work: Attempting;
  readonly tool: ToolId;
  /** Where each piece lies on the mat. */
  readonly at: Readonly<Record<string, Point>>;
  readonly k: number;
}

const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });

/** A place of a piece near a press: a notch, a corner, the bust point, an end or a bend of a line already drawn. */
function placeNear(piece: Piece, drawn: readonly Point[], p: Point, radius: number): Point {
  const bust = bustPointOf(piece);
  const places = [
    ...drawn,
    ...(bust ? [bust] : []),
    ...snapPlaces(piece)
      .filter((s) => s.kind !== 'third')
      .map((s) => s.at),
  ];
  const near = places.reduce<Point | null>((best, q) => (best && distance(best, p) <= distance(q, p) ? best : q), null);
  if (near && distance(near, p) < radius) return near;
  const on = piece.edges.map((e) => nearestOnPath(e.path, p)).sort((a, b) => a.distance - b.distance)[0];
  return on && on.distance < radius ? on.point : p;
}

/** The panel under a place, the uppermost first. */
export function panelUnder(sheet: CutSheet, laid: Laid, p: Point): number {
  return sheet.rings.findLastIndex((ring, i) => {
    const m = laid[i];
    return m !== undefined && insidePolygon(move(inverse(m), p), ring);
  });
}

/** What the chosen tool does on the mat. */
export function useTools({ task, work, tool, at, k }: Setting) {
  const [doing, setDoing] = useState<Doing | null>(null);
  const [measured, setMeasured] = useState<(Doing & { kind: 'tape' }) | null>(null);
  const [panel, setPanel] = useState<{ readonly piece: number; readonly panel: number } | null>(null);
  const radius = NEAR / k;
  const paper = task.right.map((w) => w.from);
  const on = (piece: number, p: Point): Point => minus(p, at[(paper[piece] as Piece).id] as Point);
  const pieceAt = (p: Point): number => {
    const inside = paper.findIndex((piece, i) => isInside(piece, on(i, p)));
    if (inside >= 0) return inside;
    const off = paper.map((piece, i) => Math.min(...piece.edges.map((e) => nearestOnPath(e.path, on(i, p)).distance)));
    return off.indexOf(Math.min(...off));
  };
  const drawnOn = (piece: number): readonly Point[] => (work.now.lines[piece] ?? []).flatMap((l) => l.points);
  const near = (piece: number, p: Point): Point =>
    placeNear(paper[piece] as Piece, drawnOn(piece), on(piece, p), radius);

  function press(p: Point): void {
    const piece = pieceAt(p);
    work.say(null);
    if (tool === 'tape') setDoing({ kind: 'tape', piece, from: on(piece, p), to: on(piece, p) });
    else if (tool === 'line' || tool === 'bend') setDoing({ kind: tool, piece, course: [near(piece, p)], ahead: null });
    else if (tool === 'hinge') toggleHinge(piece, on(piece, p));
    else if (tool === 'join') work.join(piece, on(piece, p));
    else if (tool === 'tip') work.drawTip(on(0, p));
    else if (tool === 'true') setDoing({ kind: 'seam', piece, course: [onSeam(piece, p)], ahead: null });
    else takeUp(p);
  }
  /** A place on the seam line of the taped paper, where a press is near it. */
  function onSeam(piece: number, p: Point): Point {
    const cut = work.now.cut[piece];
    const taped = cut && tapeDown(cut.sheet, cut.laid);
    return taped?.ok ? placeNear(taped.value.piece, [], on(piece, p), 2 * radius) : on(piece, p);
  }
  function toggleHinge(piece: number, p: Point): void {
    const ends = (work.now.lines[piece] ?? []).flatMap((l) => [
      { id: l.id, end: 'start' as const, at: l.points[0] as Point },
      { id: l.id, end: 'end' as const, at: l.points.at(-1) as Point },
    ]);
    const [nearest] = ends.sort((a, b) => distance(a.at, p) - distance(b.at, p));
    if (nearest && distance(nearest.at, p) < 2 * radius) work.hinge(piece, nearest.id, nearest.end);
  }
  function takeUp(p: Point): void {
    for (const [piece, cut] of work.now.cut.entries()) {
      if (!cut) continue;
      const found = panelUnder(cut.sheet, cut.laid, on(piece, p));
      const m = cut.laid[found];
      if (found < 0 || !m) continue;
      setPanel({ piece, panel: found });
      setDoing({ kind: 'hand', piece, panel: found, grip: move(inverse(m), on(piece, p)), laid: cut.laid });
      return;
    }
  }
  /** The paper in the hand pulled to a place: its panels there, or why it does not go. */
  const pulled = (held: Doing & { kind: 'hand' }, p: Point): Laid | null => {
    const cut = work.now.cut[held.piece];
    if (!cut) return null;
    const to = alongRuler(cut.sheet, held.panel, held.grip, on(held.piece, p));
    const moved = moveBy(cut.sheet, held.laid, { kind: 'pull', panel: held.panel, grip: held.grip, to });
    if (moved.ok) return moved.value;
    work.say(moved.error);
    return null;
  };
  /** Where it is let go counts, also where the last movement was not drawn any more; a mere press moves nothing. */
  const letGo = (held: Doing & { kind: 'hand' }, p: Point): void => {
    const before = work.now.cut[held.piece]?.laid;
    const was = before?.[held.panel];
    if (!was) return;
    if (held.laid === before && distance(move(was, held.grip), on(held.piece, p)) < SHAKE / k) return;
    work.lay(held.piece, pulled(held, p) ?? held.laid);
  };
  const pen: Pen = {
    down: press,
    move: (p, byKeys) => {
      if (!doing) return;
      if ('course' in doing) {
        const to = on(doing.piece, p);
        // A straight line is stretched from where it began; what is followed leads where the hand went.
        return setDoing(byKeys || doing.kind === 'line' ? { ...doing, ahead: to } : followed(doing, to, SHORT / k));
      }
      if (doing.kind !== 'hand') return setDoing({ ...doing, to: on(doing.piece, p) });
      const laid = pulled(doing, p);
      if (laid) setDoing({ ...doing, laid });
    },
    up: (p) => {
      setDoing(null);
      if (doing?.kind === 'line' || doing?.kind === 'bend') {
        const to = near(doing.piece, p);
        if (distance(doing.course[0] as Point, to) > SHORT / k)
          work.draw(doing.piece, asDrawn(doing.kind, [...doing.course, to]));
      } else if (doing?.kind === 'tape') setMeasured({ ...doing, to: on(doing.piece, p) });
      else if (doing?.kind === 'seam') work.trueSeam(doing.piece, [...doing.course, onSeam(doing.piece, p)]);
      else if (doing?.kind === 'hand') letGo(doing, p);
    },
    ...(doing &&
      'course' in doing && {
        mark: (p: Point) => setDoing({ ...doing, course: [...doing.course, on(doing.piece, p)], ahead: null }),
      }),
    cancel: () => setDoing(null),
  };
  /** Turns the panel last taken hold of by some degrees. */
  const turn = (degrees: number): void => {
    const cut = panel && work.now.cut[panel.piece];
    if (!cut) return;
    const moved = moveBy(cut.sheet, cut.laid, { kind: 'turn', panel: panel.panel, by: (degrees * Math.PI) / 180 });
    if (moved.ok) work.lay(panel.piece, moved.value);
    else work.say(moved.error);
  };
  return { doing, measured, panel, pen, turn };
}
/** The line as it would be cut: from place to place, or in the curve that a hand followed. */
export const asDrawn = (kind: 'line' | 'bend' | 'seam', points: readonly Point[]): readonly Point[] =>
  kind === 'bend' ? lineMeant(points) : points;

/** A line or seam followed on to a place that is some way from the last. */
const followed = (seam: Doing & { kind: 'line' | 'bend' | 'seam' }, to: Point, apart: number): Doing =>
  distance(seam.course.at(-1) as Point, to) < apart
    ? { ...seam, ahead: to }
    : { ...seam, course: [...seam.course, to], ahead: null };

/** A ruler along the grain keeps loose paper straight that is off it by less, mm. */
const RULER = 2.5;

/** Where loose paper is slid to: straight along the grain, or square to it, where that is nearly meant. */
function alongRuler(sheet: CutSheet, panel: number, grip: Point, to: Point): Point {
  if (sheet.pins.some((p) => p.panels.includes(panel))) return to;
  return { x: Math.abs(to.x - grip.x) < RULER ? grip.x : to.x, y: Math.abs(to.y - grip.y) < RULER ? grip.y : to.y };
}
/** A line shorter than this was a slip of the hand, pixels. */
const SHORT = 10;
/** A press that went no farther than this did not mean to move anything, pixels. */
const SHAKE = 3;
