import {
  distance,
  flatten,
  insidePolygon,
  nearestOnPath,
  signedArea,
  spansOf,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { EDGE_ROLES, LEVELS, PARTS, type EdgeRole, type LevelName, type Piece } from '../../pattern/index.ts';
import { ringThrough, type Ring } from './chain.ts';
import { grouped } from './grouped.ts';
import { boxOf, type Lettering, type Lines, type Stroke } from './lines.ts';
import { AS_DRAWN } from './orient.ts';
import { partOfWords, printedWords } from './printedWords.ts';
import { plainChoices, type TraceChoices } from './traceTypes.ts';

/** A piece that stands in a file by itself: its outline, the lines with it, and what the file says of it. */
export interface ToldPiece {
  readonly ring: Ring;
  readonly others: readonly Stroke[];
  readonly choices: TraceChoices;
  readonly size: string | null;
}

const isRole = (text: string): text is EdgeRole => (EDGE_ROLES as readonly string[]).includes(text);
const isPart = (text: string): text is Piece['part'] => (PARTS as readonly string[]).includes(text);
const isLevel = (text: string): text is LevelName => (LEVELS as readonly string[]).includes(text);

const said = (letters: readonly Lettering[], what: RegExp): string | undefined =>
  letters.map((l) => what.exec(l.text)?.[1]?.trim()).find((t) => t !== undefined && t !== '');

/** An id made of a name: small letters and dashes. */
export const idFrom = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
    // A name every object has of its own cannot be a key.
    .replace(/^(constructor)$/, '$1-1') || 'piece';

/** Words that stand in every file and name nothing. */
const NO_NAME =
  /^(edge|mark|part|units?|size|quantity|annotation|joins|page|cut|place|fold|grain|test|this|print|lengthen|shorten|\W|\d)/i;
/** The first words in an outline that may be its name. */
export const nameIn = (letters: readonly Lettering[]): string | undefined =>
  letters.map((l) => l.text.trim()).find((t) => /[a-z]{3}/i.test(t) && !NO_NAME.test(t) && t.length <= 40);

/** How near to an edge "fold" is written for the edge to be meant, mm. */
const BESIDE = 16;

/** The size that words in an outline speak of. */
export const sizeSaid = (letters: readonly Lettering[]): string | null =>
  said(letters, /^size\s*:\s*(.+)$/i) ?? said(letters, /\bsize\s+([A-Z]{0,3}\d{1,3}|X{0,3}[SML])\b/) ?? null;

/** What lettering in and about an outline says of the piece: name, part, how many, the fold, roles of edges, marks. */
export function choicesFrom(letters: readonly Lettering[], ring: Path, usual: TraceChoices): TraceChoices {
  const name = said(letters, /^piece\s*name\s*:\s*(.+)$/i) ?? nameIn(letters);
  const folds = letters
    .filter((l) => /\bfold\b/i.test(l.text) && !/\bcut\b/i.test(l.text))
    .map((l) => nearestOnPath(ring, l.at))
    .filter((n) => n.distance <= BESIDE)
    .map((n) => ({ at: n.point, fold: true }));
  const part = said(letters, /^part\s*:\s*(\w+)$/i) ?? '';
  const words = printedWords(letters.map((l) => l.text));
  const quantity = Number(said(letters, /^quantity\s*:\s*(\d+)/i) ?? words.cut ?? NaN);
  const guess = partOfWords(name ?? '') ?? words.part;
  const mark = (what: string): Point | null => letters.find((l) => l.text === `Mark: ${what}`)?.at ?? null;
  const levels = Object.fromEntries(
    LEVELS.filter(isLevel).flatMap((level) => {
      const at = mark(level);
      return at ? [[level, at] as const] : [];
    }),
  );
  const edges = letters.flatMap((l) => {
    const m = /^Edge: (\w+), ([\d.]+) mm$/.exec(l.text);
    const role = m?.[1] ?? '';
    return m && isRole(role) ? [{ at: l.at, role, allowance: Math.min(100, Number(m[2])) }] : [];
  });
  return {
    ...usual,
    ...(name === undefined ? {} : { id: idFrom(name), name: name.slice(0, 120) }),
    part: isPart(part) ? part : (guess ?? usual.part),
    cut: Number.isInteger(quantity) && quantity > 0 && quantity <= 20 ? quantity : usual.cut,
    ...(words.allowance === null || usual.line === 'sewing'
      ? {}
      : words.allowance === 0
        ? { line: 'sewing' as const }
        : { allowance: words.allowance }),
    said: [...usual.said, ...edges, ...folds],
    bustPoint: mark('bust point') ?? usual.bustPoint,
    levels: { ...usual.levels, ...levels },
  };
}

/** The largest outline among some lines, followed line by line; null where none closes. */
export function largestRing(strokes: readonly Stroke[]): Ring | null {
  const sized = strokes
    .map((s, i) => ({ i, box: boxOf(s.path) }))
    .sort(
      (a, b) => b.box.maxX - b.box.minX + b.box.maxY - b.box.minY - (a.box.maxX - a.box.minX + a.box.maxY - a.box.minY),
    );
  for (const { i } of sized.slice(0, 12)) {
    const found = ringThrough(strokes, i);
    if (found.ok && Math.abs(signedArea(spansOf(found.value.path))) > 100) return found.value;
  }
  return null;
}

/**
 * The pieces of a drawing whose layers say what they are: in each block the seam line if it has one, else the cutting
 * line, with everything else that stands in the block.
 */
export function toldPieces(lines: Lines): readonly ToldPiece[] {
  const blocks = grouped(
    lines.strokes.filter((s) => s.kind !== null),
    (s) => s.block,
  );
  return [...blocks].flatMap(([block, strokes]) => {
    const sew = strokes.filter((s) => s.kind === 'sew');
    const cut = strokes.filter((s) => s.kind === 'cut');
    const line = sew.length > 0 ? sew : cut;
    const ring = line.length > 0 ? largestRing(line) : null;
    if (!ring) return [];
    const letters = lines.letters.filter((l) => l.block === block);
    const usual: TraceChoices = {
      ...plainChoices(idFrom(block || 'piece'), block || 'Piece'),
      line: line === sew ? 'sewing' : 'cutting',
    };
    const others = strokes.filter((s) => s.kind !== 'cut' && s.kind !== 'sew' && s.kind !== 'text');
    // A file that names every edge is one of ours: its corners are where it says, and it lies as it should.
    const own = letters.some((l) => l.text.startsWith('Edge: '));
    const turns = own ? others.filter((s) => s.kind === 'turn').map((s) => ({ at: s.path.start, on: true })) : [];
    const choices = choicesFrom(letters, ring.path, usual);
    const known = own ? { ...choices, turned: turns, orientation: AS_DRAWN } : choices;
    return [{ ring, others, choices: known, size: sizeSaid(letters) }];
  });
}

/** Lettering that lies in an outline: the middle of its line, where that is known. */
export function lettersIn(lines: Lines, ring: Path): readonly Lettering[] {
  const box = boxOf(ring);
  const polygon = flatten(ring, 1);
  return lines.letters.filter((l) => {
    const p = l.middle ?? l.at;
    const near = p.x >= box.minX - 20 && p.x <= box.maxX + 20 && p.y >= box.minY - 20 && p.y <= box.maxY + 20;
    return near && (insidePolygon(p, polygon) || polygon.some((q) => distance(q, p) < 2));
  });
}
