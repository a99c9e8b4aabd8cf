import type { Frame, Run, Stage } from '@ample/core/alterations';
import { amountOf, type DraftStep } from '@ample/core/fitting/plan';
import type { Piece } from '@ample/core/pattern';
import type { Viewport } from '../../lib/viewport.ts';
import { PieceBoundary } from '../../shared/Boundary.tsx';
import { AlteredPiece } from './AlteredPiece.tsx';
import { OnMatPiece } from './OnMatPiece.tsx';
import { stateOf, PieceName } from './PieceName.tsx';
import { PieceView } from '../../shared/mat/PieceView.tsx';
import type { LaidOut } from './useLaidOut.ts';
import type { StageMotion } from '../../shared/mat/useStageMotion.ts';

interface Props {
  readonly pieces: readonly Piece[];
  readonly original: readonly Piece[];
  readonly active: DraftStep | null;
  readonly run: Run | null;
  readonly frame: Frame | null;
  readonly stage: Stage;
  readonly motion: StageMotion;
  /** The pieces are shown as drafted, to compare with. */
  readonly compare: boolean;
  readonly laid: LaidOut;
  readonly k: number;
  readonly toMat: Viewport['toMat'];
  readonly onZoom: (piece: Piece) => void;
}

/** The pieces on the mat. What is worked on lies on top, so that its figures are not covered. */
export function MatPieces(props: Props) {
  const { pieces, run, frame, compare } = props;
  const touched = (p: Piece): boolean => run?.changes.some((c) => c.piece === p.id) === true;
  return [...pieces]
    .sort((a, b) => Number(touched(a)) - Number(touched(b)))
    .map((piece) => (
      <MatPiece
        {...props}
        key={piece.id}
        piece={piece}
        altered={compare ? undefined : frame?.pieces.find((f) => f.piece.id === piece.id)}
      />
    ));
}

function MatPiece({
  piece,
  altered,
  original,
  active,
  run,
  stage,
  motion,
  compare,
  laid,
  k,
  toMat,
  onZoom,
}: Props & { readonly piece: Piece; readonly altered: Frame['pieces'][number] | undefined }) {
  const offset = laid.offsetOf(piece.id);
  return (
    <PieceBoundary name={piece.name} of={altered ? run : piece}>
      <OnMatPiece
        id={piece.id}
        name={piece.name}
        offset={offset}
        toMat={toMat}
        onMove={(to) => laid.slide(piece.id, to)}
        onZoom={() => onZoom(piece)}
        label={
          <PieceName
            piece={altered?.piece ?? piece}
            k={k}
            state={compare ? 'untouched' : stateOf(piece, original, altered, stage)}
            side={altered ? (active?.step.side ?? 'both') : 'both'}
          />
        }
      >
        {altered && run ? (
          <AlteredPiece
            run={run}
            frame={altered}
            stepId={active?.step.id ?? ''}
            total={active && amountOf(active)}
            stage={motion.stage}
            t={motion.t}
            offset={offset}
            k={k}
            toMat={toMat}
          />
        ) : (
          <PieceView piece={piece} quiet />
        )}
      </OnMatPiece>
    </PieceBoundary>
  );
}
