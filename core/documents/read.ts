import { z } from 'zod';
import {
  normalisePattern,
  PATTERN_VERSION,
  patternSchema,
  validatePattern,
  withNecksFound,
  type Pattern,
} from '../pattern/index.ts';
import { ok, refuse, type Refusal, type Result } from '../units/index.ts';
import { isTooLarge, sayIssue } from './issues.ts';
import { JOB_VERSION, jobSchema, wearerSchema, type Job, type Wearer } from './schema.ts';

export type DocumentKind = 'wearer' | 'pattern' | 'job';
export type DocumentError =
  | 'document-not-json'
  | 'document-too-large'
  | 'document-wrong-format'
  | 'document-newer'
  | 'document-invalid'
  | 'pattern-invalid';

export const DOCUMENT_SCHEMAS = { wearer: wearerSchema, pattern: patternSchema, job: jobSchema } as const;
const VERSIONS: Readonly<Record<DocumentKind, number>> = { wearer: 1, pattern: PATTERN_VERSION, job: JOB_VERSION };

/** Migrations from each version to the next; each is tested on a stored document of that version. */
const MIGRATIONS: Readonly<Partial<Record<DocumentKind, Readonly<Record<number, (old: object) => object>>>>> = {
  // Added fittings, versions and labels; defaults fill them in.
  job: {
    1: renumbered(2),
    2: amountsTyped,
    3: patternsOfJob(4),
    4: patternsOfJob(5),
    5: patternsOfJob(6),
    6: patternsOfJob(7),
    7: patternsOfJob(8),
    // Since 9 a fitting may note what is seen sitting.
    8: patternsOfJob(9),
    // Since 10 a fitting may be one on the form, before anything is sewn.
    9: patternsOfJob(10),
  },
  // Since version 3 each added kinds of pieces, darts and lines that an older app does not know.
  pattern: {
    1: neckLooked,
    2: renumbered(3),
    3: renumbered(4),
    4: renumbered(5),
    5: renumbered(6),
    6: renumbered(7),
    7: renumbered(8),
  },
};

/** Nothing in the document changes but its version. */
function renumbered(version: number): (old: object) => object {
  return (old) => ({ ...old, version });
}

/**
 * Up to version 2 a step was marked `own` when its amount was typed, and could keep a stale amount. Since 3 an amount
 * among the values is typed.
 */
function amountsTyped(old: object): object {
  const step = (s: unknown): unknown => {
    const parsed = z.looseObject({ values: z.record(z.string(), z.unknown()) }).safeParse(s);
    if (!parsed.success) return s;
    if (parsed.data['school'] === 'own') return { ...parsed.data, school: 'auto' };
    const { total: _worthless, ...values } = parsed.data.values;
    return { ...parsed.data, values };
  };
  const steps = (holder: object): object =>
    'steps' in holder && Array.isArray(holder.steps) ? { ...holder, steps: holder.steps.map(step) } : holder;
  const versions =
    'versions' in old && Array.isArray(old.versions)
      ? { versions: old.versions.map((v: unknown) => (v !== null && typeof v === 'object' ? steps(v) : v)) }
      : {};
  return { ...steps(old), ...versions, version: 3 };
}

/**
 * Up to version 1 a neckline was assumed to lie on the neck. Since 2 each pattern records where the body's neck lies,
 * so it is searched for.
 */
function neckLooked(old: object): object {
  const read = patternSchema.safeParse({ ...old, version: PATTERN_VERSION });
  return { ...(read.success ? withNecksFound(normalisePattern(read.data)) : old), version: 2 };
}

/** A job may contain its pattern, and so may each of its versions: with every version of the pattern comes one of the job. */
function patternsOfJob(version: number): (old: object) => object {
  return (old) => ({ ...withPatterns(old), version });
}

function withPatterns(old: object): object {
  const upgraded = (holder: unknown): unknown => {
    if (holder === null || typeof holder !== 'object' || !('pattern' in holder)) return holder;
    const { pattern } = holder;
    const carried = pattern !== null && typeof pattern === 'object' && 'format' in pattern;
    return carried ? { ...holder, pattern: migrated(pattern, 'pattern') } : holder;
  };
  const versions = 'versions' in old && Array.isArray(old.versions) ? { versions: old.versions.map(upgraded) } : {};
  return { ...(upgraded(old) as object), ...versions };
}

