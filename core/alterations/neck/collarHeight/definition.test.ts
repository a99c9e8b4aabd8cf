import { describe, expect, it } from 'vitest';
import { SAMPLE_SIZES } from '../../../blocks/index.ts';
import { distance, endOf, pathLength } from '../../../geometry/index.ts';
import { cornerAngle, walkSeam } from '../../../paper/truing/index.ts';
import { requireEdge, type Piece } from '../../../pattern/index.ts';
import { codeOn, contextOn, runOn } from '../../../testing/samples.ts';
import { expectOk } from '../../../units/index.ts';
import { alterationById, type AlterationDefinition, type Run } from '../../index.ts';
import { collarHeight } from './definition.ts';

const piece = (pieces: readonly Piece[], id: string): Piece => pieces.find((p) => p.id === id) as Piece;
const edge = (p: Piece, id: string) => requireEdge(p, id).path;

describe.each([
  ['stand', 'collarSeam', ['neckFront', 'neckBack']],
  ['collar', 'outer', ['seam']],
] as const)('the %s higher or lower', (id, outer, sewn) => {
  it.each(SAMPLE_SIZES)('size %s: by each amount at its own end, the seam as long as it was', (size) => {
    const was = piece(contextOn('quay', size).pieces, id);
    for (const [by, inFront] of [
      [8, 4],
      [-6, 0],
      [0, 12],
      [-10, -8],
    ] as const) {
      const run = expectOk(runOn(collarHeight, 'quay', size, { on: id, by, inFront }), `${id} ${size}`);
      const now = piece(run.pieces, id);
      for (const e of sewn) expect(pathLength(edge(now, e))).toBeCloseTo(pathLength(edge(was, e)), 9);
      expect(pathLength(edge(now, 'foldBack')) - pathLength(edge(was, 'foldBack'))).toBeCloseTo(by, 6);
      const [a, b] = [edge(was, outer), edge(now, outer)];
      expect(distance(endOf(a), endOf(b))).toBeCloseTo(Math.abs(by), 6);
      expect(distance(a.start, b.start)).toBeCloseTo(Math.abs(inFront), 6);
      expect(cornerAngle(now, outer, 'end')).toBeCloseTo(90, 0);
      expect(run.changes.map((c) => c.piece)).toEqual([id]);
    }
  });
});

it('the collar follows the stand until both are one length again', () => {
  const led = expectOk(runOn(collarHeight, 'quay', '4', { on: 'stand', by: 20, inFront: 10 }), 'stand');
  const seam = (run: Run) =>
    walkSeam(
      run.pieces,
      run.seams.find((s) => s.id === 'collar')!,
    ).difference;
  expect(Math.abs(seam(led))).toBeGreaterThan(1);
  expect(led.findings.map((f) => [f.code, f.piece])).toEqual([['piece-must-follow', 'collar']]);
  const follow = expectOk(
    runOn(alterationById('collar-follows') as AlterationDefinition, 'quay', '4', {}, led),
    'collar follows',
  );
  expect(Math.abs(seam(follow))).toBeLessThan(0.1);
});

it('a stand follows the neckline and never the collar', () => {
  const led = expectOk(
    runOn(alterationById('neckline') as AlterationDefinition, 'quay', '4', { by: 10 }),
    'a lower neckline',
  );
  const run = expectOk(runOn(alterationById('band-follows') as AlterationDefinition, 'quay', '4', {}, led), 'follows');
  for (const id of ['stand front', 'stand back'])
    expect(
      Math.abs(
        walkSeam(
          run.pieces,
          run.seams.find((s) => s.id === id)!,
        ).difference,
      ),
    ).toBeLessThan(0.05);
});

it('refuses what would be too low to turn, and patterns without a collar', () => {
  expect(codeOn(collarHeight, 'quay', { on: 'stand', by: -25, inFront: 0 })).toBe('band-too-narrow');
  expect(codeOn(collarHeight, 'quay', { on: 'stand', by: 0, inFront: -20 })).toBe('band-too-narrow');
  expect(codeOn(collarHeight, 'causeway', { on: 'stand' })).toBe('collar-not-found');
  expect(codeOn(collarHeight, 'causeway-shirt', { on: 'collar' })).toBe('collar-not-found');
});
