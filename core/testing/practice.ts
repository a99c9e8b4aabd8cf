import { distance, joinPaths, move, movePath, pathLength, pointAt, type Point } from '../geometry/index.ts';
import {
  cutAlong,
  moveBy,
  restOf,
  rightBack,
  rightLaid,
  rightLines,
  tapeDown,
  trueAlong,
  type Attempt,
  type CutSheet,
  type Laid,
  type RightWay,
} from '../practice/index.ts';
import { edgesWithRole, type EdgeRole, type Piece } from '../pattern/index.ts';
import { expectOk, nth, ok, type Result } from '../units/index.ts';

/** A seam drawn anew as a careful hand would: along places of the alteration’s, so far apart, mm. */
export function truedRight(way: RightWay, piece: Piece, role: EdgeRole | undefined, apart = 12): Piece | null {
  if (!role) return null;
  const line = movePath(joinPaths(edgesWithRole(way.final, role).map((e) => e.path)), rightBack(way));
  const steps = Math.ceil(pathLength(line) / apart);
  const places = Array.from({ length: steps + 1 }, (_, i) => pointAt(line, (pathLength(line) * i) / steps));
  return expectOk(trueAlong(piece, places), 'trued');
}

/** The right way carried out by hand: as a careful person would do it. */
export function rightAttempt(way: RightWay, tip: Point | null, trues?: EdgeRole): Result<Attempt> {
  const sheet = cutAlong(way.from, rightLines(way));
  if (!sheet.ok) return sheet;
  const laid = rightLaid(way, sheet.value);
  const taped = tapeDown(sheet.value, laid);
  return taped.ok
    ? ok({ sheet: sheet.value, laid, taped: taped.value, tip, trued: truedRight(way, taped.value.piece, trues) })
    : taped;
}

/** Pulls every panel by two of its corners to where the alteration lays them, or as far beside as `off` says. */
export function laidByHand(way: RightWay, sheet: CutSheet, off: (p: Point) => Point = (p) => p): Laid {
  const right = rightLaid(way, sheet);
  let laid = restOf(sheet);
  sheet.rings.forEach((ring, panel) => {
    if (panel === sheet.root) return;
    // Far from its hinges, where a hand has a lever; then far from there.
    const pins = sheet.pins.filter((p) => p.panels.includes(panel)).map((p) => p.at);
    const first = farthest(ring, pins.length > 0 ? pins : [nth(ring, 0)]);
    for (const grip of [first, farthest(ring, [...pins, first])]) {
      const moved = moveBy(sheet, laid, { kind: 'pull', panel, grip, to: off(move(nth(right, panel), grip)) });
      // Paper taken at its own hinge does not move.
      if (moved.ok) laid = moved.value;
      else if (moved.error.code !== 'practice-held')
        throw new Error(`laidByHand: expected paper to move, got ${moved.error.code}`);
    }
  });
  return laid;
}

const farthest = (ring: readonly Point[], from: readonly Point[]): Point => {
  const off = (p: Point): number => Math.min(...from.map((q) => distance(p, q)));
  return ring.reduce((best, p) => (off(p) > off(best) ? p : best));
};
