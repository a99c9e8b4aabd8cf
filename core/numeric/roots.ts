import { last, TOL, nth } from '../units/index.ts';

/**
 * All roots in [0, 1] of a polynomial given by Bernstein coefficients, by subdivision: an interval whose
 * coefficients do not change sign holds no root. Finds touching (double) roots too. Sorted, distinct.
 */
export function bernsteinRoots(coefficients: readonly number[], zero = TOL.root): readonly number[] {
  const found: number[] = [];
  const size = Math.max(...coefficients.map(Math.abs));
  if (size === 0) return found;
  search(coefficients, 0, 1, size * zero, 0, found);
  found.sort((p, q) => p - q);
  return found.filter((t, i) => i === 0 || t - nth(found, i - 1) > TOL.sameRoot);
}

function search(c: readonly number[], lo: number, hi: number, zero: number, depth: number, out: number[]): void {
  // All coefficients are within rounding noise: a double root. Subdividing further would only find it again in every
  // part.
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
  const first = nth(c, 0);
  const last = nth(c, c.length - 1);
  if (first * last < 0 && signChanges(c) === 1) {
    // Exactly one root: no need to halve the interval fifty times.
    out.push(lo + (hi - lo) * onlyRoot(c, first < 0));
    return;
  }
  if (depth === 46) {
    out.push((lo + hi) / 2);
    return;
  }
  const rows = [c];
  for (let k = 1; k < c.length; k++) {
    const last = nth(rows, k - 1);
    rows.push(last.slice(1).map((v, i) => (v + nth(last, i)) / 2));
  }
  const m = (lo + hi) / 2;
  search(
    rows.map((r) => nth(r, 0)),
    lo,
    m,
    zero,
    depth + 1,
    out,
  );
  search(rows.map((r) => nth(r, r.length - 1)).reverse(), m, hi, zero, depth + 1, out);
}

function signChanges(c: readonly number[]): number {
  let changes = 0;
  let before = 0;
  for (const v of c) {
    if (v === 0) continue;
    if (before !== 0 && v > 0 !== before > 0) changes += 1;
    before = v;
  }
  return changes;
}

/** Value and derivative of a Bernstein polynomial at t. */
function evaluate(c: readonly number[], t: number): readonly [number, number] {
  const b = [...c];
  for (let k = c.length - 1; k > 1; k--) for (let i = 0; i < k; i++) b[i] = nth(b, i) + (nth(b, i + 1) - nth(b, i)) * t;
  const slope = (c.length - 1) * (nth(b, 1) - nth(b, 0));
  return [nth(b, 0) + (nth(b, 1) - nth(b, 0)) * t, slope];
}

/** The root of a polynomial with one sign change: Newton, kept inside its bracket. */
function onlyRoot(c: readonly number[], rising: boolean): number {
  let lo = 0;
  let hi = 1;
  let t = nth(c, 0) / (nth(c, 0) - last(c));
  for (let i = 0; i < 60 && hi - lo > TOL.ulp; i++) {
    const [value, slope] = evaluate(c, t);
    if (value === 0) return t;
    if (value < 0 === rising) lo = t;
    else hi = t;
    const next = t - value / slope;
    const guarded = next > lo && next < hi ? next : (lo + hi) / 2;
    if (Math.abs(guarded - t) < TOL.ulp) return guarded;
    t = guarded;
  }
  return t;
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

/**
 * A root of a smooth f between two places where it has opposite signs, by the Illinois form of false position: a
 * handful of evaluations where bisection takes thirty. Stops when |f| is within `zero`.
 */
export function solveBetween(f: (x: number) => number, from: number, to: number, zero: number): number {
  let [a, b] = [from, to];
  let fa = f(a);
  let fb = f(b);
  let x = b;
  for (let i = 0; i < 60; i++) {
    x = b - (fb * (b - a)) / (fb - fa);
    const fx = f(x);
    if (Math.abs(fx) <= zero) break;
    if (fx > 0 === fb > 0) fa /= 2;
    else {
      a = b;
      fa = fb;
    }
    b = x;
    fb = fx;
  }
  return x;
}

/**
 * The root of a function that is nearly `x + constant` near `guess`: secant steps, a handful of evaluations. Null
 * where they do not come to less than `zero`, so that the caller can bracket it instead.
 */
export function solveNear(f: (x: number) => number, guess: number, zero: number): number | null {
  let a = guess;
  let fa = f(a);
  if (Math.abs(fa) <= zero) return a;
  let b = a - fa;
  for (let i = 0; i < 8; i++) {
    const fb = f(b);
    if (Math.abs(fb) <= zero) return b;
    if (fb === fa) return null;
    [a, b, fa] = [b, b - (fb * (b - a)) / (fb - fa), fb];
  }
  return null;
}
