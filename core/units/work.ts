/** Work done in parts that can be told of on the way: carried to its end at once. */
export function toEnd<T>(work: Generator<unknown, T>): T {
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
  }
}

/** The same work, told in other words on the way. */
export function* telling<A, B, T>(work: Generator<A, T>, say: (part: A) => B): Generator<B, T> {
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
    yield say(next.value);
  }
}
