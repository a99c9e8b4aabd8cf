/**
 * A new id: a prefix for its kind, and random bytes. `crypto.randomUUID` is missing where the app is reached over plain
 * HTTP on the home network; random values are there everywhere.
 */
export function freshId(letter: string, bytes = 4): string {
  const values = crypto.getRandomValues(new Uint8Array(bytes));
  const hex = [...values].map((v) => v.toString(16).padStart(2, '0')).join('');
  return letter === '' ? hex : `${letter}-${hex}`;
}
