import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Box, Point } from '@ample/core/geometry';
import { arrowOf } from '../../../lib/hotkeys.ts';

/** What a tool does with a press, a way and a release on the mat. */
export interface Pen {
  readonly down: (at: Point) => void;
  /** On the way; by the keyboard from step to step of the crosshair, which draws no line that was meant. */
  readonly move: (at: Point, byKeys?: true) => void;
  /** A place that the way is to lead through, set by the keyboard. */
  readonly mark?: (at: Point) => void;
  readonly up: (at: Point) => void;
  readonly cancel: () => void;
}

/** How far the crosshair goes by one press of an arrow key, mm; with Shift the lesser. */
const STEP = { far: 5, near: 0.5 } as const;

/**
 * One pen for the pointer, a finger and the keyboard: arrow keys carry a crosshair, Enter presses and releases,
 * Space sets a place on the way, Escape lets go.
 */
export function usePen(pen: Pen, toMat: (x: number, y: number) => Point, mat: Box) {
  const [held, setHeld] = useState(false);
  const [cross, setCross] = useState<Point | null>(null);
  const press = (at: Point): void => {
    setHeld(true);
    pen.down(at);
  };
  const release = (at: Point): void => {
    setHeld(false);
    pen.up(at);
  };
  const letGo = (): void => {
    setHeld(false);
    pen.cancel();
  };
  const pointer = {
    onPointerDown: (e: PointerEvent<SVGElement>) => {
      if (e.button !== 0 || !e.isPrimary) return letGo();
      e.currentTarget.setPointerCapture(e.pointerId);
      setCross(null);
      press(toMat(e.clientX, e.clientY));
    },
    onPointerMove: (e: PointerEvent<SVGElement>) => {
      if (held && e.isPrimary && cross === null) pen.move(toMat(e.clientX, e.clientY));
    },
    onPointerUp: (e: PointerEvent<SVGElement>) => {
      if (held && e.isPrimary) release(toMat(e.clientX, e.clientY));
    },
    onPointerCancel: letGo,
  };
  const onKeyDown = (e: KeyboardEvent): void => {
    const middle = { x: (mat.minX + mat.maxX) / 2, y: (mat.minY + mat.maxY) / 2 };
    const at = cross ?? middle;
    const arrow = arrowOf(e.key);
    if (arrow) {
      e.preventDefault();
      const by = e.shiftKey ? STEP.near : STEP.far;
      const to = { x: at.x + by * arrow.x, y: at.y + by * arrow.y };
      setCross(to);
      if (held) pen.move(to, true);
    } else if (e.key === ' ' && held && pen.mark) {
      e.preventDefault();
      pen.mark(at);
    } else if (e.key === 'Enter' || e.key === ' ') {
      e.preventDefault();
      setCross(at);
      if (held) release(at);
      else press(at);
    } else if (e.key === 'Escape' && held) {
      e.stopPropagation();
      letGo();
    }
  };
  return { held, cross, pointer, onKeyDown };
}
