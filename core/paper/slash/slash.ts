import { distance, isRest, midpoint, move, type Rigid } from '../../geometry/index.ts';
import { bustLineOf, markBetween, type Mark, type Piece, type PlacedMark } from '../../pattern/index.ts';
import { nth, ok, refuse, TOL, type Result } from '../../units/index.ts';
import { carryTape } from './carryTape.ts';
import { cutPiece } from './cut.ts';
import { gapsOf } from './gaps.ts';
import { DONE, motionOf, type Progress } from './motion.ts';
import { edgesOf, lengthsOf, moveOutline, placeOnEdge, type MovedOutline } from './moveOutline.ts';
import { rejoined } from './rejoin.ts';
import type { Divided, Panel, SlashError, SlashResult, SlashSpec } from './types.ts';

const REST: Rigid = { angle: 0, x: 0, y: 0 };

/**
 * Moves the panels of a divided piece and walks the outline together again: continuous at hinges, bridged
 * straight where it opens, trimmed where it overlaps. Marks and dart tips go with their panel.
 * Panels never deform; area after = area before + Σ gap areas, exactly. Refuses torn hinges.
 */
export function movePanels(divided: Divided, spec: SlashSpec, at: Progress = DONE): Result<SlashResult, SlashError> {
  const { piece, graph, names, outlines, edgeLengths } = divided;
  const known = new Set(spec.panels.map((p) => p.id));
  const motions = names.map((name) => (known.has(name) ? motionOf(spec.panels, name, at) : REST));
  const torn = tornHinge(divided, spec, motions);
  if (torn) return torn;
  const panels = names.map((id, f): Panel => ({ id, outline: nth(outlines, f), motion: nth(motions, f) }));
  if (motions.every(isRest)) {
    const lengths = piece.edges.map((e, i) => [e.id, { before: nth(edgeLengths, i), after: nth(edgeLengths, i) }]);
    return ok({ piece, panels, gaps: [], lengths: Object.fromEntries(lengths) });
  }
  const moved = moveOutline(divided, spec, at, motions);
  if (!moved.ok) return moved;
  const { closings, folds } = moved.value;
  return ok({
    piece: pieceOf(divided, moved.value, motions, panels),
    panels,
    gaps: gapsOf(graph, motions, closings, folds),
    lengths: lengthsOf(divided, moved.value),
  });
}

/** The refusal for the first hinge whose two panels part there. */
function tornHinge({ names }: Divided, spec: SlashSpec, motions: readonly Rigid[]) {
  const motionNamed = (name: string): Rigid => motions[names.indexOf(name)] ?? REST;
  for (const { id, at, panels } of spec.hinges) {
    const apart = distance(move(motionNamed(panels[0]), at), move(motionNamed(panels[1]), at));
    if (apart > TOL.same) return refuse('hinge-torn' as const, { hinge: id, apart });
  }
  return null;
}

/** The piece with its outline as it lies, its marks and dart tips carried along, its bust line cut where the paper is. */
function pieceOf(divided: Divided, moved: MovedOutline, motions: readonly Rigid[], panels: readonly Panel[]): Piece {
  const { piece, dartFaces } = divided;
  const edges = edgesOf(divided, moved);
  const kept = new Set(edges.map((e) => e.id));
  const line = bustLineOf(piece);
  return {
    ...piece,
    ...(line.length > 0 ? { bustLine: carryTape(line, panels) } : {}),
    ...(piece.waistLine ? { waistLine: carryTape(piece.waistLine, panels) } : {}),
    edges: moved.folds.size > 0 ? rejoined(edges) : edges,
    darts: piece.darts.flatMap((d, i) =>
      kept.has(d.mouth) ? [{ ...d, tip: move(nth(motions, nth(dartFaces, i)), d.tip) }] : [],
    ),
    marks: piece.marks.flatMap((m, i): readonly Mark[] => {
      if (m.kind !== 'notch') return [carried(m, motionsAt(divided, i, motions))];
      return kept.has(m.edge) ? [{ ...m, at: placeOnEdge(divided, moved, m.edge, m.at) }] : [];
    }),
  };
}

/** The motions of the paper on either side of each of a mark's anchors: one and the same but for an anchor on a cut. */
const motionsAt = ({ markFaces }: Divided, mark: number, motions: readonly Rigid[]) =>
  nth(markFaces, mark).map(([one, two]) => [nth(motions, one), nth(motions, two)] as const);

function carried(mark: PlacedMark, motions: readonly (readonly [Rigid, Rigid])[]): Mark {
  return markBetween(mark, (p, anchor) => {
    const [one, two] = nth(motions, anchor);
    // What lies on a cut lies in the middle of what has opened there, whichever way rounding would have it.
    return one === two ? move(one, p) : midpoint(move(one, p), move(two, p));
  });
}

/** Cut and move in one go. */
export function slashPiece(piece: Piece, spec: SlashSpec, at: Progress = DONE): Result<SlashResult, SlashError> {
  const divided = cutPiece(piece, spec);
  return divided.ok ? movePanels(divided.value, spec, at) : divided;
}
