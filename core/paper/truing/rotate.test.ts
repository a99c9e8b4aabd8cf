import { describe, expect, it } from 'vitest';
import { draftCauseway, draftSample } from '../../blocks/index.ts';
import { distance, endOf, endTangent, kinkAt, pathLength, polyline, startTangent } from '../../geometry/index.ts';
import { bustPointOf, dartShape, edgeOf, edgesWithRole, levelOf, type Piece } from '../../pattern/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { expectOk } from '../../units/index.ts';
import {
  dartToEase,
  divideAtDarts,
  fairRun,
  kindOfDart,
  measureDart,
  redrawAcross,
  rotateDart,
  rotation,
  smoothKinks,
  straightPath,
} from './index.ts';

const front = (): Piece => draftCauseway('4')[0] as Piece;
const P = bustPointOf(front())!;
const at = (edge: string, share: number) => ({
  kind: 'edge' as const,
  edge,
  at: pathLength(edgeOf(front(), edge)!.path) * share,
});

describe('rotation', () => {
  it('refuses what paper cannot do, each by its own name', () => {
    const code = (r: ReturnType<typeof rotation>) => (r.ok ? 'ok' : r.error.code);
    expect(code(rotation(front(), 'nothing', at('shoulder', 0.5), P, 1))).toBe('dart-not-found');
    expect(code(rotation(front(), 'sideDart', { kind: 'dart', dart: 'sideDart' }, P, 1))).toBe('dart-not-found');
    expect(code(rotation(front(), 'sideDart', { kind: 'edge', edge: 'sideDart', at: 5 }, P, 1))).toBe(
      'rotation-same-place',
    );
    expect(code(rotation(front(), 'sideDart', at('shoulder', 0.5), { x: 900, y: 900 }, 0.5))).toBe('pivot-outside');
    expect(code(rotation(front(), 'sideDart', at('shoulder', 0.5), P, 1))).toBe('ok');
  });

  it('closes wholly about a point on the dart’s own middle line, so that the seam runs on without a step', () => {
    const aside = { x: P.x + 6, y: P.y - 5 };
    const r = expectOk(rotation(front(), 'sideDart', at('shoulder', 0.5), aside, 1), 'rotation');
    const { start, end } = dartShape(front(), front().darts[0]!);
    expect(distance(r.pivot, start)).toBeCloseTo(distance(r.pivot, end), 9);
    expect(distance(r.pivot, aside)).toBeLessThan(8);
    const done = expectOk(rotateDart(front(), 'sideDart', at('shoulder', 0.5), P), 'rotate').piece;
    expect(distance(endOf(edgeOf(done, 'sideUpper')!.path), edgeOf(done, 'sideLower')!.path.start)).toBe(0);
    const u = endTangent(edgeOf(done, 'sideUpper')!.path);
    const v = startTangent(edgeOf(done, 'sideLower')!.path);
    // The dart was drawn from its tip and is closed about the bust point: the seam bends by the difference, under 2.5°.
    expect(Math.abs(u.x * v.y - u.y * v.x)).toBeLessThan(0.043);
  });

  it('moves the paper that does not carry the centre, wherever the dart goes', () => {
    for (const [edge, share] of [
      ['shoulder', 0.3],
      ['neck', 0.6],
      ['armhole', 0.5],
      ['waistSide', 0.5],
    ] as const) {
      const done = expectOk(rotateDart(front(), 'sideDart', at(edge, share), P, 0.6), edge).piece;
      expect(edgeOf(done, 'centreFront')).toEqual(edgeOf(front(), 'centreFront'));
      for (const d of done.darts) {
        const m = measureDart(dartShape(done, d));
        expect(Math.abs(m.startLeg - m.endLeg)).toBeLessThan(1e-6);
      }
    }
  });

  it('names a dart by the seam it lies in; one that climbs from low in the side is French', () => {
    expect(kindOfDart('side', { x: 240, y: 255 }, { x: 120, y: 250 })).toBe('side');
    expect(kindOfDart('side', { x: 240, y: 380 }, { x: 120, y: 260 })).toBe('french');
    expect(kindOfDart('hem', { x: 90, y: 600 }, { x: 90, y: 300 })).toBe('waist');
    expect(kindOfDart('centreFront', { x: 0, y: 200 }, { x: 60, y: 250 })).toBe('other');
  });
});

describe('a dart left unsewn', () => {
  it('becomes a part of its seam that leaves and arrives in the directions beside it', () => {
    const back = draftCauseway('4')[1] as Piece;
    const done = dartToEase(back, 'shoulderDart');
    const mouth = edgeOf(done.piece, 'shoulderDart')!;
    expect(mouth.role).toBe('shoulder');
    expect(done.piece.darts.map((d) => d.kind)).toEqual(['waist']);
    const i = done.piece.edges.indexOf(mouth);
    const before = endTangent(done.piece.edges[i - 1]!.path);
    const leave = startTangent(mouth.path);
    expect(before.x * leave.x + before.y * leave.y).toBeCloseTo(1, 9);
    expect(done.intake).toBeGreaterThan(11.9);
    expect(() => dartToEase(back, 'gone')).toThrow(/expected a dart/);
  });
});

