import { COLOURS, nameOnMap, paperEdge, pathData, type NameOnMap, type PageMap } from '@ample/core/out';
import { useWidth } from '../../lib/useWidth.ts';

/** The most height the map takes, its width until it is laid out, and the smallest lettering on it, px. */
const MOST = 520;
const ROOM = 820;
const LEAST = 15;

/** The pages and what lies on them, as they will be joined. */
export function MapView({ map }: { readonly map: PageMap }) {
  const { width, height } = map.extent;
  const [frame, room] = useWidth(ROOM);
  if (map.tiles.length === 0) return null;
  const px = (n: number): number => n / Math.min(room / (width + 4), MOST / (height + 4));
  return (
    <svg
      ref={frame}
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      className="block max-h-[520px] w-full"
      role="img"
      aria-label={`Page map: ${map.tiles.length} pages`}
    >
      {map.tiles.map((t) => (
        <rect
          key={t.label}
          x={t.at.x}
          y={t.at.y}
          width={map.area.width}
          height={map.area.height}
          fill={COLOURS.white}
          stroke={COLOURS.grey}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {map.placed.map((p, i) => (
        <PlacedPiece key={i} placed={p} id={`paper-${i}`} />
      ))}
      {map.tiles.map((t) => (
        <text
          key={t.label}
          x={t.at.x + px(3)}
          y={t.at.y + px(LEAST)}
          fontSize={px(LEAST)}
          className="num"
          fill={COLOURS.quiet}
        >
          {t.label}
        </text>
      ))}
      {map.placed.map((p, i) => (
        <PieceName key={i} name={nameOnMap(p, px(LEAST), px(18))} />
      ))}
    </svg>
  );
}

function PieceName({ name: { lines, at, upright, size } }: { readonly name: NameOnMap }) {
  return (
    <text
      transform={`translate(${at.x} ${at.y})${upright ? ' rotate(-90)' : ''}`}
      textAnchor="middle"
      dominantBaseline="central"
      fontSize={size}
      fill={COLOURS.ink}
      stroke={COLOURS.tissue}
      strokeWidth={size / 5}
      paintOrder="stroke"
    >
      {lines.map((line, i) => (
        <tspan key={line} x={0} y={(i - (lines.length - 1) / 2) * size * 1.1}>
          {line}
        </tspan>
      ))}
    </text>
  );
}

/** One piece where it lies on the paper; of a patch only the part that is printed. */
function PlacedPiece({ placed, id }: { readonly placed: PageMap['placed'][number]; readonly id: string }) {
  const { drawing, dx, dy, turned } = placed;
  const edge = pathData(paperEdge(drawing), true);
  return (
    <g transform={`translate(${dx} ${dy})${turned ? ' rotate(90)' : ''}`} fill="none">
      <clipPath id={id}>
        <path d={edge} />
      </clipPath>
      <g clipPath={drawing.patch ? `url(#${id})` : undefined}>
        <path
          d={pathData(drawing.cutting, true)}
          stroke={COLOURS.ink}
          strokeWidth="1.5"
          fill={COLOURS.tissue}
          fillOpacity="0.6"
          vectorEffect="non-scaling-stroke"
        />
        <path d={pathData(drawing.seam, true)} stroke={COLOURS.carbon} vectorEffect="non-scaling-stroke" />
        {drawing.darts.map((t) => (
          <path key={t.id} d={pathData(t.legs)} stroke={COLOURS.carbon} vectorEffect="non-scaling-stroke" />
        ))}
      </g>
      {drawing.patch && <path d={edge} stroke={COLOURS.ink} strokeDasharray="6 3" vectorEffect="non-scaling-stroke" />}
    </g>
  );
}
