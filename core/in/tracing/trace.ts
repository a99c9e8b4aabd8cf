import { endOf, flatten, midpoint, nearestLength, pathLength, pointAt, type Point } from '../../geometry/index.ts';
import { ok, refuse, TOL, type Result, nth } from '../../units/index.ts';
import type { Ring } from './chain.ts';
import type { Stroke } from './lines.ts';
import { orient, orientationOf } from './orient.ts';
import { HALVES, idsFor, middle, sameOnBothSides } from './traceParts.ts';
import { dartsOf, divideAtMouths, marksMeant, marksOf, namedEdges, partedAtCentre, seamLineOf } from './traceStages.ts';
import { type TraceChoices, type Traced, type TracedEdge, type TraceNote } from './traceTypes.ts';

/**
 * Makes a piece of a closed outline and what is drawn in it. Little notches drawn into the outline are taken out of
 * it, corners divide it into edges, a cutting line is brought in by its allowances (curve-true, corners meeting), the
 * legs of darts are carried to the seam line, and every mark is laid on the seam line where it is nearest. Nothing is
 * flattened. `others` are the lines that are not part of the outline.
 */
export function tracePiece(ring: Ring, others: readonly Stroke[], choices: TraceChoices): Traced {
  const traced = traceOnce(ring, others, choices);
  const caps = traced.edges.filter((e) => e.role === 'cap');
  const head = caps[0];
  if (choices.part !== 'sleeve' || caps.length !== 1 || !head) return traced;
  // A sleeve's head is sewn to two armholes: it is divided where it is highest.
  const up = orient(traced.orientation).path(head.path);
  const highest = flatten(up, TOL.flat).reduce((best, p) => (p.y < best.y ? p : best));
  const share = nearestLength(up, highest) / pathLength(up);
  const at = pointAt(head.path, (traced.orientation.mirrored ? 1 - share : share) * pathLength(head.path));
  return traceOnce(ring, others, { ...choices, turned: [...choices.turned, { at, on: true }] });
}

/**
 * The same, refused in words where nothing can be made of the outline with these choices: a mistake of the program's own
 * must not take with it what one has done so far.
 */
export function traceSafely(
  ring: Ring,
  others: readonly Stroke[],
  choices: TraceChoices,
): Result<Traced, 'piece-not-traced'> {
  try {
    return ok(tracePiece(ring, others, choices));
  } catch (error) {
    return refuse('piece-not-traced', { detail: error instanceof Error ? error.message : String(error) });
  }
}

function traceOnce(ring: Ring, others: readonly Stroke[], choices: TraceChoices): Traced {
  const line = seamLineOf(ring, others, choices);
  const divided = divideAtMouths(line, choices);
  const orientation = choices.orientation ?? orientationOf(choices.grain ?? line.marks.grain);
  const table = orient(orientation);
  const edges = namedEdges(line, divided, choices, table);
  const marks = marksMeant(line, divided, choices);
  const ids = idsFor(edges.map((e) => e.role));
  // Sleeves and the like are whole; so is a piece that is the same on both sides of its middle.
  const whole = !edges.some((e) => e.fold) && sameOnBothSides(table.path(line.seam));
  const piece = table.piece({
    id: choices.id,
    name: choices.name,
    part: choices.part,
    cut: choices.cut,
    half: choices.half && HALVES.has(choices.part) && !whole,
    fold: ids[edges.findIndex((e) => e.fold)] ?? null,
    edges: edges.map((e, i) => ({ id: nth(ids, i), role: e.role, path: e.path, allowance: e.allowance })),
    darts: dartsOf(divided, edges, ids, choices, table),
    marks: marksOf(marks, divided, ids, choices),
    notes: '',
  });
  const parted = partedAtCentre(piece, edges, others, choices, table);
  return {
    piece: parted.piece,
    edges,
    corners: line.corners,
    darts: divided.mouths.map((m, i) => ({ ...m.dart, mouth: divided.parts.findIndex((p) => p.mouth === i) })),
    doubleDarts: marks.doubleDarts,
    notches: marks.notches,
    dots: marks.dots,
    bustPoint: marks.bustPoint,
    grain: marks.grain,
    orientation,
    notes: [
      ...line.notes,
      ...divided.notes,
      ...marks.notes,
      ...healedNote(ring),
      ...(whole && HALVES.has(choices.part) ? [{ code: 'looks-whole', data: {} } as const] : []),
      ...parted.notes,
    ],
  };
}

const healedNote = ({ healed }: Ring): readonly TraceNote[] =>
  healed.length === 0
    ? []
    : [{ code: 'gaps-healed', data: { count: healed.length, widest: Math.max(...healed.map((h) => h.gap)) } }];

export const middleOfEdge = (edge: TracedEdge): Point =>
  pathLength(edge.path) > 0 ? middle(edge.path) : midpoint(edge.path.start, endOf(edge.path));
