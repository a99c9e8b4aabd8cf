import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS, SAMPLE_SIZES } from '../blocks/index.ts';
import { distance, flatten, isSimplePolygon, midpoint, pathLength } from '../geometry/index.ts';
import { bustPointOf, cuttingLine, dartShape, edgeOf, edgesWithRole, outlineOf, type Piece } from '../pattern/index.ts';
import { seenFrom } from '../testing/angles.ts';
import { runOn, sampleIn } from '../testing/samples.ts';
import { outlinesApart } from '../testing/drawn.ts';
import { measureDart, walkSeam } from '../paper/truing/index.ts';
import { expectOk } from '../units/index.ts';
import {
  alterationById,
  CATALOGUE,
  GUARD_REFUSALS,
  type AlterationDefinition,
  type Run,
  type Values,
} from './index.ts';

const find = (id: string): AlterationDefinition => {
  const d = alterationById(id);
  if (!d) throw new Error(`expected an alteration "${id}"`);
  return d;
};
const ran = (id: string, on: string, size: string, values: Values, after?: Run): Run =>
  expectOk(runOn(find(id), on, size, values, after), `${id} on ${on} ${size}`);
const front = (r: Run): Piece => r.pieces.find((p) => p.part === 'front') as Piece;
const dartOf = (piece: Piece, kind: string) => {
  const dart = piece.darts.find((d) => d.kind === kind);
  if (!dart) throw new Error(`expected a ${kind} dart`);
  return { dart, shape: dartShape(piece, dart), ...measureDart(dartShape(piece, dart)) };
};
const seam = (r: Run, id: string) =>
  walkSeam(
    r.pieces,
    r.seams.find((s) => s.id === id)!,
  );

describe.each(CATALOGUE.filter((d) => d.family === 'dart').map((d) => [d.id, d] as const))('%s', (_id, d) => {
  it('holds its promises on its examples in every size', () => {
    for (const example of d.examples)
      for (const size of SAMPLE_SIZES) {
        const r = expectOk(runOn(d, example.on, size, example.values), `${d.id} ${example.name} ${size}`);
        const name = `${d.id} ${example.name} ${size}`;
        expect(
          r.findings.filter((f) => f.grade === 'fault'),
          name,
        ).toEqual([]);
        for (const piece of r.pieces) {
          expect(isSimplePolygon(flatten(outlineOf(piece), 0.3)), `${name} outline`).toBe(true);
          expect(isSimplePolygon(flatten(cuttingLine(piece), 0.3)), `${name} cutting line`).toBe(true);
          for (const dart of piece.darts) {
            const m = measureDart(dartShape(piece, dart));
            expect(Math.abs(m.startLeg - m.endLeg), `${name} ${dart.id}`).toBeLessThan(0.01);
          }
        }
        // What an altered piece is sewn to follows by a step of its own.
        const altered = (id: string): boolean => r.changes.some((c) => c.piece === id) || id === r.altered;
        for (const s of r.seams.filter((x) => altered(x.first.piece) === altered(x.second.piece))) {
          const walk = walkSeam(r.pieces, s);
          expect(Math.abs(walk.difference), `${name} ${s.id}`).toBeLessThan(s.kind === 'princess' ? 1 : 0.5);
        }
      }
  });
});

