import type { Pattern } from '../../pattern/index.ts';
import { withPiece } from '../into.ts';
import type { ReadPiece } from './readFile.ts';

/** A pattern with pieces of a file in every size they were read in. */
export const withRead = (pattern: Pattern, pieces: readonly ReadPiece[]): Pattern =>
  pieces.reduce((p, read) => read.sizes.reduce((q, { size, piece }) => withPiece(q, piece, size), p), pattern);
