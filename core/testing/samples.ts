import type { Context, Values } from '../alterations/index.ts';
import { runAlteration, type AlterationDefinition, type Run } from '../alterations/index.ts';
import { chartOf, samplePattern, type SampleId } from '../blocks/index.ts';
import { inView, pinnedSizes, pinYokes, type Piece, type Seam } from '../pattern/index.ts';
import type { Result } from '../units/index.ts';

const drafted = new Map<string, { readonly pieces: readonly Piece[]; readonly seams: readonly Seam[] }>();

/** A sample pattern in one size as it lies on the table, drafted once for all tests of a file. */
export function sampleIn(id: string, size: string) {
  const key = `${id} ${size}`;
  const known = drafted.get(key);
  if (known) return known;
  const pattern = inView(samplePattern(id as SampleId, [size]), null);
  const made = pinYokes(pattern.sizes[size] as readonly Piece[], pattern.seams);
  drafted.set(key, made);
  return made;
}

/** A drafted piece of a sample, by default of the dress in size 5. */
export const pieceOf = (id: string, size = '5', sample = 'causeway'): Piece => {
  const piece = sampleIn(sample, size).pieces.find((p) => p.id === id);
  if (!piece) throw new Error(`no ${id}`);
  return piece;
};

const nests = new Map<string, NonNullable<Context['nest']>>();
/** All sizes of a sample, drafted once. */
function nestOf(id: string): NonNullable<Context['nest']> {
  const known = nests.get(id);
  if (known) return known;
  const nest = pinnedSizes(inView(samplePattern(id as SampleId), null));
  nests.set(id, nest);
  return nest;
}

/** What an alteration sees on an untouched sample, or after another run. */
export function contextOn(id: string, size: string, after?: Run): Context {
  const { pieces, seams } = sampleIn(id, size);
  return {
    pieces: after?.pieces ?? pieces,
    seams: after?.seams ?? seams,
    original: pieces,
    originalSeams: seams,
    wearer: {},
    nest: nestOf(id),
    chart: chartOf(id as SampleId),
    size,
    draftedHeight: id === 'skiff' ? null : 1660,
  };
}

/** Runs an alteration on a sample, the bust point taken from the pattern. */
export function runOn(
  definition: AlterationDefinition,
  id: string,
  size: string,
  values: Values,
  after?: Run,
): Result<Run> {
  const whose = definition.params.some((p) => p.key === 'whose') && !('whose' in values) ? { whose: 'pattern' } : {};
  return runAlteration(definition, contextOn(id, size, after), { ...whose, ...values });
}

/** The code an alteration is refused with on a sample in size 4, or "ran". */
export function codeOn(definition: AlterationDefinition, id: string, values: Values = {}): string {
  const r = runOn(definition, id, '4', values);
  return r.ok ? 'ran' : r.error.code;
}
