import { grouped } from '../grouped.ts';
import type { Lines } from '../lines.ts';
import { printedWords } from '../printedWords.ts';
import type { Nest, NestedOutline } from './nests.ts';

/** The sizes of a file, from small to large, and which outline is of which. */
export interface SizeNames {
  readonly names: readonly string[];
  /** How they are known: printed words, names of layers, or only their order. */
  readonly by: 'words' | 'layers' | 'order';
  /** The size of each outline of a nest, in its order; null where a piece is drawn once for all. */
  readonly of: (nest: Nest) => readonly (string | null)[];
}

/** A size in the name of a layer: “Size 38”, “38”, “gr_40”, “M”. */
const IN_LAYER = /(?:^|[^a-z0-9])([A-Z]?\d{1,3}|X{0,3}[SML])(?:$|[^a-z0-9])/i;
const sizeOfLayer = (name: string): string | null => IN_LAYER.exec(name.trim())?.[1]?.toUpperCase() ?? null;

const layerOf = (look: string): string => look.slice(0, look.lastIndexOf('|'));

/** Which size is which. A size has one look in the whole file where looks differ at all; else the order tells. */
export function sizeNames(lines: Lines, nests: readonly Nest[]): SizeNames {
  const most = nests.reduce((n, nest) => Math.max(n, nest.length), 0);
  const ranks = ranksOfLooks(nests.filter((n) => n.length === most));
  const rankOf = (nest: Nest, o: NestedOutline, i: number): number | null =>
    nest.length === most ? i : (ranks.get(o.look) ?? (nest.length === 1 ? null : i));
  const layers = layerNames(lines, ranks, most);
  const printed = printedSizes(lines, most);
  const names = layers ?? printed ?? Array.from({ length: most }, (_, i) => String(i + 1));
  return {
    names,
    by: layers ? 'layers' : printed ? 'words' : 'order',
    of: (nest) =>
      nest.map((o, i) => {
        const rank = rankOf(nest, o, i);
        return rank === null ? null : (names[rank] ?? null);
      }),
  };
}

/** Looks by their place from small to large, where each size of the largest nests has its own; else empty. */
function ranksOfLooks(nests: readonly Nest[]): ReadonlyMap<string, number> {
  const places = nests.flatMap((nest) => nest.map((o, i) => [o.look, i] as const));
  const byLook = grouped(places, ([look]) => look);
  const ranks = new Map<string, number>();
  for (const [look, list] of byLook) {
    const counts = [...grouped(list, ([, i]) => i)].sort((a, b) => b[1].length - a[1].length);
    const [first] = counts;
    if (!first || first[1].length < list.length / 2) return new Map();
    ranks.set(look, first[0]);
  }
  return new Set(ranks.values()).size === ranks.size ? ranks : new Map();
}

function layerNames(lines: Lines, ranks: ReadonlyMap<string, number>, most: number): readonly string[] | null {
  if (ranks.size !== most || most === 0) return null;
  const names = [...ranks]
    .sort((a, b) => a[1] - b[1])
    .map(([look]) => {
      const layer = lines.layers.find((l) => l.id === layerOf(look));
      return layer ? sizeOfLayer(layer.name) : null;
    });
  const told = names.flatMap((n) => n ?? []);
  return told.length === most && new Set(told).size === most ? told : null;
}

/** Sizes printed in a row, as many as are drawn. */
function printedSizes(lines: Lines, most: number): readonly string[] | null {
  for (const l of lines.letters) {
    const { sizes } = printedWords([l.text]);
    if (sizes.length === most && most > 0) return sizes;
  }
  const each = lines.letters.flatMap((l) => {
    const { sizes } = printedWords([l.text]);
    return sizes.length === 1 ? sizes : [];
  });
  const once = [...new Set(each)].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  return once.length === most && most > 0 ? once : null;
}
