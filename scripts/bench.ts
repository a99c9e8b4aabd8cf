import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { fullBustSideDart, runAlteration, type Context } from '@ample/core/alterations';
import { causewayPattern } from '@ample/core/blocks';
import { pageMap } from '@ample/core/out';
import { writePdf, type PdfConstructor } from '@ample/core/out/pdf';
import { distance, flatten, move, type Point, type Rigid } from '@ample/core/geometry';
import { inspectPiece } from '@ample/core/paper/guard';
import { cuttingLine, outlineOf, type Piece } from '@ample/core/pattern';
import { cutPiece, movePanels } from '@ample/core/paper/slash';
import { walkSeam } from '@ample/core/paper/truing';
import { expectOk } from '@ample/core/units';
import { fittingBench } from './bench-fitting.ts';
import { formBench } from './bench-form.ts';
import { planBench } from './bench-plan.ts';
import { readBench, sliversBench, wholeBench } from './bench-read.ts';
import { solveBench } from './bench-solve.ts';

/**
 * How long the hot paths take, each against a budget and against a plain baseline in the same run: the outline
 * flattened to 0.1 mm and moved point by point. Ratios travel between machines; milliseconds do not.
 */
const pattern = causewayPattern(['4']);
const pieces = pattern.sizes['4'] as readonly Piece[];
const front = pieces[0] as Piece;
const context: Context = { pieces, seams: pattern.seams, original: pieces, originalSeams: pattern.seams, wearer: {} };

/** Median of many runs, after as many to warm up: what a drag meets, not what the first call meets. */
function median(work: () => unknown, times = 1000): number {
  for (let i = 0; i < times; i++) work();
  const taken = Array.from({ length: times }, () => {
    const t = performance.now();
    work();
    return performance.now() - t;
  });
  return taken.sort((a, b) => a - b)[Math.floor(times / 2)] as number;
}

const turn: Rigid = { angle: 0.1, x: 3, y: 2 };
/** Flatten, move every point, measure the ring. */
const baseline = () => {
  const ring = flatten(outlineOf(front), 0.1).map((p) => move(turn, p));
  return ring.reduce((sum, p, i) => sum + distance(p, ring[(i + 1) % ring.length] as Point), 0);
};

const values = { total: 48, whose: 'pattern' };
const run = expectOk(runAlteration(fullBustSideDart, context, values), 'bench');
const spec = run.frames.find((f) => f.stage === 'open')?.pieces[0]?.moves?.spec;
if (!spec) throw new Error('bench: expected a slash');
const divided = expectOk(cutPiece(front, spec), 'bench cut');
const side = pattern.seams.find((s) => s.kind === 'side');
if (!side) throw new Error('bench: expected a side seam');

const font = (weight: number) =>
  new Uint8Array(
    readFileSync(
      createRequire(import.meta.url).resolve(
        `@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-${weight}-normal.woff`,
      ),
    ),
  );
const many: readonly Piece[] = Array.from({ length: 4 }, (_, i) =>
  pieces.map((p) => ({ ...p, id: `${p.id}${i}` })),
).flat();
const map = pageMap(many, 'a4');
const pdf = () =>
  writePdf(PDFDocument as unknown as PdfConstructor, {
    map: { ...map, tiles: map.tiles.slice(0, 29), pageCount: 30 },
    label: { wearer: 'Bench', pattern: 'Causeway', size: '4', date: '2026-11-23', changes: {} },
    original: [],
    notes: [],
    fonts: { text: font(400), bold: font(700) },
  });

