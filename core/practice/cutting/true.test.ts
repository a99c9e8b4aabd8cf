import { describe, expect, it } from 'vitest';
import {
  distance,
  endOf,
  pathLength,
  pointAt,
  joinPaths,
  nearestOnPath,
  polyline,
  type Point,
} from '../../geometry/index.ts';
import { edgesWithRole, validatePiece, type Piece } from '../../pattern/index.ts';
import { samplePattern } from '../../blocks/index.ts';
import { expectOk, nth } from '../../units/index.ts';
import { cutAlong, lineMeant, straysFrom, trueAlong } from './index.ts';

const piece = (part: Piece['part'], sample: 'causeway' | 'landing' = 'causeway'): Piece =>
  nth(
    (samplePattern(sample).sizes['4'] ?? []).filter((p) => p.part === part),
    0,
  );
const along = (p: Piece, role: 'cap' | 'armhole' | 'hem' | 'centreBack', at: number): Point => {
  const line = joinPaths(edgesWithRole(p, role).map((e) => e.path));
  return pointAt(line, at * pathLength(line));
};
const right = (p: Point, x: number, y: number): Point => ({ x: p.x + x, y: p.y + y });

describe('a seam drawn anew', () => {
  it('drawn where it ran it stays within the freedom of a hand, either way round', () => {
    const back = piece('back');
    const places = Array.from({ length: 20 }, (_, i) => along(back, 'armhole', 0.02 + (0.96 * i) / 19));
    for (const drawn of [places, [...places].reverse()]) {
      const trued = expectOk(trueAlong(back, drawn), 'trued');
      expect(straysFrom(edgesWithRole(trued, 'armhole'), edgesWithRole(back, 'armhole')).by).toBeLessThan(1.5);
      expect(validatePiece(trued)).toEqual(validatePiece(back));
    }
  });

  it('nearly straight it runs by the ruler: a chord of the armhole is as long as its ends are apart', () => {
    const back = piece('back');
    const [a, b] = [along(back, 'armhole', 0.5), along(back, 'armhole', 0.56)];
    const trued = expectOk(trueAlong(back, [a, right(along(back, 'armhole', 0.53), 0.4, 0), b]), 'trued');
    const cut = pathLength(nth(edgesWithRole(back, 'armhole'), 0).path) * 0.06;
    const lost =
      pathLength(nth(edgesWithRole(back, 'armhole'), 0).path) -
      pathLength(nth(edgesWithRole(trued, 'armhole'), 0).path);
    expect(lost).toBeCloseTo(cut - distance(a, b), 1);
  });

  it('over both edges of a cap keeps both, joined, and every other edge as it was', () => {
    const sleeve = piece('sleeve');
    const places = [0, 0.2, 0.4, 0.5, 0.6, 0.8, 1].map((t) =>
      right(along(sleeve, 'cap', t), 0, t === 0 || t === 1 ? 0 : -8),
    );
    const trued = expectOk(trueAlong(sleeve, places), 'trued');
    expect(trued.edges.map((e) => e.id)).toEqual(sleeve.edges.map((e) => e.id));
    trued.edges.forEach((e, i) => {
      expect(distance(endOf(e.path), nth(trued.edges, (i + 1) % trued.edges.length).path.start)).toBeLessThan(0.001);
      if (e.role !== 'cap') expect(e.path).toEqual(nth(sleeve.edges, i).path);
    });
    const { by } = straysFrom(edgesWithRole(trued, 'cap'), edgesWithRole(sleeve, 'cap'));
    expect(by).toBeGreaterThan(7);
    expect(by).toBeLessThan(14);
  });

  it('is refused beside the edge, from one edge to another, and without length', () => {
    const back = piece('back');
    const on = along(back, 'armhole', 0.3);
    for (const drawn of [
      [],
      [on],
      [on, on],
      [right(on, 40, 0), along(back, 'armhole', 0.9)],
      [on, along(back, 'centreBack', 0.5)],
    ])
      expect(trueAlong(back, drawn)).toMatchObject({ ok: false, error: { code: 'practice-true-ends' } });
  });
});

describe('a line drawn by hand', () => {
  const shaky = Array.from({ length: 30 }, (_, i) => ({ x: 10 * i, y: i % 2 === 0 ? 1 : -1 }));
  const arc = Array.from({ length: 30 }, (_, i) => ({ x: 10 * i, y: 60 * Math.sin((Math.PI * i) / 29) }));

  it('that hardly strays is straight, from its first place to its last', () => {
    expect(lineMeant(shaky)).toEqual([shaky[0], shaky.at(-1)]);
  });

  it('led far aside it is bent, and keeps to the hand', () => {
    const line = lineMeant(arc);
    expect(line.length).toBeGreaterThan(4);
    for (const p of arc) expect(nearestOnPath(polyline(line), p).distance).toBeLessThan(2.5);
  });

  it('bent it is cut like any other', () => {
    const back = piece('back');
    const [a, b] = [along(back, 'centreBack', 0.5), along(back, 'armhole', 0.5)];
    const bent = Array.from({ length: 20 }, (_, i) => {
      const t = i / 19;
      return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) + 40 * Math.sin(Math.PI * t) };
    });
    const sheet = expectOk(
      cutAlong(back, [{ id: '1', points: lineMeant(bent), hinge: { start: false, end: true } }]),
      'sheet',
    );
    expect(sheet.rings).toHaveLength(2);
    expect(sheet.pins).toHaveLength(1);
  });
});
