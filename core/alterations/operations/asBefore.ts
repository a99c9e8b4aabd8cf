import { cornerAngle, turnCorner } from '../../paper/truing/index.ts';
import { replaceEdge, requireEdge, type Piece } from '../../pattern/index.ts';
import { operation, type Said } from './operation.ts';

interface AsBefore extends Said {
  readonly what:
    /** Edges put back as they lay, so that they are drawn again from their own shape. */
    | { readonly edges: readonly string[] }
    /** The end of a curve turned, within `reach` of it, until its corner is what it was. */
    | { readonly edge: string; readonly at: 'start' | 'end'; readonly reach: number };
}

export const asBefore = operation<'asBefore', AsBefore>('asBefore', {
  stage: 'true',
  summary: 'puts edges back, or turns the end of one until its corner is what it was',
  run: ({ state }, { what }) => {
    state.piece =
      'edges' in what
        ? what.edges.reduce((piece, id) => asItWas(piece, state.original, id), state.piece)
        : turnCorner(state.piece, what.edge, what.at, cornerAngle(state.original, what.edge, what.at), what.reach);
  },
});

function asItWas(piece: Piece, original: Piece, id: string): Piece {
  const marks = piece.marks.map((m) =>
    m.kind === 'notch' && m.edge === id ? (original.marks.find((o) => o.id === m.id) ?? m) : m,
  );
  return { ...replaceEdge(piece, id, requireEdge(original, id).path), marks };
}
