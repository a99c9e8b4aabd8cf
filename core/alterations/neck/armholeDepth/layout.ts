import { pathLength, type Point } from '../../../geometry/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { drawCorner, type CapGoal } from '../../../paper/truing/index.ts';
import type { Context } from '../../contract.ts';
import { reachOf, type Underarm } from '../../kit/underarms.ts';

/** Cap edges to be as long as the new armholes and their ease ask: blended alike they are nearly so already. */
export function capGoal(
  context: Context,
  found: readonly Underarm[],
  target: (u: Underarm) => Point,
): { readonly sleeve: string; readonly goal: CapGoal } | null {
  const goal: Record<string, number> = {};
  let sleeve: string | null = null;
  for (const seam of context.seams.filter((s) => s.kind === 'armhole')) {
    const arm = found.find((u) => u.piece.id === seam.first.piece && seam.first.edges.includes(u.curve.id));
    const cap = found.find((u) => u.piece.id === seam.second.piece && seam.second.edges.includes(u.curve.id));
    if (!arm || !cap || cap.curve.role !== 'cap' || seam.first.edges.length > 1) return null;
    const moved = drawCorner(arm.piece, [arm.curve.id, arm.seam.id], target(arm), [reachOf(arm), undefined]);
    goal[cap.curve.id] = pathLength(requireEdge(moved, arm.curve.id).path) + seam.ease;
    sleeve = cap.piece.id;
  }
  return sleeve && Object.keys(goal).length === 2 ? { sleeve, goal } : null;
}
