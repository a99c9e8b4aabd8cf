/** An expected outcome that can be refused. Exceptions are kept for our own bugs. */
export type Result<T, C extends string = string> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: Refusal<C> };

/** A refusal carries a code and its data; the sentence lives in `core/words`. */
export interface Refusal<C extends string = string> {
  readonly code: C;
  readonly data: Readonly<Record<string, string | number>>;
}

export const ok = <T>(value: T): { readonly ok: true; readonly value: T } => ({ ok: true, value });

export const refuse = <C extends string>(
  code: C,
  data: Readonly<Record<string, string | number>> = {},
): { readonly ok: false; readonly error: Refusal<C> } => ({ ok: false, error: { code, data } });

/** Unwraps a result whose success is guaranteed by the caller; throws with the code otherwise. */
export function expectOk<T>(result: Result<T>, what: string): T {
  if (result.ok) return result.value;
  throw new Error(`${what}: expected success, got ${result.error.code} ${JSON.stringify(result.error.data)}`);
}