const base = median(baseline);
const rows: { name: string; ms: number; budget: number }[] = [
  { name: 'flattened baseline', ms: base, budget: 1 },
  { name: 'move the panels of one slash', ms: median(() => movePanels(divided, spec)), budget: 1 },
  { name: 'cut into panels', ms: median(() => cutPiece(front, spec)), budget: 2 },
  {
    name: 'replay one step on one piece',
    ms: median(() => runAlteration(fullBustSideDart, context, values)),
    budget: 1,
  },
  { name: 'cutting line of one piece', ms: median(() => cuttingLine(front)), budget: 4 },
  // A piece never changes and is inspected once: the bench looks at a new one every time.
  { name: 'inspect one piece while dragging', ms: median(() => inspectPiece({ ...front }, 'quick')), budget: 0.3 },
  { name: 'inspect one piece completely', ms: median(() => inspectPiece({ ...front }), 300), budget: 4 },
  { name: 'walk one seam', ms: median(() => walkSeam(pieces, side)), budget: 1 },
];
const plan = planBench();
rows.push(
  { name: 'ten steps on eight pieces, the last changed', ms: median(plan.again, 100), budget: 8 },
  { name: 'ten steps on eight pieces, from scratch', ms: median(plan.fresh, 60), budget: 40 },
  { name: 'patches for eight altered pieces', ms: median(plan.patches, 12), budget: 400 },
  { name: 'paper added by ten steps', ms: median(plan.added, 12), budget: 100 },
);
rows.push({ name: 'solve eight steps for fifteen measurements', ms: median(solveBench(), 12), budget: 300 });
const fitting = fittingBench();
rows.push(
  { name: 'rank the causes of eight things seen', ms: median(fitting.causes, 40), budget: 16 },
  { name: 'lay eight pieces on three cloths', ms: median(fitting.cloth, 6), budget: 1500 },
  { name: 'pack and read a backup of 200 jobs', ms: median(fitting.backup, 6), budget: 1500 },
);
const onForm = formBench();
/** 5 s for 3000 points, 12 s for 6000, and between them as the points grow, ms. */
const FINE = 5000 + ((onForm.points.fine - 3000) / 3000) * 7000;
rows.push(
  { name: 'form of a body', ms: median(onForm.form, 4), budget: 300 },
  { name: 'what cloth feels of a form', ms: median(onForm.field, 4), budget: 300 },
  { name: `dress of ${onForm.points.coarse} points, from nothing`, ms: median(onForm.coarse, 2), budget: 2000 },
  { name: `dress of ${onForm.points.coarse} points, an amount changed`, ms: median(onForm.again, 2), budget: 1500 },
  { name: `dress of ${onForm.points.fine} points, from nothing`, ms: median(onForm.fine, 2), budget: FINE },
  { name: `dress of ${onForm.points.fine} points, an amount changed`, ms: median(onForm.againFine, 2), budget: 3000 },
);
const [asked, searched] = [median(onForm.contact.field, 20), median(onForm.contact.plain, 2)];
rows.push({ name: 'contact of the dress, of the field', ms: asked, budget: 2 });
/** Of four runs the second quickest: files are opened once, not warmed up to. */
async function quick(work: () => Promise<unknown>): Promise<number> {
  const taken: number[] = [];
  for (let i = 0; i < 4; i++) {
    const t = performance.now();
    await work();
    taken.push(performance.now() - t);
  }
  return taken.sort((a, b) => a - b)[1] as number;
}
rows.push({ name: 'PDF of 30 pages', ms: await quick(pdf), budget: 2000 });
rows.push({ name: 'read 60 tiles of a nest of ten sizes', ms: await quick(await readBench()), budget: 5000 });
rows.push({ name: 'pieces of 60 tiles in ten sizes, all at once', ms: await quick(await wholeBench()), budget: 2000 });
rows.push({ name: 'read 20 000 lines drawn as slivers', ms: await quick(await sliversBench()), budget: 5000 });

let over = 0;
for (const { name, ms, budget } of rows) {
  const verdict = ms <= budget ? 'within' : 'OVER';
  if (ms > budget) over += 1;
  process.stdout.write(
    `${name.padEnd(46)} ${ms.toFixed(3).padStart(9)} ms   budget ${String(budget).padStart(5)} ms  ${verdict.padEnd(6)}  ${(ms / base).toFixed(1).padStart(8)} × baseline\n`,
  );
}
process.stdout.write(
  `contact of the dress, asked of every point of the form: ${searched.toFixed(1)} ms, ${(searched / asked).toFixed(0)} × the field\n`,
);
process.exitCode = over === 0 ? 0 : 1;
