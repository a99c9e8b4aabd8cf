import { once } from '../units/index.ts';
import { dropLoops, flatten, isSimplePolygon, joinPaths, offsetEdges, polyline, type Path } from '../geometry/index.ts';
import { dartShape } from './access.ts';
import { asCut } from './beyond.ts';
import type { Piece } from './types.ts';

/**
 * The line to cut along: the seam line offset outward by each edge's allowance, corners mitred, dart caps
 * included because they are edges; a dart cut away is followed along its legs. The fold has no allowance.
 * Closed; derived, never stored in a file. A piece never changes, so its line is drawn once.
 */
export const cuttingLine = once((piece: Piece): Path => {
  const lines = cuttingEdges(piece);
  const line = joinPaths(
    offsetEdges(
      lines.map((l) => l.path),
      lines.map((l) => l.allowance),
      true,
    ),
  );
  // A dart's end narrower than the allowance beside it would fold the line over itself.
  return isSimplePolygon(flatten(line, 0.25)) ? line : dropLoops(line);
});

/** The seam lines that the cutting line lies beside, in outline order, each with its allowance, mm. */
export function cuttingEdges(piece: Piece): readonly { readonly path: Path; readonly allowance: number }[] {
  return asCut(piece).edges.flatMap((e): readonly { readonly path: Path; readonly allowance: number }[] => {
    const dart = piece.darts.find((d) => d.mouth === e.id && d.cutAway !== undefined);
    if (dart?.cutAway === undefined) return [{ path: e.path, allowance: e.id === piece.fold ? 0 : e.allowance }];
    const { start, end, tip } = dartShape(piece, dart);
    return [
      { path: polyline([start, tip]), allowance: dart.cutAway },
      { path: polyline([tip, end]), allowance: dart.cutAway },
    ];
  });
}
