import { describe, expect, it } from 'vitest';
import { samplePattern, type SampleId } from '../blocks/index.ts';
import { alongTube, armTube, formOf, inLeg, legOf, shapeOf } from '../form/index.ts';
import { endOf, pathLength, polyline, type Path } from '../geometry/index.ts';
import { pieceArea, requireEdge, type Piece } from '../pattern/index.ts';
import { expectOk } from '../units/index.ts';
import { edgeKey, leftOut, placeOn, sew, type Garment, type Sewn, type Toile } from './index.ts';

const SIZE = '4';
const garmentOf = (id: SampleId): Garment => {
  const pattern = samplePattern(id, [SIZE]);
  return { pieces: pattern.sizes[SIZE]!, seams: pattern.seams, sleeves: true };
};
const toileOf = (id: SampleId, edge = 18): Toile => expectOk(sew(garmentOf(id), edge), id);
const bodyOf = (id: SampleId) => samplePattern(id, [SIZE]).chart.find((r) => r.size === SIZE)!.body;
const bandIn = ({ bands }: Toile, id: string): Sewn => bands.find((b) => b.piece.id === id)!;
/** From end to end by way of a place far below: across the seam of a collar. */
const over = (path: Path): Path => polyline([path.start, { x: path.start.x / 2, y: path.start.y + 200 }, endOf(path)]);
const longOf = (piece: Piece, edges: readonly string[]): number =>
  edges.reduce((sum, e) => sum + pathLength(requireEdge(piece, e).path), 0);

describe('bands on the form', () => {
  it('are the stand and collar, the neckband, the waistband and the cuff of a garment, in the order sewn', () => {
    const on = (id: SampleId): readonly string[] => toileOf(id).bands.map((b) => b.piece.id);
    expect(on('quay')).toEqual(['cuff', 'stand', 'collar']);
    expect(on('causeway-shirt')).toEqual(['band']);
    expect(on('landing')).toEqual(['waistband']);
    expect(on('causeway-cuff')).toEqual(['cuff']);
    expect(on('causeway')).toEqual([]);
  });

  it('are cut off square where their seam ends: a waistband without its overlap', () => {
    const { piece, edges } = bandIn(toileOf('landing'), 'waistband');
    const drafted = garmentOf('landing').pieces.find((p) => p.id === 'waistband')!;
    // 35 mm of overlap, 38 mm high.
    expect(pieceArea(drafted) - pieceArea(piece)).toBeCloseTo(35 * 38, 1);
    expect(longOf(piece, edges)).toBeCloseTo(longOf(drafted, ['waistFront', 'waistBack']), 6);
  });

  it('a cuff is closed to a ring as long as the wrist and its 50 mm of ease', () => {
    const toile = toileOf('causeway-cuff');
    const { piece, edges, ends, line } = bandIn(toile, 'cuff');
    expect(longOf(piece, edges)).toBeCloseTo(bodyOf('causeway-cuff').wrist! + 50, 6);
    const [before, after] = ends.map((e) => [...toile.edges.get(edgeKey('cuff', e))!].sort((a, b) => a - b));
    expect(before).toEqual(after);
    expect(line[0]!.point).toBe(line.at(-1)!.point);
  });

  it('a stand ends in the middle, and so does the fold of its collar, whose front is free', () => {
    const { centres } = toileOf('quay');
    expect(centres).toEqual(expect.arrayContaining(['stand foldBack', 'stand cut at the end', 'collar foldBack']));
    expect(centres).not.toContain('collar front');
  });

  it('draw what is gathered into them together: at the seam hem and cuff are equally wide, as cut', () => {
    const toile = toileOf('causeway-cuff');
    const { line } = bandIn(toile, 'cuff');
    const { triangles, flat } = toile.sheet;
    const pairs = new Set(line.slice(1).map((p, k) => [line[k]!.point, p.point].sort((a, b) => a - b).join()));
    const wide = (from: number, to: number): number => {
      let sum = 0;
      for (let t = from; t < to; t++)
        for (let k = 0; k < 3; k++) {
          const [a, b] = [3 * t + k, 3 * t + ((k + 1) % 3)];
          if (!pairs.has([triangles[a]!, triangles[b]!].sort((p, q) => p - q).join())) continue;
          sum += Math.hypot(flat[2 * a]! - flat[2 * b]!, flat[2 * a + 1]! - flat[2 * b + 1]!);
        }
      return 1000 * sum;
    };
    const widths = ['cuff', 'sleeve'].map((id) => {
      const panel = toile.panels.find((p) => p.piece.id === id)!;
      return wide(panel.from, panel.to);
    });
    expect(widths[0]).toBeCloseTo(bodyOf('causeway-cuff').wrist! + 50, 3);
    expect(widths[1]).toBeCloseTo(widths[0]!, 3);
  });

  it('are left out, and named, where they are cut whole or sewn to nothing that is there', () => {
    const garment = garmentOf('quay');
    const names = (g: Garment): readonly string[] => leftOut(g, expectOk(sew(g, 22), 'sewn')).map((p) => p.id);
    const others = ['shortSleeve'];
    expect(names(garment)).toEqual(others);
    expect(names({ ...garment, sleeves: false })).toEqual(expect.arrayContaining(['sleeve', 'cuff', ...others]));
    const whole = garment.pieces.map((p) => (p.id === 'stand' ? { ...p, half: false, fold: null } : p));
    expect(names({ ...garment, pieces: whole })).toEqual(expect.arrayContaining(['stand', 'collar', ...others]));
    // One whose outline crosses itself cannot be divided: the shirt hangs without its bands.
    const crossed = garment.pieces.map((p) =>
      p.id === 'collar'
        ? { ...p, edges: p.edges.map((e) => (e.id === 'outer' ? { ...e, path: over(e.path) } : e)) }
        : p,
    );
    expect(names({ ...garment, pieces: crossed })).toEqual(expect.arrayContaining(['stand', 'collar']));
    expect(names(garmentOf('landing'))).toEqual(expect.arrayContaining(['pocket', 'flyFacing']));
  });
});

