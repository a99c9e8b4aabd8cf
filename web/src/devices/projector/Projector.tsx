import { useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { useNavigate, useParams } from 'react-router';
import { drawPiece } from '@ample/core/out';
import type { Piece } from '@ample/core/pattern';
import { fitsField, fieldOf } from '@ample/core/out/projector';
import { useDraft } from '../../store/draft.ts';
import { useUnits } from '../../store/prefs.ts';
import { usePrintable } from '../../store/unfit.ts';
import { UnfitNotice } from '../../shared/UnfitNotice.tsx';
import { tellTables } from './channel.ts';
import { CalibratePanel } from './CalibratePanel.tsx';
import { Controls } from './Controls.tsx';
import { useProjectorKeys } from './keys.ts';
import { sameScreen, slide, thisScreen, useProjector } from './state.ts';
import { Thrown } from './Thrown.tsx';

const NONE: readonly Piece[] = [];

/** Follows the size of the picture, and says which screen it is on. */
function useScreen(frame: RefObject<HTMLElement | null>) {
  const [here, setHere] = useState(thisScreen);
  useEffect(() => {
    const el = frame.current;
    if (!el) return;
    const measure = (): void => {
      const { width, height } = el.getBoundingClientRect();
      if (width > 0 && height > 0) useProjector.setState({ size: { width, height } });
      setHere(thisScreen());
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(el);
    return () => watch.disconnect();
  }, [frame]);
  return here;
}

/** The piece in the picture, and the way to the next. */
function usePieceShown(pieces: readonly Piece[]) {
  const wanted = useProjector((s) => s.piece);
  const index = Math.max(
    0,
    pieces.findIndex((p) => p.id === wanted),
  );
  const piece = pieces[index];
  const id = piece?.id ?? null;
  const { unit } = useUnits();
  useEffect(() => {
    useProjector.setState({ piece: id, unit });
  }, [id, unit]);
  const step = (by: number) => {
    const next = pieces[(index + by + pieces.length) % pieces.length];
    if (next) useProjector.setState((s) => ({ piece: next.id, view: { ...s.view, slid: { x: 0, y: 0 } } }));
  };
  return { piece, index, step };
}

/** A drag slides the piece by true millimetres. */
function slideBy(e: React.PointerEvent<SVGSVGElement>): void {
  const { calibration, calibrating } = useProjector.getState();
  if (!calibration || calibrating || e.button !== 0) return;
  const svg = e.currentTarget;
  svg.setPointerCapture(e.pointerId);
  let last = { x: e.clientX, y: e.clientY };
  svg.onpointermove = (m) => {
    slide((m.clientX - last.x) / calibration.across, (m.clientY - last.y) / calibration.down);
    last = { x: m.clientX, y: m.clientY };
  };
  svg.onpointerup = svg.onpointercancel = () => {
    svg.onpointermove = null;
  };
}

/** The whole screen as the projector throws it onto the cutting table: one piece after another at true size. */
export function Projector() {
  const { job = '' } = useParams();
  const navigate = useNavigate();
  const draft = useDraft((s) => s.draft);
  const state = useProjector();
  const { size, calibration, calibrating, view } = state;
  const frame = useRef<HTMLElement | null>(null);
  const [shown, setShown] = useState(true);
  const here = useScreen(frame);
  const printable = usePrintable(draft);
  const pieces = draft?.paper === null ? printable.pieces : NONE;
  const { piece, index, step } = usePieceShown(pieces);
  const drawing = useMemo(() => (piece ? drawPiece(piece) : null), [piece]);
  const leave = () => void navigate(`/job/${job}/print`);
  useProjectorKeys({ step, leave, hide: () => setShown((s) => !s) });
  useEffect(() => tellTables(job), [job]);
  const fits = drawing && calibration ? fitsField(drawing.bounds, fieldOf(size, calibration), view.turned) : 'fits';
  const moved = calibration !== null && !sameScreen(state.madeOn, here);
  return (
    <main ref={frame} className="fixed inset-0 z-40 bg-black" tabIndex={-1}>
      <svg
        className="absolute inset-0 block size-full touch-none"
        viewBox={`0 0 ${size.width} ${size.height}`}
        role="img"
        aria-label={calibrating || !calibration ? 'The square to measure' : `${piece?.name ?? 'Nothing'}, true size`}
        onPointerDown={slideBy}
      >
        <Thrown picture={state} drawing={drawing} />
      </svg>
      {shown ? (
        <div className="absolute inset-x-0 bottom-0 space-y-2 p-3">
          {draft?.paper === null && <UnfitNotice printable={printable} />}
          {(calibrating || !calibration) && <CalibratePanel moved={moved} />}
          <Controls
            pieces={pieces}
            index={index}
            step={step}
            fits={fits}
            moved={moved}
            onLeave={leave}
            onHide={() => setShown(false)}
          />
        </div>
      ) : (
        <button className="btn absolute right-3 bottom-3 opacity-60" onClick={() => setShown(true)}>
          Show the controls
        </button>
      )}
    </main>
  );
}
