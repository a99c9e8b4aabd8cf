/**
 * Items of lists where the index is known to be good. A wrong index is a bug of ours and throws here, at its cause,
 * instead of travelling on as `undefined`.
 */

/** The item at an index. */
export function nth<T>(list: readonly T[], index: number): T {
  if (!(index >= 0 && index < list.length)) throw new RangeError(`No item ${index} in a list of ${list.length}`);
  return list[index] as T;
}

/** The last item. */
export const last = <T>(list: readonly T[]): T => nth(list, list.length - 1);

/** The item at an index of a list that closes on itself: −1 is the last, `length` the first. */
export function cyclic<T>(list: readonly T[], index: number): T {
  const n = list.length;
  return nth(list, n === 0 ? index : ((index % n) + n) % n);
}

/** Every item with the next one; round a closed list the last with the first as well. */
export function pairs<T>(list: readonly T[], closed = false): (readonly [T, T])[] {
  const count = closed ? list.length : list.length - 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => [nth(list, i), cyclic(list, i + 1)] as const);
}
