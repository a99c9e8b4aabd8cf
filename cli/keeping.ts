import PDFDocument from 'pdfkit';
import { draft, type Draft } from '@ample/core/fitting/plan';
import { paperFrom } from '@ample/core/out';
import { readBundle } from '@ample/core/documents/bundle';
import { writeRecordPdf, type PdfConstructor } from '@ample/core/out/pdf';
import { CLOTH_WIDTHS, clothToBuy, cutList, layOutAll, widerPieces } from '@ample/core/out/layout';
import { differences, inOrderOfDate, rankCauses, resolveVersion, type Difference } from '@ample/core/fitting/toile';
import { ok, refuse, type Result } from '@ample/core/units';
import {
  CAUSE_WORDS,
  recordOf,
  sayChange,
  sayCut,
  sayDifference,
  sayEvidence,
  sayStretch,
  SYMPTOM_WORDS,
} from '@ample/core/words';
import { fonts, says, UNITS } from './commands.ts';
import { loadJob, type LoadedJob } from './resolve.ts';
import { bytesOf, writeOut } from './files.ts';

interface Drafted {
  readonly loaded: LoadedJob;
  readonly draft: Draft;
}
function drafted(file: string): Result<Drafted> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = draft(loaded.value);
  return d.refusal ? { ok: false, error: d.refusal } : ok({ loaded: loaded.value, draft: d });
}

/** `ample causes`: where what the last fitting showed may come from, and what each cause would change. */
export function causes(file: string): Result<unknown> {
  const d = drafted(file);
  if (!d.ok) return d;
  const { job } = d.value.loaded;
  const last = inOrderOfDate(job.fittings).at(-1);
  if (!last) return ok({ fitting: null, causes: [] });
  return ok({
    fitting: { date: last.date, kind: last.kind, verdict: last.verdict },
    seen: last.observations.map((o) => ({
      sign: o.sign,
      says: SYMPTOM_WORDS[o.sign].name,
      side: o.side,
      pinned: o.pinned,
    })),
    causes: rankCauses(last.observations, d.value.draft, job).map((r) => ({
      cause: r.cause,
      says: CAUSE_WORDS[r.cause]?.name,
      grade: r.grade,
      score: r.score,
      because: r.because.map((e) => ({ ...e, sentence: sayEvidence(e, UNITS) })),
      test: CAUSE_WORDS[r.cause]?.test,
      change: { ...r.change, ...sayChange(r.change, UNITS, last.kind) },
    })),
  });
}

/** `ample versions`: the kept states of a job, and what changed from each to the next, the job as it stands last. */
export function versions(file: string): Result<unknown> {
  const d = drafted(file);
  if (!d.ok) return d;
  const { job, pattern } = d.value.loaded;
  const states = job.versions.map((v) => ({ name: v.name, at: v.at, draft: draft(resolveVersion(v, pattern)) }));
  const all = [...states, { name: 'now', at: '', draft: d.value.draft }];
  const told = (x: Difference) => ({ kind: x.kind, says: sayDifference(x, UNITS) });
  return ok(
    all.map((state, i) => ({
      name: state.name,
      at: state.at,
      size: state.draft.size,
      since: i === 0 ? [] : differences(all[i - 1]?.draft ?? state.draft, state.draft).map(told),
    })),
  );
}

/** The first folding, and so often anew. */
const MOST_FOLDINGS = 4;

/** How the cloth is to lie, as it was asked for: the depths of its foldings in mm, at one edge or at both. */
export interface ClothAsked {
  readonly open: boolean;
  readonly oneWay: boolean;
  readonly depth: string | undefined;
  readonly bothEdges: boolean;
}

/** `ample cloth`: how much of three widths, how each piece is cut, and which pieces became wider. Lengths in mm. */
export function cloth(file: string, { open, oneWay, depth, bothEdges }: ClothAsked): Result<unknown> {
  const depths = depth === undefined ? [] : depth.split(',').map(Number);
  if (depths.some((d) => !(d >= 50 && d <= 750)) || depths.length > MOST_FOLDINGS)
    return refuse('fold-depth-invalid', { text: depth ?? '' });
  const [folds, ...again] = open ? [] : depths.map((d) => ({ depth: d, count: bothEdges ? 2 : 1 }) as const);
  const d = drafted(file);
  if (!d.ok) return d;
  const { pieces, original, untouched, sides, paper } = d.value.draft;
  if (paper) return refuse('cloth-nothing-to-lay', {});
  const wishes = CLOTH_WIDTHS.map((width) => ({
    width,
    fold: !open,
    folds,
    oneWay,
    ...(again.length > 0 ? { again } : {}),
  }));
  const [altered, before] = [layOutAll(pieces, wishes), layOutAll(untouched, wishes)];
  return ok({
    wider: widerPieces(original, sides.left.pieces, sides.right.pieces),
    cloth: wishes.map((wish, i) => {
      const [now, was] = [altered[i], before[i]];
      if (!now?.ok) return { ...wish, refused: now ? says(now.error) : '' };
      const drafted = was?.ok ? was.value.length : null;
      return {
        ...wish,
        laid: now.value.length,
        drafted,
        buy: clothToBuy(now.value.length, 0.05),
        covered: now.value.covered,
        cut: cutList(now.value.laid).map((line) => ({ ...line, says: sayCut(line) })),
        stretches: now.value.stretches.map((stretch, k) => ({
          length: stretch.to - stretch.from,
          says: sayStretch(stretch, UNITS),
          cut: cutList(now.value.laid.filter((l) => l.stretch === k)).map((line) => line.name),
        })),
      };
    }),
  });
}

/** `ample record`: the job on one page, as record.pdf in a folder. */
export async function record(file: string, out: string, paperName: string, date: string): Promise<Result<unknown>> {
  const d = drafted(file);
  if (!d.ok) return d;
  const paper = paperFrom(paperName);
  if (!paper.ok) return paper;
  const { loaded, draft: now } = d.value;
  const told = recordOf(loaded.job, loaded.wearer, loaded.pattern, now, UNITS, date);
  const bytes = await writeRecordPdf(PDFDocument as unknown as PdfConstructor, {
    record: told,
    paper: paper.value,
    date,
    fonts: fonts(),
  });
  const written = writeOut(out, [['record.pdf', bytes]]);
  if (!written.ok) return written;
  return ok({ ...told, drawings: told.drawings.map((x) => x.name), files: ['record.pdf'] });
}

/** A backup larger than this is not opened, bytes. */
const MOST_BUNDLE = 600_000_000;

/** `ample backup`: reads a file made by the app and tells what is in it, or why it is refused. */
export function backup(file: string): Result<unknown> {
  const bytes = bytesOf(file, MOST_BUNDLE);
  if (!bytes.ok) return bytes;
  const read = readBundle(bytes.value);
  if (!read.ok) return read;
  const { kind, made, kept } = read.value;
  return ok({
    kind,
    made,
    wearers: kept.wearers.map((w) => ({ id: w.id, name: w.name, sets: w.sets.length })),
    patterns: kept.patterns.map((p) => ({ id: p.id, name: p.name })),
    jobs: kept.jobs.map((j) => ({ id: j.id, title: j.title, fittings: j.fittings.length })),
    photos: kept.photos.map((p) => ({ id: p.id, job: p.job, bytes: p.bytes.length })),
  });
}
