import { describe, expect, it } from 'vitest';
import { pieceArea } from '../../pattern/index.ts';
import { block } from '../../testing/block.ts';
import { contextOn } from '../../testing/samples.ts';
import { finishOf, lengthOf, pieceIn, refusal, startOf, turnsOf, work } from '../../testing/work.ts';
import { flatOf } from './flat.ts';

const b = block();

describe('narrow shoulder by slash and hinge', () => {
  // Neck point N (60, 0), shoulder point S (160, 0), pin H (160, 80): S turns about H by a to (160 − 80 sin a,
  // 80 − 80 cos a). |NS′| = 90 gives 16000 sin a + 12800 cos a = 14700, so sin(a + 38.660°) = 14700 / 20490.0,
  // a + 38.660° = 45.840°, a = 7.180°; S′ = (150.001, 0.627).
  const run = work('shoulder-slash', b, { by: -10 });
  it('turns the outer part by 7.180° to a shoulder of 90', () => {
    expect(Math.abs(turnsOf(run, 'front')['outer'] ?? 0)).toBeCloseTo(7.18, 2);
    expect(lengthOf(run, 'front', 'shoulder')).toBeCloseTo(90, 6);
    const s = finishOf(run, 'front', 'shoulder');
    expect(s.x).toBeCloseTo(150.001, 2);
    expect(s.y).toBeCloseTo(0.627, 2);
  });
  it('does the same to the back, mirrored, and leaves both armholes their length', () => {
    expect(turnsOf(run, 'back')['outer']).toBeCloseTo(-(turnsOf(run, 'front')['outer'] ?? 0), 9);
    for (const piece of ['front', 'back']) {
      expect(lengthOf(run, piece, 'shoulder')).toBeCloseTo(90, 6);
      expect(Math.abs(lengthOf(run, piece, 'armhole') - lengthOf(b, piece, 'armhole'))).toBeLessThan(1);
    }
  });
  it('spreads for a broad shoulder', () => {
    expect(lengthOf(work('shoulder-slash', b, { by: 12 }), 'back', 'shoulder')).toBeCloseTo(112, 6);
  });
});

describe('narrow shoulder by sliding', () => {
  it('moves the shoulder point 10 along the level shoulder and nothing below the notch', () => {
    const run = work('shoulder-slide', b, { by: -10 });
    expect(finishOf(run, 'front', 'shoulder').x).toBeCloseTo(150, 6);
    expect(finishOf(run, 'front', 'shoulder').y).toBeCloseTo(0, 6);
    expect(finishOf(run, 'front', 'armhole')).toEqual(finishOf(b, 'front', 'armhole'));
  });
  it('refuses a block that would leave the piece', () => {
    // From the middle of the shoulder (110) to the notch (160) there is room for 45.
    expect(refusal('shoulder-slide', b, { by: -30 })).toBe('ran');
    const cramped = { ...b, pieces: b.pieces.map((p) => ({ ...p, edges: p.edges.map((e) => e) })) };
    expect(refusal('shoulder-slide', cramped, { by: -60 })).toBe('value-out-of-range');
  });
});

describe('narrow shoulder by redrawing', () => {
  // From (150, 0) to nothing at the notch (160, 80) the armhole is about √(10² + 80²) = 80.623 instead of 80.
  it('draws the armhole from 10 in to nothing at the notch and tells the cap by how much', () => {
    const run = work('shoulder-redraw', b, { by: -10 });
    expect(lengthOf(run, 'front', 'shoulder')).toBeCloseTo(90, 9);
    const grown = lengthOf(run, 'front', 'armhole') - lengthOf(b, 'front', 'armhole');
    expect(grown).toBeGreaterThan(0.623 - 1e-6);
    expect(grown).toBeLessThan(1.5);
    const told = run.findings.find((f) => f.code === 'cap-follows')?.data['by'] as number;
    const back = lengthOf(run, 'back', 'armhole') - lengthOf(b, 'back', 'armhole');
    expect(told).toBeCloseTo(grown + back, 0);
  });
});

