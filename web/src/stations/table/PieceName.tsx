import { isBefore, type PieceFrame, type Stage } from '@ample/core/alterations';
import { COLOURS, drawPiece } from '@ample/core/out';
import type { Piece } from '@ample/core/pattern';

type PieceState = 'untouched' | 'altered' | 'as drafted';

export function stateOf(
  piece: Piece,
  original: readonly Piece[],
  frame: PieceFrame | undefined,
  stage: Stage,
): PieceState {
  if (frame && !isBefore(stage, 'open')) return 'altered';
  return original.includes(piece) ? 'as drafted' : 'altered';
}

/** Fewer pixels for a millimetre than this, and names are written in two lines. */
const FAR = 0.45;

/** A name in two lines, divided at the space nearest to its middle. */
function inTwo(name: string): readonly string[] {
  const spaces = [...name.matchAll(/ /g)].map((m) => m.index);
  const middle = name.length / 2;
  const [at] = spaces.sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle));
  return at === undefined ? [name] : [name.slice(0, at), name.slice(at + 1)];
}

/** What the piece is, on the mat below it, where no line of the work is in the way. */
export function PieceName({
  piece,
  k,
  state,
  side,
}: {
  readonly piece: Piece;
  readonly k: number;
  readonly state: PieceState;
  readonly side: 'both' | 'left' | 'right';
}) {
  const { bounds } = drawPiece(piece);
  // Seen from far, a long name would run into its neighbours.
  const lines = k < FAR && piece.name.length > 14 ? inTwo(piece.name) : [piece.name];
  const cut = piece.fold !== null ? `cut ${piece.cut} on the fold` : `cut ${piece.cut}`;
  const says = side !== 'both' ? `${side} half only` : k < 0.8 ? state : `${cut}, ${state}`;
  return (
    <g
      transform={`translate(${(bounds.minX + bounds.maxX) / 2} ${bounds.maxY}) scale(${1 / k})`}
      fill={COLOURS.tissue}
      textAnchor="middle"
      aria-hidden="true"
    >
      <rect
        x="-90"
        y="4"
        width="180"
        height="46"
        fill="transparent"
        stroke={COLOURS.insert}
        strokeWidth="3"
        className="opacity-0 group-focus-visible:opacity-100"
      />
      {lines.map((line, i) => (
        <text key={line} y={22 + 18 * i} fontSize="16" fontFamily="Bitter, serif" fontWeight="600">
          {line}
        </text>
      ))}
      {(lines.length === 1 || side !== 'both') && (
        <text y={23 + 18 * lines.length} fontSize="15">
          {says}
        </text>
      )}
    </g>
  );
}
