import type { ClothAlarm, CutLine, Stretch } from '../out/layout/index.ts';
import { inWords, type Sentence, speaker, type Units } from '../speech/index.ts';

/** How a piece is cut, after its name. */
export function sayCut({ how, times, oneLayer }: CutLine): string {
  const often = times === 1 ? '' : times === 2 ? ' twice' : ` ${times} times`;
  if (how === 'fold') return `on the fold${often}`;
  if (how === 'pair') return times === 1 ? 'a pair, from both layers' : `${times} pairs, from both layers`;
  if (how === 'opened') return `opened out to a whole, from one layer${often}`;
  if (oneLayer) return 'once, from the upper layer only';
  if (times <= 2) return times === 1 ? 'once' : 'twice, the second turned over';
  return `${times} times, every second one turned over`;
}

/** How one stretch of the cloth is folded, and how long it is: above the pieces cut from it. */
export function sayStretch({ from, to, strips }: Stretch, units: Units): string {
  const s = speaker({ long: to - from, deep: (strips[0]?.to ?? 0) - (strips[0]?.from ?? 0) }, units);
  const edges = strips.filter((x) => x.fold).length;
  const folded = edges === 0 ? 'not folded' : `${s.len('deep')} deep at ${edges === 2 ? 'both edges' : 'one edge'}`;
  return `${s.len('long')} of the cloth, folded ${folded}`;
}

const ALARM_WORDS: Readonly<Record<ClothAlarm['code'], Sentence>> = inWords({
  'stretch-wrong-way': () =>
    'This knit is cut to stretch around the body, across the grain line; the cloth gives most along it. Turn every grain line a quarter, or take a cloth that gives across.',
  'stretch-missing': (s) =>
    `The pattern is drawn for a knit that gives ${s.num('share')} %; this cloth gives nothing. The garment would be too small: take a knit, or a pattern for wovens.`,
  'grain-missing': (s) =>
    `“${s.text('piece')}” has no grain line and is laid as it is drawn. Put one on before you cut.`,
});
export const sayClothAlarm = ({ code, data }: ClothAlarm, units: Units): string =>
  ALARM_WORDS[code](speaker(data, units));
