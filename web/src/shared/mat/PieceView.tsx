import { memo } from 'react';
import { COLOURS, drawPiece, pathData, type PieceDrawing } from '@ample/core/out';
import { add, scale, sub, unit, type Point } from '@ample/core/geometry';
import { paperOutline, type Piece } from '@ample/core/pattern';
import type { Gap } from '@ample/core/paper/slash';

interface Props {
  readonly piece: Piece;
  /** The untouched piece, as a thin ghost. */
  readonly ghost?: Piece | undefined;
  readonly gaps?: readonly Gap[];
  readonly quiet?: boolean;
}

const thin = { vectorEffect: 'non-scaling-stroke' as const };

type Line = readonly [{ readonly x: number; readonly y: number }, { readonly x: number; readonly y: number }];
const line = ([a, b]: Line): string => `M${a.x} ${a.y}L${b.x} ${b.y}`;

/** One piece of tissue on the mat: cutting line, seam line, darts, notches, grain; inserts and overlaps on it. */
export const PieceView = memo(function PieceView({ piece, ghost, gaps = [], quiet }: Props) {
  const drawing = drawPiece(piece);
  const cutting = pathData(drawing.cutting, true);
  return (
    <g>
      {/* A plain second outline: a blurred shadow would have to be painted anew in every frame of a drag. */}
      <path d={cutting} transform="translate(0.9 1.7)" fill={COLOURS.shadow} opacity="0.45" />
      <path
        d={cutting}
        fill={COLOURS.tissue}
        stroke={COLOURS.ink}
        strokeWidth="1"
        {...thin}
        opacity={quiet ? 0.92 : 1}
      />
      <Gaps gaps={gaps} />
      {ghost && (
        <path
          d={pathData(paperOutline(ghost), true)}
          fill="none"
          stroke={COLOURS.ghost}
          strokeWidth="1"
          strokeDasharray="2 3"
          {...thin}
        />
      )}
      <Seams drawing={drawing} />
      <Marks drawing={drawing} />
      <CentreAndFold drawing={drawing} />
    </g>
  );
});

/** Paper put in, and paper lapping over paper. */
const Gaps = ({ gaps }: { readonly gaps: readonly Gap[] }) =>
  gaps.map((g, i) => (
    <path
      key={i}
      d={pathData(g.outline, true)}
      fill={g.area > 0 ? COLOURS.insert : 'url(#hatch)'}
      stroke={g.area > 0 ? COLOURS.brass : COLOURS.pencil}
      strokeWidth="0.8"
      strokeOpacity="0.7"
      {...thin}
    />
  ));

interface Drawn {
  readonly drawing: PieceDrawing;
}

function Seams({ drawing }: Drawn) {
  return (
    <>
      {drawing.levels.map((l) => (
        <path key={l.name} d={line(l.line)} stroke={COLOURS.grey} strokeWidth="0.8" strokeDasharray="8 4" {...thin} />
      ))}
      <path d={pathData(drawing.seam, true)} fill="none" stroke={COLOURS.carbon} strokeWidth="1.6" {...thin} />
      {drawing.darts.map((t) => (
        <g key={t.id} stroke={COLOURS.carbon} fill="none">
          <path d={pathData(t.legs)} strokeWidth="1.4" {...thin} />
          <path d={pathData(t.centre)} strokeWidth="0.8" strokeDasharray="4 3" {...thin} />
        </g>
      ))}
    </>
  );
}

/** The head of an arrow at `at`, on a line that comes from `from`. */
function head(at: Point, from: Point): string {
  const back = scale(unit(sub(from, at)), 5);
  const aside = { x: -back.y / 2, y: back.x / 2 };
  const [one, two] = [add(add(at, back), aside), sub(add(at, back), aside)];
  return `M${one.x} ${one.y}L${at.x} ${at.y}L${two.x} ${two.y}`;
}

/** Notches, grain, buttons, and where the neck of the body lies. */
function Marks({ drawing }: Drawn) {
  return (
    <>
      {drawing.notches.map((n) => (
        <path key={n.id} d={n.lines.map(line).join('')} stroke={COLOURS.ink} strokeWidth="1.6" {...thin} />
      ))}
      {drawing.grain.map(([a, b], i) => (
        <path
          key={i}
          d={`${line([a, b])}${head(a, b)}${head(b, a)}`}
          stroke={COLOURS.ink}
          strokeWidth="0.9"
          fill="none"
          {...thin}
        />
      ))}
      {drawing.buttons.map((p, i) => (
        <path
          key={i}
          d={`M${p.x - 5} ${p.y}a5 5 0 1 0 10 0a5 5 0 1 0 -10 0h10`}
          fill="none"
          stroke={COLOURS.ink}
          strokeWidth="1.1"
          {...thin}
        />
      ))}
      {drawing.neck.map((n) => (
        <path
          key={n.id}
          d={`M${n.at.x - 4} ${n.at.y}L${n.at.x} ${n.at.y - 4}L${n.at.x + 4} ${n.at.y}L${n.at.x} ${n.at.y + 4}Z`}
          fill={COLOURS.pencil}
          {...thin}
        >
          <title>{n.id === 'neckBase' ? 'The neck begins here' : 'Nape, or pit of the neck'}</title>
        </path>
      ))}
    </>
  );
}

function CentreAndFold({ drawing: { centreLine, folds, foldLine, yokeLines } }: Drawn) {
  return (
    <>
      {yokeLines.map((l, i) => (
        <path
          key={i}
          d={pathData(l)}
          fill="none"
          stroke={COLOURS.carbon}
          strokeWidth="1.2"
          strokeDasharray="3 3"
          {...thin}
        >
          <title>Yoke seam: the yoke is pinned on</title>
        </path>
      ))}
      {centreLine && (
        <path d={line(centreLine)} stroke={COLOURS.ink} strokeWidth="1.2" strokeDasharray="16 4 3 4" {...thin} />
      )}
      {folds.map((f, i) => (
        <path key={i} d={line(f)} stroke={COLOURS.ink} strokeWidth="1" strokeDasharray="8 4" {...thin} />
      ))}
      {foldLine && <path d={line(foldLine)} stroke={COLOURS.ink} strokeWidth="2.4" strokeDasharray="12 4" {...thin} />}
    </>
  );
}
