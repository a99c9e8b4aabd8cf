import { alterationById, phaseOf, rankOf, type WorkOrder } from '../../alterations/index.ts';
import type { Step } from '../../documents/schema.ts';
import type { EdgeRole } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import type { DraftStep } from './step.ts';

/** Two steps that change the same edge: the later works on what the earlier left. */
export interface Meeting {
  readonly first: string;
  readonly second: string;
  readonly piece: string;
  readonly roles: readonly EdgeRole[];
}

function changedRoles({ step, outcome }: DraftStep): ReadonlyMap<string, ReadonlySet<EdgeRole>> {
  const out = new Map<string, Set<EdgeRole>>();
  if (!step.on || !outcome.ok) return out;
  for (const change of outcome.value.changes) {
    const after = outcome.value.pieces.find((p) => p.id === change.piece) ?? change.original;
    for (const [id, l] of Object.entries(change.lengths)) {
      if (Math.abs(l.after - l.before) < TOL.seam) continue;
      const role = [after, change.original].flatMap((p) => p.edges.find((e) => e.id === id)?.role ?? [])[0];
      if (!role || role === 'dart') continue;
      const roles = out.get(change.piece) ?? new Set<EdgeRole>();
      roles.add(role);
      out.set(change.piece, roles);
    }
  }
  return out;
}

/** Every pair of steps that change the length of the same seam of the same piece. */
export function meetingsOf(steps: readonly DraftStep[]): readonly Meeting[] {
  const changed = steps.map(changedRoles);
  return steps.flatMap((second, j) =>
    steps.slice(0, j).flatMap((first, i) =>
      [...(changed[j] ?? [])].flatMap(([piece, roles]): readonly Meeting[] => {
        const both = [...roles].filter((r) => changed[i]?.get(piece)?.has(r));
        return both.length > 0 ? [{ first: first.step.id, second: second.step.id, piece, roles: both }] : [];
      }),
    ),
  );
}

const rank = (step: Step, order: WorkOrder): number => {
  const definition = alterationById(step.alteration);
  return definition ? rankOf(phaseOf(definition), order) : Infinity;
};

/** The plan in the order of work; steps of one kind stay as they stand. */
export const inOrder = (steps: readonly Step[], order: WorkOrder): readonly Step[] =>
  steps
    .map((step, i) => ({ step, i }))
    .sort((a, b) => rank(a.step, order) - rank(b.step, order) || a.i - b.i)
    .map((x) => x.step);

/** For each step that stands after one usually done later: the first such step. */
export function outOfOrder(
  steps: readonly Step[],
  order: WorkOrder,
): readonly { readonly step: string; readonly before: string }[] {
  return steps.flatMap((step, i) => {
    const later = steps.slice(0, i).find((s) => rank(s, order) > rank(step, order));
    return later ? [{ step: step.id, before: later.id }] : [];
  });
}

/** Where a new step goes: after everything done before it or with it. */
export function insertAt(steps: readonly Step[], alteration: string, order: WorkOrder): number {
  const definition = alterationById(alteration);
  if (!definition) return steps.length;
  const own = rankOf(phaseOf(definition), order);
  const later = steps.findIndex((s) => rank(s, order) > own);
  return later < 0 ? steps.length : later;
}
