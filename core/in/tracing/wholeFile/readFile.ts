import { pathLength } from '../../../geometry/index.ts';
import { edgesWithRole, type EdgeRole } from '../../../pattern/index.ts';
import { last } from '../../../units/index.ts';
import { boxOf, type Lettering, type Lines } from '../lines.ts';
import { printedWords } from '../printedWords.ts';
import { scaleLines } from '../scale.ts';
import { proposeSeams } from '../seams.ts';
import { lettersIn } from '../told.ts';
import type { Part } from '../roles.ts';
import { sureness, type Question, type Why } from './doubts.ts';
import { lettersJoined } from './lettersJoined.ts';
import { nestsIn, type Nest } from './nests.ts';
import { outlinesIn } from './outlines.ts';
import { readNest } from './readNest.ts';
import { readTold } from './readTold.ts';
import type { ReadFile, ReadPiece, Wanted } from './readTypes.ts';
import { scaleSaid } from './scaleSaid.ts';
import { sizeNames } from './sizeNames.ts';
import { welded } from './weld.ts';

/** A piece below this is asked about and not taken by itself. */
export const SURE = 0.7;

/** Reads every piece of a drawing in one size: outlines, sizes, words, marks, roles, and the seams between them. */
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
  ['outside leg', 'side', ['trouserFront'], ['trouserBack'], 12],
  ['inseam', 'inseam', ['trouserFront'], ['trouserBack'], 15],
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