describe('turning a dart', () => {
  const places = ['waist', 'armhole', 'shoulder', 'neck', 'side'] as const;
  it('moves its opening about the bust point, no more and no less, wherever it goes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('1', '4', '8'),
        fc.constantFrom(...places),
        fc.integer({ min: 25, max: 75 }),
        fc.integer({ min: 20, max: 90 }),
        (size, to, at, percent) => {
          const pieces = sampleIn('causeway', size).pieces;
          const p = bustPointOf(pieces[0]!)!;
          const was = dartOf(pieces[0]!, 'side').shape;
          const r = runOn(find('dart-rotate'), 'causeway', size, {
            dart: 'side',
            to,
            at: at / 100,
            share: percent / 100,
            merge: 'new',
          });
          if (!r.ok) {
            const expected = ['rotation-line-blocked', 'no-such-seam', 'rotation-same-place', 'cut-leaves-piece'];
            expect([...GUARD_REFUSALS, ...expected]).toContain(r.error.code);
            return;
          }
          const piece = front(r.value);
          expect(piece.darts).toHaveLength(3);
          const made = piece.darts.find((d) => !pieces[0]!.darts.some((o) => o.id === d.id))!;
          const left = dartShape(
            piece,
            piece.darts.find((d) => d.kind === 'side' && d.id === 'sideDart')!,
          );
          const now = dartShape(piece, made);
          const total = seenFrom(p, was.start, was.end);
          expect(seenFrom(p, now.start, now.end)).toBeCloseTo((total * percent) / 100, 6);
          expect(seenFrom(p, left.start, left.end)).toBeCloseTo((total * (100 - percent)) / 100, 6);
          expect(Math.abs(seam(r.value, 'side').difference)).toBeLessThan(0.5);
          expect(Math.abs(seam(r.value, 'shoulder').difference)).toBeLessThan(0.5);
        },
      ),
      { seed: 91, numRuns: 60 },
    );
  });

  it('there and back again gives the old dart', () => {
    for (const to of ['armhole', 'shoulder', 'neck']) {
      const away = ran('dart-rotate', 'causeway', '4', { dart: 'side', to, at: 0.5 });
      expect(front(away).darts.some((d) => d.kind === 'side')).toBe(false);
      const seamSplit = edgesWithRole(front(away), 'side')[0]!;
      const back = ran('dart-rotate', 'causeway', '4', { dart: to, toPoint: seamSplit.path.segments.at(-1)!.to }, away);
      const before = dartOf(sampleIn('causeway', '4').pieces[0]!, 'side');
      const after = dartOf(front(back), 'side');
      expect(Math.abs(after.intake - before.intake)).toBeLessThan(2.5);
      expect(Math.abs(seam(back, 'side').difference)).toBeLessThan(0.5);
    }
  });

  it('into another dart adds the two openings up', () => {
    const pieces = sampleIn('causeway', '5').pieces;
    const p = bustPointOf(pieces[0]!)!;
    const side = dartOf(pieces[0]!, 'side').shape;
    const waist = dartOf(pieces[0]!, 'waist').shape;
    const r = ran('dart-rotate', 'causeway', '5', { dart: 'side', to: 'waist' });
    const now = dartOf(front(r), 'waist').shape;
    expect(front(r).darts).toHaveLength(1);
    expect(seenFrom(p, now.start, now.end)).toBeCloseTo(
      seenFrom(p, side.start, side.end) + seenFrom(p, waist.start, waist.end),
      3,
    );
  });

  it('leaves the grainline and the centre where they are', () => {
    const before = sampleIn('causeway', '3').pieces[0]!;
    const after = front(ran('dart-rotate', 'causeway', '3', { dart: 'side', to: 'neck' }));
    expect(after.marks.find((m) => m.kind === 'grain')).toEqual(before.marks.find((m) => m.kind === 'grain'));
    expect(edgeOf(after, 'centreFront')!.path).toEqual(edgeOf(before, 'centreFront')!.path);
  });
});

