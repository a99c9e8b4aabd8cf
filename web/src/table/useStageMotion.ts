import { useEffect, useRef, useState } from 'react';
import { STAGES } from '@ample/core/alterations';
import type { Progress } from '@ample/core/slash';

const LASTS = 340;
const at = (stage: number): Progress => {
  const name = STAGES[stage] ?? 'mark';
  return {
    open: name === 'mark' || name === 'cut' ? 0 : 1,
    level: name === 'mark' || name === 'cut' || name === 'open' ? 0 : 1,
  };
};

/** How far the paper has come: moves over a third of a second when the stage changes, at once for reduced motion. */
export function useStageMotion(stage: number): Progress {
  const [progress, setProgress] = useState<Progress>(() => at(stage));
  const from = useRef(progress);
  useEffect(() => {
    const goal = at(stage);
    const start = from.current;
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    if (still || (start.open === goal.open && start.level === goal.level)) {
      from.current = goal;
      setProgress(goal);
      return;
    }
    let frame = 0;
    const begun = performance.now();
    const step = (now: number) => {
      const t = Math.min(1, (now - begun) / LASTS);
      const ease = t * t * (3 - 2 * t);
      const next = {
        open: start.open + (goal.open - start.open) * ease,
        level: start.level + (goal.level - start.level) * ease,
      };
      from.current = next;
      setProgress(next);
      if (t < 1) frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [stage]);
  return progress;
}
