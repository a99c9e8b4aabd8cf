import { describe, expect, it } from 'vitest';
import { pathLength } from '../geometry/index.ts';
import { mirrorPiece, normalisePiece, pieceArea, type Piece, type Seam } from '../pattern/index.ts';
import { contextOn } from '../testing/samples.ts';
import { expectOk } from '../units/index.ts';
import { alterationById, CATALOGUE, runAlteration, type Context, type Run } from './index.ts';

/** Every piece seen from its other side; the seams are walked the other way along each outline. */
function turned(context: Context): Context {
  const pieces = context.pieces.map((p) => mirrorPiece(p, 37));
  const flip = (s: Seam['first']): Seam['first'] => ({ ...s, reversed: !s.reversed });
  const seams = context.seams.map((s) => ({ ...s, first: flip(s.first), second: flip(s.second) }));
  const nest = Object.fromEntries(
    Object.entries(context.nest ?? {}).map(([size, all]) => [size, all.map((p) => mirrorPiece(p, 37))]),
  );
  return { ...context, pieces, seams, original: pieces, originalSeams: seams, nest };
}

const ids = CATALOGUE.filter((d) => d.family !== 'bust' && d.family !== 'dart');

/** All that can be told of a run without knowing which way round its pieces lie. */
function told(run: Run): Record<string, number> {
  const out: Record<string, number> = {};
  for (const p of run.pieces) {
    out[`${p.id} area`] = pieceArea(p);
    for (const role of new Set(p.edges.map((e) => e.role)))
      out[`${p.id} ${role}`] = p.edges.filter((e) => e.role === role).reduce((n, e) => n + pathLength(e.path), 0);
  }
  return out;
}

describe.each(ids.map((d) => [d.id, d] as const))('%s on a pattern drawn the other way round', (_id, d) => {
  it('comes to the mirror image', () => {
    for (const example of d.examples) {
      const lead = (context: Context): Context =>
        (example.after ?? []).reduce((c, a) => {
          const first = alterationById(a.alteration);
          if (!first) throw new Error(a.alteration);
          const run = expectOk(runAlteration(first, c, a.values), a.alteration);
          return { ...c, pieces: run.pieces, seams: run.seams };
        }, context);
      const name = `${d.id} ${example.name}`;
      const as = expectOk(runAlteration(d, lead(contextOn(example.on, '4')), example.values), name);
      const over = expectOk(
        runAlteration(d, lead(turned(contextOn(example.on, '4'))), example.values),
        `${name} turned`,
      );
      const [a, b] = [told(as), told(over)];
      expect(Object.keys(b).sort()).toEqual(Object.keys(a).sort());
      for (const key of Object.keys(a)) {
        const slack = key.endsWith('area') ? 2 : 0.02;
        expect(Math.abs((a[key] ?? 0) - (b[key] ?? 0)), `${name}: ${key}`).toBeLessThan(slack);
      }
      const codes = (run: Run) => run.findings.map((f) => f.code).sort();
      expect(codes(over), name).toEqual(codes(as));
    }
  });
});

describe('a pattern as others draw it', () => {
  it('is altered alike when its outlines run the other way round and its joins are rounded', () => {
    const from = contextOn('causeway', '5');
    const rounded = (p: Piece): Piece => ({
      ...p,
      edges: p.edges.map((e) => ({
        ...e,
        path: {
          start: round(e.path.start),
          segments: e.path.segments.map((s) =>
            s.kind === 'line' ? { ...s, to: round(s.to) } : { ...s, c1: round(s.c1), c2: round(s.c2), to: round(s.to) },
          ),
        },
      })),
    });
    const round = (q: { readonly x: number; readonly y: number }) => ({
      x: Math.round(q.x * 1000) / 1000,
      y: Math.round(q.y * 1000) / 1000,
    });
    const pieces = from.pieces.map((p) => normalisePiece(rounded(p)));
    const context: Context = { ...from, pieces, original: pieces };
    for (const [id, values] of [
      ['shoulder-slash', { by: -9 }],
      ['swayback-waist-seam', { by: 12 }],
      ['length-line', { by: 15, where: 'both' }],
      ['hip-slash', { by: 24 }],
      ['forward-shoulder', { by: 8, neck: 2 }],
    ] as const) {
      const d = alterationById(id);
      if (!d) throw new Error(id);
      const clean = told(expectOk(runAlteration(d, from, values), id));
      const theirs = told(expectOk(runAlteration(d, context, values), `${id} rounded`));
      for (const key of Object.keys(clean))
        expect(Math.abs((clean[key] ?? 0) - (theirs[key] ?? 0)), `${id}: ${key}`).toBeLessThan(
          key.endsWith('area') ? 8 : 0.05,
        );
    }
  });
});
