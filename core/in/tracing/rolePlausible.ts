import { endOf, pathLength } from '../../geometry/index.ts';
import type { EdgeRole } from '../../pattern/index.ts';
import { cornerBetween, leanOf, type Seen } from './roleSeen.ts';

/** Lengths that each edge of a bodice usually has, mm: what lies outside speaks against a reading. */
const USUAL: Readonly<Partial<Record<EdgeRole, readonly [number, number]>>> = {
  neck: [30, 260],
  shoulder: [25, 330],
  armhole: [110, 420],
  raglan: [150, 420],
};

/** Below a yoke only a part of the armhole is left. */
const BELOW_YOKE: typeof USUAL = { armhole: [60, 300] };

/**
 * How well a bodice reads with one of its edges as the centre: it stands upright and square to what it meets, the
 * shoulder falls away from the neck, and neck and armhole have lengths a body has. Higher is better.
 */
export function plausible(edges: readonly Seen[], centre: Seen, roles: readonly EdgeRole[]): number {
  const of = (role: EdgeRole): readonly Seen[] => edges.filter((e) => !e.dart && roles[e.index] === role);
  const size = (role: EdgeRole): number => of(role).reduce((sum, e) => sum + pathLength(e.path), 0);
  let score = leanOf(centre.path) < 1 ? 2 : 0;
  const n = edges.length;
  for (const step of [1, -1]) {
    const beside = edges[(edges.indexOf(centre) + step + n) % n];
    if (beside && Math.abs(cornerBetween(centre.path, beside.path) - 90) < 8) score += 2;
  }
  const yoke = of('yoke').length > 0;
  for (const role of Object.keys(USUAL) as EdgeRole[]) {
    const [least, most] = (yoke ? BELOW_YOKE[role] : USUAL[role]) ?? [0, Infinity];
    const long = size(role);
    if (long > 0) score += long >= least && long <= most ? 2 : -3;
  }
  if (yoke) score += 4;
  else if (of('neck').length === 0) score -= 4;
  if (size('armhole') > 0 && size('armhole') < size('neck')) score -= 4;
  const [shoulder] = of('shoulder');
  if (shoulder) {
    const [near, far] = [shoulder.path.start, endOf(shoulder.path)].sort(
      (p, q) => Math.abs(p.x - centre.path.start.x) - Math.abs(q.x - centre.path.start.x),
    );
    if (near && far) score += far.y > near.y ? 3 : -3;
  }
  return score;
}
