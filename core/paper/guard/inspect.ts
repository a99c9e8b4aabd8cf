import { isSimplePolygon, polyline, signedArea, spansOf, type Point } from '../../geometry/index.ts';
import { asCut, edgeOf, partsOfSide, type Piece, type Seam } from '../../pattern/index.ts';
import { cuttingFaults } from './cutting.ts';
import { dartFaults } from './darts.ts';
import type { Care, Fault, FaultCode } from './fault.ts';
import { edgeFaults, LEAST_AREA, notchFaults, outlineFaults } from './structure.ts';

const looked = { quick: new WeakMap<Piece, readonly Fault[]>(), complete: new WeakMap<Piece, readonly Fault[]>() };

/**
 * Everything that makes a piece unfit to be cut. An empty list means it may be printed. `quick` leaves out the cutting
 * line. Pieces are immutable, so each is inspected once and the result kept.
 */
export function inspectPiece(piece: Piece, care: Care = 'complete'): readonly Fault[] {
  const known = looked.complete.get(piece) ?? (care === 'quick' ? looked.quick.get(piece) : undefined);
  if (known) return known;
  const found = inspect(piece, care);
  looked[care].set(piece, found);
  return found;
}

function inspect(drawn: Piece, care: Care): readonly Fault[] {
  const piece = asCut(drawn);
  const out: Fault[] = [];
  const say = (code: FaultCode, data: Fault['data'] = {}, at?: Fault['at']): void => {
    out.push({ code, grade: 'fault', piece: piece.id, ...(at ? { at } : {}), data: { name: piece.name, ...data } });
  };
  edgeFaults(piece, say);
  notchFaults(piece, say);
  // The checks below walk the outline, so it must be one closed line first.
  if (out.some((f) => f.code !== 'notch-off-edge')) return out;
  outlineFaults(piece, say);
  dartFaults(piece, say);
  if (out.length > 0 || care === 'quick') return out;
  try {
    cuttingFaults(piece, say);
  } catch {
    // Some seam lines are too irregular to offset: they have no cutting line.
    say('cutting-line-crosses');
  }
  return out;
}

/** True for a closed ring of points that scissors can follow: it does not cross itself, and there is paper in it. */
export const isSoundRing = (ring: readonly Point[]): boolean =>
  isSimplePolygon(ring) && Math.abs(signedArea(spansOf(polyline([...ring, ...ring.slice(0, 1)])))) >= LEAST_AREA;

/** Seams that name an edge or a notch their piece no longer has: they could not be walked. */
export function inspectSeams(pieces: readonly Piece[], seams: readonly Seam[]): readonly Fault[] {
  return seams.flatMap((seam) =>
    [seam.first, seam.second].flatMap(partsOfSide).flatMap((side): readonly Fault[] => {
      const piece = pieces.find((p) => p.id === side.piece);
      if (!piece) return [];
      const whole =
        side.edges.every((id) => edgeOf(piece, id) !== undefined) &&
        (side.between ?? []).every((id) => piece.marks.some((m) => m.id === id && m.kind === 'notch'));
      return whole
        ? []
        : [{ code: 'seam-broken', grade: 'fault', piece: piece.id, data: { name: piece.name, kind: seam.kind } }];
    }),
  );
}

/** The faults that were not there before: a step is blamed only for its own. */
export function newFaults(before: readonly Fault[], after: readonly Fault[]): readonly Fault[] {
  const known = new Set(before.map((f) => `${f.piece} ${f.code}`));
  return after.filter((f) => !known.has(`${f.piece} ${f.code}`));
}
