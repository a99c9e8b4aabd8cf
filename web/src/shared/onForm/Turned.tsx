import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';

/** The sides a form is looked at from, degrees it is turned. */
export const SIDES = [
  ['Front', 0],
  ['Left', -90],
  ['Back', 180],
  ['Right', 90],
] as const;

const KEY_STEP = 15;
/** Degrees for a pixel of dragging. */
const DRAG = 0.5;
const within = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;

const said = (degrees: number): string => {
  const near = SIDES.find(([, at]) => Math.abs(within(degrees - at)) < 1);
  return near ? `from the ${near[0].toLowerCase()}` : `turned ${Math.round(degrees)} degrees`;
};

/** What is inside turns by dragging and by the arrow keys. */
export function Turned({
  turn,
  set,
  children,
}: {
  readonly turn: number;
  readonly set: (degrees: number) => void;
  readonly children: ReactNode;
}) {
  const from = useRef<{ readonly x: number; readonly turn: number } | null>(null);
  const down = (e: PointerEvent<HTMLDivElement>): void => {
    e.currentTarget.setPointerCapture(e.pointerId);
    from.current = { x: e.clientX, turn };
  };
  const move = (e: PointerEvent<HTMLDivElement>): void => {
    if (from.current) set(within(from.current.turn + DRAG * (e.clientX - from.current.x)));
  };
  const key = (e: KeyboardEvent): void => {
    const by = { ArrowLeft: -KEY_STEP, ArrowRight: KEY_STEP }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    set(within(turn + by));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Turn the form"
      aria-valuemin={-180}
      aria-valuemax={180}
      aria-valuenow={Math.round(turn)}
      aria-valuetext={said(turn)}
      className="absolute inset-0 cursor-grab touch-pan-y active:cursor-grabbing"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => (from.current = null)}
      onPointerCancel={() => (from.current = null)}
      onKeyDown={key}
    >
      {children}
    </div>
  );
}