describe('sloping shoulder', () => {
  // A shoulder of 100 that drops by 10 ends at x = 60 + √(100² − 10²) = 159.499.
  it('turns about the neck point and keeps its length', () => {
    const run = work('shoulder-slope', b, { by: 10, underarm: 'stay' });
    const s = finishOf(run, 'front', 'shoulder');
    expect(s.x).toBeCloseTo(159.499, 3);
    expect(s.y).toBeCloseTo(10, 9);
    expect(startOf(run, 'front', 'shoulder')).toEqual({ x: 60, y: 0 });
    expect(finishOf(run, 'front', 'armhole')).toEqual({ x: 200, y: 160 });
  });
  it('lowers the underarm down the side until the armhole is as long as before', () => {
    const run = work('shoulder-slope', b, { by: 10, underarm: 'follow' });
    for (const piece of ['front', 'back'])
      expect(lengthOf(run, piece, 'armhole')).toBeCloseTo(lengthOf(b, piece, 'armhole'), 1);
    // The side is upright: what the armhole takes it loses, about the drop.
    expect(lengthOf(run, 'front', 'side')).toBeLessThan(191.5);
    expect(lengthOf(run, 'front', 'side')).toBeCloseTo(lengthOf(run, 'back', 'side'), 9);
  });
  it('leaves the lengths and widths of the body alone wherever the underarm is cut', () => {
    for (const by of [-10, 16])
      for (const key of ['sideWaist', 'napeToUnderarm', 'napeToWaist', 'crossBack', 'crossFront'] as const) {
        const done = { ...b, ...work('shoulder-slope', b, { by, underarm: 'follow' }) };
        expect(Math.abs((flatOf(done, key)?.value ?? NaN) - (flatOf(b, key)?.value ?? NaN))).toBeLessThan(1);
      }
  });
  it('raises for a square shoulder and refuses the impossible', () => {
    expect(finishOf(work('shoulder-slope', b, { by: -10, underarm: 'stay' }), 'front', 'shoulder').y).toBeCloseTo(
      -10,
      9,
    );
    expect(refusal('shoulder-slope', b, { by: 95 })).toBe('value-out-of-range');
  });
});

describe('forward shoulder', () => {
  // The sliver is a triangle: 100 along the seam, 10 down the armhole: ½ · 100 · 10 = 500 mm². The new seam is
  // √(100² + 10²) = 100.499 on both pieces.
  const run = work('forward-shoulder', b, { by: 10 });
  it('moves 500 mm² from front to back, exactly', () => {
    expect(pieceArea(pieceIn(b, 'front')) - pieceArea(pieceIn(run, 'front'))).toBeCloseTo(500, 6);
    expect(pieceArea(pieceIn(run, 'back')) - pieceArea(pieceIn(b, 'back'))).toBeCloseTo(500, 6);
  });
  it('makes both seams 100.499 and passes 10 of the armhole over', () => {
    for (const piece of ['front', 'back']) expect(lengthOf(run, piece, 'shoulder')).toBeCloseTo(100.499, 3);
    expect(lengthOf(run, 'front', 'armhole') - lengthOf(b, 'front', 'armhole')).toBeCloseTo(-10, 6);
    expect(lengthOf(run, 'back', 'armhole') - lengthOf(b, 'back', 'armhole')).toBeCloseTo(10, 6);
  });
  it('comes back exactly', () => {
    const home = work('forward-shoulder', { ...b, pieces: run.pieces, seams: run.seams }, { by: -10 });
    for (const piece of ['front', 'back']) {
      expect(pieceArea(pieceIn(home, piece))).toBeCloseTo(pieceArea(pieceIn(b, piece)), 6);
      expect(lengthOf(home, piece, 'shoulder')).toBeCloseTo(100, 6);
    }
  });
  it('goes forward by 25 at the neck as well: what the front gives the back takes', () => {
    const far = work('forward-shoulder', b, { by: 15, neck: 25 });
    const area = (on: typeof b | typeof far, id: string) => pieceArea(pieceIn(on, id));
    const given = area(b, 'front') - area(far, 'front');
    expect(given).toBeGreaterThan(1000);
    expect(area(far, 'back') - area(b, 'back')).toBeCloseTo(given, 3);
  });
  it('refuses a sliver that crosses itself, or none', () => {
    expect(refusal('forward-shoulder', b, { by: 10, neck: -3 })).toBe('sliver-crosses');
    expect(work('forward-shoulder', b, { by: 0, neck: 0 }).pieces).toEqual(b.pieces);
  });
});

