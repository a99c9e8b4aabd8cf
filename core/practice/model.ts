import { distance, type Point } from '../geometry/index.ts';
import { nth, TOL } from '../units/index.ts';
import type { Line } from './cutting/index.ts';
import type { RightWay } from './task.ts';

/** The lines of the right way as somebody would draw them: each with hinges at those of its ends where the alteration has some. */
export const rightLines = ({ spec }: RightWay): readonly Line[] =>
  spec.cuts.map(({ id, points }) => {
    const held = (p: Point): boolean =>
      spec.hinges.some((h) => distance(h.at, p) < TOL.placed && endsHere(spec.cuts, id, p));
    return { id, points, hinge: { start: held(nth(points, 0)), end: held(nth(points, points.length - 1)) } };
  });

/** Where several lines end at one hinge, the last of them keeps the paper. */
const endsHere = (cuts: RightWay['spec']['cuts'], id: string, p: Point): boolean =>
  cuts.findLast((c) => [c.points[0], c.points.at(-1)].some((q) => q && distance(q, p) < TOL.placed))?.id === id;
