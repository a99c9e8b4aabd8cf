import { Maximize2, Minus, Plus, Ruler, Scan, Undo2 } from 'lucide-react';
import type { Piece } from '@ample/core/pattern';
import { tidyPieces, usePlaces } from '../../store/places.ts';
import type { Viewport } from '../../lib/viewport.ts';
import type { Measuring } from './Measure.tsx';

export function MatTools({
  viewport,
  main,
  zoomTo,
  measuring,
  showing,
  setShowing,
  job,
}: {
  readonly viewport: Viewport;
  readonly main: Piece | null;
  readonly zoomTo: (piece: Piece) => void;
  readonly measuring: Measuring;
  readonly showing: boolean;
  readonly setShowing: (value: boolean) => void;
  readonly job: string;
}) {
  const moved = usePlaces((s) => s.moved[job]);
  return (
    <div className="absolute top-2 right-2 flex w-[66px] flex-col gap-1 [&>button]:justify-center">
      <Tool name="Nearer" keys="+" onClick={viewport.nearer} icon={Plus} />
      <Tool name="Farther" keys="−" onClick={viewport.farther} icon={Minus} />
      <Tool name="All in view" keys="0" onClick={() => viewport.fit()} icon={Scan} />
      {main && <Tool name={`Zoom to ${main.name}`} keys="double click" onClick={() => zoomTo(main)} icon={Maximize2} />}
      <Tool name="Measure" keys="M" onClick={measuring.toggle} icon={Ruler} on={measuring.on} />
      <button
        className={`btn !px-2 ${showing ? '!bg-ink !text-white' : ''}`}
        title="Hold to see the untouched pieces (O)"
        aria-pressed={showing}
        onPointerDown={() => setShowing(true)}
        onPointerUp={() => setShowing(false)}
        onPointerLeave={() => setShowing(false)}
        onKeyDown={(e) => (e.key === ' ' || e.key === 'Enter') && setShowing(true)}
        onKeyUp={() => setShowing(false)}
      >
        <span className="text-sm">before</span>
        <span className="sr-only">, hold to see the untouched pieces</span>
      </button>
      {moved && Object.keys(moved).length > 0 && (
        <Tool name="Put the pieces back in order" keys="" onClick={() => tidyPieces(job)} icon={Undo2} />
      )}
    </div>
  );
}

function Tool({
  name,
  keys,
  onClick,
  icon: Icon,
  on,
}: {
  readonly name: string;
  readonly keys: string;
  readonly onClick: () => void;
  readonly icon: typeof Plus;
  readonly on?: boolean;
}) {
  return (
    <button
      className={`btn !px-2 ${on ? '!bg-ink !text-white' : ''}`}
      onClick={onClick}
      title={keys ? `${name} (${keys})` : name}
      {...(on === undefined ? {} : { 'aria-pressed': on })}
    >
      <Icon size={20} aria-hidden="true" />
      <span className="sr-only">{name}</span>
    </button>
  );
}
