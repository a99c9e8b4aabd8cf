import { useEffect } from 'react';
import { boxAround, type Box, type Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';
import type { Viewport } from '../../lib/viewport.ts';

/** Room left around what a step touches, mm; below more, for the piece's name. */
const ROOM = 30;
const ROOM_BELOW = 75;

interface Opens {
  readonly viewport: Viewport;
  readonly boxOf: (piece: Piece) => Box;
  readonly original: readonly Piece[];
  readonly before: readonly Piece[];
  /** A place another station points at. */
  readonly shows: { readonly piece: string; readonly at: Point | null } | null;
  /** The step that is open, and the pieces it changes. */
  readonly step: string | undefined;
  readonly touched: readonly string[];
}

/** Brings into view what another station points at, else what the step that is opened touches. */
export function useOpensOn({ viewport, boxOf, original, before, shows, step, touched }: Opens): void {
  useEffect(() => {
    const piece = shows ? before.find((p) => p.id === shows.piece) : undefined;
    if (piece) viewport.show(boxOf(piece));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each place pointed at
  }, [shows?.piece, shows?.at?.x, shows?.at?.y]);
  const touchedKey = touched.join();
  useEffect(() => {
    const pieces = original.filter((p) => touched.includes(p.id));
    // The whole mat is one key away.
    if (pieces.length === 0 || pieces.length === original.length) return;
    const box = boxAround(pieces.map(boxOf));
    viewport.fit({
      minX: box.minX - ROOM,
      minY: box.minY - ROOM,
      maxX: box.maxX + ROOM,
      maxY: box.maxY + ROOM_BELOW,
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when another step is opened, not while it changes
  }, [touchedKey, step]);
}
