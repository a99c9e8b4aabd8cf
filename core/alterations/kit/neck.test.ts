import { describe, expect, it } from 'vitest';
import { angleOf, distance, sub } from '../../geometry/index.ts';
import { bustPointOf, dartShape, validatePiece } from '../../pattern/index.ts';
import { walkSeam } from '../../paper/truing/index.ts';
import { block } from '../../testing/block.ts';
import { contextOn } from '../../testing/samples.ts';
import { finishOf, lengthOf, pieceIn, refusal, startOf, work } from '../../testing/work.ts';

const b = block();
const dress = contextOn('causeway', '4');
const shirt = contextOn('causeway-shirt', '4');
const difference = (run: { pieces: typeof dress.pieces; seams: typeof dress.seams }, id: string): number =>
  walkSeam(
    run.pieces,
    run.seams.find((s) => s.id === id)!,
  ).difference;

describe('gaping neckline', () => {
  it('into the dart: what turns at the neck about the bust point opens in the dart', () => {
    const run = work('neck-gape-dart', dress, { by: 8 });
    const p = bustPointOf(pieceIn(dress, 'front'))!;
    const line = run.frames[0]!.pieces[0]!.lines[0]!.points;
    // Chord 8 at the distance r from the bust point: 2 · asin(4 / r).
    const turned = 2 * Math.asin(4 / distance(line[0]!, p));
    const seen = (piece: ReturnType<typeof pieceIn>): number => {
      const { start, end } = dartShape(
        piece,
        piece.darts.find((d) => d.kind === 'side')!,
      );
      return Math.abs(angleOf(sub(start, p)) - angleOf(sub(end, p)));
    };
    expect(seen(pieceIn(run, 'front')) - seen(pieceIn(dress, 'front'))).toBeCloseTo(turned, 3);
    expect(lengthOf(dress, 'front', 'neck') - lengthOf(run, 'front', 'neck')).toBeGreaterThan(5);
    expect(lengthOf(run, 'front', 'armhole')).toBeCloseTo(lengthOf(dress, 'front', 'armhole'), 6);
    expect(refusal('neck-gape-dart', shirt, { by: 8 })).toBe('no-dart');
  });
  it('at the shoulders: front and back together give 10 and stay equally long', () => {
    const run = work('neck-gape-seam', shirt, { by: 10 });
    const lost = ['front', 'back'].map((id) => lengthOf(shirt, id, 'neck') - lengthOf(run, id, 'neck'));
    // Squared to the curved shoulders again the necklines come out a little longer.
    expect(Math.abs(lost[0]! + lost[1]! - 10)).toBeLessThan(0.7);
    expect(Math.abs(difference(run, 'shoulder'))).toBeLessThan(0.05);
    expect(refusal('neck-gape-seam', shirt, { by: 8, seam: 'centreBack' })).toBe('centre-is-fold');
  });
});

describe('neckline', () => {
  it('20 lower at the centre front and 10 wider at the shoulder, front and back alike', () => {
    const run = work('neckline', b, { by: 20, wide: 10 });
    expect(lengthOf(run, 'front', 'centreFront')).toBeCloseTo(280, 9);
    for (const id of ['front', 'back']) expect(lengthOf(run, id, 'shoulder')).toBeCloseTo(90, 9);
    // From (0, 80) to (70, 0) straight: √(80² + 70²) = 106.301.
    expect(lengthOf(run, 'front', 'neck')).toBeCloseTo(106.301, 3);
  });
  it('draws the facings on the new neck', () => {
    const run = work('neckline', dress, { by: 20, wide: 6 });
    for (const seam of ['facing front', 'facing back', 'facing shoulder'])
      expect(Math.abs(difference(run, seam)), seam).toBeLessThan(0.01);
    expect(work('neckline', b, { by: 0 }).pieces).toEqual(b.pieces);
  });
});

describe('armhole depth', () => {
  it('raises the underarm of front, back and sleeve by 8 up their own seams, and the cap still fits', () => {
    const run = work('armhole-depth', dress, { by: 8 });
    expect(lengthOf(run, 'back', 'side') - lengthOf(dress, 'back', 'side')).toBeCloseTo(8, 6);
    expect(lengthOf(run, 'front', 'sideUpper') - lengthOf(dress, 'front', 'sideUpper')).toBeCloseTo(8, 6);
    for (const edge of ['underarmFront', 'underarmBack'])
      expect(lengthOf(run, 'sleeve', edge) - lengthOf(dress, 'sleeve', edge)).toBeCloseTo(8, 6);
    for (const seam of ['armhole front', 'armhole back', 'side', 'sleeve underarm'])
      expect(Math.abs(difference(run, seam)), seam).toBeLessThan(0.01);
  });
  it('builds out sideways', () => {
    const run = work('armhole-depth', b, { by: 0, out: 6 });
    // Out by 6 and down by as much as keeps the side 200 long: 200 − √(200² − 6²) = 0.090.
    expect(finishOf(run, 'front', 'armhole').x).toBeCloseTo(206, 6);
    expect(finishOf(run, 'front', 'armhole').y).toBeCloseTo(160 + 200 - Math.sqrt(200 ** 2 - 6 ** 2), 4);
    expect(lengthOf(run, 'front', 'side')).toBeCloseTo(200, 4);
    // The back is mirrored: its underarm lies at the left and goes left.
    expect(startOf(run, 'back', 'armhole').x).toBeCloseTo(-6, 9);
  });
});

