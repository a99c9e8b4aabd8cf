import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Point } from '@ample/core/geometry';
import { beginGesture } from '../../store/job.ts';
import { usePrefs } from '../../store/prefs.ts';
import { arrowOf } from '../../lib/hotkeys.ts';
import { COLOURS } from '@ample/core/out';

export interface HandleProps {
  readonly name: string;
  readonly at: Point;
  readonly value: number;
  readonly text: string;
  readonly k: number;
  readonly toMat: (x: number, y: number) => Point;
  /** Where the piece lies on the mat. */
  readonly offset: Point;
  /** A drag to a point of the piece (`free` while Alt keeps it from being drawn to anything), or a nudge by so much. */
  readonly onDrag: (to: Point, free: boolean) => void;
  readonly onNudge: (by: Point) => void;
  /** The drag is over, however it ended. */
  readonly onDrop?: () => void;
  readonly children: ReactNode;
}

/**
 * Something on the mat one can take hold of: by finger or pointer (Escape puts everything back), or with Tab and
 * the arrow keys, by 1 mm or 1/16 in, five with Shift.
 */
export function Handle({ name, at, value, text, k, toMat, offset, onDrag, onNudge, onDrop, children }: HandleProps) {
  const gesture = useRef<ReturnType<typeof beginGesture> | null>(null);
  const grip = useRef<Point>({ x: 0, y: 0 });
  const point = (e: PointerEvent): Point => {
    const p = toMat(e.clientX, e.clientY);
    return { x: p.x - offset.x - grip.current.x, y: p.y - offset.y - grip.current.y };
  };
  const finish = (how: 'end' | 'cancel') => {
    gesture.current?.[how]();
    gesture.current = null;
    onDrop?.();
  };
  const onDown = (e: PointerEvent<SVGGElement>) => {
    if (e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    e.currentTarget.focus();
    grip.current = { x: 0, y: 0 };
    const p = point(e);
    grip.current = { x: p.x - at.x, y: p.y - at.y };
    gesture.current = beginGesture();
  };
  const onMove = (e: PointerEvent) => {
    if (gesture.current) onDrag(point(e), e.altKey);
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.key === 'Escape') return finish('cancel');
    const way = arrowOf(e.key);
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    const step = (usePrefs.getState().units.unit === 'in' ? 25.4 / 16 : 1) * (e.shiftKey ? 5 : 1);
    onNudge({ x: way.x * step, y: way.y * step });
  };
  return (
    <g
      data-handle={name}
      className="group cursor-grab touch-none"
      transform={`translate(${at.x} ${at.y}) scale(${1 / k})`}
      tabIndex={0}
      role="slider"
      aria-label={name}
      aria-valuenow={Math.round(value * 100) / 100}
      aria-valuetext={text}
      onPointerDown={onDown}
      onPointerMove={onMove}
      onPointerUp={() => finish('end')}
      onPointerCancel={() => finish('cancel')}
      onKeyDown={onKey}
    >
      <title>{`${name}: ${text}`}</title>
      <circle r="22" fill="transparent" />
      <circle
        r="16"
        fill="none"
        stroke={COLOURS.white}
        strokeWidth="5"
        className="opacity-0 group-focus-visible:opacity-100"
      />
      <circle
        r="16"
        fill="none"
        stroke={COLOURS.carbon}
        strokeWidth="2.5"
        className="opacity-0 group-hover:opacity-70 group-focus-visible:opacity-100"
      />
      {children}
    </g>
  );
}
