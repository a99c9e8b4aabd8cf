import { draft } from '../../fitting/plan/index.ts';
import { isSample, samplePattern } from '../../blocks/index.ts';
import { readBundle, writeBundle } from '../../documents/bundle/index.ts';
import { readDxf, readSvg, textOf } from '../../in/readers/index.ts';
import { JOB_VERSION, parseJson, readJob, readPattern, readWearer, writeDocument } from '../../documents/index.ts';
import { writeDxf, writeSvg } from '../../out/index.ts';
import { layTogether, proposeTiles, readWhole, type Lines } from '../../in/tracing/index.ts';
import type { Refusal, Result } from '../../units/index.ts';
import { sayFileRefusal, sayRefusal, type Units } from '../../words/index.ts';
import { seenAs, fittingOf, stepOf } from '../fittings.ts';
import { PLAIN, printAtHome, sheetOf } from '../printAtHome/index.ts';
import { readPrinted } from '../printed.ts';
import { wearerWith } from '../wearers.ts';
import { chanceFrom, type Chance } from './chance.ts';
import { mutateBytes, mutateDocument } from './mutate.ts';

/** A document or file that was neither read nor refused in a sentence. */
export interface Unread {
  readonly base: string;
  readonly mutations: readonly string[];
  readonly what: string;
  /** The file as it was read. */
  readonly bytes: Uint8Array;
}
export interface ReadTally {
  read: number;
  refused: number;
  /** The longest that one took, ms. */
  longest: number;
}

const UNITS: Units = { unit: 'cm', fraction: 8 };
/** No document and no file of this size may take longer, ms: the app's own limits end it far later. */
const LONGEST = 20_000;
const MOST_MUTATIONS = 4;

interface Base {
  readonly name: string;
  readonly bytes: Uint8Array;
  /** Documents are changed as documents, mostly; files byte by byte. */
  readonly document: unknown;
  readonly read: (bytes: Uint8Array) => Promise<Refusal | null> | Refusal | null;
}
const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
const refused = (r: Result<unknown>): Refusal | null => (r.ok ? null : r.error);

/** Reads, writes and reads again: what was understood once must be understood the same. Then all that follows from it. */
function document<T>(reader: (value: unknown) => Result<T>, then: (value: T) => void = () => undefined) {
  return (bytes: Uint8Array): Refusal | null => {
    const value = parseJson(textOf(bytes));
    if (!value.ok) return value.error;
    const read = reader(value.value);
    if (!read.ok) return read.error;
    const text = writeDocument(read.value);
    const again = reader(JSON.parse(text));
    if (!again.ok) throw new Error(`what was read is refused when written: ${again.error.code}`);
    if (writeDocument(again.value) !== text) throw new Error('what was read reads as another when written');
    then(read.value);
    return null;
  };
}
/** The pieces of a file, as the app takes them. */
const taken = (lines: Lines): void => {
  readWhole(layTogether(lines, proposeTiles(lines)));
};

/** What is changed: every kind of document, a backup, and files as other programs write them. */
function basesOf(): readonly Base[] {
  const pattern = { ...samplePattern('causeway-side', ['4', '5']), id: 'own', name: 'My own' };
  const wearer = wearerWith({ highBust: [872, 874], fullBust: 968, waist: 751, hip: 1025, napeToWaist: 405 });
  const job = {
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'fuzz',
    title: 'Bodice',
    size: '4',
    wearer,
    pattern,
    steps: [stepOf('bust', 'bust-side'), stepOf('back', 'swayback-fold')],
    fittings: [fittingOf('2026-11-01', [seenAs('waist-low')])],
  };
  const drafted = samplePattern('causeway', ['4']).sizes['4'] ?? [];
  const sheet = sheetOf(
    'causeway',
    drafted.slice(0, 3).map((p, i) => [p.id, [p.name, ...(i === 0 ? ['Size 36 38 40'] : [])]]),
  );
  const drawn = (
    name: string,
    bytes: Uint8Array,
    read: (b: Uint8Array) => Result<Lines> | Promise<Result<Lines>>,
  ): Base => ({
    name,
    bytes,
    document: null,
    read: async (b) => {
      const lines = await read(b);
      if (lines.ok) taken(lines.value);
      return refused(lines);
    },
  });
  const one = (name: string, value: unknown, read: Base['read']): Base => ({
    name,
    bytes: bytesOf(writeDocument(value)),
    document: value,
    read,
  });
  return [
    one('wearer', wearer, document(readWearer)),
    one('pattern', pattern, document(readPattern)),
    one(
      'job',
      job,
      document(readJob, (read) => {
        const [w, p] = [read.wearer, read.pattern];
        const own = 'chart' in p ? p : 'id' in p && isSample(p.id) ? samplePattern(p.id, ['4']) : null;
        if ('sets' in w && own) draft({ job: read, wearer: w, pattern: own });
      }),
    ),
    {
      name: 'backup',
      bytes: writeBundle({ wearers: [wearer], patterns: [pattern], jobs: [], photos: [] }, 'all', '2026-11-24'),
      document: null,
      read: (b) => refused(readBundle(b)),
    },
    drawn('svg', bytesOf(writeSvg(drafted, { title: 'Causeway', original: [] })), (b) => readSvg(textOf(b))),
    drawn('dxf', bytesOf(writeDxf([{ size: '4', pieces: drafted }])), (b) => readDxf(textOf(b))),
    drawn('pdf', printAtHome(sheet, PLAIN), readPrinted),
  ];
}

