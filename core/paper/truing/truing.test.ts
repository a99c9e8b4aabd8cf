import { describe, expect, it } from 'vitest';
import { causewayPattern } from '../../blocks/index.ts';
import { endOf, pathLength, polyline, type Path, type Point } from '../../geometry/index.ts';
import { dartShape, edgeOf, type Piece, type Seam } from '../../pattern/index.ts';
import { sampleIn } from '../../testing/samples.ts';
import { rectangle, workedFront } from '../../testing/shapes.ts';
import { ADVICE, expectOk, mm, TOL } from '../../units/index.ts';
import {
  balancedTip,
  capPeak,
  checkPiece,
  checkPieces,
  cornerAngle,
  dartCap,
  drawCorner,
  measureDart,
  narrowDart,
  restoreWidth,
  retipDart,
  smoothNear,
  walkSeam,
} from './index.ts';

const p = (x: number, y: number): Point => ({ x, y });

describe('darts', () => {
  it('finds the peak of the cap: the worked example, to a thousandth', () => {
    const T = p(131.298, 280.716);
    const A = p(242.211, 243.998);
    const B = p(248, 286.244);
    const cap = dartCap(T, B, A, polyline([B, p(246, 326.244)]));
    const peak = capPeak(cap);
    expect(Math.abs(peak.x - 248.969)).toBeLessThan(0.001);
    expect(Math.abs(peak.y - 264.591)).toBeLessThan(0.001);
    expect(cap.start).toEqual(B);
    expect(Math.hypot(endOf(cap).x - A.x, endOf(cap).y - A.y)).toBeLessThan(0.01);
  });

  it('caps so that the folded dart lies on the seam: the two halves mirror in the centre line', () => {
    const cap = dartCap(p(0, 0), p(100, 10), p(100, -10), polyline([p(100, 10), p(98, 80)]));
    const peak = capPeak(cap);
    expect(peak.y).toBeCloseTo(0, 9);
    expect(pathLength(cap) / 2).toBeCloseTo(Math.hypot(peak.x - 100, 10), 9);
  });

  it('puts the tip where both legs are equal, nearest to where it was wanted', () => {
    const tip = balancedTip(p(100, 0), p(104, 30), p(10, 20));
    expect(Math.hypot(tip.x - 100, tip.y)).toBeCloseTo(Math.hypot(tip.x - 104, tip.y - 30), 9);
    expect((tip.x - 10) * (tip.y - 20)).not.toBe(0);
  });

  it('sets the tip back from the bust point and says how far it moved sideways', () => {
    const front = workedFront();
    const { piece, moved } = retipDart(front, front.darts[0]!, p(95, 260), 25);
    const m = measureDart(dartShape(piece, piece.darts[0]!));
    expect(m.startLeg).toBeCloseTo(m.endLeg, 9);
    expect(moved).toBeGreaterThan(0);
    expect(moved).toBeLessThan(25);
  });

  it('narrows a dart half at each leg; the seams beside it gain what it loses', () => {
    const front = causewayPattern(['4']).sizes['4']![0]!;
    const waist = front.darts.find((d) => d.id === 'waistDart')!;
    const narrowed = narrowDart(front, waist, 10);
    const width = (q: Piece) => measureDart(dartShape(q, waist)).intake;
    expect(width(narrowed)).toBeCloseTo(width(front) - 10, 9);
    const seam = (q: Piece) => ['waistSide', 'waistCentre'].reduce((n, id) => n + pathLength(edgeOf(q, id)!.path), 0);
    expect(seam(narrowed)).toBeCloseTo(seam(front) + 10, 6);
  });
});

