/**
 * All roots in [0, 1] of a polynomial given by Bernstein coefficients, by subdivision: an interval whose
 * coefficients do not change sign holds no root. Finds touching (double) roots too. Sorted, distinct.
 */
export function bernsteinRoots(coefficients: readonly number[], zero = 1e-11): readonly number[] {
  const found: number[] = [];
  const size = Math.max(...coefficients.map(Math.abs));
  if (size === 0) return found;
  search(coefficients, 0, 1, size * zero, 0, found);
  found.sort((p, q) => p - q);
  return found.filter((t, i) => i === 0 || t - (found[i - 1] as number) > 2e-5);
}

function search(c: readonly number[], lo: number, hi: number, zero: number, depth: number, out: number[]): void {
  // Within the noise throughout: a touching root; going on would only find it again in every smaller part.
  if (c.every((v) => Math.abs(v) < zero)) {
    out.push((lo + hi) / 2);
    return;
  }
  let positive = false;
  let negative = false;
  for (const v of c) {
    if (v > -zero) positive = true;
    if (v < zero) negative = true;
  }
  if (!positive || !negative) return;
  if (depth === 46) {
    out.push((lo + hi) / 2);
    return;
  }
  const rows = [c];
  for (let k = 1; k < c.length; k++) {
    const last = rows[k - 1] as readonly number[];
    rows.push(last.slice(1).map((v, i) => (v + (last[i] as number)) / 2));
  }
  const m = (lo + hi) / 2;
  search(
    rows.map((r) => r[0] as number),
    lo,
    m,
    zero,
    depth + 1,
    out,
  );
  search(rows.map((r) => r.at(-1) as number).reverse(), m, hi, zero, depth + 1, out);
}

/** A root of f between lo and hi where it changes sign; bisection, so it always ends. */
export function bisect(f: (x: number) => number, lo: number, hi: number, tolerance: number): number {
  let a = lo;
  let b = hi;
  const rising = f(a) < 0;
  for (let i = 0; i < 80 && b - a > tolerance; i++) {
    const m = (a + b) / 2;
    if (f(m) < 0 === rising) a = m;
    else b = m;
  }
  return (a + b) / 2;
}
