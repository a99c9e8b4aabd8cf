import { signedArea, spansOf } from '../geometry/index.ts';
import type { OtherSize } from './apart.ts';
import type { Ring } from './chain.ts';
import type { Lettering, Stroke } from './lines.ts';
import { printedWords } from './printedWords.ts';
import { choicesFrom, sizeSaid } from './told.ts';
import { middleOfEdge, traceSafely } from './trace.ts';
import type { TraceChoices } from './traceTypes.ts';

const areaOf = (ring: Ring): number => Math.abs(signedArea(spansOf(ring.path)));

/**
 * What is taken of a piece before anything was said by hand: what is printed on it, and the centre as its fold where it
 * is to be cut on one.
 */
export function firstGuess(
  ring: Ring,
  others: readonly Stroke[],
  letters: readonly Lettering[],
  usual: TraceChoices,
): TraceChoices {
  const words = printedWords(letters.map((l) => l.text));
  const choices = choicesFrom(letters, ring.path, usual);
  if (!words.onFold || choices.said.some((s) => s.fold)) return choices;
  const traced = traceSafely(ring, others, choices);
  const centre = traced.ok
    ? traced.value.edges.find((e) => e.role === 'centreFront' || e.role === 'centreBack')
    : undefined;
  return centre ? { ...choices, said: [...choices.said, { at: middleOfEdge(centre), fold: true }] } : choices;
}

/** The size of an outline: as it says, or by its place in the nest where the sizes stand there in a row. */
export function sizeOf(ring: Ring, nest: readonly OtherSize[], letters: readonly Lettering[]): string | null {
  const { sizes } = printedWords(letters.map((l) => l.text));
  if (sizes.length < 2) return sizeSaid(letters) ?? sizes[0] ?? null;
  if (sizes.length !== nest.length + 1) return null;
  // They stand there from small to large, as houses print them.
  const smaller = nest.filter((o) => areaOf(o.ring) < areaOf(ring)).length;
  return sizes[smaller] ?? null;
}
