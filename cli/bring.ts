import { extname } from 'node:path';
import { openFailure, PDF_OPEN, readDxf, readPdf, readSvg, textOf, type PdfDocument } from '@ample/core/in/readers';
import { writeSvg } from '@ample/core/out';
import { pathLength } from '@ample/core/geometry';
import { inspectPiece } from '@ample/core/paper/guard';
import { validatePiece, type Piece } from '@ample/core/pattern';
import {
  allRings,
  boxOf,
  findSquares,
  grouped,
  layTogether,
  lettersIn,
  MOST_BYTES,
  nameIn,
  proposeSeams,
  proposeTiles,
  toldPieces,
  tracePiece,
  type Lines,
} from '@ample/core/in/tracing';
import { ok, refuse, type Result } from '@ample/core/units';
import { sayFinding, sayProblem, sayRepair, sayTiles, sayTraceNote, type Units } from '@ample/core/words';
import { bytesOf, writeOut } from './files.ts';
import type { Written } from './report.ts';

const UNITS: Units = { unit: 'cm', fraction: 8 };
const KINDS = { '.pdf': 'pdf', '.svg': 'svg', '.dxf': 'dxf' } as const;
/** Outlines smaller than this are signs and letters, mm. */
const LEAST = 60;

/** The lines of a file, by what its name ends in. Refuses what is not a PDF, SVG or DXF, or too large. */
export async function linesOfFile(file: string): Promise<Result<Lines>> {
  const kind = KINDS[extname(file).toLowerCase() as keyof typeof KINDS];
  if (!kind) return refuse('file-kind-unknown', { name: file });
  const read = bytesOf(file, MOST_BYTES[kind]);
  if (!read.ok) return read;
  const bytes = read.value;
  if (kind === 'svg') return readSvg(textOf(bytes));
  if (kind === 'dxf') return readDxf(textOf(bytes));
  const { getDocument, OPS } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  try {
    const document = await getDocument({ data: bytes, ...PDF_OPEN }).promise;
    return await readPdf(document as unknown as PdfDocument, OPS);
  } catch (error) {
    return { ok: false, error: openFailure(error) };
  }
}

const round = (n: number): number => Math.round(n * 100) / 100;

function outlinesOf(lines: Lines) {
  return [...grouped(lines.strokes, (s) => `${s.layer} ${s.style}`).values()].flatMap((strokes) =>
    allRings(strokes).flatMap((ring) => {
      const b = boxOf(ring.path);
      const [width, height] = [b.maxX - b.minX, b.maxY - b.minY];
      if (Math.max(width, height) < LEAST) return [];
      return [
        {
          name: nameIn(lettersIn(lines, ring.path)) ?? '',
          style: strokes[0]?.style ?? '',
          width: round(width),
          height: round(height),
          around: round(pathLength(ring.path)),
          healed: ring.healed.length,
        },
      ];
    }),
  );
}

/**
 * What a PDF, SVG or DXF file holds: pages and how they lie together, layers, the test square, outlines; and the
 * pieces that the file itself describes, their seams walked. `out` gets those pieces as documents and one SVG, but for
 * those that would be cut wrong.
 */
export async function bring(file: string, out?: string, despiteFaults = false): Promise<Result<Written>> {
  const read = await linesOfFile(file);
  if (!read.ok) return read;
  const tiles = proposeTiles(read.value);
  const lines = layTogether(read.value, tiles);
  const traced = toldPieces(lines).map((t) => ({ size: t.size, ...tracePiece(t.ring, t.others, t.choices) }));
  const pieces: readonly Piece[] = read.value.pieces.length > 0 ? read.value.pieces : traced.map((t) => t.piece);
  const faults = despiteFaults ? [] : pieces.flatMap((p) => inspectPiece(p));
  const isSound = (p: Piece): boolean => !faults.some((f) => f.piece === p.id);
  const sound = pieces.filter(isSound);
  if (out !== undefined && pieces.length > 0) {
    const written = writeOut(out, [
      ['pieces.json', `${JSON.stringify(sound, null, 2)}\n`],
      ['pieces.svg', writeSvg(sound, { title: file })],
    ]);
    if (!written.ok) return written;
  }
  const sizes = new Set(traced.map((t) => t.size));
  const report = {
    pages: read.value.pages.length,
    laid: sayTiles(tiles.by),
    unit: read.value.unit,
    layers: read.value.layers.map((l) => ({ name: l.name, on: l.on })),
    squares: findSquares(read.value.strokes)
      .slice(0, 4)
      .map((s) => ({ side: round(s.side), meant: s.meant })),
    repairs: read.value.repairs.map((r) => sayRepair(r, UNITS)),
    outlines: outlinesOf(lines),
    pieces: pieces.map((p, i) => ({
      id: p.id,
      name: p.name,
      part: p.part,
      size: traced[i]?.size ?? null,
      edges: p.edges.map((e) => ({ id: e.id, role: e.role, length: round(pathLength(e.path)) })),
      darts: p.darts.length,
      notes: (traced[i]?.notes ?? []).map((n) => sayTraceNote(n, UNITS)),
      problems: validatePiece(p).map((x) => sayProblem(x.code, x.data, UNITS)),
    })),
    seams:
      sizes.size > 1
        ? []
        : proposeSeams(pieces).map((s) => ({ id: s.seam.id, ease: s.seam.ease, difference: round(s.walk.difference) })),
  };
  return ok({
    report,
    faults: faults.map((f) => sayFinding(f, UNITS)),
    leftOut: pieces.filter((p) => !isSound(p)).map((p) => p.name),
  });
}
