import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { CATALOGUE, FAMILIES, propose } from '@ample/core/alterations';
import { SAMPLE_SIZES, samplePattern, type SampleId } from '@ample/core/blocks';
import { draft, unfitPieces, type Draft } from '@ample/core/fitting/plan';
import { sharedPieces } from '@ample/core/fitting/fit';
import { drawPatch, drawPiece, layPages, paperFrom, writeCsv, writeDxf, writeSvg } from '@ample/core/out';
import { jsonSchema, readPattern, writeDocument, type DocumentKind } from '@ample/core/documents';
import { PDF_LAYERS, writePdf, type PdfConstructor, type PdfLayer } from '@ample/core/out/pdf';
import { addedPaper, patchPlan, untouchedFor } from '@ample/core/out/patch';
import { flatMeasure, LEVELS } from '@ample/core/pattern';
import { edgeLengths, seamsAsDrafted } from '@ample/core/paper/truing';
import { ok, refuse, type Refusal, type Result } from '@ample/core/units';
import {
  ALTERATION_WORDS,
  handSheet,
  labelChanges,
  printableSheet,
  sayFinding,
  sayFit,
  sayPaper,
  sayPatches,
  sayFileRefusal,
  sayWhy,
  worksheetTable,
  type Units,
} from '@ample/core/words';
import { writeOut } from './files.ts';
import { alterReport, type Written } from './report.ts';
import { loadJob, readFile, type LoadedJob } from './resolve.ts';

export const UNITS: Units = { unit: 'cm', fraction: 8 };
export const says = (error: Refusal): string => sayFileRefusal(error, UNITS);

export const isDocumentKind = (text: string): text is DocumentKind =>
  text === 'wearer' || text === 'pattern' || text === 'job';

export const schema = (kind: DocumentKind): Result<unknown> => ok(jsonSchema(kind));

export function sample(id: SampleId, size: string | undefined): Result<unknown> {
  if (size === undefined) return ok(samplePattern(id));
  return SAMPLE_SIZES.includes(size)
    ? ok(samplePattern(id, [size]))
    : refuse('size-unknown', { size, sizes: SAMPLE_SIZES.join(', ') });
}

/** Every alteration: what it is called, what may be set, what it is shown on. */
export const alterations = (): Result<unknown> =>
  ok(
    CATALOGUE.map((d) => ({
      id: d.id,
      revision: d.revision,
      family: d.family,
      name: ALTERATION_WORDS[d.id]?.name,
      about: ALTERATION_WORDS[d.id]?.about,
      values: d.params,
      examples: d.examples,
    })),
  );

/** Which alterations suit the pattern of a job, the best first, and why. */
export function suits(file: string): Result<unknown> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = draft(loaded.value);
  if (d.refusal) return { ok: false, error: d.refusal };
  const told = (family: (typeof FAMILIES)[number]) =>
    propose(d.original, family, d.sides.left.seams).map((p) => ({
      alteration: p.id,
      grade: p.grade,
      why: { ...p.why, says: sayWhy(p.why, UNITS) },
    }));
  const others = FAMILIES.filter((f) => f !== 'bust' && f !== 'dart').map((f) => [f, told(f)] as const);
  return ok({ size: d.size, bust: told('bust'), darts: told('dart'), ...Object.fromEntries(others) });
}

export function measure(file: string, size: string): Result<unknown> {
  const value = readFile(file);
  if (!value.ok) return value;
  const pattern = readPattern(value.value);
  if (!pattern.ok) return pattern;
  const pieces = Object.hasOwn(pattern.value.sizes, size) ? pattern.value.sizes[size] : undefined;
  if (!pieces) return refuse('size-unknown', { size, sizes: Object.keys(pattern.value.sizes).join(', ') });
  const flat = Object.fromEntries(
    LEVELS.flatMap((level) => {
      const m = flatMeasure(pieces, level);
      return m.ok && level !== 'lengthenShorten' ? [[level, m.value]] : [];
    }),
  );
  const drafted = seamsAsDrafted(pieces, pattern.value.seams).map((f) => ({ ...f, message: sayFinding(f, UNITS) }));
  return ok({ size, drafted, edges: Object.fromEntries(pieces.map((p) => [p.id, edgeLengths(p)])), flat });
}

export function size(file: string): Result<unknown> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = draft(loaded.value);
  const choice = d.sizeChoice;
  if (!choice.ok) return choice;
  const { chosen, smaller, larger, reasons, method, measured } = choice.value;
  return ok({
    method,
    measured,
    size: chosen.size,
    chosen,
    smaller,
    larger,
    reasons: reasons.map((r) => ({ code: r.code, says: sayFit(r, UNITS) })),
    ...(d.cupChoice
      ? { cup: d.cupChoice, sameForEveryCup: sharedPieces(loaded.value.pattern, chosen.size).map((p) => p.name) }
      : {}),
    ...(d.view === null ? {} : { view: d.view }),
    levels: d.levels,
    ...(d.leaveBust ? { leaveBust: { code: d.leaveBust.code, says: sayFit(d.leaveBust, UNITS) } } : {}),
  });
}

