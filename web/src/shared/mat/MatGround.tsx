import { memo } from 'react';
import type { Box } from '@ample/core/geometry';
import { COLOURS } from '@ample/core/out';

/** The cutting mat: a centimetre grid, its numbers beside the left and lower edge where no piece lies, inches ticked along the other two. */
export const MatGround = memo(function MatGround({ box, k }: { readonly box: Box; readonly k: number }) {
  const width = box.maxX - box.minX;
  const height = box.maxY - box.minY;
  const size = 15 / k;
  const every = k < 0.45 ? 200 : k < 0.9 ? 100 : 50;
  const cmX = Array.from({ length: Math.ceil(width / every) }, (_, i) => i * every);
  const cmY = Array.from({ length: Math.ceil(height / every) }, (_, i) => i * every);
  const inX = Array.from({ length: Math.floor(width / 25.4) + 1 }, (_, i) => i * 25.4);
  const inY = Array.from({ length: Math.floor(height / 25.4) + 1 }, (_, i) => i * 25.4);
  return (
    <g transform={`translate(${box.minX} ${box.minY})`} aria-hidden="true">
      <defs>
        <pattern id="mat-cm" width="10" height="10" patternUnits="userSpaceOnUse">
          <path d="M10 0H0V10" fill="none" stroke={COLOURS.grid} strokeWidth="0.25" />
        </pattern>
        <pattern id="mat-5cm" width="50" height="50" patternUnits="userSpaceOnUse">
          <path d="M50 0H0V50" fill="none" stroke={COLOURS.gridFine} strokeWidth="0.6" />
        </pattern>
        <pattern id="hatch" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="4" stroke={COLOURS.pencil} strokeWidth="1.1" />
        </pattern>
      </defs>
      <rect width={width} height={height} fill={COLOURS.mat} />
      <rect width={width} height={height} fill="url(#mat-cm)" />
      <rect width={width} height={height} fill="url(#mat-5cm)" />
      <rect width={width} height={height} fill="none" stroke={COLOURS.figures} strokeWidth={1 / k} />
      <g fill={COLOURS.figures} fontSize={size} fontFamily="Spline Sans Mono, monospace">
        {cmX.slice(1).map((x) => (
          <text key={`x${x}`} x={x} y={height + 18 / k} textAnchor="middle">
            {x / 10}
          </text>
        ))}
        {cmY.slice(1).map((y) => (
          <text key={`y${y}`} x={-6 / k} y={height - y + 5 / k} textAnchor="end">
            {y / 10}
          </text>
        ))}
      </g>
      <g stroke={COLOURS.figures} strokeWidth={1 / k}>
        {inX.map((x, i) => (
          <line key={x} x1={x} x2={x} y1={0} y2={(i % 4 === 0 ? 12 : 6) / k} />
        ))}
        {inY.map((y, i) => (
          <line key={y} x1={width} x2={width - (i % 4 === 0 ? 12 : 6) / k} y1={y} y2={y} />
        ))}
      </g>
    </g>
  );
});
