/** Things by what they have in common, in the order they come. (`Map.groupBy` is missing where Node 20 runs.) */
export function grouped<T, K>(list: readonly T[], keyOf: (of: T) => K): Map<K, T[]> {
  const out = new Map<K, T[]>();
  for (const x of list) {
    const key = keyOf(x);
    const there = out.get(key);
    if (there) there.push(x);
    else out.set(key, [x]);
  }
  return out;
}
