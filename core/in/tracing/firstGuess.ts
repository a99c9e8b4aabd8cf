import { signedArea, spansOf } from '../../geometry/index.ts';
import type { OtherSize } from './apart.ts';
import type { Ring } from './chain.ts';
import type { Lettering, Stroke } from './lines.ts';
import { printedWords } from './printedWords.ts';
import { choicesFrom, sizeSaid } from './told.ts';
import { middleOfEdge, traceSafely } from './trace.ts';
import type { TraceChoices } from './traceTypes.ts';

/** What is printed on a piece, and everywhere in its file. */
export interface Printed {
  readonly letters: readonly Lettering[];
  readonly file: readonly Lettering[];
}
const wordsOf = (letters: readonly Lettering[]) => printedWords(letters.map((l) => l.text));

const areaOf = (ring: Ring): number => Math.abs(signedArea(spansOf(ring.path)));

/**
 * What is taken of a piece before anything was said by hand: what is printed on it, and the centre as its fold where it
 * is to be cut on one. `file` is everything printed in the file: an allowance said once is that of all its pieces.
 */
export function firstGuess(
  ring: Ring,
  others: readonly Stroke[],
  { letters, file }: Printed,
  usual: TraceChoices,
): TraceChoices {
  const words = wordsOf(letters);
  const { allowance } = wordsOf(file);
  const said: Partial<TraceChoices> = allowance === null ? {} : allowance === 0 ? { line: 'sewing' } : { allowance };
  const choices = choicesFrom(letters, ring.path, { ...usual, ...said });
  if (!words.onFold || choices.said.some((s) => s.fold)) return choices;
  const traced = traceSafely(ring, others, choices);
  const centre = traced.ok
    ? traced.value.edges.find((e) => e.role === 'centreFront' || e.role === 'centreBack')
    : undefined;
  return centre ? { ...choices, said: [...choices.said, { at: middleOfEdge(centre), fold: true }] } : choices;
}

/** The size of an outline: as it says, or by its place in the nest where the sizes stand there, or in the file, in a row. */
export function sizeOf(ring: Ring, nest: readonly OtherSize[], { letters, file }: Printed): string | null {
  const own = wordsOf(letters).sizes;
  const sizes = own.length > 0 ? own : wordsOf(file).sizes;
  if (sizes.length < 2) return sizeSaid(letters) ?? sizes[0] ?? null;
  if (sizes.length !== nest.length + 1) return null;
  // They stand there from small to large, as houses print them.
  const smaller = nest.filter((o) => areaOf(o.ring) < areaOf(ring)).length;
  return sizes[smaller] ?? null;
}
