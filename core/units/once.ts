import memoize from 'memoize';

/** A function of an immutable object, computed once for each object and kept for as long as that lives. */
export const once = <Of extends object, Made>(make: (of: Of) => Made): ((of: Of) => Made) =>
  memoize(make, { cache: new WeakMap<Of, { data: Made; maxAge: number }>() });
