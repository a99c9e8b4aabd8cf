/**
 * What a page of the app may load and where it may send: nothing but its own origin. The server says it in a header; the
 * built page carries it too, for hosts that set none.
 */
export const POLICY: Readonly<Record<string, string[]>> = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'"],
  // The interface library sets style elements of its own.
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  fontSrc: ["'self'"],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  frameSrc: ["'self'", 'blob:'],
  objectSrc: ["'none'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
};

/** The policy as one line, as a page's `meta` takes it. */
export const policyLine = (): string =>
  Object.entries(POLICY)
    .map(([name, sources]) => `${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)} ${sources.join(' ')}`)
    .join('; ');
