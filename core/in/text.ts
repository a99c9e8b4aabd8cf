/** Byte-order marks and the encoding each stands for. */
const MARKS: readonly (readonly [encoding: string, bytes: readonly number[]])[] = [
  ['utf-8', [0xef, 0xbb, 0xbf]],
  ['utf-16le', [0xff, 0xfe]],
  ['utf-16be', [0xfe, 0xff]],
];

/**
 * The text of a file: by its byte-order mark, which is left out, else as UTF-8, else in the code page that older programs
 * wrote in. Never fails.
 */
export function textOf(bytes: Uint8Array): string {
  const marked = MARKS.find(([, mark]) => mark.every((b, i) => bytes[i] === b));
  if (marked) return new TextDecoder(marked[0]).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
