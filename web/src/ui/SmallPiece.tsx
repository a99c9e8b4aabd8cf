import { COLOURS, drawPiece, pathData } from '@ample/core/out';
import type { Piece } from '@ample/core/pattern';

/** So much wider than high, a piece is drawn as wide as fits: a band is not blown up to the height of a leg. */
const WIDE = 1.4;

/** A piece laid out small, with its cutting line, seam line and darts. */
export function SmallPiece({ piece, tall = 'h-[230px]' }: { readonly piece: Piece; readonly tall?: string }) {
  const d = drawPiece(piece);
  const { minX, minY, maxX, maxY } = d.bounds;
  const line = { vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
  return (
    <figure className="m-0">
      <svg
        viewBox={`${minX - 4} ${minY - 4} ${maxX - minX + 8} ${maxY - minY + 8}`}
        className={maxX - minX > WIDE * (maxY - minY) ? 'w-[320px] max-w-full' : tall}
        role="img"
        aria-label={piece.name}
      >
        <path
          d={pathData(d.cutting, true)}
          fill={COLOURS.tissue}
          stroke={COLOURS.ink}
          vectorEffect="non-scaling-stroke"
        />
        <path d={pathData(d.seam, true)} stroke={COLOURS.carbon} {...line} />
        {d.darts.map((t) => (
          <path key={t.id} d={pathData(t.legs)} stroke={COLOURS.carbon} {...line} />
        ))}
      </svg>
      <figcaption className="text-sm">
        {piece.name}, {piece.fold !== null ? `cut ${piece.cut} on the fold` : `cut ${piece.cut}`}
      </figcaption>
    </figure>
  );
}
