import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Point } from '@ample/core/geometry';

/** Where pieces were put on the mat, by job and piece, as a shift from where they would lie: kept in the browser. */
interface Places {
  readonly moved: Readonly<Record<string, Readonly<Record<string, Point>>>>;
}

export const usePlaces = create<Places>()(persist((): Places => ({ moved: {} }), { name: 'ample-draft.places' }));

export const putPiece = (job: string, piece: string, by: Point): void => {
  usePlaces.setState((s) => ({ moved: { ...s.moved, [job]: { ...s.moved[job], [piece]: by } } }));
};

/** Everything back to where it would lie. */
export const tidyPieces = (job: string): void => {
  usePlaces.setState((s) => {
    const { [job]: _gone, ...rest } = s.moved;
    return { moved: rest };
  });
};
