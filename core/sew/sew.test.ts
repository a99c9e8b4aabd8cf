import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS, samplePattern, type SampleId } from '../blocks/index.ts';
import { doubleDartsOf, doubleDartShape, pieceArea, dartShape, type EdgeRole, type Piece } from '../pattern/index.ts';
import { distance } from '../geometry/index.ts';
import { expectOk } from '../units/index.ts';
import { alongTube, armTube, formOf, inLeg, legOf, shapeOf } from '../form/index.ts';
import {
  edgeKey,
  haveLegs,
  isBand,
  layersOn,
  onCutOnSleeve,
  placeOn,
  setInSleeves,
  sew,
  sewnPieces,
  type Toile,
} from './index.ts';

const SIZE = '4';
const sewn = (id: SampleId, edge: number): Toile => {
  const pattern = samplePattern(id, [SIZE]);
  return expectOk(sew({ pieces: pattern.sizes[SIZE]!, seams: pattern.seams }, edge), id);
};

interface Place {
  readonly x: number;
  readonly y: number;
}
const triangleArea = (a: Place, b: Place, c: Place): number =>
  Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y)) / 2;

/** What the darts of a piece cut out of it, mm². */
function dartsOf(piece: Piece): number {
  const cut = piece.darts.map((d) => {
    const { start, end, tip } = dartShape(piece, d);
    return triangleArea(start, end, tip);
  });
  const whole = doubleDartsOf(piece).map((d) => {
    const { upper, lower, ends } = doubleDartShape(d);
    return triangleArea(upper, ...ends) + triangleArea(lower, ...ends);
  });
  return [...cut, ...whole].reduce((a, b) => a + b, 0);
}

/** A dart’s mouth is capped beyond the line between its legs’ ends; what that adds is no cloth. */
const CAPS = 0.01;

const SEWABLE = SAMPLE_IDS;

describe('a cut-on sleeve', () => {
  it('is laid around the arm from the bone to its hem, front before it and back behind it, clear of it', () => {
    const toile = sewn('causeway-cut-on', 22);
    const { figure } = formOf(samplePattern('causeway-cut-on', [SIZE]).chart.find((r) => r.size === SIZE)!.body);
    const { seams } = samplePattern('causeway-cut-on', [SIZE]);
    const x = placeOn(figure, toile, seams);
    const tube = armTube(figure);
    const at = (i: number) => ({ x: 1000 * x[3 * i]!, y: 1000 * x[3 * i + 1]!, z: 1000 * x[3 * i + 2]! });
    const onSleeve = onCutOnSleeve(figure, toile);
    for (const { piece, from, to, points, triangles } of toile.panels) {
      const way = piece.part === 'front' ? 1 : -1;
      const own = new Set<number>();
      for (let t = from; t < to; t++)
        if (onSleeve(t)) for (let k = 0; k < 3; k++) own.add(points[triangles[3 * (t - from) + k]!]!);
      expect(own.size).toBeGreaterThan(30);
      for (const i of own) {
        const p = at(i);
        const along = alongTube(tube, p);
        const aside = (p.x - tube.from.x) * tube.out.x + (p.y - tube.from.y) * tube.out.y;
        const off = Math.hypot(aside, p.z - tube.from.z);
        if (along > 0 && along < tube.length) expect(off).toBeGreaterThan(tube.radiusAt(along));
        expect(way * (p.z - tube.from.z)).toBeGreaterThan(-30);
      }
      // Its hem lies around the arm, as far along it as the overarm is long beyond the bone.
      const hem = [...toile.edges.get(edgeKey(piece.id, 'sleeveHem'))!].map((i) => alongTube(tube, at(i)));
      expect(Math.max(...hem)).toBeGreaterThan(130);
    }
  });
});

