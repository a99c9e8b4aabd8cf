import {
  ChevronLeft,
  ChevronRight,
  Contrast,
  EyeOff,
  FlipHorizontal2,
  LogOut,
  Maximize,
  Minus,
  Plus,
  RotateCw,
  Ruler,
} from 'lucide-react';
import type { ReactNode } from 'react';
import type { Piece } from '@ample/core/pattern';
import { heavier, turnBy } from './keys.ts';
import { changeView, UPRIGHT, useProjector } from './state.ts';
import type { ProjectorView } from '@ample/core/out/projector';

interface Props {
  readonly pieces: readonly Piece[];
  readonly index: number;
  readonly step: (by: number) => void;
  readonly fits: 'fits' | 'fits-turned' | 'in-parts';
  readonly moved: boolean;
  readonly onLeave: () => void;
  readonly onHide: () => void;
}

/** Everything that can be done with the picture, in one strip along the lower edge. */
export function Controls({ pieces, index, step, fits, moved, onLeave, onHide }: Props) {
  const { calibrating, calibration } = useProjector();
  const busy = calibrating || !calibration;
  return (
    <section className="card mx-auto max-w-[1240px] p-2" aria-label="The picture">
      {!busy && <Notes moved={moved} empty={pieces.length === 0} fits={fits} />}
      <div className="flex flex-wrap items-center gap-1.5">
        <Do name="Piece before" onClick={() => step(-1)} disabled={busy || pieces.length < 2}>
          <ChevronLeft size={20} aria-hidden="true" />
        </Do>
        <PieceChoice busy={busy} pieces={pieces} index={index} />
        <Do name="Next piece" onClick={() => step(1)} disabled={busy || pieces.length < 2}>
          <ChevronRight size={20} aria-hidden="true" />
        </Do>
        <HowItLies busy={busy} />
        <HowItIsDrawn />
        <ScreenControls busy={busy} onHide={onHide} />
        <button className="btn ml-auto" onClick={onLeave}>
          <LogOut size={20} aria-hidden="true" />
          Leave
        </button>
      </div>
      <p className="mt-1.5 px-1 text-sm text-quiet">
        Check the square before every cutting. Do not look into the beam, keep its cable off the floor, close the blade
        when you put it down.
      </p>
    </section>
  );
}

/** What to know before cutting from this picture. */
function Notes({ moved, empty, fits }: Pick<Props, 'moved' | 'fits'> & { readonly empty: boolean }) {
  return (
    <>
      {moved && (
        <p className="mb-2 border-l-4 border-brass px-3" role="status">
          <strong>Look.</strong> The screen or its zoom has changed since the square was measured. Measure it again
          before you cut.
        </p>
      )}
      {empty && (
        <p className="mb-2 px-1" role="status">
          There is no piece to project: with paper only, the pieces are on your table already.
        </p>
      )}
      {fits !== 'fits' && (
        <p className="mb-2 px-1 text-sm" role="status">
          {fits === 'fits-turned'
            ? 'Turned a quarter, the whole piece is in the picture.'
            : 'The piece is larger than the picture: cut what is shown, then slide cloth and piece on by the same amount along the grain.'}
        </p>
      )}
    </>
  );
}

/** Turned, turned over, and back to the middle. */
function HowItLies({ busy }: { readonly busy: boolean }) {
  const view = useProjector((s) => s.view);
  return (
    <>
      <Do name="Turn a quarter" onClick={() => turnBy(90)} disabled={busy}>
        <RotateCw size={20} aria-hidden="true" />
        Turn
      </Do>
      <TurnedField busy={busy} view={view} />
      <Do
        name="Turn over"
        pressed={view.flipped}
        onClick={() => changeView({ flipped: !view.flipped })}
        disabled={busy}
      >
        <FlipHorizontal2 size={20} aria-hidden="true" />
        Over
      </Do>
      <Do name="Back to the middle" onClick={() => changeView({ ...UPRIGHT, flipped: view.flipped })} disabled={busy}>
        0
      </Do>
    </>
  );
}

/** Dark or light, and how thick its lines are. */
function HowItIsDrawn() {
  const { inverted, weight } = useProjector();
  return (
    <>
      <Do name="Dark lines on light" pressed={inverted} onClick={() => useProjector.setState({ inverted: !inverted })}>
        <Contrast size={20} aria-hidden="true" />
      </Do>
      <Do name="Thinner lines" onClick={() => heavier(-1)}>
        <Minus size={20} aria-hidden="true" />
      </Do>
      <span className="num text-sm" role="status" aria-label="Width of lines">
        {weight} px
      </span>
      <Do name="Thicker lines" onClick={() => heavier(1)}>
        <Plus size={20} aria-hidden="true" />
      </Do>
    </>
  );
}

function toggleWholeScreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
  else void document.documentElement.requestFullscreen().catch(() => undefined);
}

function ScreenControls({ busy, onHide }: { readonly busy: boolean; readonly onHide: () => void }) {
  return (
    <>
      <Do
        name="Measure the square"
        pressed={busy}
        onClick={() => useProjector.setState({ calibrating: true })}
        disabled={busy}
      >
        <Ruler size={20} aria-hidden="true" />
        Square
      </Do>
      <Do name="Whole screen" onClick={toggleWholeScreen}>
        <Maximize size={20} aria-hidden="true" />
      </Do>
      <Do name="Hide the controls" onClick={onHide}>
        <EyeOff size={20} aria-hidden="true" />
        Hide
      </Do>
    </>
  );
}

function PieceChoice({
  busy,
  pieces,
  index,
}: {
  readonly busy: boolean;
  readonly pieces: readonly Piece[];
  readonly index: number;
}) {
  return (
    <label className="flex items-center gap-2">
      <span className="sr-only">Piece</span>
      <select
        className="field w-[190px]"
        disabled={busy}
        value={pieces[index]?.id ?? ''}
        onChange={(e) =>
          useProjector.setState((s) => ({ piece: e.target.value, view: { ...s.view, slid: { x: 0, y: 0 } } }))
        }
      >
        {pieces.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </select>
    </label>
  );
}

function TurnedField({ busy, view }: { readonly busy: boolean; readonly view: ProjectorView }) {
  return (
    <label className="flex items-center gap-1.5">
      <span className="text-sm">turned</span>
      <input
        className="field num w-[82px]"
        type="number"
        step={0.5}
        disabled={busy}
        value={view.turned}
        onChange={(e) => changeView({ turned: Number(e.target.value) || 0 })}
      />
      <span className="text-sm">°</span>
    </label>
  );
}

const Do = ({
  name,
  pressed,
  children,
  ...rest
}: {
  readonly name: string;
  readonly pressed?: boolean;
  readonly children: ReactNode;
  readonly onClick: () => void;
  readonly disabled?: boolean;
}) => (
  <button
    className={`btn !px-2.5 ${pressed ? '!bg-tissue' : ''}`}
    title={name}
    aria-label={name}
    aria-pressed={pressed}
    {...rest}
  >
    {children}
  </button>
);
