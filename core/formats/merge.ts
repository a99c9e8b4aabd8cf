/** Two changed copies of one document brought together; `clashes` are the places both had changed, where mine stands. */
export interface Merged<T> {
  readonly merged: T;
  readonly clashes: readonly string[];
}

type Json = unknown;
type Fields = Readonly<Record<string, Json>>;

/**
 * Three-way merge of plain JSON: what only one side changed is taken from it; lists of things with ids are merged thing
 * by thing, so that two windows may each add a step or a set. Where both changed the same value mine is kept, and told.
 */
export function merge3<T>(base: T, mine: T, theirs: T): Merged<T> {
  const clashes: string[] = [];
  return { merged: merge(base, mine, theirs, '', clashes) as T, clashes };
}

const same = (a: Json, b: Json): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);
const isFields = (v: Json): v is Fields => typeof v === 'object' && v !== null && !Array.isArray(v);
const isList = (v: Json): v is readonly (Fields & { readonly id: string })[] =>
  Array.isArray(v) && v.every((x) => isFields(x) && typeof x['id'] === 'string');

function merge(base: Json, mine: Json, theirs: Json, path: string, clashes: string[]): Json {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (isFields(base) && isFields(mine) && isFields(theirs)) return mergeFields(base, mine, theirs, path, clashes);
  if (isList(base) && isList(mine) && isList(theirs)) return mergeLists(base, mine, theirs, path, clashes);
  clashes.push(path);
  // What one took away and the other wrote stays.
  return mine === undefined ? theirs : mine;
}

function mergeFields(base: Fields, mine: Fields, theirs: Fields, path: string, clashes: string[]): Json {
  const out: Record<string, Json> = {};
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = merge(base[key], mine[key], theirs[key], path ? `${path}.${key}` : key, clashes);
    if (value !== undefined) out[key] = value;
  }
  return out;
}

function mergeLists(
  base: readonly { readonly id: string }[],
  mine: readonly { readonly id: string }[],
  theirs: readonly { readonly id: string }[],
  path: string,
  clashes: string[],
): Json {
  const [b, m, t] = [base, mine, theirs].map((list) => new Map(list.map((x) => [x.id, x])));
  if (!b || !m || !t) return mine;
  const ids = (list: readonly { readonly id: string }[]): readonly string[] => list.map((x) => x.id);
  // The order of the one who changed it; what the other has added goes behind what it stood behind there.
  const moved = !same(
    ids(mine).filter((id) => b.has(id)),
    ids(base).filter((id) => m.has(id)),
  );
  const [lead, other] = moved ? [ids(mine), ids(theirs)] : [ids(theirs), ids(mine)];
  const order = [...lead];
  for (const [i, id] of other.entries()) {
    if (order.includes(id)) continue;
    const behind = i === 0 ? -1 : order.indexOf(other[i - 1] as string);
    order.splice(behind + 1, 0, id);
  }
  return order.flatMap((id): readonly Json[] => {
    const [was, own, its] = [b.get(id), m.get(id), t.get(id)];
    if (own && its) return [merge(was, own, its, `${path}.${id}`, clashes)];
    const left = own ?? its;
    // Gone on one side: gone, unless the other had worked on it.
    if (!was) return [left];
    if (same(was, left)) return [];
    if (own) return [own];
    clashes.push(`${path}.${id}`);
    return [its];
  });
}
