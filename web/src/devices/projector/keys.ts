import { useEffect, useRef } from 'react';
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
  const now = useRef(does);
  useEffect(() => {
    now.current = does;
  });
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      const typing = e.target instanceof HTMLElement && e.target.matches('input, textarea, select');
      if (typing || e.ctrlKey || e.metaKey || e.altKey || document.querySelector('[role="dialog"]')) return;
      const by = NUDGE * (e.shiftKey ? 10 : 1);
      const act: Record<string, () => void> = {
        ArrowLeft: () => slide(-by, 0),
        ArrowRight: () => slide(by, 0),
        ArrowUp: () => slide(0, -by),
        ArrowDown: () => slide(0, by),
        n: () => now.current.step(1),
        b: () => now.current.step(-1),
        q: () => turnBy(90),
        o: () => changeView({ flipped: !useProjector.getState().view.flipped }),
        i: () => useProjector.setState((s) => ({ inverted: !s.inverted })),
        h: () => now.current.hide(),
        '+': () => heavier(1),
        '-': () => heavier(-1),
        '0': () => changeView({ ...UPRIGHT, flipped: useProjector.getState().view.flipped }),
        Escape: () => now.current.leave(),
      };
      const done = act[e.key.length === 1 ? e.key.toLowerCase() : e.key];
      if (!done) return;
      e.preventDefault();
      e.stopPropagation();
      done();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);
}
