import { COLOURS, pathData, PENS, type Diagram, type Shape } from '@ample/core/out';

/** A small drawing of a piece, as the hand sheet and the printed page have it. */
export function DiagramView({ diagram, height }: { readonly diagram: Diagram; readonly height: number }) {
  const { minX, minY, maxX, maxY } = diagram.box;
  const pad = 14;
  const k = (maxY - minY + 2 * pad) / height;
  return (
    <svg
      viewBox={`${minX - pad} ${minY - pad} ${maxX - minX + 2 * pad} ${maxY - minY + 2 * pad}`}
      height={height}
      className="block max-w-full"
      role="img"
      aria-label={diagram.name}
    >
      {diagram.shapes.map((s, i) => (
        <ShapeView key={i} shape={s} k={k} />
      ))}
    </svg>
  );
}

function ShapeView({ shape: s, k }: { readonly shape: Shape; readonly k: number }) {
  if (s.kind === 'line') {
    const pen = PENS[s.pen];
    return (
      <path
        d={pathData(s.path, s.closed)}
        fill={pen.fill}
        stroke={pen.stroke}
        strokeWidth={pen.width * k}
        strokeDasharray={pen.dash.length > 0 ? pen.dash.map((v) => v * k).join(' ') : undefined}
      />
    );
  }
  if (s.kind === 'dimension') {
    const y = Math.max(s.from.y, s.to.y) + 14 * k;
    return (
      <g>
        <path
          d={`M${s.from.x} ${s.from.y}V${y}M${s.to.x} ${s.to.y}V${y}M${s.from.x} ${y}H${s.to.x}`}
          fill="none"
          stroke={COLOURS.ink}
          strokeWidth={1.2 * k}
        />
        <text x={Math.max(s.from.x, s.to.x) + 5 * k} y={y + 5 * k} fontSize={15 * k} fill={COLOURS.ink}>
          {s.text}
        </text>
      </g>
    );
  }
  const at = `translate(${s.at.x} ${s.at.y}) scale(${k})`;
  if (s.kind === 'pin') return <circle transform={at} r="5" fill={COLOURS.brass} stroke={COLOURS.brassDark} />;
  if (s.kind === 'cross') return <path transform={at} d="M-7 0H7M0 -7V7" stroke={COLOURS.pencil} strokeWidth="2" />;
  return (
    <g transform={at}>
      <circle r="9.5" fill={COLOURS.white} stroke={COLOURS.pencil} strokeWidth="1.2" />
      <text y="5.2" fontSize="15" textAnchor="middle" fill={COLOURS.pencil} fontWeight="700">
        {s.text}
      </text>
    </g>
  );
}
