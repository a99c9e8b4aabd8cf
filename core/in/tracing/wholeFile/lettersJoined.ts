import type { Point } from '../../../geometry/index.ts';
import type { Lettering } from '../lines.ts';

/** Words on one line stand so near to each other, and their feet so level, mm. */
const GAP = 4;
const LEVEL = 1;

const endX = (l: Lettering): number => (l.middle ? 2 * l.middle.x - l.at.x : l.at.x);

/** The second text put after the first; letters that both show, where a page cut a word, stand once. */
function oneText(first: string, second: string, overlaps: boolean): string {
  if (!overlaps) return `${first.trimEnd()} ${second.trimStart()}`;
  for (let n = Math.min(first.length, second.length); n > 0; n--)
    if (first.endsWith(second.slice(0, n))) return first + second.slice(n);
  return `${first.trimEnd()} ${second.trimStart()}`;
}

/**
 * Words that follow each other on one level line as one text: set in bits by the program that wrote the file, or cut
 * where two pages meet. Words whose width the file does not tell stay as they are.
 */
export function lettersJoined(letters: readonly Lettering[]): readonly Lettering[] {
  const plain = letters.filter((l) => !l.middle);
  const rows: Lettering[][] = [];
  const order = letters.filter((l) => l.middle).sort((a, b) => a.at.y - b.at.y);
  for (const l of order) {
    const row = rows.at(-1);
    const level = row?.[0];
    if (row && level && Math.abs(level.at.y - l.at.y) <= LEVEL) row.push(l);
    else rows.push([l]);
  }
  return [...plain, ...rows.flatMap(joinRow)];
}

function joinRow(row: readonly Lettering[]): readonly Lettering[] {
  const out: Lettering[] = [];
  for (const l of [...row].sort((a, b) => a.at.x - b.at.x)) {
    const before = out.at(-1);
    const gap = before ? l.at.x - endX(before) : Infinity;
    if (!before || gap > GAP) {
      out.push(l);
      continue;
    }
    const end = Math.max(endX(before), endX(l));
    const inside = endX(l) <= endX(before) + 0.01 && before.text.includes(l.text.trim());
    const middle: Point = { x: (before.at.x + end) / 2, y: before.middle?.y ?? before.at.y };
    out[out.length - 1] = { ...before, text: inside ? before.text : oneText(before.text, l.text, gap < -0.01), middle };
  }
  return out;
}
