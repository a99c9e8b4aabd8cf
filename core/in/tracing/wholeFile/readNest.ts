import { nearestOnPath } from '../../../geometry/index.ts';
import { edgesWithRole } from '../../../pattern/index.ts';
import { firstGuess } from '../firstGuess.ts';
import type { Lettering, Lines, Stroke } from '../lines.ts';
import { markedOn } from '../places.ts';
import { printedWords, type PrintedWords } from '../printedWords.ts';
import { idFrom } from '../told.ts';
import type { Ring } from '../chain.ts';
import { isBack } from '../roles.ts';
import { middleOfEdge, traceSafely } from '../trace.ts';
import { HALVES } from '../traceParts.ts';
import { plainChoices, type TraceChoices, type Traced } from '../traceTypes.ts';
import { asksOf, sureness, type Question, type Why } from './doubts.ts';
import { halved } from './halves.ts';
import { inEverySize } from './inEverySize.ts';
import type { Alike, ReadPiece, Wanted } from './readTypes.ts';
import { marksBySize } from './marksBySize.ts';
import type { Nest } from './nests.ts';
import type { SizeNames } from './sizeNames.ts';

/** What is known of the whole file. */
export interface Known {
  readonly lettersOf: (nest: Nest) => readonly Lettering[];
  readonly allowance: number | null;
  readonly wanted: Wanted;
  readonly ids: Set<string>;
}

/** One piece as its nest, its words and the file's say it is, before it is traced. */
interface Seen {
  readonly nest: Nest;
  readonly sizes: readonly (string | null)[];
  readonly outline: Nest[number];
  readonly letters: readonly Lettering[];
  readonly words: PrintedWords;
  readonly back: boolean;
  /** Drawn whole though cut on the fold: the half that is kept. */
  readonly half: ReturnType<typeof halved>;
  readonly ring: Ring;
  readonly marksOf: ReturnType<typeof marksBySize>;
}

/** Reads one nest of outlines as a piece, in one size; null where it cannot be traced. */
export function readNest(lines: Lines, nest: Nest, names: SizeNames, size: string, known: Known): ReadPiece | null {
  const sizes = names.of(nest);
  const k = Math.max(0, sizes.indexOf(size));
  const outline = nest[k];
  if (!outline) return null;
  const seen = seenOn(lines, nest, sizes, outline, known);
  const { ring } = seen;
  const others = seen.marksOf(outline);
  const choices = choicesFor(lines, seen, others, known);
  const traced = traceSafely(ring, others, choices);
  if (!traced.ok) return null;
  const doubts = doubtsAbout(lines, seen, known, traced.value);
  const alike = otherSizes(seen);
  const own = sizes[k] ?? size;
  const forAll = sizes[k] === null || nest.length === 1 ? names.names : null;
  const graded = inEverySize({ ring, choices, traced: traced.value, size: own, alike, forAll });
  const asks = [...doubts.asks, ...graded.asks];
  if (nest.length > 1 && (sizes.some((s) => s === null) || !sizes.includes(size)))
    asks.push({ code: 'which-sizes', data: { drawn: nest.length, expected: names.names.length } });
  const why: readonly Why[] =
    nest.length > 1 && graded.sizes.length === nest.length ? [...doubts.why, 'sizes-alike'] : doubts.why;
  return {
    ...{ ring, others, choices, alike, forAll, why, asks },
    look: outline.look,
    traced: traced.value,
    size: own,
    sizes: graded.sizes,
    sure: sureness(asks, why),
  };
}

function seenOn(
  lines: Lines,
  nest: Nest,
  sizes: readonly (string | null)[],
  outline: Nest[number],
  known: Known,
): Seen {
  const letters = known.lettersOf(nest);
  const words = printedWords(letters.map((l) => l.text));
  const part = words.part ?? 'front';
  const back = isBack(part);
  const whole = outline.seam?.outline.ring ?? outline.ring;
  const half = HALVES.has(part) && !words.onFold ? halved(whole, back) : null;
  const marksOf = marksBySize(nest, lines.strokes, known.allowance ?? 0);
  return { nest, sizes, outline, letters, words, back, half, ring: half?.ring ?? whole, marksOf };
}