describe('what darts take in', () => {
  it.each(['causeway', 'causeway-side', 'skerry-shoulder', 'landing'] as const)(
    '%s: lies double on the cloth beside them, no more of it than was cut out',
    (id) => {
      const { sheet, panels } = sewn(id, 8);
      for (const { piece, from, to, places, triangles } of panels.filter((p) => !isBand(p))) {
        let over = 0;
        for (let t = from; t < to; t++) {
          const [a, b, c] = [0, 1, 2].map((k) => places[triangles[3 * (t - from) + k]!]!) as [Place, Place, Place];
          expect([1, 3]).toContain(sheet.layers[t]);
          over += triangleArea(a, b, c) * (sheet.layers[t]! - 1);
        }
        const taken = dartsOf(piece);
        // Whole triangles of the mesh, and what reaches beyond an edge of the piece, are lost or gained.
        if (taken === 0) expect(over).toBe(0);
        else if (taken > 2000) expect(Math.abs(over / taken - 1)).toBeLessThan(0.2);
      }
    },
  );

  it('is pressed down from a side dart, and to the centre from one that runs down', () => {
    const front = sewn('causeway-side', 8).panels.find((p) => p.piece.part === 'front')!;
    const { piece } = front;
    const layersAt = layersOn(piece);
    for (const d of piece.darts) {
      const { start, end, tip } = dartShape(piece, d);
      const across = Math.abs(start.y - end.y) > Math.abs(start.x - end.x);
      const [on, off] = across
        ? [start, end].sort((p, q) => q.y - p.y)
        : [start, end].sort((p, q) => Math.abs(p.x) - Math.abs(q.x));
      const beyond = (p: Place, q: Place): Place => ({ x: p.x + 0.1 * (p.x - q.x), y: p.y + 0.1 * (p.y - q.y) });
      const inward = (p: Place): Place => ({ x: p.x + 0.3 * (tip.x - p.x), y: p.y + 0.3 * (tip.y - p.y) });
      expect(layersAt(inward(beyond(on!, off!)))).toBe(3);
      expect(layersAt(inward(beyond(off!, on!)))).toBe(1);
    }
    expect(piece.darts.length).toBeGreaterThan(0);
  });
});

