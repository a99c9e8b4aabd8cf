import type { Shown } from '@ample/core/drape';
import { coloursOf, cssOf, type Colouring } from './colours.ts';

/** Pixels to a metre of the drawing. */
const SCALE = 600;

/** Cloth drawn without a graphics card: every triangle in its shade, the farthest first. */
export function Drawn({
  shown,
  map,
  turn,
  name,
}: {
  readonly shown: Shown;
  readonly map: Colouring;
  readonly turn: number;
  readonly name: string;
}) {
  const { positions, triangles } = shown.mesh;
  const colours = coloursOf(shown, map);
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  const place = (i: number): readonly [number, number, number] => [
    positions[3 * i]! * cos + positions[3 * i + 2]! * sin,
    positions[3 * i + 1]!,
    positions[3 * i + 2]! * cos - positions[3 * i]! * sin,
  ];
  const drawn = Array.from({ length: triangles.length / 3 }, (_, t) => {
    const [a, b, c] = [0, 1, 2].map((k) => place(triangles[3 * t + k]!)) as [
      readonly [number, number, number],
      readonly [number, number, number],
      readonly [number, number, number],
    ];
    const [ux, uy, uz, vx, vy, vz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2], c[0] - a[0], c[1] - a[1], c[2] - a[2]];
    const n = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx] as const;
    const light = 0.55 + 0.45 * Math.abs((0.3 * n[0] + 0.4 * n[1] + 0.87 * n[2]) / (Math.hypot(...n) || 1));
    const first = 3 * triangles[3 * t]!;
    const fill = cssOf(
      [0, 1, 2].map((d) => light * colours[first + d]!) as unknown as readonly [number, number, number],
    );
    const path = [a, b, c].map((p) => `${(SCALE * p[0]).toFixed(1)} ${(-SCALE * p[1]).toFixed(1)}`).join('L');
    return { depth: a[2] + b[2] + c[2], path: `M${path}Z`, fill };
  }).sort((p, q) => p.depth - q.depth);
  const heights = [...positions].filter((_, i) => i % 3 === 1).map((y) => SCALE * y);
  const [low, high] = [heights.reduce((a, b) => Math.min(a, b)), heights.reduce((a, b) => Math.max(a, b))];
  return (
    <svg
      viewBox={`${-0.45 * SCALE} ${-high - 10} ${0.9 * SCALE} ${high - low + 20}`}
      className="h-full w-full"
      role="img"
      aria-label={name}
    >
      {drawn.map(({ path, fill }, i) => (
        <path key={i} d={path} fill={fill} stroke={fill} strokeWidth="0.7" />
      ))}
    </svg>
  );
}
