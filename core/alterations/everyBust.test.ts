import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../blocks/index.ts';
import {
  endOf,
  flatten,
  isSimplePolygon,
  kinkAt,
  move,
  pathLength,
  polyline,
  spanLength,
  spansOf,
} from '../geometry/index.ts';
import {
  cuttingLine,
  dartShape,
  edgesWithRole,
  levelWidth,
  outlineOf,
  type EdgeRole,
  type Piece,
} from '../pattern/index.ts';
import { primary } from '../testing/runs.ts';
import { runOn, sampleIn } from '../testing/samples.ts';
import { measureDart, walkSeam } from '../paper/truing/index.ts';
import { expectOk, once, TOL } from '../units/index.ts';
import { CATALOGUE, GUARD_REFUSALS, runAlteration, type AlterationDefinition, type Run } from './index.ts';

/** Amounts a front may be asked for, over the whole front. A refusal in words is an answer; these are the only ones expected. */
const EXPECTED_REFUSALS = [
  ...GUARD_REFUSALS,
  'overlap-larger-than-dart',
  'too-much-to-ease',
  'spread-beyond-reach',
  'overlap-too-large',
  'seam-gives-no-more',
];
/** Drawn at its seam without a cut: no lines, nothing to level. */
const isUncut = (d: AlterationDefinition): boolean => d.id === 'full-bust-princess-seam';
const bust = CATALOGUE.filter((d) => d.family === 'bust');
const amounts = [-30, -16, -8, -3, 3, 8, 20, 34, 50];
const fronts = (pieces: readonly Piece[]) => pieces.filter((p) => p.part === 'front' || p.part === 'sideFront');
const sum = (pieces: readonly Piece[], role: EdgeRole) =>
  fronts(pieces).reduce((n, p) => n + edgesWithRole(p, role).reduce((m, e) => m + pathLength(e.path), 0), 0);

interface Ran {
  readonly run: Run;
  readonly before: readonly Piece[];
  readonly total: number;
  readonly name: string;
}
/** Every sample an alteration is shown on, in every size, by every amount of its own sign. Carried out once for all. */
const runsOf = once((d: AlterationDefinition): readonly Ran[] =>
  d.examples.flatMap((example) =>
    SAMPLE_SIZES.flatMap((size) =>
      amounts
        .filter((a) => Math.sign(a) === Math.sign(Number(example.values['total'])))
        .flatMap((total): Ran[] => {
          const r = runOn(d, example.on, size, { ...example.values, total });
          const name = `${d.id} ${example.name} size ${size} by ${total}`;
          if (r.ok) return [{ run: r.value, before: sampleIn(example.on, size).pieces, total, name }];
          expect(EXPECTED_REFUSALS, name).toContain(r.error.code);
          return [];
        }),
    ),
  ),
);
const each = (
  d: AlterationDefinition,
  check: (r: Run, before: readonly Piece[], total: number, name: string) => void,
): void => runsOf(d).forEach(({ run, before, total, name }) => check(run, before, total, name));

