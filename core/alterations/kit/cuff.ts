import { cross, endOf, pathLength, sub, unit } from '../../geometry/index.ts';
import { requireEdge, seamLine, type Piece, type Seam, type SeamSide } from '../../pattern/index.ts';
import { partOf, type OnPieces } from './flatMeasure.ts';

/** A cuff, and the part of its edge that the sleeve is sewn to, without the overlap. */
export interface CuffOn {
  readonly cuff: Piece;
  readonly seam: Seam;
  readonly side: SeamSide;
}

/** The cuff among the pieces; null where there is none, or the seam to its sleeve is not known. */
export function cuffOn({ pieces, seams }: OnPieces): CuffOn | null {
  const cuff = partOf(pieces, 'cuff');
  const seam = seams.find((s) => [s.first, s.second].some((side) => side.piece === cuff?.id));
  if (!cuff || !seam) return null;
  return { cuff, seam, side: seam.first.piece === cuff.id ? seam.first : seam.second };
}

/** There is a cuff, whether its seam is known or not. */
export const hasCuff = ({ pieces }: Pick<OnPieces, 'pieces'>): boolean => partOf(pieces, 'cuff') !== undefined;

/** Around the wrist: the cuff buttoned, mm. */
export const aroundCuff = ({ cuff, side }: CuffOn): number => pathLength(seamLine(cuff, side));

/** How high a cuff stands below the seam it is sewn to the sleeve by, mm. */
export function heightOf({ cuff, side }: CuffOn): number {
  const seam = requireEdge(cuff, side.edges[0] ?? '').path;
  const along = unit(sub(endOf(seam), seam.start));
  return Math.max(
    ...cuff.edges.flatMap((e) => e.path.segments.map((s) => Math.abs(cross(along, sub(s.to, seam.start))))),
  );
}
