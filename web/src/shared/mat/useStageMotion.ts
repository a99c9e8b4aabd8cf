import { useEffect, useRef, useState } from 'react';
import { isBefore, type Stage } from '@ample/core/alterations';
import { areNeighbours } from './stages.ts';

const LASTS = 340;

/** A stage on its way in: which one's paper moves, and how far it has come. */
export interface StageMotion {
  /** The stage whose movement is shown; its own frame at `t` = 1. */
  readonly stage: Stage;
  readonly t: number;
}

/**
 * Moves the paper over a third of a second when the stage goes one on or one back, at once for reduced motion
 * and for jumps. Going back, the paper of the stage left behind moves back.
 */
export function useStageMotion(stage: Stage): StageMotion {
  const [motion, setMotion] = useState<StageMotion>({ stage, t: 1 });
  const before = useRef(stage);
  useEffect(() => {
    const from = before.current;
    before.current = stage;
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    if (still || !areNeighbours(stage, from)) {
      setMotion({ stage, t: 1 });
      return;
    }
    const on = isBefore(from, stage);
    let frame = 0;
    const begun = performance.now();
    const step = (now: number) => {
      const t = Math.min(1, (now - begun) / LASTS);
      const ease = t * t * (3 - 2 * t);
      if (t >= 1) return setMotion({ stage, t: 1 });
      setMotion({ stage: on ? stage : from, t: on ? ease : 1 - ease });
      frame = requestAnimationFrame(step);
    };
    step(begun);
    return () => cancelAnimationFrame(frame);
  }, [stage]);
  return motion;
}
