import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { endOf, flatten, pathLength, polyline, splitAtLength, type Path, type Point } from '../../geometry/index.ts';
import { edgeOf, validatePiece, type Piece } from '../../pattern/index.ts';
import { closedStroke, farApart, linesOf, outlinesApart, rect, strokeFrom } from '../../testing/drawn.ts';
import { knowing } from '../../testing/knowing.ts';
import { pieceOf, sampleIn } from '../../testing/samples.ts';
import { expectOk, TOL } from '../../units/index.ts';
import {
  allRings,
  cleanRing,
  doubtSize,
  findSquares,
  lineNear,
  outlineThrough,
  plainChoices,
  proposeSeams,
  ringThrough,
  tracePiece,
  withoutPiece,
  withPiece,
  type Lines,
  type Ring,
  type TraceChoices,
} from './index.ts';

const ringOf = (path: Path): Ring => expectOk(ringThrough([closedStroke(path)], 0), 'ring');
describe('ringThrough', () => {
  it('closes an outline cut into lines that run either way, over gaps, and says what it closed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 1180 }), { minLength: 2, maxLength: 8 }),
        fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (cuts, flips, gap) => {
          const whole = polyline([...flatten(rect(400, 200)), { x: 0, y: 0 }]);
          const at = [...new Set(cuts)].sort((a, b) => a - b);
          const parts: Path[] = [];
          let rest = whole;
          let done = 0;
          for (const s of at) {
            if (s - done < 5) continue;
            const [head, tail] = splitAtLength(rest, s - done);
            parts.push(head);
            rest = tail;
            done = s;
          }
          parts.push(rest);
          // Every second part loses a little at its end: pages never meet quite.
          const strokes = parts.map((p, i) => {
            const short = i % 2 === 1 && pathLength(p) > 4 ? splitAtLength(p, pathLength(p) - gap)[0] : p;
            const way = flips[i] ? polyline([...flatten(short)].reverse()) : short;
            return strokeFrom(way);
          });
          const ring = expectOk(ringThrough(strokes, 0), 'rectangle');
          expect(farApart(ring.path, ringOf(rect(400, 200)).path)).toBeLessThan(1);
          expect(ring.strokes).toHaveLength(strokes.length);
          for (const h of ring.healed) expect(h.gap).toBeLessThanOrEqual(TOL.heal);
        },
      ),
      { seed: 11, numRuns: 60 },
    );
  });

  it('refuses a gap wider than it may close, and says where', () => {
    const open = strokeFrom(
      polyline([
        { x: 0, y: 0 },
        { x: 100, y: 0 },
        { x: 100, y: 80 },
        { x: 5, y: 80 },
      ]),
    );
    const result = ringThrough([open], 0);
    expect(result.ok ? null : result.error).toMatchObject({ code: 'outline-runs-out', data: { y: 80 } });
    expect(ringThrough([open], 0, 90).ok).toBe(true);
  });

  it('passes by the legs of a dart that end on the outline', () => {
    const strokes = [
      strokeFrom(
        polyline([
          { x: 0, y: 0 },
          { x: 0, y: 100 },
        ]),
      ),
      strokeFrom(
        polyline([
          { x: 0, y: 100 },
          { x: 40, y: 100 },
        ]),
      ),
      strokeFrom(
        polyline([
          { x: 40, y: 100 },
          { x: 60, y: 100 },
        ]),
      ),
      strokeFrom(
        polyline([
          { x: 60, y: 100 },
          { x: 100, y: 100 },
        ]),
      ),
      strokeFrom(
        polyline([
          { x: 100, y: 100 },
          { x: 100, y: 0 },
          { x: 0, y: 0 },
        ]),
      ),
      strokeFrom(
        polyline([
          { x: 40, y: 100 },
          { x: 50, y: 40 },
        ]),
      ),
      strokeFrom(
        polyline([
          { x: 50, y: 40 },
          { x: 60, y: 100 },
        ]),
      ),
    ];
    for (const first of [0, 2, 4]) {
      const ring = expectOk(ringThrough(strokes, first), 'with dart');
      expect([...ring.strokes].sort()).toEqual([0, 1, 2, 3, 4]);
    }
  });

  it('finds the way on in the middle of a line that another ends on', () => {
    const strokes = [
      strokeFrom(
        polyline([
          { x: -30, y: 0 },
          { x: 130, y: 0 },
        ]),
      ),
      strokeFrom(
        polyline([
          { x: 100, y: 0 },
          { x: 100, y: 80 },
          { x: 0, y: 80 },
          { x: 0, y: 0 },
        ]),
      ),
    ];
    const ring = expectOk(ringThrough(strokes, 1), 'touching');
    expect(farApart(ring.path, ringOf(rect(100, 80)).path)).toBeLessThan(1e-6);
  });

  it('refuses a line that encloses nothing', () => {
    const flat = closedStroke(
      polyline([
        { x: 0, y: 0 },
        { x: 50, y: 0 },
      ]),
    );
    expect(ringThrough([flat], 0).ok).toBe(false);
    expect(allRings([flat])).toEqual([]);
  });
});

