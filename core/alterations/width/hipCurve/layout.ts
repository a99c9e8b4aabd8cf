import type { Piece } from '../../../pattern/index.ts';
import type { SideKnot } from '../../../paper/truing/index.ts';
import { overHip, pieceOverHip, type OverHip } from '../../kit/overHip.ts';
import { halves, sideOfHalf, trousersOn } from '../../kit/trousers.ts';

/** Every side that reaches from the waist to a hip line. */
export function sidesOverHip(pieces: readonly Piece[]): readonly OverHip[] {
  const trousers = trousersOn(pieces);
  const legs = trousers.ok ? halves(trousers.value).map((h) => overHip(sideOfHalf(h), h.hip)) : [];
  return [...pieces.map(pieceOverHip), ...legs].filter((o) => o !== null);
}

/** A curve through five places: to nothing at waist and hip, where it leaves the old line gently, the whole at the fullest. */
export function curveKnots({ waist, hip }: OverHip, at: number, by: number): readonly SideKnot[] {
  const place = (share: number): number => waist + share * (hip - waist);
  return [
    ...(waist > 0 ? [{ at: 0, by: 0 }] : []),
    { at: place(0), by: 0 },
    { at: place(at / 2), by: by / 2 },
    { at: place(at), by },
    { at: place((1 + at) / 2), by: by / 2 },
    { at: place(1), by: 0 },
  ];
}

/** Bends are rounded so far, mm, that what is rounded about one does not reach into what is rounded about the next. */
export const roundOf = ({ waist, hip }: OverHip, at: number): number =>
  CLEAR * (hip - waist) * (Math.min(at, 1 - at) / 2);
/** Just under half of the way to the next bend. */
const CLEAR = 0.45;