describe('band', () => {
  it('loses 8 of its height, its long edges as they were', () => {
    const run = work('band-height', shirt, { by: -8 });
    expect(lengthOf(run, 'band', 'foldBack')).toBeCloseTo(24, 9);
    expect(lengthOf(run, 'band', 'edge')).toBeCloseTo(lengthOf(shirt, 'band', 'edge'), 9);
    expect(refusal('band-height', shirt, { by: -25 })).toBe('band-too-narrow');
  });
});

describe('what follows', () => {
  const after = (run: { pieces: typeof dress.pieces; seams: typeof dress.seams }, from: typeof dress) => ({
    ...from,
    pieces: run.pieces,
    seams: run.seams,
  });
  it('the cap fits its armholes again, each half by itself, and keeps its biceps', () => {
    for (const by of [-12, 10]) {
      const led = work('shoulder-redraw', dress, { by });
      expect(Math.abs(difference(led, 'armhole front'))).toBeGreaterThan(1);
      const run = work('cap-follows', after(led, dress), {});
      for (const seam of ['armhole front', 'armhole back']) expect(Math.abs(difference(run, seam))).toBeLessThan(1e-3);
      expect(startOf(run, 'sleeve', 'capBack')).toEqual(startOf(dress, 'sleeve', 'capBack'));
      expect(finishOf(run, 'sleeve', 'capFront')).toEqual(finishOf(dress, 'sleeve', 'capFront'));
    }
  });
  it('the skirt fits the bodice again at its side seams', () => {
    const led = work('dart-waist-width', dress, { by: 24 });
    const run = work('skirt-follows', after(led, dress), {});
    for (const seam of ['waist front', 'waist back', 'skirt side'])
      expect(Math.abs(difference(run, seam)), seam).toBeLessThan(0.01);
    expect(lengthOf(run, 'skirtFront', 'hem')).toBeCloseTo(lengthOf(dress, 'skirtFront', 'hem'), 0);
  });
  it('the facing takes the new neckline', () => {
    const led = work('forward-shoulder', dress, { by: 10, neck: 4 });
    expect(difference(led, 'facing front')).toBeCloseTo(4, 6);
    const run = work('facing-follows', after(led, dress), {});
    for (const seam of ['facing front', 'facing back']) expect(Math.abs(difference(run, seam))).toBeLessThan(1e-6);
  });
  it('the pocket takes the altered side seam between its notches, its grainline unturned', () => {
    // 8 at the hip, 200 down the side, from nothing at 90: at the lower notch, 190 down, 8 · 100/110 = 7.3 are left.
    const led = work('side-add', dress, { by: 32, level: 'hip' });
    const walked = (run: typeof led) =>
      walkSeam(
        run.pieces,
        run.seams.find((s) => s.id === 'pocket')!,
      );
    expect(walked(led).apart).toBeGreaterThan(1);
    const run = work('pocket-follows', after(led, dress), {});
    expect(walked(run).apart).toBeLessThan(1e-6);
    expect(Math.abs(walked(run).difference)).toBeLessThan(1e-6);
    expect(finishOf(run, 'pocket', 'opening').x - finishOf(dress, 'pocket', 'opening').x).toBeCloseTo(7.3, 0);
    const grain = run.pieces.find((p) => p.id === 'pocket')!.marks.find((m) => m.kind === 'grain');
    expect(grain?.kind === 'grain' && grain.to.x - grain.from.x).toBe(0);
    expect(validatePiece(run.pieces.find((p) => p.id === 'pocket')!)).toEqual([]);
  });
  it('the band loses what the neckline lost times its share, here one', () => {
    const led = work('neck-gape-seam', shirt, { by: 12 });
    const run = work('band-follows', after(led, shirt), {});
    const lost = lengthOf(shirt, 'band', 'edge') - lengthOf(run, 'band', 'edge');
    const neck = ['front', 'back'].map((id) => lengthOf(led, id, 'neck')).reduce((x, y) => x + y, 0);
    expect(lost).toBeCloseTo(lengthOf(shirt, 'band', 'edge') - neck, 3);
    expect(refusal('band-follows', dress, {})).toBe('nothing-to-follow');
  });
});