describe('cleanRing', () => {
  it('takes a notch cut into an edge out of the outline, and keeps where it was', () => {
    const notched = polyline([
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 103, y: 6 },
      { x: 106, y: 0 },
      { x: 200, y: 0 },
      { x: 200, y: 150 },
      { x: 0, y: 150 },
    ]);
    const clean = cleanRing(ringOf(notched).path);
    expect(clean.notches).toHaveLength(1);
    expect(clean.notches[0]?.x).toBeCloseTo(103, 6);
    expect(farApart(clean.ring, ringOf(rect(200, 150)).path)).toBeLessThan(1e-6);
  });

  it('takes a dart cut into an edge out, with its tip', () => {
    const cut = polyline([
      { x: 0, y: 0 },
      { x: 200, y: 0 },
      { x: 200, y: 300 },
      { x: 115, y: 300 },
      { x: 100, y: 200 },
      { x: 85, y: 300 },
      { x: 0, y: 300 },
    ]);
    const clean = cleanRing(ringOf(cut).path);
    expect(clean.darts).toEqual([{ start: { x: 115, y: 300 }, tip: { x: 100, y: 200 }, end: { x: 85, y: 300 } }]);
  });
});

describe('tracePiece', () => {
  it.each([
    ['causeway', 'front'],
    ['causeway', 'skirtFront'],
    ['causeway', 'skirtBack'],
    ['causeway', 'frontFacing'],
    ['ebb', 'front'],
    ['ebb', 'back'],
  ])('finds %s %s again from its cutting line: seam line, roles, darts and notches', (sample, id) => {
    const piece = pieceOf(id, '5', sample);
    const [cut, ...others] = linesOf(piece);
    if (!cut) throw new Error('no cutting line');
    const traced = tracePiece(expectOk(ringThrough([cut], 0), id), others, knowing(piece));
    // Out and in again are each within 0.02 mm, and mitres sharpen what is curved near a corner.
    expect(outlinesApart(piece, traced.piece)).toBeLessThan(0.08);
    expect(validatePiece(traced.piece)).toEqual([]);
    const roles = (p: Piece) => p.edges.map((e) => e.role).sort();
    if (sample === 'causeway') expect(roles(traced.piece)).toEqual(roles(piece));
    expect(traced.piece.darts.map((d) => d.kind).sort()).toEqual(piece.darts.map((d) => d.kind).sort());
    const notches = (p: Piece) => p.marks.flatMap((m) => (m.kind === 'notch' ? [`${m.count}`] : [])).sort();
    expect(notches(traced.piece)).toEqual(notches(piece));
    expect(traced.piece.fold === null).toBe(piece.fold === null);
    for (const dart of traced.piece.darts) {
      const same = piece.darts.find((d) => d.kind === dart.kind);
      expect(dart.foldToward).toBe(same?.foldToward);
    }
  });

  it('lays a notch at the same place along its seam', () => {
    const piece = pieceOf('front');
    const [cut, ...others] = linesOf(piece);
    const traced = tracePiece(expectOk(ringThrough([cut as never], 0), 'front'), others, knowing(piece));
    const at = (p: Piece) =>
      p.marks.flatMap((m) => (m.kind === 'notch' && edgeOf(p, m.edge)?.role === 'armhole' ? [m.at] : []))[0] ?? NaN;
    expect(at(traced.piece)).toBeCloseTo(at(piece), 1);
  });

  it('turns a piece so that its grain stands upright, and turned over it is the mirror image', () => {
    const piece = pieceOf('front');
    const tilt = (p: Point): Point => ({ x: 0.6 * p.x - 0.8 * p.y, y: 0.8 * p.x + 0.6 * p.y });
    const go = (path: Path): Path => ({
      start: tilt(path.start),
      segments: path.segments.map((g) =>
        g.kind === 'line'
          ? { kind: 'line', to: tilt(g.to) }
          : { kind: 'cubic', c1: tilt(g.c1), c2: tilt(g.c2), to: tilt(g.to) },
      ),
    });
    const lines = linesOf(piece).map((s) => ({ ...s, path: go(s.path) }));
    const [cut, ...others] = lines;
    const said = knowing(piece).said.map((s) => ({ ...s, at: tilt(s.at) }));
    const ring = expectOk(ringThrough([cut as never], 0), 'tilted');
    const traced = tracePiece(ring, others, { ...knowing(piece), said });
    expect(outlinesApart(piece, traced.piece)).toBeLessThan(0.08);
    const over = tracePiece(ring, others, {
      ...knowing(piece),
      said,
      orientation: { ...traced.orientation, mirrored: true },
    });
    expect(over.piece.edges.map((e) => e.role).sort()).toEqual(traced.piece.edges.map((e) => e.role).sort());
    expect(validatePiece(over.piece)).toEqual([]);
  });

  it('trims a bevelled corner only when told to', () => {
    const bevelled = polyline([
      { x: 0, y: 0 },
      { x: 200, y: 0 },
      { x: 200, y: 290 },
      { x: 190, y: 300 },
      { x: 0, y: 300 },
    ]);
    const of = (corners: TraceChoices['corners']) =>
      tracePiece(ringOf(bevelled), [], { ...plainChoices('p', 'P'), part: 'other', allowance: 10, corners });
    // By hand: a rectangle of 200 by 300 brought in by 10 on all sides is 180 by 280.
    expect(
      of('mitred')
        .piece.edges.map((e) => Math.round(pathLength(e.path) * 100) / 100)
        .sort(),
    ).toEqual([180, 180, 280, 280]);
    expect(of('mitred').notes).toContainEqual({ code: 'corners-joined', data: { count: 1 } });
    expect(of('asDrawn').piece.edges).toHaveLength(5);
  });

  it('takes a sleeve, and a front that is the same on both sides, for whole', () => {
    const of = (path: Path, part: TraceChoices['part']) =>
      tracePiece(ringOf(path), [], { ...plainChoices('p', 'P'), part });
    const bib = polyline([
      { x: 0, y: 0 },
      { x: 60, y: 30 },
      { x: 120, y: 0 },
      { x: 160, y: 300 },
      { x: -40, y: 300 },
    ]);
    expect(of(bib, 'front').piece.half).toBe(false);
    expect(of(bib, 'front').notes.map((n) => n.code)).toContain('looks-whole');
    const [cut, ...others] = linesOf(pieceOf('front'));
    const front = tracePiece(expectOk(ringThrough([cut as never], 0), 'front'), others, plainChoices('f', 'F'));
    expect(front.piece.half).toBe(true);
    expect(of(rect(200, 300), 'sleeve').piece.half).toBe(false);
  });

  it('reads a dart from two notches and the hole at its tip', () => {
    const hole = polyline([
      { x: 98, y: 180 },
      { x: 102, y: 180 },
    ]);
    const cross = polyline([
      { x: 100, y: 178 },
      { x: 100, y: 182 },
    ]);
    const notch = (x: number) =>
      strokeFrom(
        polyline([
          { x, y: 300 },
          { x, y: 293 },
        ]),
      );
    const traced = tracePiece(ringOf(rect(200, 300)), [strokeFrom(hole), strokeFrom(cross), notch(85), notch(115)], {
      ...plainChoices('p', 'P'),
      part: 'other',
      line: 'sewing',
    });
    expect(traced.darts).toHaveLength(1);
    expect(traced.piece.darts[0]?.tip).toEqual({ x: 100, y: 180 });
    expect(traced.piece.marks.filter((m) => m.kind === 'notch')).toEqual([]);
    expect(validatePiece(traced.piece)).toEqual([]);
  });
});

