import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../../alterations/index.ts';
import { draft, type Draft } from '../../fitting/plan/index.ts';
import { samplePattern, type SampleId } from '../../blocks/index.ts';
import { stepSchema, type Step } from '../../documents/index.ts';
import { flatten, insidePolygon, nearestOnPath, type Path, type Point } from '../../geometry/index.ts';
import { cuttingLine, dartShape, outlineOf, type Pattern, type Piece } from '../../pattern/index.ts';
import { TOL } from '../../units/index.ts';
import { addedPaper, MOST_OF, patchesOf, patchPlan, untouchedOf, type Patch, type Region } from './index.ts';
import { areaOf, common, regionOf, without } from './regions.ts';

const step = (alteration: string, values: Step['values'], side: Step['side'] = 'both', id = alteration): Step =>
  stepSchema.parse({ id, alteration, revision: 1, values, side });
const drafted = new Map<SampleId, Pattern>();
const patternOf = (id: SampleId): Pattern => {
  const known = drafted.get(id) ?? samplePattern(id);
  drafted.set(id, known);
  return known;
};
const plan = (on: string, steps: readonly Step[], size = '4'): Draft => {
  const d = draft({
    job: { size, sizeMethod: 'highBust', steps: [...steps] },
    wearer: { sets: [], bustEase: null },
    pattern: patternOf(on as SampleId),
  });
  const refused = d.steps.find((s) => !s.outcome.ok);
  if (refused) throw new Error(`plan: ${JSON.stringify(refused.outcome)}`);
  return d;
};
const FULL = step('full-bust-side-dart', { total: 40, whose: 'pattern' });

/** The drawn lines of a piece, each with the one it is compared with. */
const linesOf = (p: Piece): readonly Path[] => {
  const closed = (path: Path): Path => ({ ...path, segments: [...path.segments, { kind: 'line', to: path.start }] });
  const legs = p.darts.map((d): Path => {
    const s = dartShape(p, d);
    return { start: s.start, segments: [s.tip, s.end].map((to) => ({ kind: 'line', to })) };
  });
  return [closed(cuttingLine(p)), closed(outlineOf(p)), ...legs];
};
/** The farthest that lines outside the patches lie from any line of the other piece, mm. */
function farthest(from: Piece, to: Piece, patches: readonly Patch[]): number {
  const theirs = linesOf(to);
  return Math.max(
    0,
    ...linesOf(from)
      .flatMap((line) => flatten(line, 0.5))
      .filter((p) => !patches.some((patch) => insidePolygon(p, patch.ring)))
      .map((p) => Math.min(...theirs.map((line) => nearestOnPath(line, p).distance))),
  );
}

describe('patches', () => {
  const examples = CATALOGUE.flatMap((a) => a.examples.slice(0, 1).map((e) => ({ a, e, name: a.id })));

  it.each(examples)('cover everything that $name changes: beside them the tissue is right as it is', ({ a, e }) => {
    const steps = [...(e.after ?? []), { alteration: a.id, values: e.values }].map((s, i) =>
      step(s.alteration, s.values, 'both', `step ${i}`),
    );
    const d = plan(e.on, steps);
    for (const piece of d.pieces) {
      const untouched = untouchedOf(piece, d.original);
      if (!untouched) continue;
      const { patches } = patchesOf(untouched, piece);
      // A sliver as wide as a pencil line counts as no change, hence a little more than half a millimetre.
      expect(farthest(piece, untouched, patches), `${piece.id}, new lines`).toBeLessThan(1.2 * TOL.seam);
      expect(farthest(untouched, piece, patches), `${piece.id}, old lines`).toBeLessThan(1.2 * TOL.seam);
    }
  });

  it('show old line on both sides of what changed, to lay them by', () => {
    const d = plan('causeway', [step('shoulder-slope', { by: 8 })]);
    const { patches, whole } = patchPlan(d.pieces, d.original);
    expect(whole).toEqual([]);
    expect(patches.length).toBeGreaterThan(0);
    for (const patch of patches) {
      const line = linesOf(patch.piece)[0] as Path;
      const kept = flatten(line, 0.005).filter(
        (p) =>
          insidePolygon(p, patch.ring) &&
          nearestOnPath(linesOf(patch.untouched)[0] as Path, p).distance < 2 * TOL.offset,
      );
      // A line that went straight down lies beside its old place along the way.
      const across = (of: readonly number[]): number => Math.max(...of) - Math.min(...of);
      expect(kept.length).toBeGreaterThan(1);
      expect(Math.max(across(kept.map((p) => p.x)), across(kept.map((p) => p.y)))).toBeGreaterThan(30);
    }
  });

  it('leave pieces out on which nothing changed, and print whole what changed nearly everywhere or is new', () => {
    const d = plan('causeway', [FULL, step('princess-line', {})]);
    const { asIs, whole } = patchPlan(d.pieces, d.original);
    expect(asIs.map((p) => p.id)).toContain('back');
    expect(whole.map((w) => w.why)).toContain('new');
    // A longer skirt is new paper at the hem alone.
    const longer = plan('causeway', [step('length-line', { by: 30, where: 'hem' })]);
    const skirt = patchPlan(longer.pieces, longer.original).patches.filter((p) => p.piece.id.startsWith('skirt'));
    expect(skirt.length).toBeGreaterThan(0);
    for (const p of skirt) expect(p.bounds.maxY - p.bounds.minY).toBeLessThan(160);
    expect(MOST_OF).toBeLessThan(1);
  });

  it('are none on a piece where one step undoes another', () => {
    const back = step('shoulder-slope', { by: -8 }, 'both', 'back again');
    const d = plan('causeway', [step('shoulder-slope', { by: 8 }), back]);
    expect(patchPlan(d.pieces, d.original).asIs.map((p) => p.id)).toContain('front');
  });

  it('lie on the side that was altered: of a whole on one half, of two pieces on one', () => {
    const d = plan('causeway', [step('side-add', { by: 16 }, 'right')]);
    const { patches, asIs } = patchPlan(d.pieces, d.original);
    expect(asIs.map((p) => p.id)).toContain('back left');
    expect([...new Set(patches.map((p) => p.piece.id))].sort()).toEqual([
      'back right',
      'front whole',
      'skirtBack right',
      'skirtFront whole',
    ]);
    for (const { piece, untouched } of patches)
      expect(
        farthest(
          piece,
          untouched,
          patches.filter((p) => p.piece === piece),
        ),
      ).toBeLessThan(1.2 * TOL.seam);
    // The fold of the front lies at 0; the drawn half is the left, to its right.
    for (const p of patches.filter((q) => q.piece.id === 'front whole')) expect(p.bounds.maxX).toBeLessThan(0);
  });
});