describe.each(bust.map((d) => [d.id, d] as const))('%s, on all its samples, sizes and amounts', (_id, d) => {
  it('holds every promise', () => {
    expect(runsOf(d).length).toBeGreaterThan(15);
    each(d, (r, before, _total, name) => {
      for (const role of ['armhole', 'raglan', 'shoulder', 'neck'] as const) {
        const by = sum(r.pieces, role) - sum(before, role);
        expect(Math.abs(by), `${name}: ${role}`).toBeLessThan(
          role === 'armhole' || role === 'raglan' ? TOL.armhole : TOL.legs,
        );
      }
      expect(
        r.findings.filter((f) => f.grade === 'fault'),
        name,
      ).toEqual([]);
      for (const piece of fronts(r.pieces)) {
        // Wherever a hinge was, the seam runs on smoothly over it.
        for (const role of ['armhole', 'raglan', 'underarm', 'shoulder'] as const)
          for (const edge of edgesWithRole(piece, role)) {
            let along = 0;
            for (const span of spansOf(edge.path).slice(0, -1)) {
              along += spanLength(span);
              expect(Math.abs(kinkAt(edge.path, along)), `${name}: ${edge.id} at ${along}`).toBeLessThan(0.03);
            }
          }
        expect(isSimplePolygon(flatten(outlineOf(piece), 0.3)), `${name}: outline of ${piece.id}`).toBe(true);
        expect(isSimplePolygon(flatten(cuttingLine(piece), 0.3)), `${name}: cutting line of ${piece.id}`).toBe(true);
        for (const dart of piece.darts) {
          const m = measureDart(dartShape(piece, dart));
          expect(Math.abs(m.startLeg - m.endLeg), `${name}: ${dart.id}`).toBeLessThan(0.01);
        }
      }
      for (const seam of r.seams) {
        const walk = walkSeam(r.pieces, seam);
        expect(Math.abs(walk.difference), `${name}: ${seam.id}`).toBeLessThan(seam.kind === 'princess' ? 1 : 0.5);
      }
    });
  });

  it('keeps the centre front straight and its corners where the grain puts them', () => {
    each(d, (r, before, _total, name) => {
      const cf = (pieces: readonly Piece[]) =>
        edgesWithRole(pieces.find((p) => p.part === 'front') as Piece, 'centreFront')[0]!.path;
      for (const q of flatten(cf(r.pieces))) expect(q.x, name).toBeCloseTo(cf(r.pieces).start.x, 6);
      expect(endOf(cf(r.pieces)), name).toEqual(endOf(cf(before)));
    });
  });

  it.skipIf(isUncut(d))('brings the lower edge level: line 1 ends at one height on both of its sides', () => {
    each(d, (r, _before, _total, name) => {
      const level = r.frames.find((f) => f.stage === 'level')!.pieces[0]!;
      const foot = r.frames[0]!.pieces[0]!.lines.find((l) => l.label === '1')!.points[0]!;
      const panel = (id: string) => level.panels.find((p) => p.id === id)!.motion;
      expect(move(panel('centreLower'), foot).y, name).toBeCloseTo(move(panel('lowerSide'), foot).y, 6);
    });
  });

  it('makes the bust wider by what was asked, measured flat', () => {
    each(d, (r, before, total, name) => {
      const width = (pieces: readonly Piece[]) =>
        fronts(pieces).reduce((n, p) => {
          const w = levelWidth(p, 'bust');
          return n + (w.ok ? w.value.width : 0);
        }, 0);
      const grown = width(r.pieces) - width(before);
      // The level moves with the bust point, and leans and darts count in: the direction and the size are right.
      expect(Math.sign(grown), name).toBe(Math.sign(total));
    });
  });
});

describe('what one does one can undo', () => {
  // With two hinges the sleeve swings back from another place; there the promises above must do.
  const keys = (d: AlterationDefinition) => d.params.map((p) => p.key);
  const sided = bust.filter((d) => keys(d).includes('newBustPoint') && !keys(d).includes('hinges'));
  it.each(sided.map((d) => [d.id, d] as const))('%s: taking in what was let out restores the lengths', (_id, d) => {
    const on = d.examples[0]!.on;
    fc.assert(
      fc.property(fc.constantFrom('2', '4', '7'), fc.integer({ min: 4, max: 30 }), (size, total) => {
        const open = { newBustPoint: 'moved', waistWidth: 'keep' };
        const out = expectOk(runOn(d, on, size, { ...open, total }), 'out');
        // A front that has a side dart now is taken in through it.
        const back = d.id === 'full-bust-no-dart' ? CATALOGUE.find((x) => x.id === 'full-bust-side-dart')! : d;
        const point = primary(out).bustPoint!;
        const values = { ...open, total: -total, bustPoint: point };
        const again = runOn(back, on, size, values, out);
        if (!again.ok) {
          expect(EXPECTED_REFUSALS).toContain(again.error.code);
          return;
        }
        const before = sampleIn(on, size).pieces;
        for (const role of ['armhole', 'shoulder', 'neck', 'side'] as const)
          expect(Math.abs(sum(again.value.pieces, role) - sum(before, role)), role).toBeLessThan(1);
        expect(Math.abs(sum(again.value.pieces, 'centreFront') - sum(before, 'centreFront'))).toBeLessThan(0.6);
      }),
      { seed: 77, numRuns: 12 },
    );
  });
});

