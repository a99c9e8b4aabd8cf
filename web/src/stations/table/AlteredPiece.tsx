import type { PieceFrame, Run, Stage } from '@ample/core/alterations';
import { distance, type Point } from '@ample/core/geometry';
import { FramePiece } from '../../shared/mat/FramePiece.tsx';
import { GripHandles } from './GripHandles.tsx';
import type { OnMat } from './onMat.ts';

interface Props extends OnMat {
  readonly run: Run;
  readonly stepId: string;
  readonly total: number | null;
  readonly frame: PieceFrame;
  readonly stage: Stage;
  /** How far the paper of this stage has come. */
  readonly t: number;
}

/** One of the pieces being altered, at one stage, with what one may take hold of there. */
export function AlteredPiece(props: Props) {
  const { frame, stage, t, k, run } = props;
  const taken = (at: Point, id: string): boolean =>
    run.grips.some((g) => g.piece === frame.piece.id && (g.id === id || distance(g.at, at) < 1));
  return (
    <FramePiece
      {...{ frame, stage, t, k, taken }}
      original={run.changes.find((c) => c.piece === frame.piece.id)?.original}
    >
      {(piece) => <GripHandles {...props} piece={piece} />}
    </FramePiece>
  );
}
