import type { Chance } from './chance.ts';

/** One change to a document or a file, which can be left out again where it is not what did it. */
export interface Mutation {
  readonly what: string;
  readonly apply: (value: unknown) => unknown;
}
export interface ByteMutation {
  readonly what: string;
  readonly apply: (bytes: Uint8Array) => Uint8Array;
}

/** Values that are none of what a field expects, or the very edge of it. */
const ODD: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  -0,
  0.1 + 0.2,
  1e-300,
  1e308,
  Number.MAX_SAFE_INTEGER,
  '',
  ' ',
  '__proto__',
  'constructor',
  'toString',
  '\u202e\u200b',
  '9999-99-99',
  'x'.repeat(100_000),
  [],
  {},
  [[[[]]]],
  Array.from({ length: 5000 }, () => ({})),
];

type Path = readonly (string | number)[];
/** The way to a random value: as often near the top, where few names stand, as deep down among many. */
function wayInto(chance: Chance, value: unknown): Path {
  const path: (string | number)[] = [];
  for (let now = value; now !== null && typeof now === 'object';) {
    const keys = Object.keys(now);
    if (keys.length === 0 || (path.length > 0 && chance.often(0.3))) break;
    const key = chance.one(keys);
    path.push(Array.isArray(now) ? Number(key) : key);
    now = (now as Record<string, unknown>)[key];
  }
  return path;
}
/** The value with the one at a path made another; as it is where the path is not there any more. */
function changed(value: unknown, path: Path, to: (was: unknown) => unknown): unknown {
  const [first, ...rest] = path;
  if (first === undefined) return to(value);
  if (Array.isArray(value)) {
    if (typeof first !== 'number' || first >= value.length) return value;
    const next = changed(value[first], rest, to);
    return next === undefined ? value.filter((_, i) => i !== first) : value.map((v, i) => (i === first ? next : v));
  }
  if (value === null || typeof value !== 'object' || !Object.hasOwn(value, first)) return value;
  const { [first]: was, ...others } = value as Record<string, unknown>;
  const next = changed(was, rest, to);
  return next === undefined ? others : { ...others, [first]: next };
}

/** A change at a random place of a document: another value, one gone, one twice, two names swapped, numbers moved. */
export function mutateDocument(chance: Chance, document: unknown): Mutation {
  const path = wayInto(chance, document);
  const where = path.join('.');
  const at = (to: (was: unknown) => unknown) => (value: unknown) => changed(value, path, to);
  switch (chance.whole(0, 4)) {
    case 0: {
      const odd = chance.one(ODD);
      return { what: `${where} = ${(JSON.stringify(odd) ?? 'nothing').slice(0, 40)}`, apply: at(() => odd) };
    }
    case 1:
      return { what: `${where} gone`, apply: at(() => undefined) };
    case 2: {
      const by = chance.one([-1, 1e3, 1e-3, 1e9, NaN]);
      return {
        what: `numbers under ${where} times ${by}`,
        apply: at((was) => scaled(was, by)),
      };
    }
    case 3:
      return {
        what: `${where} twice`,
        apply: at((was) => (Array.isArray(was) ? [...was, ...(was as unknown[])] : was)),
      };
    default: {
      const other = wayInto(chance, document);
      return {
        what: `${where} = what stands at ${other.join('.')}`,
        apply: (value) => changed(value, path, () => structuredClone(found(document, other))),
      };
    }
  }
}
const found = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>((v, key) => (v as Record<string | number, unknown>)[key], value);
function scaled(value: unknown, by: number): unknown {
  // What is not a number to JSON is written as null.
  if (typeof value === 'number') return Number.isNaN(by) ? null : value * by;
  if (Array.isArray(value)) return value.map((v) => scaled(v, by));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, scaled(v, by)]));
}

/** What a file may hold that its writer never meant. */
const TOKENS = [
  'NaN',
  '1e999',
  '-',
  '0',
  '999999999',
  '<',
  '&#0;',
  '\0',
  '\n',
  '/>',
  'q Q',
  '0 0 0 0 re',
  'M',
  'Z',
  '\ufeff',
];

/** A change at a random place of a file: bytes turned, cut out, twice, a word put in, the end cut off. */
export function mutateBytes(chance: Chance, bytes: Uint8Array): ByteMutation {
  const from = chance.whole(0, Math.max(0, bytes.length - 1));
  const length = chance.whole(1, chance.often(0.7) ? 12 : 4000);
  const spliced = (what: string, middle: (b: Uint8Array) => Uint8Array, skip: number): ByteMutation => ({
    what: `${what} at ${from}`,
    apply: (b) => {
      const put = middle(b);
      const out = new Uint8Array(Math.min(from, b.length) + put.length + Math.max(0, b.length - from - skip));
      out.set(b.subarray(0, from), 0);
      out.set(put, Math.min(from, b.length));
      out.set(b.subarray(Math.min(b.length, from + skip)), Math.min(from, b.length) + put.length);
      return out;
    },
  });
  switch (chance.whole(0, 4)) {
    case 0: {
      const turned = Uint8Array.from({ length }, () => chance.whole(0, 255));
      return spliced(`${length} bytes turned`, () => turned, length);
    }
    case 1:
      return spliced(`${length} bytes gone`, () => new Uint8Array(), length);
    case 2:
      return spliced(`${length} bytes twice`, (b) => b.slice(from, from + length), 0);
    case 3: {
      const token = chance.one(TOKENS);
      return spliced(`“${token}” put in`, () => new TextEncoder().encode(token), chance.whole(0, 6));
    }
    default:
      return { what: `cut off at ${from}`, apply: (b) => b.slice(0, from) };
  }
}
