import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, flatten, isSimplePolygon, move, pathLength, pointAt, type Point } from '../../geometry/index.ts';
import { edgeOf, isInside, outlineOf, pieceArea, type Piece } from '../../pattern/index.ts';
import { blobArbitrary, rectangle } from '../../testing/shapes.ts';
import { expectOk } from '../../units/index.ts';
import {
  cutPiece,
  DONE,
  follow,
  motionOf,
  movePanels,
  slashPiece,
  type Motion,
  type PanelSpec,
  type SlashSpec,
} from './index.ts';

const p = (x: number, y: number): Point => ({ x, y });
const panel = (id: string, motion: Motion, stage: PanelSpec['stage'] = 'open'): PanelSpec => ({
  id,
  seed: p(0, 0),
  motion,
  stage,
});

describe('motions', () => {
  it('reach their whole amount only at the end of their own stage', () => {
    const panels = [
      panel('a', { kind: 'shift', by: p(10, 4) }),
      panel('b', { kind: 'turn', about: p(5, 5), angle: 0.4 }, 'level'),
    ];
    expect(motionOf(panels, 'a', { open: 0.5, level: 0, close: 0 })).toEqual({ angle: 0, x: 5, y: 2 });
    expect(motionOf(panels, 'b', { open: 1, level: 0.25, close: 0 }).angle).toBeCloseTo(0.1, 12);
    expect(distance(move(motionOf(panels, 'b', DONE), p(5, 5)), p(5, 5))).toBeLessThan(1e-12);
  });

  it('carry along exactly within a stage, and catch up in a later one', () => {
    const leader = panel('lead', { kind: 'turn', about: p(0, 0), angle: 1 });
    const panels = [
      leader,
      panel('same', follow('lead', p(10, 0))),
      panel('later', follow('lead', p(10, 0), 'y'), 'level'),
    ];
    for (const open of [0.2, 0.7, 1]) {
      const led = move(motionOf(panels, 'lead', { open, level: 0, close: 0 }), p(10, 0));
      expect(distance(move(motionOf(panels, 'same', { open, level: 0, close: 0 }), p(10, 0)), led)).toBeLessThan(1e-12);
      expect(motionOf(panels, 'later', { open, level: 0, close: 0 })).toEqual({ angle: 0, x: 0, y: 0 });
    }
    expect(motionOf(panels, 'later', { open: 1, level: 0.5, close: 0 }).y).toBeCloseTo(5 * Math.sin(1), 12);
  });

  it('chain one after the other, and refuse to go round in a circle', () => {
    const chained = panel('c', {
      kind: 'chain',
      motions: [
        { kind: 'shift', by: p(10, 0) },
        { kind: 'turn', about: p(10, 0), angle: Math.PI / 2 },
      ],
    });
    expect(distance(move(motionOf([chained], 'c', DONE), p(1, 0)), p(10, 1))).toBeLessThan(1e-12);
    expect(() => motionOf([panel('x', follow('y', p(0, 0))), panel('y', follow('x', p(0, 0)))], 'x', DONE)).toThrow(
      /does not carry itself/,
    );
  });
});

