import type { ChartRow, MeasurementKey } from '../../pattern/index.ts';
import { bodyFrom, checkBody, meanOf, newestFirst, type Body, type BodyProblem, type MeasurementSet } from './body.ts';

/** What is often not alike on both sides of a body, and is then taken on the right too. */
export const SIDED: readonly MeasurementKey[] = ['shoulder', 'shoulderSlope', 'upperArm', 'hipDepth'];

/** The body as its right side is, by the sets that `bodyFrom` reads the left from; null where both are alike. */
export function rightFrom(sets: readonly MeasurementSet[]): Body | null {
  const right = SIDED.flatMap((key) => {
    const set = newestFirst(sets).find((s) => meanOf(s.readings[key]) !== undefined);
    const [own, other] = [meanOf(set?.readings[key]), meanOf(set?.right?.[key])];
    return other === undefined || other === own ? [] : [[key, other] as const];
  });
  return right.length === 0 ? null : { ...bodyFrom(sets), ...Object.fromEntries(right) };
}

/** What differs on the right of a body. */
export const differingOn = (body: Body, right: Body): readonly MeasurementKey[] =>
  SIDED.filter((key) => right[key] !== undefined && right[key] !== body[key]);

/** Both sides differ by more than this only on few bodies, mm. */
const SIDES_APART = 30;

/** The newest set checked on both sides: the body as `checkBody` does, and what was taken on the right beside it. */
export function checkSets(sets: readonly MeasurementSet[], chart: readonly ChartRow[] = []): readonly BodyProblem[] {
  const [body, right, set] = [bodyFrom(sets), rightFrom(sets), newestFirst(sets)[0]];
  const left = checkBody(body, set, chart);
  if (!right) return left;
  const differs = differingOn(body, right);
  const own = checkBody(right, set && { ...set, readings: { ...set.readings, ...set.right } }, chart)
    .filter((p) => differs.includes(p.key))
    .map((p) => ({ ...p, right: true as const }));
  const apart = differs.flatMap((key): readonly BodyProblem[] => {
    const by = Math.abs((right[key] ?? 0) - (body[key] ?? 0));
    if (by <= SIDES_APART || [...left, ...own].some((p) => p.key === key)) return [];
    return [{ code: 'sides-far-apart', grade: 'ask', key, data: { by } }];
  });
  return [...left, ...own, ...apart];
}