describe('at nothing', () => {
  it.each(bust.map((d) => [d.id, d] as const))('%s marks its lines and changes no edge', (_id, d) => {
    const on = d.examples[0]!.on;
    const r = expectOk(runOn(d, on, '4', { ...d.examples[0]!.values, total: 0 }), 'nothing');
    const before = sampleIn(on, '4').pieces;
    for (const [i, piece] of r.pieces.entries())
      expect(piece.edges.map((e) => e.path)).toEqual(before[i]!.edges.map((e) => e.path));
    const { lines, points } = r.frames[0]!.pieces[0]!;
    expect(isUncut(d) ? points.length : lines.length).toBeGreaterThan(isUncut(d) ? 0 : 2);
  });
});

describe('the new dart of a front without darts', () => {
  it('begins where line 2 was drawn and aims at the bust point', () => {
    const d = CATALOGUE.find((x) => x.id === 'full-bust-no-dart')!;
    const r = expectOk(runOn(d, 'causeway-shirt', '4', { total: 40, below: 60 }), 'run');
    const front = r.pieces[0]!;
    const shape = dartShape(front, front.darts[0]!);
    const underarm = edgesWithRole(front, 'side')[0]!;
    expect(pathLength(underarm.path)).toBeCloseTo(60, 3);
    expect(pathLength(polyline([shape.start, shape.end]))).toBeGreaterThan(20);
    expect(r.seams.find((s) => s.id === 'side')!.first.edges).toEqual(['side', 'side 2']);
  });
});

describe('what one may take hold of', () => {
  it('includes a dart tip exactly where a dart took the opening', () => {
    const tip = (id: string, on: string, values: object) => {
      const r = expectOk(
        runOn(
          CATALOGUE.find((x) => x.id === id)!,
          on,
          '4',
          { ...values },
        ),
        id,
      );
      return r.grips.find((g) => g.id === 'tip');
    };
    expect(tip('full-bust-no-dart', 'causeway-shirt', { total: 40 })).toBeDefined();
    expect(tip('full-bust-no-dart', 'causeway-shirt', { total: 24, ending: 'hem' })).toBeUndefined();
    expect(tip('full-bust-no-dart', 'causeway-shirt', { total: 14, ending: 'ease' })).toBeUndefined();
    expect(tip('full-bust-no-dart', 'causeway-shirt', { total: -20 })).toBeUndefined();
    const shoulder = tip('full-bust-shoulder-dart', 'causeway-shoulder', { total: 30 });
    expect(shoulder?.kind === 'amount' && shoulder.axis.y).toBeLessThan(-0.5);
  });
});

describe('panels of a pattern nobody here drew', () => {
  it('keep their apex notches level by whatever name the notches go', () => {
    const { pieces, seams } = sampleIn('skerry-armhole', '4');
    const renamed = pieces.map((p) => ({
      ...p,
      marks: p.marks.map((m) => (m.kind === 'notch' && m.edge === 'princess' ? { ...m, id: `n7-${p.id}` } : m)),
    }));
    const d = CATALOGUE.find((x) => x.id === 'full-bust-princess-armhole')!;
    const context = { pieces: renamed, seams, original: renamed, originalSeams: seams, wearer: {} };
    const r = expectOk(runAlteration(d, context, { total: 40 }), 'renamed');
    const walk = walkSeam(
      r.pieces,
      r.seams.find((s) => s.id === 'princess front')!,
    );
    expect(walk.first.notches[0]!.at).toBeCloseTo(walk.second.notches[0]!.at, 1);
  });
});
