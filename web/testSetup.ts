// The simulated browser speaks American; the tests count in centimetres.
if (typeof navigator !== 'undefined')
  Object.defineProperty(navigator, 'language', { value: 'en-GB', configurable: true });
