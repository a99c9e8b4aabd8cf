import { PARTS, type Pattern } from '../../../pattern/index.ts';
import { withPiece } from '../into.ts';
import type { ReadPiece } from './readTypes.ts';

/** Pieces as one lays them out: front and back first, small ones last. */
export const inOrder = (pieces: readonly ReadPiece[]): readonly ReadPiece[] =>
  [...pieces].sort((a, b) => PARTS.indexOf(a.traced.piece.part) - PARTS.indexOf(b.traced.piece.part));

/** A pattern with pieces of a file in every size they were read in. */
export const withRead = (pattern: Pattern, pieces: readonly ReadPiece[]): Pattern =>
  inOrder(pieces).reduce((p, read) => read.sizes.reduce((q, { size, piece }) => withPiece(q, piece, size), p), pattern);
