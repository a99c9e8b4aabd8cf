import type { Shown } from '@ample/core/drape';
import { coloursOf, cssOf, type Colouring } from './colours.ts';

/** Pixels to a metre of the drawing, and how much nearer a stroke is drawn than the cloth it lies on, m. */
const SCALE = 600;
const NEARER = 0.02;

interface Line {
  readonly depth: number;
  readonly path: string;
  readonly fill: string;
}

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
  const drawn = Array.from({ length: triangles.length / 3 }, (_, t): Line => {
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
  });
  const lines = [...drawn, ...(map === 'pull' ? strokes(shown.drags, turn) : [])].sort((p, q) => p.depth - q.depth);
  const heights = [...positions].filter((_, i) => i % 3 === 1).map((y) => SCALE * y);
  const [low, high] = [heights.reduce((a, b) => Math.min(a, b)), heights.reduce((a, b) => Math.max(a, b))];
  return (
    <svg
      viewBox={`${-0.45 * SCALE} ${-high - 10} ${0.9 * SCALE} ${high - low + 20}`}
      className="h-full w-full"
      role="img"
      aria-label={name}
    >
      {lines.map(({ path, fill }, i) => (
        <path key={i} d={path} fill={fill} stroke={fill} strokeWidth={path.endsWith('Z') ? 0.7 : 1.2} />
      ))}
    </svg>
  );
}

/** Drag lines as they lie seen from one side, each a little nearer than its cloth. */
function strokes(drags: Float32Array, turn: number): readonly Line[] {
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  return Array.from({ length: drags.length / 6 }, (_, i) => {
    const ends = [0, 3].map((k) => {
      const [x, y, z] = [0, 1, 2].map((d) => drags[6 * i + k + d]!) as [number, number, number];
      return { at: `${(SCALE * (x * cos + z * sin)).toFixed(1)} ${(-SCALE * y).toFixed(1)}`, depth: z * cos - x * sin };
    });
    const depth = 1.5 * ends.reduce((sum, e) => sum + e.depth, 0) + NEARER;
    return { depth, path: `M${ends.map((e) => e.at).join('L')}`, fill: '#1d1512' };
  });
}
