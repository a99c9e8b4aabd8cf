import { COLOURS, arrowHeads, pathData, type PieceDrawing } from '@ample/core/out';
import { thrown, throwOf } from '@ample/core/out/projector';
import { formatLength } from '@ample/core/units';
import { squareNow, type Picture } from './state.ts';
import type { Throw } from '@ample/core/out/projector';

const LIGHT = { ground: COLOURS.black, ink: COLOURS.white, soft: COLOURS.glow } as const;
const DARK = { ground: COLOURS.white, ink: COLOURS.black, soft: COLOURS.carbon } as const;

/** The picture itself, in pixels of the projector: the square to measure, or a piece at true size. */
export function Thrown({ picture, drawing }: { readonly picture: Picture; readonly drawing: PieceDrawing | null }) {
  const { size, calibrating, calibration, inverted } = picture;
  const colours = inverted ? DARK : LIGHT;
  return (
    <g>
      <rect width={size.width} height={size.height} fill={colours.ground} />
      {calibrating || !calibration ? (
        <Square picture={picture} ink={colours.ink} />
      ) : (
        drawing && <ThrownPiece picture={picture} drawing={drawing} colours={colours} />
      )}
    </g>
  );
}

/** Share of the picture above the square. */
const TOP = 0.06;

/** The square with its diagonals' ends marked, and what it should measure once the scale is known. */
function Square({ picture, ink }: { readonly picture: Picture; readonly ink: string }) {
  const { size, unit, weight } = picture;
  const { width, height, side } = squareNow(picture);
  const x = (size.width - width) / 2;
  // High up: the strip of controls lies along the lower edge.
  const y = TOP * size.height;
  const arm = 18;
  const corners = [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ] as const;
  return (
    <g stroke={ink} strokeWidth={weight} fill="none" data-square={side ?? 'pixels'}>
      <rect x={x} y={y} width={width} height={height} />
      {corners.map(([cx, cy]) => (
        <path key={`${cx} ${cy}`} d={`M${cx - arm} ${cy}H${cx + arm}M${cx} ${cy - arm}V${cy + arm}`} />
      ))}
      <text x={x + width / 2} y={y + 34} textAnchor="middle" fontSize="22" fill={ink} stroke="none">
        {side === null ? 'Measure this square, line to line' : `This square measures ${formatLength(side, unit)}`}
      </text>
    </g>
  );
}

function ThrownPiece({
  picture,
  drawing,
  colours,
}: {
  readonly picture: Picture;
  readonly drawing: PieceDrawing;
  readonly colours: { readonly ground: string; readonly ink: string; readonly soft: string };
}) {
  const { size, calibration, view, weight } = picture;
  if (!calibration) return null;
  const t = throwOf(drawing.bounds, view, calibration, size);
  const b = drawing.bounds;
  const middle = thrown(t, { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 });
  const line = { vectorEffect: 'non-scaling-stroke', fill: 'none', strokeWidth: weight } as const;
  const { ink, soft } = colours;
  return (
    <>
      <ThrownLines toScreen={t} drawing={drawing} ink={ink} line={line} soft={soft} weight={weight} />
      {/* Words stand upright however the piece is turned, clear of its lines. */}
      <g textAnchor="middle" fill={ink} stroke={colours.ground} strokeWidth="8" paintOrder="stroke">
        <text x={middle.x} y={middle.y} fontSize="22">
          {drawing.piece.name}
        </text>
        <text x={middle.x} y={middle.y + 28} fontSize="18">
          {drawing.piece.fold === null ? `cut ${drawing.piece.cut}` : `cut ${drawing.piece.cut} on the fold`}
        </text>
      </g>
    </>
  );
}

function ThrownLines({
  toScreen,
  drawing,
  ink,
  line,
  soft,
  weight,
}: {
  readonly toScreen: Throw;
  readonly drawing: PieceDrawing;
  readonly ink: string;
  readonly line: { readonly vectorEffect: 'non-scaling-stroke'; readonly fill: 'none'; readonly strokeWidth: number };
  readonly soft: string;
  readonly weight: number;
}) {
  return (
    <g
      transform={`matrix(${toScreen.a} ${toScreen.b} ${toScreen.c} ${toScreen.d} ${toScreen.e} ${toScreen.f})`}
      strokeLinejoin="round"
      data-thrown={drawing.piece.id}
    >
      <path d={pathData(drawing.cutting, true)} stroke={ink} {...line} />
      <path d={pathData(drawing.seam, true)} stroke={soft} strokeDasharray="10 6" {...line} strokeWidth={weight / 2} />
      {drawing.darts.map((d) => (
        <path key={d.id} d={pathData(d.legs)} stroke={ink} {...line} />
      ))}
      {[
        ...drawing.notches.flatMap((n) => n.lines),
        ...drawing.grain.flatMap(([a, b]) => [[a, b] as const, ...arrowHeads(a, b, 12)]),
      ].map(([p, q], i) => (
        <path key={i} d={`M${p.x} ${p.y}L${q.x} ${q.y}`} stroke={ink} {...line} />
      ))}
      {[...(drawing.centreLine ? [drawing.centreLine] : []), ...drawing.folds].map(([p, q], i) => (
        <path
          key={`inner ${i}`}
          d={`M${p.x} ${p.y}L${q.x} ${q.y}`}
          stroke={ink}
          strokeDasharray="24 8 4 8"
          {...line}
          strokeWidth={weight / 2}
        />
      ))}
      {drawing.buttons.map((p, i) => (
        <circle key={`button ${i}`} cx={p.x} cy={p.y} r="5" stroke={ink} {...line} />
      ))}
      {drawing.foldLine && (
        <path
          d={`M${drawing.foldLine[0].x} ${drawing.foldLine[0].y}L${drawing.foldLine[1].x} ${drawing.foldLine[1].y}`}
          stroke={ink}
          strokeDasharray="24 8 4 8"
          {...line}
          strokeWidth={weight * 1.5}
        />
      )}
    </g>
  );
}
