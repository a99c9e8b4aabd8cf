import { nearestOnPath, pathLength } from '../../../geometry/index.ts';
import { edgesWithRole, type EdgeRole } from '../../../pattern/index.ts';
import { firstGuess } from '../firstGuess.ts';
import { boxOf, type Lettering, type Lines, type Stroke } from '../lines.ts';
import { markedOn } from '../places.ts';
import { printedWords } from '../printedWords.ts';
import { scaleLines } from '../scale.ts';
import { proposeSeams } from '../seams.ts';
import { idFrom, lettersIn } from '../told.ts';
import type { Ring } from '../chain.ts';
import { isBack, type Part } from '../roles.ts';
import { middleOfEdge, traceSafely } from '../trace.ts';
import { HALVES } from '../traceParts.ts';
import { plainChoices, type TraceChoices } from '../traceTypes.ts';
import { asksOf, sureness, type Question, type Why } from './doubts.ts';
import { halved } from './halves.ts';
import { inEverySize } from './inEverySize.ts';
import type { Alike, ReadFile, ReadPiece, Wanted } from './readTypes.ts';
import { lettersJoined } from './lettersJoined.ts';
import { marksBySize } from './marksBySize.ts';
import { nestsIn, type Nest } from './nests.ts';
import { outlinesIn } from './outlines.ts';
import { readTold } from './readTold.ts';
import { scaleSaid } from './scaleSaid.ts';
import { sizeNames, type SizeNames } from './sizeNames.ts';
import { welded } from './weld.ts';
import { last } from '../../../units/index.ts';

/** A piece below this is asked about and not taken by itself. */
export const SURE = 0.7;

/** Reads every piece of a sheet in one size: outlines, sizes, words, marks, roles, and the seams between them. */
export function readWhole(drawn: Lines, wanted: Wanted = {}): ReadFile {
  const told = readTold(drawn, wanted);
  if (told) return told;
  const scale = wanted.scale ?? scaleSaid(drawn)?.scale ?? 1;
  const scaled = scaleLines(drawn, scale);
  const lines = { ...scaled, strokes: welded(scaled.strokes), letters: lettersJoined(scaled.letters) };
  const nests = nestsIn(outlinesIn(lines));
  const names = sizeNames(lines, nests);
  const asked = names.names.find((n) => n.toLowerCase() === wanted.size?.trim().toLowerCase());
  const size = asked ?? names.names[Math.floor((names.names.length - 1) / 2)] ?? '1';
  const printed = printedWords(lines.letters.map((l) => l.text)).allowance;
  const allowance = wanted.allowance ?? printed;
  const ids = new Set<string>();
  const lettersOf = lettersByNest(lines, nests);
  const read = nests.flatMap((nest) => readNest(lines, nest, names, size, { allowance, wanted, ids, lettersOf }) ?? []);
  const seams = proposeSeams(read.map((p) => p.traced.piece));
  const pieces = read.map((p) => bySeams(p, read)).sort((a, b) => a.sure - b.sure);
  return {
    scale,
    sizes: names.names,
    sizesBy: names.by,
    size,
    pieces,
    seams,
    allowanceOpen: allowance === null && pieces.some((p) => p.asks.some((a) => a.code === 'which-allowance')),
  };
}

/** Words by the piece they stand on; those beside every outline, as in the hollow of a facing, by the only box they lie in. */
function lettersByNest(lines: Lines, nests: readonly Nest[]): (nest: Nest) => readonly Lettering[] {
  const on = new Map<Nest, Lettering[]>(nests.map((nest) => [nest, [...lettersIn(lines, last(nest).ring.path)]]));
  const placed = new Set([...on.values()].flat());
  for (const l of lines.letters) {
    if (placed.has(l)) continue;
    const p = l.middle ?? l.at;
    const around = nests.filter((nest) => {
      const b = boxOf(last(nest).ring.path);
      return p.x > b.minX && p.x < b.maxX && p.y > b.minY && p.y < b.maxY;
    });
    if (around.length === 1 && around[0]) on.get(around[0])?.push(l);
  }
  return (nest) => on.get(nest) ?? [];
}

interface Known {
  readonly lettersOf: (nest: Nest) => readonly Lettering[];
  readonly allowance: number | null;
  readonly wanted: Wanted;
  readonly ids: Set<string>;
}

