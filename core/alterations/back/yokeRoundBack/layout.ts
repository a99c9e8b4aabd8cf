import { endOf, flatten, nearestLength, type Path, type Point } from '../../../geometry/index.ts';
import { edgesWithRole, yokeLineOf, yokeSeamOf, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { Context } from '../../contract.ts';
import type { Row } from '../../kit/acrossPanels.ts';

/** A back with a yoke pinned on: the row of its one piece, and the seam line from the centre to the armhole. */
export interface OnYoke {
  readonly piece: Piece;
  readonly row: Row;
  readonly line: readonly Point[];
}

export function onYoke({ pieces }: Pick<Context, 'pieces'>): Result<OnYoke> {
  const piece = pieces.find((p) => p.part === 'back' && yokeLineOf(p) !== undefined);
  const path = piece && yokeSeamOf(piece);
  const centre = piece && edgesWithRole(piece, 'centreBack')[0];
  const armhole = piece && edgesWithRole(piece, 'armhole')[0];
  if (!path || !centre || !armhole) return refuse('no-yoke', {});
  const [from, to] = [path.start, endOf(path)];
  return ok({
    piece,
    row: [
      {
        piece,
        inner: { at: from, edge: centre, along: nearestLength(centre.path, from) },
        outer: { at: to, edge: armhole, along: nearestLength(armhole.path, to) },
        before: 0,
      },
    ],
    line: path.segments.every((s) => s.kind === 'line') ? [from, ...path.segments.map((s) => s.to)] : flat(path),
  });
}

/** A curve as the cut follows it, its ends kept. */
const flat = (path: Path): readonly Point[] => [path.start, ...flatten(path).slice(1, -1), endOf(path)];