function migrated(value: unknown, kind: DocumentKind): unknown {
  let now = value as object & { version: number };
  for (let step = MIGRATIONS[kind]?.[now.version]; step; step = MIGRATIONS[kind]?.[now.version])
    now = step(now) as typeof now;
  return now;
}

/** The published JSON Schema of a document. */
export const jsonSchema = (kind: DocumentKind): unknown => z.toJSONSchema(DOCUMENT_SCHEMAS[kind], { io: 'input' });

/** JSON text to a value; a position in the text when it is broken. */
export function parseJson(text: string): Result<unknown, DocumentError> {
  try {
    // Some editors write a byte order mark first; it is not part of the document.
    return ok(JSON.parse(text.replace(/^\uFEFF/, '')) as unknown);
  } catch (error) {
    return refuse('document-not-json', { detail: error instanceof Error ? error.message : '' });
  }
}

function checkHead(value: unknown, kind: DocumentKind): Refusal<DocumentError> | null {
  const head = z.looseObject({ format: z.string(), version: z.number() }).safeParse(value);
  if (!head.success || head.data.format !== `ample-draft/${kind}`)
    return {
      code: 'document-wrong-format',
      data: { expected: `ample-draft/${kind}`, got: head.success ? head.data.format : 'nothing' },
    };
  if (head.data.version > VERSIONS[kind])
    return { code: 'document-newer', data: { version: head.data.version, known: VERSIONS[kind] } };
  return null;
}

function readDocument<T>(value: unknown, kind: DocumentKind, schema: z.ZodType<T>): Result<T, DocumentError> {
  if (isTooLarge(value)) return refuse('document-too-large');
  const wrong = checkHead(value, kind);
  if (wrong) return { ok: false, error: wrong };
  const parsed = schema.safeParse(migrated(value, kind), { reportInput: true });
  if (parsed.success) return ok(parsed.data);
  const issue = parsed.error.issues[0];
  return refuse('document-invalid', {
    where: issue ? issue.path.map(String).join('.') : '',
    what: issue ? sayIssue(issue) : '',
    count: parsed.error.issues.length,
  });
}

export const readWearer = (value: unknown): Result<Wearer, DocumentError> =>
  readDocument(value, 'wearer', wearerSchema);

/** A job; a wearer or pattern that stands inline is read first, so that a mistake in it is named where it is. */
export function readJob(value: unknown): Result<Job, DocumentError> {
  const inline = z.looseObject({ wearer: z.unknown(), pattern: z.unknown() }).safeParse(value);
  if (inline.success)
    for (const [key, schema] of [
      ['wearer', wearerSchema],
      ['pattern', patternSchema],
    ] as const) {
      const part = inline.data[key];
      if (part === null || typeof part !== 'object' || !('format' in part)) continue;
      const read = readDocument<unknown>(part, key, schema);
      if (!read.ok)
        return refuse(read.error.code, {
          ...read.error.data,
          ...(read.error.data['where'] === undefined ? {} : { where: `${key}.${read.error.data['where']}` }),
        });
    }
  return readDocument(value !== null && typeof value === 'object' ? withPatterns(value) : value, 'job', jobSchema);
}

/** A pattern the kernel can work on: validated, outlines clockwise, joins exact. Refuses with the first problem. */
export function readPattern(value: unknown): Result<Pattern, DocumentError> {
  const read = readDocument(value, 'pattern', patternSchema);
  if (!read.ok) return read;
  const pattern = normalisePattern(read.value);
  const problem = validatePattern(pattern)[0];
  return problem ? refuse('pattern-invalid', { problem: problem.code, ...problem.data }) : ok(pattern);
}

/** The text of a document as files keep it: readable, stable, with a final newline. */
export const writeDocument = (document: unknown): string => `${JSON.stringify(document, null, 2)}\n`;
