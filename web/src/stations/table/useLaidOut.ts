import { useMemo } from 'react';
import type { Box, Point } from '@ample/core/geometry';
import { drawPiece } from '@ample/core/out';
import type { Piece } from '@ample/core/pattern';
import { putPiece, usePlaces } from '../../store/places.ts';
import { layOut } from '../../shared/mat/layout.ts';

const NOWHERE = { x: 0, y: 0 };

/** Where the pieces of a job lie on the mat, mm. */
export interface LaidOut {
  readonly mat: Box;
  readonly offsetOf: (id: string) => Point;
  /** Moves a piece to a place and keeps it there. */
  readonly slide: (id: string, to: Point) => void;
  /** What a piece covers on the mat. */
  readonly boxOf: (piece: Piece) => Box;
}

/** The pieces laid out beside one another, each moved by what the user has pushed it; `born` are those a step makes. */
export function useLaidOut(job: string, original: readonly Piece[], born: readonly Piece[]): LaidOut {
  const bornKey = born.map((p) => p.id).join();
  // eslint-disable-next-line react-hooks/exhaustive-deps -- what was born keeps its place while amounts change
  const { at, mat } = useMemo(() => layOut(original, born), [original, bornKey]);
  const moved = usePlaces((s) => s.moved[job]);
  const homeOf = (id: string): Point => at[id] ?? NOWHERE;
  const offsetOf = (id: string): Point => {
    const home = homeOf(id);
    const by = moved?.[id] ?? NOWHERE;
    return { x: home.x + by.x, y: home.y + by.y };
  };
  return {
    mat,
    offsetOf,
    slide: (id, to) => {
      const home = homeOf(id);
      putPiece(job, id, { x: to.x - home.x, y: to.y - home.y });
    },
    boxOf: (piece) => {
      const { bounds: b } = drawPiece(piece);
      const o = offsetOf(piece.id);
      return { minX: b.minX + o.x, minY: b.minY + o.y, maxX: b.maxX + o.x, maxY: b.maxY + o.y };
    },
  };
}