describe('other dart work', () => {
  it('splits an opening into its shares', () => {
    const pieces = sampleIn('causeway-side', '4').pieces;
    const p = bustPointOf(pieces[0]!)!;
    const was = dartOf(pieces[0]!, 'side').shape;
    const r = ran('dart-split', 'causeway-side', '4', { dart: 'side', share: 0.4, apart: 40 });
    const seen = front(r)
      .darts.map((d) => dartShape(front(r), d))
      .map((s) => seenFrom(p, s.start, s.end))
      .sort((a, b) => a - b);
    const total = seenFrom(p, was.start, was.end);
    expect(seen[0]).toBeCloseTo(total * 0.4, 6);
    expect(seen[1]).toBeCloseTo(total * 0.6, 6);
  });

  it('slides a dart in a box by so much, the side seam as long as before', () => {
    const { pieces, seams } = sampleIn('causeway-side', '4');
    const drafted = walkSeam(
      pieces,
      seams.find((s) => s.id === 'side')!,
    ).first.length;
    for (const by of [-25, -8, 6, 14]) {
      const before = dartOf(sampleIn('causeway-side', '4').pieces[0]!, 'side').shape;
      const r = ran('dart-raise', 'causeway-side', '4', { dart: 'side', by });
      const after = dartOf(front(r), 'side').shape;
      for (const key of ['start', 'end', 'tip'] as const) expect(before[key].y - after[key].y).toBeCloseTo(by, 6);
      expect(seam(r, 'side').first.length).toBeCloseTo(drafted, 4);
      expect(bustPointOf(front(r))!.y).toBeCloseTo(bustPointOf(sampleIn('causeway-side', '4').pieces[0]!)!.y - by, 9);
    }
  });

  it('takes the other dart’s tip along when it is raised, unless asked to leave it', () => {
    const before = dartOf(sampleIn('causeway', '4').pieces[0]!, 'waist').shape.tip;
    for (const [others, by] of [
      ['follow', 12],
      ['stay', 0],
    ] as const) {
      const after = dartOf(front(ran('dart-raise', 'causeway', '4', { dart: 'side', by: 12, others })), 'waist').shape
        .tip;
      expect(before.y - after.y).toBeCloseTo(by, 6);
    }
  });

  it('sets a tip back by so much from the bust point, as nearly as equal legs allow', () => {
    for (const setback of [15, 40, 60]) {
      const r = ran('dart-setback', 'causeway-side', '4', { dart: 'side', setback });
      expect(Math.abs(distance(dartOf(front(r), 'side').shape.tip, bustPointOf(front(r))!) - setback)).toBeLessThan(
        1.5,
      );
    }
  });

  it('shares a waist over four pieces: +24 makes each dart 6 narrower and the waist 24 wider', () => {
    const bodice = (all: readonly Piece[]) => all.filter((p) => p.part === 'front' || p.part === 'back');
    const pieces = bodice(sampleIn('causeway', '4').pieces);
    const r = ran('dart-waist-width', 'causeway', '4', { by: 24 });
    bodice(r.pieces).forEach((piece, i) =>
      expect(dartOf(pieces[i]!, 'waist').intake - dartOf(piece, 'waist').intake).toBeCloseTo(6, 6),
    );
    const waist = (all: readonly Piece[]) =>
      all.reduce((n, p) => n + 2 * edgesWithRole(p, 'waist').reduce((m, e) => m + pathLength(e.path), 0), 0);
    expect(waist(bodice(r.pieces)) - waist(pieces)).toBeCloseTo(24, 1);
  });

  it('cuts a dart away without touching the seam line; only the cutting line follows the legs', () => {
    const before = sampleIn('causeway-waist', '6').pieces[0]!;
    const after = front(ran('dart-cut-away', 'causeway-waist', '6', { dart: 'waist', allowance: 10 }));
    expect(outlinesApart(after, before)).toBeLessThan(1e-6);
    const { tip, start, end } = dartOf(after, 'waist').shape;
    const middle = midpoint(start, end);
    // A tenth of the way up from the waist the middle of the dart is cut out of the paper.
    const probe = { x: middle.x + (tip.x - middle.x) * 0.1, y: middle.y + (tip.y - middle.y) * 0.1 };
    const ring = flatten(cuttingLine(after), 0.2);
    const nearest = Math.min(...ring.map((q) => distance(q, probe)));
    expect(nearest).toBeLessThan(distance(start, end));
    expect(pathLength(cuttingLine(after)) - pathLength(cuttingLine(before))).toBeGreaterThan(distance(tip, start));
  });

  it('turns a dart into ease: the seam is longer by the intake, and says so', () => {
    const pieces = sampleIn('causeway', '4').pieces;
    const was = dartOf(pieces[1]!, 'shoulder').intake;
    const r = ran('dart-ease', 'causeway', '4', { part: 'back', dart: 'shoulder' });
    const walk = seam(r, 'shoulder');
    expect(walk.second.length - walk.first.length).toBeCloseTo(walk.seam.ease, 1);
    expect(walk.seam.ease).toBeGreaterThan(was - 0.1);
    expect(walk.second.notches).toHaveLength(2);
  });

  it('moves the tips of both darts with the bust point, or one, or none', () => {
    const before = sampleIn('causeway', '4').pieces[0]!;
    const p = bustPointOf(before)!;
    const bustPoint = { x: p.x + 4, y: p.y + 14 };
    const tips = (choice: string) => {
      const piece = front(ran('bust-point', 'causeway', '4', { bustPoint, tips: choice }));
      expect(bustPointOf(piece)).toEqual(bustPoint);
      return ['side', 'waist'].map(
        (kind) => distance(dartOf(piece, kind).shape.tip, dartOf(before, kind).shape.tip) > 1,
      );
    };
    expect(tips('together')).toEqual([true, true]);
    expect(tips('side')).toEqual([true, false]);
    expect(tips('waist')).toEqual([false, true]);
    expect(tips('stay')).toEqual([false, false]);
  });

  it('cuts a darted front into panels whose seams match, and these take a full bust', () => {
    const line = ran('princess-line', 'causeway', '4', {});
    expect(line.pieces.slice(0, 3).map((p) => p.part)).toEqual(['front', 'sideFront', 'back']);
    expect(Math.abs(seam(line, 'princess front').difference)).toBeLessThan(0.1);
    const full = ran('full-bust-princess-armhole', 'causeway', '4', { total: 90 }, line);
    expect(full.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });
});

describe('what suits a pattern', () => {
  it('refuses in words on patterns it is not for', () => {
    for (const d of CATALOGUE)
      for (const id of SAMPLE_IDS) {
        const r = runOn(d, id, '4', d.examples[0]?.values ?? {});
        if (!r.ok) expect([...d.refusals, ...GUARD_REFUSALS, 'width-not-restored']).toContain(r.error.code);
      }
  });
});
