import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Point } from '@ample/core/geometry';
import { arrowOf } from '../../lib/hotkeys.ts';

interface Props {
  readonly id: string;
  readonly name: string;
  readonly offset: Point;
  readonly toMat: (clientX: number, clientY: number) => Point;
  /** Where the piece is put. */
  readonly onMove: (to: Point) => void;
  readonly onZoom: () => void;
  /** What the piece is called on the mat: the keyboard takes hold of the piece here. */
  readonly label: ReactNode;
  readonly children: ReactNode;
}

const STEP = 10;

/**
 * A piece of paper lying on the mat: slid by finger or pointer, by a centimetre with the arrow keys, brought near
 * with a double click or Enter. A second finger means pinching, and the paper goes back to where it was.
 */
export function OnMatPiece({ id, name, offset, toMat, onMove, onZoom, label, children }: Props) {
  const grip = useRef<{ readonly pointer: number; readonly from: Point; readonly offset: Point } | null>(null);
  const onDown = (e: PointerEvent<SVGGElement>) => {
    if (e.button !== 0 || (e.target as Element).closest('[data-handle]')) return;
    if (!e.isPrimary) return drop();
    e.currentTarget.setPointerCapture(e.pointerId);
    grip.current = { pointer: e.pointerId, from: toMat(e.clientX, e.clientY), offset };
  };
  const drop = () => {
    if (!grip.current) return;
    const back = grip.current.offset;
    grip.current = null;
    onMove(back);
  };
  const onDrag = (e: PointerEvent) => {
    const held = grip.current;
    if (!held || e.pointerId !== held.pointer) return;
    const p = toMat(e.clientX, e.clientY);
    onMove({ x: held.offset.x + p.x - held.from.x, y: held.offset.y + p.y - held.from.y });
  };
  const onKey = (e: KeyboardEvent) => {
    if (e.key === 'Escape') return drop();
    if (e.key === 'Enter') return onZoom();
    const way = arrowOf(e.key);
    if (!way) return;
    e.preventDefault();
    onMove({ x: offset.x + way.x * STEP, y: offset.y + way.y * STEP });
  };
  return (
    <g
      data-piece={id}
      className="group/piece cursor-move touch-none"
      transform={`translate(${offset.x} ${offset.y})`}
      onPointerDown={onDown}
      onPointerMove={onDrag}
      onPointerUp={() => (grip.current = null)}
      onPointerCancel={drop}
      onDoubleClick={onZoom}
    >
      {children}
      <g
        className="group"
        tabIndex={0}
        role="button"
        aria-label={`${name} on the mat: arrow keys slide it, Enter zooms to it`}
        onKeyDown={onKey}
      >
        {label}
      </g>
    </g>
  );
}
