// The simulated browser speaks American; the tests count in centimetres.
if (typeof navigator !== 'undefined')
  Object.defineProperty(navigator, 'language', { value: 'en-GB', configurable: true });
// The simulated browser lays nothing out: drawings keep the room they begin with.
globalThis.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