function readNest(lines: Lines, nest: Nest, names: SizeNames, size: string, known: Known): ReadPiece | null {
  const sizes = names.of(nest);
  const k = Math.max(0, sizes.indexOf(size));
  const outline = nest[k];
  if (!outline) return null;
  const letters = known.lettersOf(nest);
  const words = printedWords(letters.map((l) => l.text));
  const why: Why[] = [];
  const asks: Question[] = [];
  const usual = usualFor(outline, known);
  if (outline.seam) why.push('seam-drawn');
  else if (known.wanted.allowance !== undefined) why.push('allowance-given');
  else if (known.allowance !== null || words.allowance !== null) why.push('allowance-printed');
  else asks.push({ code: 'which-allowance', data: {} });
  if (words.part) why.push(lines.marked ? 'part-said' : 'part-printed');
  else asks.push({ code: 'which-part', data: {} });
  const part = words.part ?? 'front';
  const back = isBack(part);
  const whole = outline.seam?.outline.ring ?? outline.ring;
  const half = HALVES.has(part) && !words.onFold ? halved(whole, back) : null;
  const ring = half?.ring ?? whole;
  const marksOf = marksBySize(nest, lines.strokes, known.allowance ?? 0);
  const others = marksOf(outline);
  const first = firstGuess(ring, others, { letters, file: lines.letters }, usual);
  const named = { ...first, ...nameFor(first, words.part !== null, known.ids) };
  const said: TraceChoices = {
    ...named,
    ...(known.wanted.allowance === undefined ? {} : { allowance: known.wanted.allowance, line: usual.line }),
    ...(half ? { cut: 1, said: [...named.said, { at: half.fold, fold: true }] } : {}),
    ...markedOn(lines, outline.ring),
  };
  const choices = outline.seam && !half ? withWidths(outline.ring, ring, others, said) : said;
  const traced = traceSafely(ring, others, choices);
  if (!traced.ok) return null;
  const { piece } = traced.value;
  if (half) why.push('fold-halved');
  else if (words.onFold && piece.fold !== null) why.push('fold-printed');
  else if (words.onFold) asks.push({ code: 'on-fold', data: {} });
  else if (words.cut !== null) why.push('cut-printed');
  else if (piece.half && edgesWithRole(piece, back ? 'centreBack' : 'centreFront').length > 0)
    asks.push({ code: 'on-fold', data: {} });
  // Of a piece nobody named, one thing is asked first: which it is.
  asks.push(...asksOf(piece, traced.value.notes).filter((a) => words.part !== null || a.code !== 'which-edges'));
  const alike = nest.flatMap((o, i): readonly Alike[] => {
    const name = sizes[i];
    if (!name || o === outline) return [];
    const other = o.seam?.outline.ring ?? o.ring;
    const own = half ? halved(other, back)?.ring : other;
    return own ? [{ size: name, ring: own, others: marksOf(o) }] : [];
  });
  const own = sizes[k] ?? size;
  const forAll = sizes[k] === null || nest.length === 1 ? names.names : null;
  const graded = inEverySize({ ring, choices, traced: traced.value, size: own, alike, forAll });
  asks.push(...graded.asks);
  if (nest.length > 1 && (sizes.some((s) => s === null) || !sizes.includes(size)))
    asks.push({ code: 'which-sizes', data: { drawn: nest.length, expected: names.names.length } });
  if (nest.length > 1 && graded.sizes.length === nest.length) why.push('sizes-alike');
  return {
    ring,
    look: outline.look,
    others,
    choices,
    traced: traced.value,
    size: own,
    alike,
    forAll,
    sizes: graded.sizes,
    sure: sureness(asks, why),
    why,
    asks,
  };
}

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

/** Edges that are sewn to each other, by the pieces that may carry them, and how much they may differ, mm. */
const SEWN: readonly (readonly [
  seam: string,
  role: EdgeRole,
  one: readonly Part[],
  two: readonly Part[],
  most: number,
])[] = [
  ['side', 'side', ['front', 'sideFront'], ['back', 'sideBack'], 12],
  ['shoulder', 'shoulder', ['front', 'sideFront'], ['back', 'sideBack'], 20],
  ['front panels', 'princess', ['front'], ['sideFront'], 15],
  ['back panels', 'princess', ['back'], ['sideBack'], 15],
  ['skirt side', 'side', ['skirtFront'], ['skirtBack'], 12],
  ['raglan', 'raglan', ['front', 'back'], ['sleeve'], 25],
];

/** Seams that match bear their pieces out; where the two sides cannot be sewn together both are asked about. */
function bySeams(p: ReadPiece, all: readonly ReadPiece[]): ReadPiece {
  if (p.asks.some((a) => a.code === 'which-part')) return p;
  const own = p.traced.piece;
  // What may be any piece tells nothing of a seam.
  const known = all.filter((o) => o === p || !o.asks.some((a) => a.code === 'which-part'));
  const on = (parts: readonly Part[], role: EdgeRole): number =>
    known
      .filter((o) => parts.includes(o.traced.piece.part))
      .flatMap((o) => edgesWithRole(o.traced.piece, role))
      .reduce((sum, e) => sum + pathLength(e.path), 0);
  const found = SEWN.flatMap(([seam, role, one, two, most]) => {
    if (![...one, ...two].includes(own.part) || edgesWithRole(own, role).length === 0) return [];
    const partner = one.includes(own.part) ? two : one;
    if (!known.some((o) => partner.includes(o.traced.piece.part))) return [];
    return [{ seam, difference: on(one, role) - on(two, role), most }];
  });
  const off = found.filter((f) => Math.abs(f.difference) > f.most);
  const asks: readonly Question[] = [
    ...p.asks,
    ...off.slice(0, 1).map(({ seam, difference }): Question => ({ code: 'seam-differs', data: { seam, difference } })),
  ];
  const why: readonly Why[] = found.length > 0 && off.length === 0 ? [...p.why, 'seams-match'] : p.why;
  return { ...p, asks, why, sure: sureness(asks, why) };
}
