import { useEffect, useState } from 'react';
import { isTyping } from '../../lib/typing.ts';
import type { Viewport } from '../../lib/viewport.ts';

/** True while a key is held down, outside of fields. */
export function useHeldKey(key: string): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target)) return;
      if (e.key.toLowerCase() === key) setHeld(true);
    };
    const up = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === key) setHeld(false);
    };
    const off = () => setHeld(false);
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', off);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', off);
    };
  }, [key]);
  return held;
}

/** Nearer, farther, all in view. */
export function useZoomKeys({ nearer, farther, fit }: Viewport): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || isTyping(e.target)) return;
      if (e.key === '+' || e.key === '=') nearer();
      if (e.key === '-') farther();
      if (e.key === '0') fit();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [nearer, farther, fit]);
}