/** How the piece is traced: as its words say, with the widths measured where seam and cutting line are both drawn. */
function choicesFor(lines: Lines, seen: Seen, others: readonly Stroke[], known: Known): TraceChoices {
  const { outline, ring, half } = seen;
  const usual = usualFor(outline, known);
  const first = firstGuess(ring, others, { letters: seen.letters, file: lines.letters }, usual);
  const named = { ...first, ...nameFor(first, seen.words.part !== null, known.ids) };
  const said: TraceChoices = {
    ...named,
    ...(known.wanted.allowance === undefined ? {} : { allowance: known.wanted.allowance, line: usual.line }),
    ...(half ? { cut: 1, said: [...named.said, { at: half.fold, fold: true }] } : {}),
    ...markedOn(lines, outline.ring),
  };
  return outline.seam && !half ? withWidths(outline.ring, ring, others, said) : said;
}

/** What bears the reading out, and what has to be asked: the allowance, the part, the fold, then the edges. */
function doubtsAbout(
  lines: Lines,
  { outline, words, half, back }: Seen,
  known: Known,
  { piece, notes }: Traced,
): { readonly why: readonly Why[]; readonly asks: readonly Question[] } {
  const why: Why[] = [];
  const asks: Question[] = [];
  if (outline.seam) why.push('seam-drawn');
  else if (known.wanted.allowance !== undefined) why.push('allowance-given');
  else if (known.allowance !== null || words.allowance !== null) why.push('allowance-printed');
  else asks.push({ code: 'which-allowance', data: {} });
  if (words.part) why.push(lines.marked ? 'part-said' : 'part-printed');
  else asks.push({ code: 'which-part', data: {} });
  if (half) why.push('fold-halved');
  else if (words.onFold && piece.fold !== null) why.push('fold-printed');
  else if (words.onFold) asks.push({ code: 'on-fold', data: {} });
  else if (words.cut !== null) why.push('cut-printed');
  else if (piece.half && edgesWithRole(piece, back ? 'centreBack' : 'centreFront').length > 0)
    asks.push({ code: 'on-fold', data: {} });
  // Of a piece nobody named, one thing is asked first: which it is.
  asks.push(...asksOf(piece, notes).filter((a) => words.part !== null || a.code !== 'which-edges'));
  return { why, asks };
}

/** The same piece in the other sizes of its nest, halved alike. */
const otherSizes = ({ nest, sizes, outline, half, back, marksOf }: Seen): readonly Alike[] =>
  nest.flatMap((o, i): readonly Alike[] => {
    const name = sizes[i];
    if (!name || o === outline) return [];
    const whole = o.seam?.outline.ring ?? o.ring;
    const ring = half ? halved(whole, back)?.ring : whole;
    return ring ? [{ size: name, ring, others: marksOf(o) }] : [];
  });

/** Allowances that differ by less are one, mm. */
const SAME_WIDTH = 1;

/** Where seam and cutting line are both drawn, the allowance of each edge as it measures between them: hems are wider. */
function withWidths(cutting: Ring, seam: Ring, others: readonly Stroke[], choices: TraceChoices): TraceChoices {
  const traced = traceSafely(seam, others, choices);
  if (!traced.ok) return choices;
  const widths = traced.value.edges.flatMap((e) => {
    if (e.role === 'dart' || e.fold) return [];
    const at = middleOfEdge(e);
    const allowance = Math.round(nearestOnPath(cutting.path, at).distance * 10) / 10;
    return allowance > SAME_WIDTH && Math.abs(allowance - choices.allowance) > SAME_WIDTH ? [{ at, allowance }] : [];
  });
  return widths.length > 0 ? { ...choices, said: [...choices.said, ...widths] } : choices;
}

/** What an outline is taken for before its words are read. */
function usualFor(outline: Nest[number], known: Known): TraceChoices {
  const plain = plainChoices('piece', 'Piece');
  if (outline.seam) return { ...plain, line: 'sewing', allowance: outline.seam.allowance };
  if (known.allowance === null) return plain;
  return known.allowance === 0 ? { ...plain, line: 'sewing' } : { ...plain, allowance: known.allowance };
}

/** An id no other piece of the file has. */
function nameFor(choices: TraceChoices, known: boolean, ids: Set<string>): Pick<TraceChoices, 'id' | 'name'> {
  const base = idFrom(choices.name);
  let id = base;
  for (let n = 2; ids.has(id); n++) id = `${base}-${n}`;
  ids.add(id);
  const nth = id === base ? '' : ` ${id.slice(base.length + 1)}`;
  return { id, name: known && choices.name !== 'Piece' ? choices.name : `${choices.name}${nth}` };
}
