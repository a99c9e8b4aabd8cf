import { nth } from '../units/index.ts';

/** A field changed on both sides: mine wins, the other value is reported. */
export interface Clash {
  readonly path: string;
  readonly theirs: unknown;
}

/** The result of merging two changed copies of one document. */
export interface Merged<T> {
  readonly merged: T;
  readonly clashes: readonly Clash[];
}

type Json = unknown;
type Fields = Readonly<Record<string, Json>>;

/**
 * Three-way merge of plain JSON: what only one side changed is taken from it; lists of things with ids are merged thing
 * by thing, so that two windows may each add a step or a set, and lists of words word by word. Where both changed the
 * same value mine is kept, and reported.
 */
export function merge3<T>(base: T, mine: T, theirs: T): Merged<T> {
  const clashes: Clash[] = [];
  return { merged: merge(base, mine, theirs, '', clashes) as T, clashes };
}

const same = (a: Json, b: Json): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);
const isFields = (v: Json): v is Fields => typeof v === 'object' && v !== null && !Array.isArray(v);
/** The id of a list item; null when it has none. */
const nameOf = (x: Json): string | null => {
  const name = isFields(x) ? (x['id'] ?? x['job'] ?? x['observation']) : null;
  return typeof name === 'string' ? name : null;
};
const isWords = (v: Json): v is readonly string[] => Array.isArray(v) && v.every((x) => typeof x === 'string');
const isList = (v: Json): v is readonly Fields[] => Array.isArray(v) && v.every((x) => nameOf(x) !== null);

function merge(base: Json, mine: Json, theirs: Json, path: string, clashes: Clash[]): Json {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (isFields(base) && isFields(mine) && isFields(theirs)) return mergeFields(base, mine, theirs, path, clashes);
  if (isWords(base) && isWords(mine) && isWords(theirs)) return mergeWords(base, mine, theirs);
  if (isList(base) && isList(mine) && isList(theirs)) return mergeLists(base, mine, theirs, path, clashes);
  clashes.push({ path, theirs });
  // An item deleted on one side and edited on the other is kept.
  return mine === undefined ? theirs : mine;
}

/** Strings both sides have, minus what either removed, plus what either added. */
function mergeWords(base: readonly string[], mine: readonly string[], theirs: readonly string[]): readonly string[] {
  const stays = (w: string): boolean => !base.includes(w) || (mine.includes(w) && theirs.includes(w));
  return [...new Set([...mine, ...theirs])].filter(stays);
}

function mergeFields(base: Fields, mine: Fields, theirs: Fields, path: string, clashes: Clash[]): Json {
  const out: Record<string, Json> = {};
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = merge(base[key], mine[key], theirs[key], path ? `${path}.${key}` : key, clashes);
    if (value !== undefined) out[key] = value;
  }
  return out;
}

function mergeLists(
  base: readonly Fields[],
  mine: readonly Fields[],
  theirs: readonly Fields[],
  path: string,
  clashes: Clash[],
): Json {
  const [b, m, t] = [base, mine, theirs].map((list) => new Map(list.map((x) => [nameOf(x) ?? '', x])));
  if (!b || !m || !t) return mine;
  const ids = (list: readonly Fields[]): readonly string[] => list.map((x) => nameOf(x) ?? '');
  // The order of the side that changed it; items the other side added follow the item they followed there.
  const moved = !same(
    ids(mine).filter((id) => b.has(id)),
    ids(base).filter((id) => m.has(id)),
  );
  const [lead, other] = moved ? [ids(mine), ids(theirs)] : [ids(theirs), ids(mine)];
  const order = [...lead];
  for (const [i, id] of other.entries()) {
    if (order.includes(id)) continue;
    const behind = i === 0 ? -1 : order.indexOf(nth(other, i - 1));
    order.splice(behind + 1, 0, id);
  }
  return order.flatMap((id): readonly Json[] => {
    const [was, own, its] = [b.get(id), m.get(id), t.get(id)];
    if (own && its) return [merge(was, own, its, `${path}.${id}`, clashes)];
    const left = own ?? its;
    // Deleted on one side: deleted, unless the other side edited it.
    if (!was) return [left];
    if (same(was, left)) return [];
    if (own) return [own];
    clashes.push({ path: `${path}.${id}`, theirs: its });
    return [its];
  });
}