describe('bands laid on the form', () => {
  const laid = (id: SampleId) => {
    const toile = toileOf(id);
    const { figure } = formOf(bodyOf(id));
    const x = placeOn(figure, toile, samplePattern(id, [SIZE]).seams);
    const at = (i: number) => ({ x: 1000 * x[3 * i]!, y: 1000 * x[3 * i + 1]!, z: 1000 * x[3 * i + 2]! });
    const own = (band: string) => {
      const seam = new Set(bandIn(toile, band).line.map((p) => p.point));
      const { points } = toile.panels.find((p) => p.piece.id === band)!;
      return { seam: [...seam].map(at), rest: [...points].filter((i) => !seam.has(i)).map(at) };
    };
    return { figure, own };
  };

  it('a stand rises from the neckline, its collar falls outward from the stand', () => {
    const { own } = laid('quay');
    const [stand, collar] = [own('stand'), own('collar')];
    const mean = (ps: readonly { y: number }[]): number => ps.reduce((sum, p) => sum + p.y, 0) / ps.length;
    expect(mean(stand.rest) - mean(stand.seam)).toBeGreaterThan(10);
    expect(mean(collar.seam) - mean(collar.rest)).toBeGreaterThan(10);
    const widest = (ps: readonly { x: number }[]): number => Math.max(...ps.map((p) => p.x));
    expect(widest(collar.rest)).toBeGreaterThan(widest(collar.seam) + 10);
  });

  it('a cuff lies around the arm beyond its sleeve, clear of it', () => {
    const { figure, own } = laid('causeway-cuff');
    const tube = armTube(figure);
    const { seam, rest } = own('cuff');
    const far = Math.min(...seam.map((p) => alongTube(tube, p)));
    for (const p of rest) {
      const along = alongTube(tube, p);
      expect(along).toBeGreaterThan(far);
      const aside = (p.x - tube.from.x) * tube.out.x + (p.y - tube.from.y) * tube.out.y;
      expect(Math.hypot(aside, p.z - tube.from.z)).toBeGreaterThan(tube.radiusAt(along));
    }
  });

  it('a waistband rises from the waist of trousers, outside the legs', () => {
    const toile = toileOf('landing');
    const form = formOf(bodyOf('landing'), {}, true);
    const x = placeOn(form.figure, toile, samplePattern('landing', [SIZE]).seams);
    const leg = legOf(form.figure, form.figure.legs!, shapeOf(form.figure));
    const { points } = toile.panels.find((p) => p.piece.id === 'waistband')!;
    const ys = [...points].map((i) => 1000 * x[3 * i + 1]!);
    expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(30);
    for (const i of points)
      expect(inLeg(leg, { x: 1000 * x[3 * i]!, y: 1000 * x[3 * i + 1]!, z: 1000 * x[3 * i + 2]! })).toBe(false);
  });
});
