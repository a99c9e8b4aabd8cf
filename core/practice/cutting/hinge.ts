import { distance, move, type Point } from '../../geometry/index.ts';
import { nth, ok, PRACTICE, refuse, type Result } from '../../units/index.ts';
import { broughtTogether, pinApart, type Laid } from './hands.ts';
import { jointsOf, type CutSheet } from './sheet.ts';

/** A sheet and where its panels lie. */
export interface Lying {
  readonly sheet: CutSheet;
  readonly laid: Laid;
}

/**
 * One piece of tape over the end of a cut: from there on it is a hinge, as if it had never been cut through. Refused where no
 * cut ends nearby, and where its two corners do not lie on each other yet.
 */
export function tapeHinge({ sheet, laid }: Lying, near: Point): Result<Lying> {
  const torn = jointsOf(sheet.lines, sheet.divided)
    .filter((j) => !j.whole)
    .map((joint) => {
      const corners = joint.panels.map((p) => move(nth(laid, p), joint.at));
      return { joint, off: Math.min(...corners.map((c) => distance(c, near))) };
    })
    .filter((t) => t.off < PRACTICE.atBust)
    .sort((a, b) => a.off - b.off)[0]?.joint;
  if (!torn) return refuse('practice-no-corners');
  const by = pinApart(torn, laid);
  if (by > PRACTICE.reach) return refuse('practice-corners-apart', { by });
  const { line, at, panels, end } = torn;
  const taped: CutSheet = {
    ...sheet,
    lines: sheet.lines.map((l) => (l.id === line ? { ...l, hinge: { ...l.hinge, [end]: true } } : l)),
    pins: [...sheet.pins, { line, at, panels }],
  };
  return ok({ sheet: taped, laid: broughtTogether(taped, laid) });
}