describe('proposeSeams', () => {
  it('proposes the seams of a dress from its traced pieces, and all of them walk', () => {
    const ids = ['front', 'back', 'sleeve', 'skirtFront', 'skirtBack', 'frontFacing', 'backFacing'];
    const pieces = ids.map((id) => {
      const piece = pieceOf(id);
      // Traced from the seam line, so that hollows tighter than the allowance do not blur it.
      const outline = closedStroke({
        start: piece.edges[0]?.path.start ?? { x: 0, y: 0 },
        segments: piece.edges.flatMap((e) => e.path.segments),
      });
      const ring = expectOk(ringThrough([outline], 0), id);
      return tracePiece(ring, linesOf(piece).slice(1), { ...knowing(piece), line: 'sewing' }).piece;
    });
    const seams = proposeSeams(pieces);
    expect(seams.map((s) => s.seam.id).sort()).toEqual(
      [
        'armhole back',
        'armhole front',
        'facing back',
        'facing front',
        'facing shoulder',
        'shoulder',
        'side',
        'skirt side',
        'sleeve underarm',
        'waist back',
        'waist front',
      ].sort(),
    );
    for (const s of seams) expect(Math.abs(s.walk.difference), s.seam.id).toBeLessThan(TOL.seam);
    // The sample's sleeve is drafted with this much ease.
    const ease = (id: string) => seams.find((s) => s.seam.id === id)?.seam.ease ?? NaN;
    const drafted = sampleIn('causeway', '5').seams;
    for (const id of ['armhole front', 'armhole back'])
      expect(ease(id)).toBeCloseTo(drafted.find((s) => s.id === id)?.ease ?? NaN, 0);
  });
});