/** Two cuts from the rim meeting at an inner point, and a third from there: three panels on a random piece. */
const starred = fc
  .record({
    piece: blobArbitrary,
    share: fc.integer({ min: 25, max: 75 }),
    cx: fc.integer({ min: -25, max: 25 }),
    cy: fc.integer({ min: -25, max: 25 }),
    turns: fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 })),
  })
  .map(({ piece, share, cx, cy, turns }) => {
    const rim = (i: number) => {
      const edge = piece.edges[i] as Piece['edges'][number];
      return pointAt(edge.path, (pathLength(edge.path) * share) / 100);
    };
    const centre = p(cx, cy);
    const ends = [rim(0), rim(2), rim(4)] as const;
    const toward = (a: Point, b: Point): Point => {
      const d = p((a.x + b.x) / 2 - centre.x, (a.y + b.y) / 2 - centre.y);
      const n = Math.hypot(d.x, d.y) || 1;
      return p(centre.x + (d.x / n) * 3, centre.y + (d.y / n) * 3);
    };
    const spec: SlashSpec = {
      cuts: [
        { id: 'one', points: [ends[0], centre, ends[1]] },
        { id: 'two', points: [ends[2], centre] },
      ],
      hinges: [],
      panels: [
        { id: 'a', seed: toward(ends[0], ends[1]), motion: { kind: 'rest' }, stage: 'open' },
        {
          id: 'b',
          seed: toward(ends[1], ends[2]),
          motion: { kind: 'turn', about: ends[1], angle: -turns[0] / 100 },
          stage: 'open',
        },
        {
          id: 'c',
          seed: toward(ends[2], ends[0]),
          motion: { kind: 'turn', about: ends[0], angle: turns[1] / 100 },
          stage: 'open',
        },
      ],
    };
    return { piece, spec, ends };
  });

describe('three panels meeting inside a random piece', () => {
  it('account for every square millimetre, panels and gaps together', () => {
    fc.assert(
      fc.property(starred, ({ piece, spec }) => {
        const done = slashPiece(piece, spec);
        fc.pre(done.ok);
        if (!done.ok) return;
        const gaps = done.value.gaps.reduce((n, g) => n + g.area, 0);
        expect(pieceArea(done.value.piece)).toBeCloseTo(pieceArea(piece) + gaps, 4);
        expect(done.value.panels).toHaveLength(3);
      }),
      { seed: 61, numRuns: 150 },
    );
  });

  it('are simple, do not share their seeds, and fill the piece', () => {
    fc.assert(
      fc.property(starred, ({ piece, spec }) => {
        const divided = cutPiece(piece, spec);
        fc.pre(divided.ok);
        if (!divided.ok) return;
        const rings = divided.value.outlines.map((o) => flatten(o, 0.5));
        for (const ring of rings) expect(isSimplePolygon(ring)).toBe(true);
        for (const s of spec.panels) expect(isInside(piece, s.seed)).toBe(true);
        expect(new Set(divided.value.names)).toEqual(new Set(['a', 'b', 'c']));
      }),
      { seed: 62, numRuns: 60 },
    );
  });

  it('move continuously: a small step of the movement is a small step of every point', () => {
    fc.assert(
      fc.property(starred, fc.integer({ min: 0, max: 99 }), ({ piece, spec }, t) => {
        const divided = cutPiece(piece, spec);
        fc.pre(divided.ok);
        if (!divided.ok) return;
        const at = (open: number) => movePanels(divided.value, spec, { open, level: 0, close: 0 });
        const now = at(t / 100);
        const next = at((t + 1) / 100);
        fc.pre(now.ok && next.ok);
        if (!now.ok || !next.ok) return;
        now.value.panels.forEach((q, i) => {
          for (const corner of flatten(q.outline, 5))
            expect(distance(move(q.motion, corner), move(next.value.panels[i]!.motion, corner))).toBeLessThan(0.6);
        });
      }),
      { seed: 63, numRuns: 60 },
    );
  });
});

describe('a cut that ends at a corner', () => {
  it('splits no edge and opens between the two', () => {
    const box = rectangle(100, 80);
    const done = expectOk(
      slashPiece(box, {
        cuts: [{ id: 'd', points: [p(0, 0), p(100, 80)] }],
        hinges: [],
        panels: [
          { id: 'low', seed: p(20, 60), motion: { kind: 'turn', about: p(100, 80), angle: -0.1 }, stage: 'open' },
        ],
      }),
      'diagonal',
    );
    expect(pieceArea(done.piece)).toBeCloseTo(8000 + done.gaps.reduce((n, g) => n + g.area, 0), 6);
    expect(pathLength(edgeOf(done.piece, 'top')!.path)).toBeCloseTo(100, 9);
    expect(pathLength(outlineOf(done.piece))).toBeCloseTo(360 + 2 * Math.hypot(100, 80) * Math.sin(0.05), 6);
  });
});