describe('broad and narrow across', () => {
  // 16 across the body is 8 on the half. Swung about (110, 0): at the notch, 80 below the pin, 8 = 80 sin a, a = 5.739°.
  it('slides the block out by half, shoulder and waist as before', () => {
    const run = work('back-width', b, { by: 16 });
    expect(lengthOf(run, 'back', 'shoulder')).toBeCloseTo(100, 1);
    expect(lengthOf(run, 'back', 'waist')).toBeCloseTo(200, 6);
    expect(lengthOf(run, 'back', 'side')).toBeCloseTo(200, 6);
    // The underarm of the mirrored back lay at x = 0 and moves left; the side is drawn to it as long as before.
    expect(startOf(run, 'back', 'armhole').x).toBeCloseTo(-8, 1);
  });
  it('swings it by 5.739° about the shoulder seam line, the armhole unchanged', () => {
    const run = work('front-width', b, { by: 16, way: 'hinge' });
    expect(Math.abs(turnsOf(run, 'front')['block'] ?? 0)).toBeCloseTo(5.739, 2);
    expect(lengthOf(run, 'front', 'shoulder')).toBeCloseTo(100, 0);
    expect(pieceIn(run, 'back')).toBe(pieceIn(b, 'back'));
  });
});

describe('a narrow shoulder where front and back are in panels, or have a sleeve cut on', () => {
  const on = (id: string) => contextOn(id, '5');
  it('takes 10 off the side panels’ part of it; the seams to the centre panels stay as they are', () => {
    const context = on('skerry-shoulder');
    for (const id of ['shoulder-slash', 'shoulder-redraw']) {
      const by = -10;
      const run = work(id, context, { by });
      for (const [piece, edge] of [
        ['sideFront', 'shoulder 2'],
        ['sideBack', 'shoulderArm'],
      ] as const) {
        expect(lengthOf(run, piece, edge)).toBeCloseTo(lengthOf(context, piece, edge) + by, 6);
        expect(lengthOf(run, piece, 'princess')).toBe(lengthOf(context, piece, 'princess'));
      }
      expect(pieceIn(run, 'front')).toBe(pieceIn(context, 'front'));
      expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
    }
  });
  it('has nothing to move on a raglan, and says so', () => {
    for (const id of ['shoulder-slash', 'shoulder-slide', 'shoulder-redraw'])
      expect(refusal(id, on('ebb'), { by: -10 })).toBe('shoulder-in-sleeve');
  });
  it('measures the whole shoulder, over both panels', () => {
    const context = on('skerry-shoulder');
    const both = lengthOf(context, 'front', 'shoulder') + lengthOf(context, 'sideFront', 'shoulder 2');
    expect(flatOf(context, 'shoulder')?.value).toBeCloseTo(both, 6);
    const run = work('shoulder-slash', context, { by: -10 });
    expect(flatOf({ pieces: run.pieces, seams: run.seams }, 'shoulder')?.value).toBeCloseTo(both - 10, 6);
  });
  it('swings the sleeve in about a pin on the underarm: the overarm 10 shorter, the underarm as long', () => {
    const context = on('causeway-cut-on');
    const run = work('shoulder-slash', context, { by: -10 });
    for (const piece of ['front', 'back']) {
      expect(lengthOf(run, piece, 'overarm')).toBeCloseTo(lengthOf(context, piece, 'overarm') - 10, 6);
      expect(lengthOf(run, piece, 'underarm')).toBeCloseTo(lengthOf(context, piece, 'underarm'), 3);
      expect(lengthOf(run, piece, 'sleeveHem')).toBeCloseTo(lengthOf(context, piece, 'sleeveHem'), 6);
    }
    expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });
});
