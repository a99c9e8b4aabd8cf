import { basename, extname } from 'node:path';
import { chartOfFile, withChart } from '@ample/core/fitting/fit';
import { distance, endOf, pathLength } from '@ample/core/geometry';
import { inspectPiece } from '@ample/core/paper/guard';
import { PATTERN_VERSION, patternSchema, requireEdge, type ChartRow, type Piece } from '@ample/core/pattern';
import {
  layTogether,
  proposeTiles,
  readWhole,
  scaleOf,
  SURE,
  withRead,
  type ReadPiece,
  type Wanted,
} from '@ample/core/in/tracing';
import { ok, refuse, type Result } from '@ample/core/units';
import { sayQuestion, sayFinding, sayBasis, type Units } from '@ample/core/words';
import { linesOfFile } from './bring.ts';
import { writeOut } from './files.ts';
import type { Written } from './report.ts';

const UNITS: Units = { unit: 'cm', fraction: 8 };
const round = (n: number): number => Math.round(n * 100) / 100;

/** A piece as the report shows it: lengths along the seam line, mm. */
function described({ traced, choices, sure, why }: ReadPiece) {
  const { piece } = traced;
  return {
    id: piece.id,
    name: piece.name,
    part: piece.part,
    cut: piece.cut,
    onFold: piece.fold !== null,
    sure,
    why: why.map(sayBasis).join('; '),
    edges: piece.edges.map((e) => ({ id: e.id, role: e.role, length: round(pathLength(e.path)) })),
    darts: piece.darts.map((d) => {
      const mouth = requireEdge(piece, d.mouth).path;
      const legs = [mouth.start, endOf(mouth)].map((p) => round(distance(p, d.tip)));
      return { kind: d.kind, legs, intake: round(distance(mouth.start, endOf(mouth))) };
    }),
    notches: piece.marks.flatMap((m) =>
      m.kind === 'notch' ? [{ edge: m.edge, at: round(m.at), count: m.count }] : [],
    ),
    allowance: choices.allowance,
  };
}

/** A file's pieces as a pattern document, every size they are drawn in. */
function documentOf(file: string, pieces: readonly ReadPiece[], chart: readonly ChartRow[] | null) {
  const name = basename(file, extname(file)).slice(0, 80) || 'Pattern';
  const empty = patternSchema.parse({
    format: 'ample-draft/pattern',
    version: PATTERN_VERSION,
    id:
      name
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-+|-+$/g, '') || 'pattern',
    name,
    chart: [{ size: '1', body: {} }],
    sizes: {},
  });
  const made = withRead(empty, pieces);
  return chart ? withChart(made, chart) : made;
}

/**
 * All pieces of a file in one size, with no screen: what is sure under `pieces`, the rest as `questions`. `out` gets
 * the pattern document of the sure ones. Refuses a file that cannot be read, and a size it does not have.
 */
export async function take(
  file: string,
  wanted: Wanted,
  out?: string,
  despiteFaults = false,
): Promise<Result<Written & { readonly asked: boolean }>> {
  const lines = await linesOfFile(file);
  if (!lines.ok) return lines;
  const tiles = proposeTiles(lines.value);
  const sheet = layTogether(lines.value, tiles);
  const read = readWhole(sheet, { ...wanted, scale: scaleOf(lines.value, sheet) });
  if (read.pieces.length === 0) return refuse('file-no-piece');
  if (wanted.size !== undefined && read.size.toLowerCase() !== wanted.size.trim().toLowerCase())
    return refuse('file-no-size', { size: wanted.size, sizes: read.sizes.join(', ') });
  const sure = read.pieces.filter((p) => p.sure >= SURE);
  const everySize = (p: ReadPiece): readonly Piece[] => p.sizes.map((s) => s.piece);
  const faulty = despiteFaults ? [] : sure.filter((p) => everySize(p).some((x) => inspectPiece(x).length > 0));
  const taken = sure.filter((p) => !faulty.includes(p));
  const chart = chartOfFile(lines.value);
  if (out !== undefined && taken.length > 0) {
    const written = writeOut(out, [['pattern.json', `${JSON.stringify(documentOf(file, taken, chart), null, 2)}\n`]]);
    if (!written.ok) return written;
  }
  const questions = read.pieces
    .filter((p) => p.sure < SURE)
    .flatMap((p) => p.asks.map((a) => ({ piece: p.traced.piece.id, code: a.code, asks: sayQuestion(a, UNITS) })));
  const named = new Set(taken.map((p) => p.traced.piece.id));
  return ok({
    report: {
      scale: read.scale,
      sizes: read.sizes,
      size: read.size,
      pieces: taken.map(described),
      seams: read.seams
        .filter(({ seam }) => [seam.first, seam.second].every((s) => named.has(s.piece)))
        .map(({ seam, walk }) => ({
          id: seam.id,
          first: round(walk.first.length),
          second: round(walk.second.length),
          difference: round(walk.difference),
          ease: seam.ease,
        })),
      chart: chart ?? [],
      questions,
    },
    asked: questions.length > 0,
    faults: faulty.flatMap((p) => everySize(p).flatMap((x) => inspectPiece(x).map((f) => sayFinding(f, UNITS)))),
    leftOut: faulty.map((p) => p.traced.piece.name),
  });
}
