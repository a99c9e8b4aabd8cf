import fc from 'fast-check';
import { pathFromSpans, polyline, type CubicSpan, type Path, type Point } from '../geometry/index.ts';
import type { Piece } from '../pattern/index.ts';

/** Shapes for tests: the worked example of the craft, and random pieces. */
export const edge = (
  id: string,
  role: Piece['edges'][number]['role'],
  path: Path,
  allowance = 15,
): Piece['edges'][number] => ({ id, role, path, allowance });
export const line = (...points: readonly (readonly [number, number])[]): Path =>
  polyline(points.map(([x, y]) => ({ x, y })));

/** A rectangle, clockwise as seen, with named edges. */
export function rectangle(width: number, height: number): Piece {
  return {
    id: 'box',
    name: 'Box',
    part: 'other',
    cut: 1,
    fold: null,
    half: false,
    notes: '',
    darts: [],
    marks: [],
    edges: [
      edge('top', 'neck', line([0, 0], [width, 0])),
      edge('right', 'side', line([width, 0], [width, height])),
      edge('bottom', 'hem', line([width, height], [0, height])),
      edge('left', 'centreFront', line([0, height], [0, 0])),
    ],
  };
}

/**
 * A front whose armhole passes through H (170, 150), with the side dart's leg ends at (225, 255) and (228, 275):
 * the worked example of the full bust, drawn by hand and not by the block drafter.
 */
export function workedFront(): Piece {
  return {
    id: 'f',
    name: 'Worked front',
    part: 'front',
    cut: 1,
    fold: 'cf',
    half: true,
    notes: '',
    edges: [
      edge('n', 'neck', line([0, 80], [60, 10])),
      edge('s', 'shoulder', line([60, 10], [165, 40])),
      edge('a', 'armhole', line([165, 40], [170, 150], [220, 205])),
      edge('su', 'side', line([220, 205], [225, 255])),
      edge('mouth', 'dart', line([225, 255], [228, 275])),
      edge('sl', 'side', line([228, 275], [226, 315], [224, 420])),
      edge('w', 'waist', line([224, 420], [0, 420])),
      edge('cf', 'centreFront', line([0, 420], [0, 80])),
    ],
    darts: [{ id: 'd', kind: 'side', mouth: 'mouth', tip: { x: 120, y: 261 }, foldToward: 'end' }],
    marks: [
      { kind: 'bustPoint', id: 'bp', at: { x: 95, y: 260 } },
      { kind: 'notch', id: 'an', edge: 'a', at: 90, count: 1 },
      { kind: 'level', id: 'lw', name: 'waist', at: { x: 5, y: 420 } },
      { kind: 'grain', id: 'g', from: { x: 30, y: 120 }, to: { x: 30, y: 380 } },
    ],
  };
}

/** A smooth random blob around a centre: star-shaped, so never crossing itself, with curved edges. */
export const blobArbitrary = fc
  .record({
    radii: fc.array(fc.integer({ min: 110, max: 160 }), { minLength: 6, maxLength: 9 }),
    bulge: fc.integer({ min: -4, max: 16 }).map((v) => v / 100),
  })
  .map(({ radii, bulge }): Piece => {
    const n = radii.length;
    const at = (i: number): Point => {
      const r = radii[i % n] as number;
      const a = (2 * Math.PI * i) / n;
      return { x: r * Math.cos(a), y: r * Math.sin(a) };
    };
    const edges = radii.map((_, i) => {
      const a = at(i);
      const b = at(i + 1);
      const out = (t: number): Point => ({
        x: (a.x + (b.x - a.x) * t) * (1 + bulge),
        y: (a.y + (b.y - a.y) * t) * (1 + bulge),
      });
      const span: CubicSpan = { kind: 'cubic', a, c1: out(1 / 3), c2: out(2 / 3), b };
      return edge(`e${i}`, 'other', pathFromSpans([span]));
    });
    return {
      id: 'blob',
      name: 'Blob',
      part: 'other',
      cut: 1,
      fold: null,
      half: false,
      notes: '',
      darts: [],
      marks: [{ kind: 'notch', id: 'n0', edge: 'e0', at: 10, count: 1 }],
      edges,
    };
  });

/** A sleeve of straight lines, from the top of its pointed cap at the origin; half widths, all mm. */
export const straightSleeve = (
  size: { readonly cap: number; readonly under: number; readonly hem: number; readonly long: number },
  marks: Piece['marks'],
): Piece => {
  const { cap, under, hem, long } = size;
  return {
    ...{ id: 'sleeve', name: 'Sleeve', part: 'sleeve', cut: 2, fold: null, half: false, notes: '', darts: [], marks },
    edges: [
      edge('capBack', 'cap', line([-under, cap], [0, 0])),
      edge('capFront', 'cap', line([0, 0], [under, cap])),
      edge('underarmFront', 'underarm', line([under, cap], [hem, long])),
      edge('hem', 'sleeveHem', line([hem, long], [-hem, long])),
      edge('underarmBack', 'underarm', line([-hem, long], [-under, cap])),
    ],
  };
};

/**
 * Trousers of straight lines, to work by hand: 200 across each half, waist at 0, hip line at 200, crotch line at 280, knee at 600,
 * hem at 1000. The front's fork reaches 60 out and 80 up, the back's 80 and 60: both slants are 100 long.
 */
export function straightTrousers(): readonly [Piece, Piece] {
  const half = (part: 'trouserFront' | 'trouserBack', fork: number, up: number): Piece => ({
    ...{ id: part, name: part === 'trouserFront' ? 'Front' : 'Back', part },
    cut: 2,
    fold: null,
    half: true,
    notes: '',
    darts: [],
    edges: [
      edge('waist', 'waist', line([0, 0], [200, 0])),
      edge('side', 'side', line([200, 0], [200, 1000])),
      edge('hem', 'hem', line([200, 1000], [20, 1000])),
      edge('inseam', 'inseam', line([20, 1000], [-fork, 280])),
      edge('crotch', 'crotch', line([-fork, 280], [0, 280 - up], [0, 0])),
    ],
    marks: [
      { kind: 'level', id: 'hip', name: 'hip', at: { x: 100, y: 200 } },
      { kind: 'level', id: 'crotch', name: 'crotch', at: { x: 100, y: 280 } },
      { kind: 'level', id: 'knee', name: 'knee', at: { x: 100, y: 600 } },
      { kind: 'grain', id: 'grain', from: { x: 100, y: 320 }, to: { x: 100, y: 900 } },
    ],
  });
  return [half('trouserFront', 60, 80), half('trouserBack', 80, 60)];
}