export function amounts(file: string): Result<unknown> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = draft(loaded.value);
  const found = d.amounts;
  if (!found) return d.refusal ? { ok: false, error: d.refusal } : refuse('size-needs-high-bust');
  return ok({
    size: found.size,
    chosen: found.chosen?.method ?? null,
    why: { code: found.why, says: sayFit({ code: found.why, data: {} }, UNITS) },
    verdict: found.verdict,
    large: found.large,
    missing: found.missing,
    schools: found.all.map((a) => ({
      school: a.method,
      total: a.total,
      perHalf: a.half,
      terms: a.terms,
      factor: a.factor,
      overshoot: a.overshoot,
      chosen: a.method === found.chosen?.method,
    })),
  });
}

export interface AlterOptions {
  readonly out: string | undefined;
  readonly formats: readonly string[];
  readonly paper: string;
  readonly date: string;
  /** Print only what changed, as patches to tape on. */
  readonly patches?: boolean;
  /** Every piece on pages of its own. */
  readonly apart?: boolean;
  /** Writes pieces with faults too. */
  readonly despiteFaults?: boolean;
  /** Kinds of line in the PDF; omitted, the usual ones. */
  readonly lines?: readonly PdfLayer[] | undefined;
}
export const isLayer = (text: string): text is PdfLayer => text in PDF_LAYERS;

export async function alter(file: string, options: AlterOptions): Promise<Result<Written>> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = draft(loaded.value);
  if (d.refusal) return { ok: false, error: d.refusal };
  const refused = d.steps.find((s) => s.step.on && !s.outcome.ok);
  if (refused && !refused.outcome.ok) return refused.outcome;
  const report = alterReport(d, UNITS);
  const faults = options.despiteFaults ? [] : d.faults.map((f) => sayFinding(f, UNITS));
  const unfit = options.despiteFaults ? new Set<string>() : unfitPieces(d);
  const leftOut = d.pieces.filter((p) => unfit.has(p.id)).map((p) => p.name);
  if (options.out === undefined) return ok({ report, faults, leftOut });
  const sound = { ...d, pieces: d.pieces.filter((p) => !unfit.has(p.id)) };
  const files = await writeFiles(loaded.value, sound, options.out, options);
  return files.ok ? ok({ report: { ...report, files: files.value }, faults, leftOut }) : files;
}

const require = createRequire(import.meta.url);
const font = (weight: number): Uint8Array =>
  new Uint8Array(
    readFileSync(
      require.resolve(`@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`),
    ),
  );
/** The fonts that go into printed pages. */
export const fonts = () => ({ text: font(400), bold: font(700) });

async function writeFiles(
  loaded: LoadedJob,
  d: Draft,
  out: string,
  options: AlterOptions,
): Promise<Result<readonly string[]>> {
  const paper = paperFrom(options.paper);
  if (!paper.ok) return paper;
  const title = `${loaded.pattern.name} ${d.size ?? ''} for ${loaded.wearer.name}`;
  const files: (readonly [string, string | Uint8Array])[] = [];
  if (options.formats.includes('svg') && !d.paper) {
    files.push(['pattern.svg', writeSvg(d.pieces, { title, original: d.untouched })]);
  }
  if (options.formats.includes('dxf') && !d.paper) {
    files.push(['pattern.dxf', writeDxf([{ size: d.size ?? '', pieces: d.pieces }])]);
  }
  if (options.formats.includes('json') && !d.paper) {
    files.push(['pieces.json', writeDocument(d.pieces)]);
  }
  if (options.formats.includes('csv')) {
    files.push(['worksheet.csv', writeCsv(worksheetTable(d.worksheet, UNITS.unit))]);
  }
  if (options.formats.includes('pdf')) {
    const plan = options.patches ? patchPlan(d.pieces, d.untouched) : null;
    const drawings = plan
      ? [...plan.patches.map(drawPatch), ...plan.whole.map((w) => drawPiece(w.piece))]
      : d.pieces.map(drawPiece);
    const bytes = await writePdf(PDFDocument as unknown as PdfConstructor, {
      // With paper only the pieces are a draft like it: the sheets are printed, never the pieces.
      map: layPages(d.paper ? [] : drawings, paper.value, { apart: options.apart === true }),
      label: {
        wearer: loaded.wearer.name,
        pattern: loaded.pattern.name,
        size: d.size ?? '',
        date: options.date,
        changes: labelChanges(d.steps, UNITS),
        words: loaded.job.labels,
      },
      original: untouchedFor(d.pieces, d.untouched),
      added: d.paper ? undefined : Object.fromEntries(addedPaper(d)),
      show: options.lines,
      notes: [...(d.paper ? [sayPaper(d)] : []), ...(plan ? sayPatches(plan) : [])],
      sheets: d.steps.flatMap((s) => handSheet(s, UNITS, d.paper !== null) ?? []).map(printableSheet),
      fonts: fonts(),
    });
    files.push(['pattern.pdf', bytes]);
  }
  return writeOut(out, files);
}
