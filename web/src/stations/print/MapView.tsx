import { paperEdge, pathData, type PageMap } from '@ample/core/formats';

/** The pages and what lies on them, as they will be joined. */
export function MapView({ map }: { readonly map: PageMap }) {
  const width = map.columns * map.step.width + 10;
  const height = map.rows * map.step.height + 10;
  if (map.tiles.length === 0) return null;
  return (
    <svg
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      className="block max-h-[520px] w-full"
      role="img"
      aria-label={`Page map: ${map.tiles.length} pages`}
    >
      {map.tiles.map((t) => (
        <g key={t.label}>
          <rect
            x={t.column * map.step.width}
            y={t.row * map.step.height}
            width={map.area.width}
            height={map.area.height}
            fill="#fff"
            stroke="#8C8878"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={t.column * map.step.width + 8}
            y={t.row * map.step.height + 24}
            fontSize="20"
            className="num"
            fill="#5A5F66"
          >
            {t.label}
          </text>
        </g>
      ))}
      {map.placed.map((p, i) => {
        const { drawing } = p;
        const edge = pathData(paperEdge(drawing), true);
        return (
          <g key={i} transform={`translate(${p.dx} ${p.dy})${p.turned ? ' rotate(90)' : ''}`} fill="none">
            <clipPath id={`paper-${i}`}>
              <path d={edge} />
            </clipPath>
            <g clipPath={drawing.patch ? `url(#paper-${i})` : undefined}>
              <path
                d={pathData(drawing.cutting, true)}
                stroke="#1E2A38"
                strokeWidth="1.5"
                fill="#F3E7CF"
                fillOpacity="0.6"
                vectorEffect="non-scaling-stroke"
              />
              <path d={pathData(drawing.seam, true)} stroke="#2B4C9B" vectorEffect="non-scaling-stroke" />
              {drawing.darts.map((t) => (
                <path key={t.id} d={pathData(t.legs)} stroke="#2B4C9B" vectorEffect="non-scaling-stroke" />
              ))}
            </g>
            {drawing.patch && (
              <path d={edge} stroke="#1E2A38" strokeDasharray="6 3" vectorEffect="non-scaling-stroke" />
            )}
          </g>
        );
      })}
    </svg>
  );
}
