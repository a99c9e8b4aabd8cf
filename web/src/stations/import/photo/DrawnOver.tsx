import { COLOURS, pathData } from '@ample/core/out';
import type { Point } from '@ample/core/geometry';
import { outlinePlaces, type Place } from '@ample/core/in/tracing';
import { useDrawn } from '../../../store/drawn.ts';
import { usePicture } from '../../../store/picture.ts';
import { useUnits } from '../../../store/prefs.ts';
import { sayDrawn } from '../drawnWords.ts';

const RED = COLOURS.pencil;
const DONE = 'var(--color-carbon)';
type Px = (n: number) => number;

/** Over the picture: the pieces drawn on it so far, and the places of the one at hand. */
export function DrawnOver({ px }: { readonly px: Px }) {
  const { clicks, flatId } = usePicture();
  const units = useUnits();
  const pieces = useDrawn((s) => s.pieces);
  const around = outlinePlaces(clicks);
  return (
    <>
      {pieces
        .map((piece, i) => ({ piece, label: sayDrawn(piece, i, units) }))
        .filter(({ piece }) => piece.on === flatId)
        .map(({ piece, label }) => (
          <path
            key={piece.id}
            d={pathData(piece.outline, true)}
            fill={DONE}
            fillOpacity={0.14}
            stroke={DONE}
            strokeWidth={px(2.5)}
            pointerEvents="none"
            role="img"
            aria-label={label}
          />
        ))}
      {around.length > 1 && (
        <path
          d={`M${around.map((c) => `${c.x} ${c.y}`).join('L')}`}
          fill="none"
          stroke={RED}
          strokeWidth={px(2)}
          pointerEvents="none"
        />
      )}
      {clicks.map((place, i) => (
        <PlaceMark key={i} place={place} px={px} />
      ))}
    </>
  );
}

/** A corner is a square, a curve's place a ring, a notch a tick, a dart's place a triangle; grain and bust point are filled. */
function PlaceMark({ place: { x, y, kind }, px }: { readonly place: Place; readonly px: Px }) {
  const r = px(5);
  const look = { fill: COLOURS.white, stroke: RED, strokeWidth: px(2), pointerEvents: 'none' } as const;
  switch (kind) {
    case 'corner':
      return <rect x={x - r} y={y - r} width={2 * r} height={2 * r} {...look} />;
    case 'curve':
      return <circle cx={x} cy={y} r={r} {...look} />;
    case 'dartTip':
    case 'dartLeg':
      return <path d={`M${x} ${y - r}l${r} ${2 * r}h${-2 * r}z`} {...look} />;
    case 'notch':
      return <path d={`M${x - r} ${y - r}L${x + r} ${y + r}M${x - r} ${y + r}L${x + r} ${y - r}`} {...look} />;
    case 'grain':
    case 'bustPoint':
      return <circle cx={x} cy={y} r={r} {...look} fill={RED} />;
  }
}

/** Marks that two pictures share, numbered in the order they were clicked. */
export function SharedMarks({ marks, px }: { readonly marks: readonly Point[]; readonly px: Px }) {
  return marks.map((m, i) => (
    <g key={i} pointerEvents="none">
      <circle cx={m.x} cy={m.y} r={px(9)} fill="none" stroke={COLOURS.white} strokeWidth={px(5)} />
      <circle cx={m.x} cy={m.y} r={px(9)} fill="none" stroke={RED} strokeWidth={px(2.5)} />
      <text
        x={m.x + px(12)}
        y={m.y - px(8)}
        fontSize={px(18)}
        fontWeight={700}
        fill={RED}
        stroke={COLOURS.white}
        strokeWidth={px(4)}
        paintOrder="stroke"
      >
        {i + 1}
      </text>
    </g>
  ));
}