describe('walking seams', () => {
  const pattern = causewayPattern();

  it('every size of the sample passes every check', () => {
    for (const [size, pieces] of Object.entries(pattern.sizes)) {
      const report = checkPieces(pieces, pattern.seams);
      expect([size, report.findings]).toEqual([size, []]);
      for (const w of report.walks) expect(Math.abs(w.difference)).toBeLessThan(0.001);
    }
  });

  it('walks against the outline where a piece is mirrored, notches in walking order', () => {
    const side = pattern.seams.find((s) => s.id === 'side')!;
    const walk = walkSeam(pattern.sizes['4']!, side);
    expect(walk.first.notches[0]?.at).toBeCloseTo(walk.second.notches[0]?.at ?? 0, 6);
    expect(walk.first.joints).toEqual([expect.closeTo(55, 6)]);
    for (const c of [...walk.first.corners, ...walk.second.corners]) expect(c).toBeCloseTo(90, 3);
  });

  it('reports a longer side, a moved notch and a bent corner', () => {
    const seam: Seam = {
      id: 's',
      kind: 'side',
      ease: 0,
      first: { piece: 'a', edges: ['right'], reversed: false },
      second: { piece: 'b', edges: ['right'], reversed: false },
    };
    const notch = (at: number) => [{ kind: 'notch' as const, id: 'n', edge: 'right', at, count: 1 }];
    const a: Piece = { ...rectangle(100, 80), id: 'a', marks: notch(20) };
    const b: Piece = { ...rectangle(100, 83), id: 'b', marks: notch(30) };
    const codes = checkPieces([a, b], [seam]).findings.map((f) => f.code);
    expect(codes).toContain('seam-lengths-differ');
    expect(codes).toContain('notches-differ');
    expect(checkPieces([a, b], [{ ...seam, ease: 3 }]).findings.map((f) => f.code)).not.toContain(
      'seam-lengths-differ',
    );
  });

  it('sees a dart that ends at the bust point, and one that runs past it', () => {
    const front = pattern.sizes['4']![0]!;
    const side = front.darts.find((d) => d.kind === 'side')!;
    const bustPoint = front.marks.find((m) => m.kind === 'bustPoint') as { at: Point };
    const tipped = (x: number) =>
      checkPiece({ ...front, darts: [{ ...side, tip: p(bustPoint.at.x + x, bustPoint.at.y) }] });
    expect(tipped(25).map((f) => f.code)).not.toContain('dart-tip-too-near');
    expect(tipped(8).find((f) => f.code === 'dart-tip-too-near')?.data['by']).toBeCloseTo(8, 6);
    // The dart slopes a little, so 12 mm across is a hair less along it.
    expect(Math.abs(Number(tipped(-12).find((f) => f.code === 'dart-past-bust-point')?.data['by']) - 12)).toBeLessThan(
      0.1,
    );
  });

  it('sees unequal legs and a centre that is not square', () => {
    const front = workedFront();
    const codes = checkPiece(front).map((f) => f.code);
    expect(codes).toContain('dart-legs-differ');
    expect(codes).toContain('corner-not-square');
    expect(cornerAngle(rectangle(10, 10), 'top', 'end')).toBeCloseTo(90, 9);
  });
});

describe('truing widths and curves', () => {
  const front = causewayPattern(['4']).sizes['4']![0]!;
  const waistSide = pathLength(edgeOf(front, 'waistSide')!.path);
  const side = pathLength(edgeOf(front, 'sideLower')!.path);

  it.each([
    ['straight', -15],
    ['straight', 15],
    ['curved', -15],
    ['curved', 12],
  ] as const)('gives the waist its width %s by %d mm, side length held', (shape, by) => {
    const done = expectOk(
      restoreWidth(front, { side: 'sideLower', waist: 'waistSide', target: mm(waistSide + by), shape }),
      'restore',
    ).piece;
    expect(pathLength(edgeOf(done, 'waistSide')!.path)).toBeCloseTo(waistSide + by, 5);
    expect(Math.abs(pathLength(edgeOf(done, 'sideLower')!.path) - side)).toBeLessThan(0.05);
    expect(edgeOf(done, 'sideLower')!.path.start).toEqual(edgeOf(front, 'sideLower')!.path.start);
    expect(cornerAngle(done, 'sideLower', 'end')).toBeCloseTo(90, 3);
  });

  it('refuses a width no turn can give', () => {
    expect(
      restoreWidth(front, { side: 'sideLower', waist: 'waistSide', target: mm(waistSide + 400), shape: 'straight' }),
    ).toMatchObject({ ok: false, error: { code: 'width-not-restored' } });
  });

  it('smooths an edge at its kink without changing its length', () => {
    const worked = workedFront();
    const { piece, change, kink } = smoothNear(worked, 'a', p(170, 150), 25);
    expect(Math.abs(kink)).toBeGreaterThan(0.1);
    expect(Math.abs(change)).toBeLessThan(0.01);
    expect(edgeOf(piece, 'a')!.path.segments.some((s) => s.kind === 'cubic')).toBe(true);
  });
});

