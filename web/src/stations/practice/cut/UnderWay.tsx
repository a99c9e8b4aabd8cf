import { COLOURS, pathData } from '@ample/core/out';
import { distance, polyline, type Point } from '@ample/core/geometry';
import { formatLength } from '@ample/core/units';
import { useUnits } from '../../../store/prefs.ts';
import { asDrawn } from './useTools.ts';

const thin = { vectorEffect: 'non-scaling-stroke' as const };

/** A tape under way, or where it was laid last. */
export function Drawn({ from, to, k }: { readonly from: Point; readonly to: Point; readonly k: number }) {
  const { unit, fraction } = useUnits();
  const text = formatLength(distance(from, to), unit, { fraction: unit === 'in' ? 16 : fraction });
  return (
    <g>
      <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke={COLOURS.ink} strokeWidth="3" {...thin} />
      <g transform={`translate(${(from.x + to.x) / 2} ${(from.y + to.y) / 2}) scale(${1 / k})`}>
        <rect x="12" y="-32" width={text.length * 12.4 + 14} height="32" fill={COLOURS.tape} stroke={COLOURS.ink} />
        <text x="19" y="-9" fontSize="22" className="num" fill={COLOURS.ink}>
          {text}
        </text>
      </g>
    </g>
  );
}

/** Where the keyboard’s pen is. */
export const Crosshair = ({ at, k }: { readonly at: Point; readonly k: number }) => (
  <g transform={`translate(${at.x} ${at.y}) scale(${1 / k})`} pointerEvents="none">
    <circle r="13" fill="none" stroke={COLOURS.white} strokeWidth="5" />
    <circle r="13" fill="none" stroke={COLOURS.ink} strokeWidth="2" />
    <path d="M-20 0H20M0 -20V20" stroke={COLOURS.white} strokeWidth="4" />
    <path d="M-20 0H20M0 -20V20" stroke={COLOURS.ink} strokeWidth="1.6" />
  </g>
);

/** What is followed by hand, under way: a line as it would be cut, a seam as it was drawn. */
export function Course({
  kind,
  course,
  ahead,
}: {
  readonly kind: 'line' | 'bend' | 'seam';
  readonly course: readonly Point[];
  readonly ahead: Point | null;
}) {
  const points = ahead ? [...course, ahead] : course;
  return (
    <path
      d={pathData(polyline(asDrawn(kind, points)))}
      fill="none"
      stroke={COLOURS.pencil}
      strokeWidth="2.4"
      strokeDasharray={kind === 'seam' ? undefined : '9 5'}
      {...thin}
    />
  );
}