interface Trial {
  readonly base: Base;
  readonly bytes: Uint8Array;
  readonly mutations: readonly string[];
}
type Change = { readonly what: string; readonly apply: (now: unknown) => unknown };

function trialWith(base: Base, changes: readonly Change[]): Trial {
  const value = changes.reduce<unknown>((now, c) => c.apply(now), base.document ?? base.bytes);
  return {
    base,
    mutations: changes.map((c) => c.what),
    bytes: base.document === null ? (value as Uint8Array) : bytesOf(JSON.stringify(value) ?? 'null'),
  };
}
function changesFor(chance: Chance, base: Base): readonly Change[] {
  return Array.from({ length: chance.whole(1, MOST_MUTATIONS) }, (): Change => {
    if (base.document !== null) return mutateDocument(chance, base.document);
    const m = mutateBytes(chance, base.bytes);
    return { what: m.what, apply: (now) => m.apply(now as Uint8Array) };
  });
}

/** What is wrong with how one was taken; null where it was read, or refused in a sentence. */
async function wrong({ base, bytes }: Trial, tally: ReadTally): Promise<string | null> {
  const begun = performance.now();
  try {
    const refusal = await base.read(bytes.slice());
    const took = performance.now() - begun;
    tally.longest = Math.max(tally.longest, took);
    if (took > LONGEST) return `it took ${(took / 1000).toFixed(0)} s`;
    if (refusal === null) {
      tally.read += 1;
      return null;
    }
    tally.refused += 1;
    const say = base.document === null && base.name !== 'backup' ? sayFileRefusal : sayRefusal;
    const said = say(refusal, UNITS);
    // What stands in quotation marks is the file's own.
    const ours = said.replace(/“[^”]*”/g, '“”');
    return /undefined|\[object|NaN|expected \w+, received/.test(ours) || !/^[\p{Lu}“‘\d].*[.?]$/su.test(said)
      ? `it is refused without a sentence: ${said.slice(0, 160)}`
      : null;
  } catch (error) {
    const { message, stack } = error instanceof Error ? error : new Error(String(error));
    const place = /at (\S+)/.exec(stack?.split('\n').find((l) => l.includes('/core/')) ?? '')?.[1] ?? '';
    return `it breaks in ${place}: ${message.slice(0, 160)}`;
  }
}

/**
 * Changes documents and files at random until `done` and reads them: each must be read, or refused in a sentence, and
 * what was read must be written and read again the same. Of what is not, the changes that did it are kept alone.
 */
export async function searchDocuments(
  seed: number,
  done: () => boolean,
  tell: (broken: Unread) => void = () => undefined,
): Promise<{ readonly tally: ReadTally; readonly broken: readonly Unread[] }> {
  const chance = chanceFrom(seed);
  const bases = basesOf();
  const tally: ReadTally = { read: 0, refused: 0, longest: 0 };
  const broken: Unread[] = [];
  while (!done()) {
    const base = chance.one(bases);
    let changes = changesFor(chance, base);
    let what = await wrong(trialWith(base, changes), tally);
    if (what === null) continue;
    const kind = kindOf(what);
    if (broken.some((b) => kindOf(b.what) === kind)) continue;
    for (const c of changes) {
      const fewer = changes.filter((x) => x !== c);
      const still = fewer.length > 0 ? await wrong(trialWith(base, fewer), tally) : null;
      if (still !== null && kindOf(still) === kind) [changes, what] = [fewer, still];
    }
    const { mutations, bytes } = trialWith(base, changes);
    broken.push({ base: base.name, mutations, what, bytes });
    tell(broken.at(-1) as Unread);
  }
  return { tally, broken };
}
const kindOf = (what: string): string => what.replace(/\d+/g, '#').slice(0, 70);
