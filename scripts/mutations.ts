/** A small mistake somebody might make, and the tests that ought to notice it. */
export interface Mutation {
  readonly file: string;
  readonly from: string;
  readonly to: string;
  readonly tests: readonly string[];
}

const at = (file: string, from: string, to: string, ...tests: readonly string[]): Mutation => ({
  file,
  from,
  to,
  tests,
});
const TRUING = 'core/paper/truing';
const OPS = 'core/alterations/operations';
const EVERY = ['core/alterations'];

export const MUTATIONS: readonly Mutation[] = [
  // Seven that once lived.
  at(
    'core/paper/slash/moveOutline.ts',
    'at - before - nth(moved.cutFrom, i)',
    'at - before + nth(moved.cutFrom, i)',
    'core/paper/slash',
  ),
  at(
    `${TRUING}/corner.ts`,
    "at === 'start') return { ...m, at: Math.max(0, m.at - by) }",
    "at === 'start') return m",
    TRUING,
  ),
  at('core/fitting/fit/amounts.ts', 'size_ <= ADVICE.optionalBust', 'size_ < ADVICE.optionalBust', 'core/fitting/fit'),
  at('core/numeric/leastSquares.ts', 'v + off * (went[j] ?? 0)', 'v - off * (went[j] ?? 0)', 'core/numeric'),
  at('core/units/length.ts', '|\\.\\d+)$/', '|\\.\\d*)$/', 'core/units'),
  at('core/in/tracing/nest.ts', 'share > 1 / GROWTH && share < GROWTH &&', '', 'core/in/tracing/nest'),
  at('web/src/store/job.ts', 'merge3(was, now, next)', 'merge3(was, next, now)', 'web/src/store'),
  // Paper.
  at('core/paper/slash/moveOutline.ts', 'after + kept + bridge / 2', 'after + kept', 'core/paper/slash'),
  at(`${TRUING}/carry.ts`, 'along <= first + by ?', 'along <= first ?', TRUING),
  at(
    `${TRUING}/corner.ts`,
    'm.edge === second.id ? { ...m, at: Math.max(0, m.at + grown) }',
    'm.edge === second.id ? m',
    TRUING,
  ),
  at(`${TRUING}/check.ts`, 'intake > ADVICE.dartLarge', 'intake >= ADVICE.dartLarge + 5', TRUING, 'core/fitting/plan'),
  at(`${TRUING}/check.ts`, 'worst > TOL.notch', 'worst > 3 * TOL.notch', TRUING, ...EVERY),
  at(`${TRUING}/check.ts`, 'Math.abs(sum - 180) > TOL.smoothDegrees +', 'Math.abs(sum - 180) > 20 +', TRUING, ...EVERY),
  at(
    'core/paper/guard/cutting.ts',
    'by > TOL.allowance && (!worst',
    'by > 20 * TOL.allowance && (!worst',
    'core/paper/guard',
  ),
  at('core/paper/guard/darts.ts', 'Math.min(0.5, INSIDE / size)', '0.5', 'core/paper/guard'),
  // Operations.
  at(`${OPS}/easeDart.ts`, "key === 'first' ? -intake : intake", "key === 'first' ? intake : -intake", ...EVERY),
  at(`${OPS}/fair.ts`, 'at >= to ? at + grown', 'at >= to ? at', ...EVERY),
  at(`${OPS}/landmark.ts`, 'pathLength(path) - fromTop : fromTop', 'fromTop : pathLength(path) - fromTop', ...EVERY),
  at(`${OPS}/matchSeam.ts`, '{ ...s, ease }', 's', ...EVERY),
  at(`${OPS}/restoreWidth.ts`, 'step.belowBust ? { stays:', 'false ? { stays:', ...EVERY),
  at(`${OPS}/redraw.ts`, 'gained ? area : -area', 'gained ? -area : area', ...EVERY),
  at(`${OPS}/widen.ts`, 'round === undefined ? {} : { round }', '{}', ...EVERY),
  at(`${OPS}/splitEdge.ts`, 'table.seams = seamsAfterSplit(table.seams, state.piece.id, split);', '', ...EVERY),
  at('core/alterations/engine/interpreter.ts', 'doubled > 1.5 *', 'doubled < 1.5 *', ...EVERY),
  // What is asked for.
  at('core/fitting/fit/uncertainty.ts', 'spread + PAPER +', 'spread +', 'core/fitting'),
  at('core/fitting/fit/cups.ts', 'steps * step', 'steps * step * 0.5', 'core/fitting/fit'),
  at('core/fitting/plan/order.ts', '|| a.i - b.i', '|| b.i - a.i', 'core/fitting/plan'),
  at(
    'core/fitting/toile/rank.ts',
    'odds *= CONTRARY ** contrary.length',
    'odds *= 1 ** contrary.length',
    'core/fitting/toile',
  ),
  at(
    'core/fitting/toile/rank.ts',
    'left * way <= -ADVICE.worthAsking',
    'left * way < -5 * ADVICE.worthAsking',
    'core/fitting/toile',
  ),
  at(
    'core/fitting/solve/solve.ts',
    '-(now.value - was.value) / by',
    '(now.value - was.value) / by',
    'core/fitting/solve',
  ),
  // Documents and pages.
  at(
    'core/documents/merge.ts',
    '!base.includes(w) || (mine.includes(w) && theirs.includes(w))',
    'true',
    'core/documents',
  ),
  at('core/documents/merge.ts', 'mine === undefined ? theirs : mine', 'mine', 'core/documents', 'web/src/store'),
  at('core/out/pages.ts', 'Math.ceil((length - OVERLAP) / step)', 'Math.ceil(length / step)', 'core/out/pages'),
  at('core/alterations/kit/lengthLines.ts', 'return met.length === 2', 'return met.length >= 2', ...EVERY),
  // The stores.
  at(
    'web/src/store/journal.ts',
    'JSON.stringify([now.job, now.wearer]) === JSON.stringify([entry.job, entry.wearer])',
    'true',
    'web/src/store',
  ),
  at(
    'web/src/store/stationHistory.ts',
    'if (station?.back) station.undo();',
    'if (station?.forth) station.undo();',
    'web/src/store',
  ),
  at('web/src/store/adopt.ts', 'alike(sides) ? left : sideBack(sides.right)', 'sideBack(sides.right)', 'web/src/store'),
];