describe('pieces sewn for the form', () => {
  it.each(SEWABLE.flatMap((id) => [22, 14].map((edge) => [id, edge] as const)))(
    '%s, mesh %d: is all of the paper but its darts, each edge between one triangle or two',
    (id, edge) => {
      const toile = sewn(id, edge);
      for (const { piece, places, triangles, from, to } of toile.panels) {
        let area = 0;
        for (let t = 0; t < triangles.length; t += 3)
          area += triangleArea(places[triangles[t]!]!, places[triangles[t + 1]!]!, places[triangles[t + 2]!]!);
        const wanted = Math.abs(pieceArea(piece)) - dartsOf(piece);
        expect(Math.abs(area / wanted - 1)).toBeLessThan(CAPS);
        expect(to - from).toBe(triangles.length / 3);
      }
      const beside = new Map<string, number>();
      for (let t = 0; t < toile.sheet.triangles.length; t += 3)
        for (let k = 0; k < 3; k++) {
          const ends = [toile.sheet.triangles[t + k]!, toile.sheet.triangles[t + ((k + 1) % 3)]!].sort((a, b) => a - b);
          expect(ends[0]).not.toBe(ends[1]);
          beside.set(ends.join(' '), (beside.get(ends.join(' ')) ?? 0) + 1);
        }
      expect(Math.max(...beside.values())).toBe(2);
    },
  );

  it('has both sides of every seam in the same points, ends on ends', () => {
    const toile = sewn('causeway', 14);
    const along = (piece: string, edges: readonly string[]): readonly number[] =>
      edges.flatMap((e) => [...toile.edges.get(edgeKey(piece, e))!]);
    const side = along('front', ['sideUpper', 'sideLower']);
    expect([...new Set(side)].sort()).toEqual([...new Set(along('back', ['side']))].sort());
    const waist = along('front', ['waistSide', 'waistCentre']);
    expect([...new Set(waist)].sort()).toEqual([...new Set(along('skirtFront', ['waistCentre', 'waistSide']))].sort());
    // The waist dart of the bodice is closed: both its legs begin in one point.
    expect(toile.edges.get(edgeKey('front', 'waistSide'))!.at(-1)).toBe(
      toile.edges.get(edgeKey('front', 'waistCentre'))![0],
    );
  });

  it('draws each seam and each dart as a line of its own, points along it following on each other', () => {
    const toile = sewn('causeway', 14);
    const placeOf = new Map(
      toile.panels.flatMap((p) => [...p.points].map((i, k) => [i, { p, at: p.places[k]! }] as const)),
    );
    for (const line of toile.seams)
      for (let k = 1; k < line.length; k++) {
        const [a, b] = [placeOf.get(line[k - 1]!)!, placeOf.get(line[k]!)!];
        if (a.p === b.p && line[k - 1] !== line[k]) expect(distance(a.at, b.at)).toBeLessThan(60);
      }
    // Shoulder, two sides, two waists; darts at the side, shoulder and waist of the bodice and in the skirt.
    expect(toile.seams).toHaveLength(5 + 6);
  });

  it('meshes evenly: no edge longer than twice what was asked', () => {
    for (const { places, triangles } of sewn('jetty', 16).panels)
      for (let t = 0; t < triangles.length; t++)
        expect(distance(places[triangles[t]!]!, places[triangles[t - (t % 3) + ((t + 1) % 3)]!]!)).toBeLessThan(32);
  });

  it('leaves out what lies on other pieces or hangs from them', () => {
    const pattern = samplePattern('causeway', [SIZE]);
    expect(sewnPieces(pattern.sizes[SIZE]!).map((p) => p.id)).toEqual(['front', 'back', 'skirtFront', 'skirtBack']);
  });

  it('sets sleeves into the armholes where they are wanted: the cap is the armhole, its ease shared out', () => {
    const { sizes, seams } = samplePattern('causeway', [SIZE]);
    const toile = expectOk(sew({ pieces: sizes[SIZE]!, seams, sleeves: true }, 22), 'sleeves');
    const points = (piece: string, edges: readonly string[]) =>
      new Set(edges.flatMap((e) => [...toile.edges.get(edgeKey(piece, e))!]));
    const armhole = new Set([...points('front', ['armhole']), ...points('back', ['armhole'])]);
    expect(points('sleeve', ['capFront', 'capBack'])).toEqual(armhole);
    // One that does not close around the arm by itself, as a sleeve of two pieces, is left off.
    const open = seams.filter((s) => s.id !== 'sleeve underarm');
    expect(setInSleeves(sizes[SIZE]!, open)).toEqual([]);
    expect(setInSleeves(sizes[SIZE]!, seams).map((p) => p.id)).toEqual(['sleeve']);
    // The underarm seam closes it into a tube.
    expect(points('sleeve', ['underarmFront'])).toEqual(points('sleeve', ['underarmBack']));
    // Laid around the left arm, clear of it, the front of the sleeve in front.
    const { figure } = formOf(samplePattern('causeway', [SIZE]).chart.find((r) => r.size === SIZE)!.body);
    const x = placeOn(figure, toile, seams);
    const tube = armTube(figure);
    const panel = toile.panels.find((p) => p.piece.id === 'sleeve')!;
    for (const [k, i] of panel.points.entries()) {
      if (armhole.has(i)) continue;
      const p = { x: 1000 * x[3 * i]!, y: 1000 * x[3 * i + 1]!, z: 1000 * x[3 * i + 2]! };
      const along = alongTube(tube, p);
      const off = Math.hypot(
        p.x - tube.from.x - along * tube.way.x,
        p.y - tube.from.y - along * tube.way.y,
        p.z - tube.from.z,
      );
      expect(off).toBeGreaterThan(tube.radiusAt(along) + 5);
      if (Math.abs(panel.places[k]!.x) > 30 && Math.abs(panel.places[k]!.x) < 100)
        expect(Math.sign(p.z - tube.from.z)).toBe(Math.sign(panel.places[k]!.x));
    }
  });

  it('lays trousers around the left leg: sewn at side, inseam and crotch, clear of the body and of the other half', () => {
    const pattern = samplePattern('landing', [SIZE]);
    const toile = sewn('landing', 18);
    const points = (piece: string, edge: string) => new Set(toile.edges.get(edgeKey(piece, edge))!);
    for (const edge of ['side', 'inseam']) expect(points('trouserFront', edge)).toEqual(points('trouserBack', edge));
    const { figure } = formOf(pattern.chart.find((r) => r.size === SIZE)!.body, {}, true);
    const x = placeOn(figure, toile, pattern.seams);
    const leg = legOf(figure, figure.legs!, shapeOf(figure));
    const at = (i: number) => ({ x: 1000 * x[3 * i]!, y: 1000 * x[3 * i + 1]!, z: 1000 * x[3 * i + 2]! });
    for (const { piece, points: own } of toile.panels.filter((p) => !isBand(p)))
      for (const i of own) {
        const p = at(i);
        expect(p.x).toBeGreaterThanOrEqual(0);
        expect(inLeg(leg, p)).toBe(false);
        // Fronts before the middle of the leg, backs behind; at the seams both meet.
        const way = piece.id === 'trouserFront' ? 1 : -1;
        expect(way * (p.z - leg.section(p.y).z)).toBeGreaterThan(-1);
      }
    // The waist lies on the waist, the side seam outside, the hem where the paper ends.
    for (const i of points('trouserFront', 'waistCentre')) expect(at(i).y).toBeCloseTo(figure.waist, 0);
    for (const i of points('trouserFront', 'side')) expect(at(i).x).toBeGreaterThan(leg.middle(at(i).y));
    const hem = [...points('trouserFront', 'hem')].map((i) => at(i).y);
    expect(Math.max(...hem) - Math.min(...hem)).toBeLessThan(25);
  });

  it('refuses trousers that lack their back or are open at the inseam', () => {
    const { sizes, seams } = samplePattern('landing', [SIZE]);
    const code = (pieces: readonly Piece[], sewing = seams): string => {
      const r = sew({ pieces, seams: sewing }, 22);
      return r.ok ? 'sewn' : r.error.code;
    };
    const pieces = sizes[SIZE]!;
    expect(code(pieces.filter((p) => p.id !== 'trouserBack'))).toBe('form-centre-missing');
    expect(
      code(
        pieces,
        seams.filter((s) => s.kind !== 'inseam'),
      ),
    ).toBe('form-side-open');
    // Edges that nobody has named: a wrong garment is not made of them.
    const unnamed = (role: EdgeRole) =>
      code(
        pieces.map((p) => ({
          ...p,
          edges: p.edges.map((e) => (e.role === role ? { ...e, role: 'other' as const } : e)),
        })),
      );
    for (const role of ['crotch', 'inseam', 'side'] as const) expect(unnamed(role)).toBe('form-leg-edge');
    expect(unnamed('waist')).toBe('form-no-waist');
    expect(haveLegs(pieces)).toBe(true);
    const bodice = samplePattern('causeway', [SIZE]);
    expect(code([...bodice.sizes[SIZE]!, ...pieces], [...bodice.seams, ...seams])).toBe('form-neck-and-legs');
  });

  it('refuses what does not close around a body, and says what is the matter', () => {
    const { sizes, seams } = samplePattern('causeway', [SIZE]);
    const pieces = sizes[SIZE]!;
    const codeOf = (some: readonly Piece[], sewing = seams): string => {
      const r = sew({ pieces: some, seams: sewing }, 22);
      return r.ok ? 'sewn' : `${r.error.code} ${Object.values(r.error.data).join()}`.trim();
    };
    const without = (...ids: readonly string[]) => pieces.filter((p) => !ids.includes(p.id));
    expect(codeOf([])).toBe('form-nothing-to-sew');
    // A raglan sleeve it hangs by; without one, or with one in two parts, nothing holds it up.
    const ebb = samplePattern('ebb', [SIZE]);
    expect(codeOf(ebb.sizes[SIZE]!, ebb.seams)).toBe('sewn');
    expect(
      codeOf(
        ebb.sizes[SIZE]!,
        ebb.seams.filter((s) => s.id !== 'sleeve underarm'),
      ),
    ).toBe('form-no-shoulders');
    expect(codeOf(without('back', 'skirtBack'))).toBe('form-centre-missing back');
    expect(codeOf(without('front', 'skirtFront'))).toBe('form-centre-missing front');
    expect(
      codeOf(
        pieces,
        seams.filter((s) => s.id !== 'side'),
      ),
    ).toBe('form-side-open Bodice front');
    expect(
      codeOf(
        pieces,
        seams.filter((s) => s.kind !== 'waist'),
      ),
    ).toMatch(/^form-piece-loose Skirt/);
    expect(codeOf(pieces.map((p) => (p.id === 'front' ? { ...p, half: false } : p)))).toBe(
      'form-piece-whole Bodice front',
    );
  });
});
