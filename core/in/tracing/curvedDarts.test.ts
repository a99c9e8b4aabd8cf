import { describe, expect, it } from 'vitest';
import {
  flatten,
  mapPath,
  pathFromSpans,
  polyline,
  rotateAbout,
  splitAtLength,
  pathLength,
  type Path,
} from '../../geometry/index.ts';
import { aroundDoubleDart, type DoubleDart } from '../../pattern/index.ts';
import { curvedDartsAmong } from './curvedDarts.ts';

const dart = (fields: Partial<DoubleDart> = {}): DoubleDart => ({
  ...{ kind: 'doubleDart', id: 'd', upper: { x: 100, y: 200 }, lower: { x: 100, y: 500 } },
  ...{ widest: 0.4, width: 30, curve: 0.8, ...fields },
});
const around = (fields: Partial<DoubleDart> = {}): Path => pathFromSpans(aroundDoubleDart(dart(fields)));
const rounded = (path: Path): Path =>
  polyline(flatten(path, 0.02).map((p) => ({ x: Math.round(p.x * 100) / 100, y: Math.round(p.y * 100) / 100 })));

describe('darts with curved legs among lines drawn', () => {
  it.each([0.8, 1, -0.6, 0.3])('finds one of curve %s, drawn as curves or as many short lines', (curve) => {
    for (const path of [around({ curve }), rounded(around({ curve }))]) {
      const [found, ...others] = curvedDartsAmong([path]).darts;
      expect(others).toEqual([]);
      expect(found!.upper.y).toBeCloseTo(200, 1);
      expect(found!.lower.y).toBeCloseTo(500, 1);
      expect(found!.widest).toBeCloseTo(0.4, 1);
      expect(Math.abs(found!.width - 30)).toBeLessThan(0.3);
      expect(Math.abs(found!.curve - curve)).toBeLessThan(0.05);
    }
  });

  it('finds it drawn as two sides, and aslant', () => {
    const whole = around();
    const [one, two] = splitAtLength(whole, pathLength(whole) / 2);
    expect(curvedDartsAmong([one, two]).of.size).toBe(2);
    const turned = mapPath(whole, (p) => rotateAbout(p, { x: 0, y: 0 }, 0.3));
    const [found] = curvedDartsAmong([turned]).darts;
    expect(Math.abs(found!.width - 30)).toBeLessThan(0.3);
  });

  it('takes no round thing, no pocket and no lopsided leaf for a dart', () => {
    const circle = polyline(
      Array.from({ length: 41 }, (_, i) => ({
        x: 60 * Math.cos((i * Math.PI) / 20),
        y: 60 * Math.sin((i * Math.PI) / 20),
      })),
    );
    const ellipse = mapPath(circle, (p) => ({ x: p.x / 3, y: 2 * p.y }));
    const pocket = polyline([
      ...Array.from({ length: 12 }, (_, i) => ({ x: i * 10, y: i % 2 })),
      { x: 110, y: 40 },
      { x: 0, y: 40 },
      { x: 0, y: 0 },
    ]);
    const leaf = mapPath(around(), (p) => (p.x > 100 ? { x: 100 + (p.x - 100) * 1.4, y: p.y } : p));
    expect(curvedDartsAmong([circle, ellipse, pocket, leaf]).darts).toEqual([]);
  });

  it('is not held up by a print of a thousand lines', () => {
    const one = around();
    expect(curvedDartsAmong(Array.from({ length: 1000 }, () => one)).darts).toEqual([]);
  });
});
