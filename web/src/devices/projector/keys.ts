import { arrowOf, useHotkeys } from '../../lib/hotkeys.ts';
import { changeView, slide, UPRIGHT, useProjector, WEIGHTS } from './state.ts';

/** Slides by one arrow key, mm; with Shift ten times as far. */
const NUDGE = 10;

interface Does {
  readonly step: (by: number) => void;
  readonly leave: () => void;
  readonly hide: () => void;
}

/** Turns by degrees, clockwise, staying within a turn. */
export function turnBy(degrees: number): void {
  changeView({ turned: (useProjector.getState().view.turned + degrees + 360) % 360 });
}
export function heavier(by: number): void {
  useProjector.setState((s) => ({ weight: Math.min(WEIGHTS.max, Math.max(WEIGHTS.min, s.weight + by)) }));
}

/** The keys of the projector view: hands are at the table, the keyboard lies beside it. */
export function useProjectorKeys(does: Does): void {
  useHotkeys(
    {
      slide: (e) => {
        const way = arrowOf(e.key);
        const by = NUDGE * (e.shiftKey ? 10 : 1);
        if (way) slide(way.x * by, way.y * by);
      },
      nextPiece: () => does.step(1),
      pieceBefore: () => does.step(-1),
      turn: () => turnBy(90),
      flip: () => changeView({ flipped: !useProjector.getState().view.flipped }),
      invert: () => useProjector.setState((s) => ({ inverted: !s.inverted })),
      hide: does.hide,
      thicker: () => heavier(1),
      thinner: () => heavier(-1),
      middle: () => changeView({ ...UPRIGHT, flipped: useProjector.getState().view.flipped }),
      leave: does.leave,
    },
    { first: true },
  );
}