describe('dividing along two darts', () => {
  it('gives two pieces whose seams are equally long and smooth at the apex', () => {
    const turned = expectOk(rotateDart(front(), 'sideDart', at('armhole', 0.46), P), 'rotate');
    const { centre, side } = divideAtDarts(turned.piece, turned.dart.id, 'waistDart', [P], {
      centre: { name: 'C' },
      side: { id: 's', name: 'S', part: 'sideFront' },
    });
    const seams = [centre, side].map((p) => edgesWithRole(p, 'princess')[0]!.path);
    expect(pathLength(seams[0]!)).toBeCloseTo(pathLength(seams[1]!), 3);
    const legs = dartShape(turned.piece, turned.dart);
    expect(
      Math.abs(
        pathLength(seams[0]!) -
          distance(legs.start, P) -
          distance(
            P,
            dartShape(
              turned.piece,
              turned.piece.darts.find((d) => d.kind === 'waist')!,
            ).start,
          ),
      ),
    ).toBeLessThan(0.5);
    for (const path of seams) {
      let along = 0;
      path.segments.slice(0, -1).forEach((_, k) => {
        along += pathLength({ start: k === 0 ? path.start : path.segments[k - 1]!.to, segments: [path.segments[k]!] });
        expect(Math.abs(kinkAt(path, along))).toBeLessThan(0.02);
      });
    }
    expect(levelOf(side, 'bust')?.y).toBe(levelOf(centre, 'bust')?.y);
    expect(() =>
      divideAtDarts(front(), 'gone', 'waistDart', [P], {
        centre: { name: 'C' },
        side: { id: 's', name: 'S', part: 'sideFront' },
      }),
    ).toThrow(/expected a dart/);
  });
});

describe('drawing anew', () => {
  const bent = polyline([
    { x: 0, y: 0 },
    { x: 50, y: 6 },
    { x: 60, y: 0 },
    { x: 120, y: 4 },
  ]);
  it('smooths neighbouring kinks with one curve and keeps both ends', () => {
    const smooth = smoothKinks(bent, 0.01, 20);
    expect([smooth.start, endOf(smooth)]).toEqual([bent.start, endOf(bent)]);
    let along = 0;
    smooth.segments.slice(0, -1).forEach((s, k) => {
      along += pathLength({ start: k === 0 ? smooth.start : smooth.segments[k - 1]!.to, segments: [s] });
      expect(Math.abs(kinkAt(smooth, along))).toBeLessThan(0.01);
    });
    expect(Math.abs(pathLength(smooth) - pathLength(bent))).toBeLessThan(3);
  });
  it('runs one curve between two places in the old directions, and leaves what is too short alone', () => {
    const run = fairRun(bent, 20, 100);
    const before = startTangent(polyline([bent.start, bent.segments[0]!.to]));
    expect(startTangent(run).x).toBeCloseTo(before.x, 9);
    expect(startTangent(run).y).toBeCloseTo(before.y, 9);
    expect(endOf(run)).toEqual(endOf(bent));
    expect(fairRun(bent, 50, 51)).toBe(bent);
  });
  it('draws a hem square to centre and side, and leaves one with a dart in it alone', () => {
    const tilted: Piece = {
      ...rectangle(100, 80),
      edges: rectangle(100, 80).edges.map((e) =>
        e.id === 'right'
          ? {
              ...e,
              path: polyline([
                { x: 100, y: 0 },
                { x: 108, y: 70 },
              ]),
            }
          : e.id === 'bottom'
            ? {
                ...e,
                path: polyline([
                  { x: 108, y: 70 },
                  { x: 0, y: 80 },
                ]),
              }
            : e,
      ),
    };
    const hem = edgeOf(redrawAcross(tilted, 'hem'), 'bottom')!.path;
    const side = endTangent(edgeOf(tilted, 'right')!.path);
    expect(startTangent(hem).x * side.x + startTangent(hem).y * side.y).toBeCloseTo(0, 9);
    expect(endTangent(hem).x).toBeCloseTo(-1, 9);
    expect(redrawAcross(front(), 'waist')).toEqual(front());
    expect(pathLength(straightPath(hem))).toBeLessThan(pathLength(hem));
  });
  it('keeps the French sample’s dart where its own tip says', () => {
    const french = draftSample('causeway-french', '4')[0]!;
    expect(french.darts).toHaveLength(1);
    expect(measureDart(dartShape(french, french.darts[0]!)).startLeg).toBeGreaterThan(120);
  });
});
