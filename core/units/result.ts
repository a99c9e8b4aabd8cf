import type { RefusalCode } from './codes.ts';

/** An expected outcome that can be refused. Exceptions are kept for our own bugs. */
export type Result<T, C extends RefusalCode = RefusalCode> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: Refusal<C> };

/** A code with what its sentence says; the sentences stand in `core/words`. */
export interface Coded<C extends string> {
  readonly code: C;
  readonly data: Readonly<Record<string, string | number>>;
}
export type Refusal<C extends RefusalCode = RefusalCode> = Coded<C>;

export const ok = <T>(value: T): { readonly ok: true; readonly value: T } => ({ ok: true, value });

export const refuse = <C extends RefusalCode>(
  code: C,
  data: Readonly<Record<string, string | number>> = {},
): { readonly ok: false; readonly error: Refusal<C> } => ({ ok: false, error: { code, data } });

/** Unwraps a result whose success is guaranteed by the caller; throws with the code otherwise. */
export function expectOk<T>(result: Result<T>, what: string): T {
  if (result.ok) return result.value;
  throw new Error(`${what}: expected success, got ${result.error.code} ${JSON.stringify(result.error.data)}`);
}