describe('what the check says of pieces that belong together', () => {
  const { pieces, seams } = sampleIn('causeway', '4');
  const stretched = (id: string, edge: string, by: number): readonly Piece[] =>
    pieces.map((p) =>
      p.id === id ? { ...p, edges: p.edges.map((e) => (e.id === edge ? { ...e, path: longer(e.path, by) } : e)) } : p,
    );
  const longer = (path: Path, by: number): Path => {
    const end = endOf(path);
    return { start: path.start, segments: [...path.segments, { kind: 'line', to: { x: end.x + by, y: end.y } }] };
  };
  const codes = (all: readonly Piece[]) =>
    checkPieces(all, seams, pieces, seams).findings.map((f) => `${f.code} ${f.piece} ${f.data['seam'] ?? ''}`.trim());

  it('sends the untouched side after the altered one, and calls it a fault where both were altered', () => {
    expect(codes(stretched('front', 'neck', 2))).toContain('piece-must-follow frontFacing facing front');
    // Something else done to the facing does not make it less of a follower.
    const touched = stretched('front', 'neck', 2).map((p) =>
      p.id === 'frontFacing' ? { ...p, edges: p.edges.map((e) => ({ ...e, allowance: 20 })) } : p,
    );
    expect(codes(touched)).toContain('piece-must-follow frontFacing facing front');
    // Of two bodice pieces neither follows the other by its nature.
    const both = [
      stretched('front', 'shoulder', 2).find((p) => p.id === 'front') as Piece,
      stretched('back', 'shoulderArm', 5).find((p) => p.id === 'back') as Piece,
      ...pieces.filter((p) => p.id !== 'front' && p.id !== 'back'),
    ];
    expect(codes(both).some((c) => c.startsWith('seam-lengths-differ'))).toBe(true);
  });
  it('lets the ease of a cap lie on either side of its notch', () => {
    const at = (by: number): readonly Piece[] =>
      pieces.map((p) =>
        p.id === 'sleeve'
          ? {
              ...p,
              marks: p.marks.map((m) => (m.kind === 'notch' && m.id === 'capFront' ? { ...m, at: m.at + by } : m)),
            }
          : p,
      );
    expect(codes(at(3.9))).toEqual([]);
    expect(codes(at(9))).toEqual(['notches-differ front armhole front']);
  });
  it('finds a grain that has turned against the fold', () => {
    const front = pieces[0] as Piece;
    const turned = {
      ...front,
      marks: front.marks.map((m) => (m.kind === 'grain' ? { ...m, to: { x: m.to.x + 12, y: m.to.y } } : m)),
    };
    // 12 aside over its length: about 3°, twice what a set square on paper would show.
    expect(checkPieces([turned], []).findings.map((f) => f.code)).toEqual(['grain-turned']);
  });
});

describe('where a finding begins', () => {
  const front = workedFront();
  const dart = front.darts[0]!;
  const { start, end } = dartShape(front, dart);
  const intake = Math.hypot(end.x - start.x, end.y - start.y);
  it.each([
    [ADVICE.dartLarge - 1, []],
    [ADVICE.dartLarge + 1, ['dart-too-large']],
    [ADVICE.dartSmall - 1, ['dart-nearly-gone']],
    [ADVICE.dartSmall + 1, []],
  ])('a dart of %d mm', (wanted, codes) => {
    const piece = narrowDart(front, dart, intake - wanted);
    const said = checkPiece(piece).map((f) => f.code);
    expect(said.filter((c) => c === 'dart-too-large' || c === 'dart-nearly-gone')).toEqual(codes);
  });

  it('a corner that does not run on across a seam, from a little over what a set square shows', () => {
    const side = { piece: 'left', edges: ['right'], reversed: false };
    const seam = {
      id: 's',
      kind: 'side',
      first: side,
      second: { piece: 'next', edges: ['left'], reversed: true },
      ease: 0,
    };
    const said = (degrees: number): readonly string[] => {
      const lean = 300 * Math.tan((degrees * Math.PI) / 180);
      const [left, next] = [
        { ...rectangle(200, 300), id: 'left' },
        { ...rectangle(200, 300), id: 'next' },
      ];
      // The top of the second piece slopes: its corner at the seam is wider by as much.
      const sloped = drawCorner(next, ['top', 'right'], p(200, (lean / 300) * 200));
      return checkPieces([left, sloped], [seam as unknown as Seam]).findings.map((f) => f.code);
    };
    expect(said(TOL.smoothDegrees - 1)).not.toContain('seam-corner-not-smooth');
    expect(said(TOL.smoothDegrees + 1)).toContain('seam-corner-not-smooth');
  });
});