describe('added paper', () => {
  const insertsOf = (d: Draft, id: string): number =>
    d.steps.flatMap((s) => (s.outcome.ok ? s.outcome.value.changes : [])).find((c) => c.piece === id)?.inserted ?? NaN;

  it('is what the slash opened, a few square centimetres of trueing aside', () => {
    const d = plan('causeway', [FULL]);
    const added = addedPaper(d).get('front') as Region;
    const opened = insertsOf(d, 'front');
    expect(opened).toBeGreaterThan(3000);
    expect(Math.abs(areaOf(added) - opened) / opened).toBeLessThan(0.1);
    // Tissue and added paper together are the piece, neither lying on the other.
    const front = d.pieces.find((p) => p.id === 'front') as Piece;
    const whole = regionOf(outlineOf(front), 0.05);
    const tissue = areaOf(without(whole, added));
    expect(Math.abs(tissue + areaOf(added) - areaOf(whole))).toBeLessThan(1);
  });

  it('goes with the paper it is taped to when a later step moves that', () => {
    const one = addedPaper(plan('causeway', [FULL])).get('front') as Region;
    const shoulder = step('shoulder-slash', { by: -10 });
    const d = plan('causeway', [FULL, shoulder]);
    const two = addedPaper(d).get('front') as Region;
    const alone = addedPaper(plan('causeway', [shoulder])).get('front') ?? [];
    // The shoulder opens a slit of its own (or laps); the bust's paper is still all there.
    expect(areaOf(two)).toBeGreaterThan(0.93 * areaOf(one));
    expect(areaOf(two)).toBeLessThan(1.02 * (areaOf(one) + areaOf(alone)) + 50);
  });

  it('counts no paper twice when a dart is turned: what closes here opens there', () => {
    const d = plan('causeway', [step('dart-rotate', { dart: 'side', to: 'shoulder', share: 0.5 })]);
    const added = addedPaper(d).get('front') as Region;
    const opened = insertsOf(d, 'front');
    expect(areaOf(added) / opened).toBeGreaterThan(0.75);
    expect(areaOf(added) / opened).toBeLessThan(1.25);
  });

  it('runs on through extension and facing: 20 longer over 18 + 55 beyond the centre', () => {
    const d = plan('causeway-buttons', [step('length-line', { by: 20 })]);
    const front = d.pieces.find((p) => p.id === 'front') as Piece;
    const added = addedPaper(d).get('front') as Region;
    const within = common(added, regionOf(outlineOf(front), 0.05));
    // The strip runs straight across: what lies beyond the centre is as high as the rest.
    expect(areaOf(without(added, within))).toBeCloseTo(20 * (18 + 55), -1);
    expect(addedPaper(plan('causeway-buttons', [step('length-line', { by: -20 })])).get('front') ?? []).toEqual([]);
  });

  it('is nothing for a lap, and for pieces no step touched', () => {
    const d = plan('causeway', [step('full-bust-side-dart', { total: -20, whose: 'pattern' })]);
    const added = addedPaper(d);
    expect(added.get('back')).toBeUndefined();
    expect(areaOf(added.get('front') ?? [])).toBeLessThan(700);
  });

  it('lies on both halves of an opened piece, each where its own side was altered', () => {
    const both = addedPaper(plan('causeway', [FULL])).get('front') as Region;
    const d = plan('causeway', [{ ...FULL, side: 'left' }]);
    const id = d.pieces.find((p) => p.id.startsWith('front'))?.id as string;
    const one = addedPaper(d).get(id) as Region;
    expect(areaOf(one) / areaOf(both)).toBeGreaterThan(0.9);
    expect(areaOf(one) / areaOf(both)).toBeLessThan(1.2);
    const whole = regionOf(outlineOf(d.pieces.find((p) => p.id === id) as Piece), 0.05);
    expect(areaOf(common(one, whole))).toBeCloseTo(areaOf(one), 0);
    const box = (one.flat() as Point[]).map((p) => p.x);
    expect(Math.max(...box) - Math.min(...box)).toBeLessThan(400);
  });
});
