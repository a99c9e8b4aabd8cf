import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../blocks/index.ts';
import { pathLength } from '../geometry/index.ts';
import {
  aroundAt,
  bustLineLength,
  doubleDartsOf,
  doubleDartShape,
  edgesWithRole,
  type Piece,
} from '../pattern/index.ts';
import { checkPieces } from '../paper/truing/index.ts';
import { runOn, sampleIn } from '../testing/samples.ts';
import { expectOk } from '../units/index.ts';
import { alterationById, CATALOGUE, type AlterationDefinition, type Values } from './index.ts';

const find = (id: string): AlterationDefinition => alterationById(id) as AlterationDefinition;
const around = (pieces: readonly Piece[], level: 'waist' | 'hip'): number =>
  expectOk(aroundAt(pieces, level), level).width;
const hem = (pieces: readonly Piece[]): number =>
  pieces.reduce((n, p) => n + edgesWithRole(p, 'hem').reduce((m, e) => m + 2 * pathLength(e.path), 0), 0);
const bust = (pieces: readonly Piece[]): number => pieces.reduce((n, p) => n + 2 * (bustLineLength(p) ?? 0), 0);
const run = (id: string, size: string, values: Values) => runOn(find(id), 'jetty', size, values);

describe('a dress in one', () => {
  it('bust let out or lapped: as much as asked, and nothing at waist, hip and hem, dart wider or as it was', () => {
    for (const size of SAMPLE_SIZES)
      for (const total of [-16, 12, 25, 40])
        for (const waistDart of ['widen', 'keep']) {
          const name = `size ${size} by ${total}, ${waistDart}`;
          const was = sampleIn('jetty', size).pieces;
          const r = run('full-bust-side-dart', size, { total, waistDart, whose: 'pattern' });
          const now = expectOk(r, name).pieces;
          expect(Math.abs(bust(now) - bust(was) - total), name).toBeLessThan(1);
          expect(around(now, 'waist'), name).toBeCloseTo(around(was, 'waist'), 4);
          expect(around(now, 'hip'), name).toBeCloseTo(around(was, 'hip'), 4);
          expect(hem(now), name).toBeCloseTo(hem(was), 4);
          const front = (all: readonly Piece[]) => doubleDartsOf(all.find((p) => p.part === 'front') as Piece)[0]!;
          const grown = front(now).width - front(was).width;
          // Upper and lower paper turn by a degree or two: the legs open by a little less than the spread.
          expect(Math.abs(grown - (waistDart === 'keep' ? 0 : total / 2)), name).toBeLessThan(0.2);
        }
  });

  it('a dart lapped past nothing is gone, not turned inside out, and the side gives the waist its width', () => {
    const was = sampleIn('jetty', '4').pieces;
    const narrow = expectOk(run('double-dart', '4', { by: 38, over: 'front' }), 'narrow');
    const lapped = expectOk(
      runOn(find('full-bust-side-dart'), 'jetty', '4', { total: -20, whose: 'pattern' }, narrow),
      'lap',
    );
    const [dart] = doubleDartsOf(lapped.pieces.find((p) => p.part === 'front') as Piece);
    expect(dart!.width).toBe(0);
    expect(around(lapped.pieces, 'waist')).toBeCloseTo(around(narrow.pieces, 'waist'), 4);
    expect(around(was, 'waist')).toBeCloseTo(around(narrow.pieces, 'waist') - 38, 6);
  });

  it('graded to the nest at waist and hip, it is as wide at the hem as the hip has grown', () => {
    for (const [waistSize, hipSize] of [
      ['5', '6'],
      ['3', '4'],
    ] as const) {
      const was = sampleIn('jetty', '4').pieces;
      const now = expectOk(run('grade-between-sizes', '4', { waistSize, hipSize }), hipSize).pieces;
      expect(around(now, 'waist')).toBeCloseTo(around(sampleIn('jetty', waistSize).pieces, 'waist'), 1);
      expect(around(now, 'hip')).toBeCloseTo(around(sampleIn('jetty', hipSize).pieces, 'hip'), 1);
      expect(Math.abs(hem(now) - hem(was) - (around(now, 'hip') - around(was, 'hip')))).toBeLessThan(1);
    }
  });

  it('lengthened at the waist, its darts are longer and take in as much as before', () => {
    const was = sampleIn('jetty', '4').pieces;
    const now = expectOk(run('length-line', '4', { by: 14 }), 'longer').pieces;
    for (const part of ['front', 'back'] as const) {
      const [then, dart] = [was, now].map((all) => doubleDartsOf(all.find((p) => p.part === part) as Piece)[0]!);
      expect(dart!.width).toBeCloseTo(then!.width, 9);
      expect(dart!.lower.y - dart!.upper.y).toBeCloseTo(then!.lower.y - then!.upper.y + 14, 6);
    }
    expect(around(now, 'waist')).toBeCloseTo(around(was, 'waist'), 0);
  });

  it('folded across for a hollow back, its dart is drawn again with legs alike, as wide as it was', () => {
    const was = sampleIn('jetty', '4').pieces;
    for (const id of ['swayback-fold', 'swayback-lower']) {
      const now = expectOk(run(id, '4', { by: 12 }), id).pieces;
      const [then, dart] = [was, now].map((all) => doubleDartsOf(all.find((p) => p.part === 'back') as Piece)[0]!);
      expect(Math.abs(dart!.width - then!.width), id).toBeLessThan(0.5);
      const { upper, lower, ends } = doubleDartShape(dart!);
      for (const tip of [upper, lower])
        expect(Math.hypot(tip.x - ends[0].x, tip.y - ends[0].y)).toBeCloseTo(
          Math.hypot(tip.x - ends[1].x, tip.y - ends[1].y),
          9,
        );
    }
  });

  it('passes Check after every alteration that suits it, but for pieces that must follow', () => {
    const { pieces, seams } = sampleIn('jetty', '5');
    const suited = CATALOGUE.filter((d) => d.suits(pieces, seams).grade !== 'no');
    expect(suited.length).toBeGreaterThan(25);
    let ran = 0;
    for (const d of suited)
      for (const example of d.examples) {
        const r = runOn(d, 'jetty', '5', example.values);
        if (!r.ok) continue;
        ran += 1;
        const { findings } = checkPieces(r.value.pieces, r.value.seams);
        const faults = findings.filter((f) => f.grade === 'fault' && f.code !== 'piece-must-follow');
        expect(faults, `${d.id} ${example.name}`).toEqual([]);
      }
    expect(ran).toBeGreaterThan(30);
  });
});