describe('withPiece', () => {
  const pattern = (): Parameters<typeof withPiece>[0] =>
    ({ ...sampleIn('causeway', '5'), chart: [{ size: '1', body: {} }], sizes: {}, seams: [] }) as never;
  it('adds a piece and its size, proposes the seams once both sides are there, and takes them out again', () => {
    const [front, back] = [pieceOf('front'), pieceOf('back')];
    const one = withPiece(pattern(), front, '38');
    expect(one.chart).toEqual([{ size: '38', body: {} }]);
    expect(one.seams).toEqual([]);
    const two = withPiece(one, back, '38');
    expect(two.seams.map((s) => s.id)).toEqual(['shoulder', 'side']);
    const nest = withPiece(two, front, '40');
    // Size 40 has no back yet: a seam that it cannot be sewn by is not kept.
    expect(nest.seams).toEqual([]);
    expect(nest.chart.map((r) => r.size)).toEqual(['38', '40']);
    expect(withoutPiece(two, 'back', '38').seams).toEqual([]);
    expect(withPiece(two, { ...front, name: 'Again' }, '38').sizes['38']?.map((p) => p.name)).toEqual([
      'Again',
      back.name,
    ]);
  });
});

describe('sizes and squares', () => {
  const lines = (paths: readonly Path[], name: Lines['unit']['name'] = 'mm'): Lines => ({
    source: 'svg',
    strokes: paths.map((p) => closedStroke(p)),
    letters: [],
    layers: [],
    styles: [],
    pages: [{ width: 1, height: 1 }],
    unit: { name, stated: false },
    repairs: [],
    pieces: [],
  });
  it('finds the test square and what it was meant to be', () => {
    const [found] = findSquares(lines([rect(98, 98), rect(300, 300), rect(40, 60)]).strokes);
    expect(found).toMatchObject({ meant: 100 });
    expect(found?.side).toBeCloseTo(98, 9);
  });
  it.each([
    [rect(17.3, 20), 'mm', 'in'],
    [rect(44, 60), 'mm', 'cm'],
    [rect(440 * 25.4, 600 * 25.4), 'in', 'mm'],
  ] as const)('doubts a unit by which a piece is no piece', (path, unit, likely) => {
    expect(doubtSize(lines([path], unit))?.likely).toBe(likely);
  });
  it('does not doubt a piece of a usual size', () => {
    expect(doubtSize(lines([rect(260, 440)]))).toBeNull();
  });
  it('finds the line that was meant by a click', () => {
    const { strokes } = lines([rect(100, 100), rect(300, 300)]);
    expect(lineNear(strokes, { x: 50, y: 97 }, 5)).toBe(0);
    expect(lineNear(strokes, { x: 200, y: 200 }, 5)).toBe(-1);
  });
});

describe('outlineThrough', () => {
  it('runs straight between corners and through every place of a curve', () => {
    const r = 100;
    const arc = [15, 30, 45, 60, 75].map((d) => ({
      x: r * Math.cos((d * Math.PI) / 180),
      y: r * Math.sin((d * Math.PI) / 180),
      curve: true,
    }));
    const path = expectOk(
      outlineThrough([
        { x: 0, y: 0, curve: false },
        { x: r, y: 0, curve: false },
        ...arc,
        { x: 0, y: r, curve: false },
      ]),
      'quarter',
    );
    for (const p of arc)
      expect(Math.min(...flatten(path, 0.001).map((q) => Math.hypot(p.x - q.x, p.y - q.y)))).toBeLessThan(0.2);
    // A quarter of a circle and two straights of 100, by hand: 357.08.
    expect(pathLength(path)).toBeCloseTo(200 + (Math.PI * r) / 2, 0);
    expect(endOf(path).x).toBeCloseTo(0, 9);
  });
  it.each([
    [[{ x: 0, y: 0, curve: false }], 'typed-too-few'],
    [
      [
        { x: 0, y: 0, curve: false },
        { x: 0, y: 0, curve: false },
        { x: 5, y: 5, curve: false },
      ],
      'typed-same-place',
    ],
    [
      [
        { x: 0, y: 0, curve: false },
        { x: 50, y: 0, curve: false },
        { x: 90, y: 0, curve: false },
      ],
      'typed-no-area',
    ],
    [
      [
        { x: 0, y: 0, curve: true },
        { x: 50, y: 0, curve: true },
        { x: 90, y: 40, curve: true },
      ],
      'typed-no-corner',
    ],
  ])('refuses what is no outline', (points, code) => {
    const result = outlineThrough(points);
    expect(result.ok ? '' : result.error.code).toBe(code);
  });
});
