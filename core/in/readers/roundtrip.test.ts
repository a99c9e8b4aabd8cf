import dxf from 'dxf';
import { describe, expect, it } from 'vitest';
import { SAMPLE_IDS, samplePattern } from '../../blocks/index.ts';
import { flatten, pointAt } from '../../geometry/index.ts';
import { doubleDartsOf, requireEdge, validatePiece, type Piece } from '../../pattern/index.ts';
import { outlinesApart } from '../../testing/drawn.ts';
import { sampleIn } from '../../testing/samples.ts';
import { toldPieces, tracePiece } from '../tracing/index.ts';
import { expectOk } from '../../units/index.ts';
import { writeDxf } from '../../out/dxf.ts';
import { writeSvg } from '../../out/svg.ts';
import { readDxf, readSvg } from './index.ts';

/** What we write comes back to within a hundredth of a millimetre. */
const SAME = 0.01;
const marksOf = (p: Piece): readonly string[] => p.marks.map((m) => `${m.kind} ${m.id}`).sort();

describe.each(SAMPLE_IDS)('sample %s', (id) => {
  const pieces = samplePattern(id, ['5']).sizes['5'] ?? [];

  it('comes back from SVG piece by piece: edges, roles, darts and marks', () => {
    const read = expectOk(readSvg(writeSvg(pieces, { title: id })), id);
    expect(read.pieces.map((p) => p.id)).toEqual(pieces.map((p) => p.id));
    for (const piece of pieces) {
      const back = read.pieces.find((p) => p.id === piece.id) as Piece;
      expect(validatePiece(back)).toEqual([]);
      expect(outlinesApart(piece, back)).toBeLessThan(SAME);
      expect(back.edges.map((e) => [e.id, e.role, e.allowance])).toEqual(
        piece.edges.map((e) => [e.id, e.role, e.allowance]),
      );
      expect(marksOf(back)).toEqual(marksOf(piece));
      expect({
        part: back.part,
        cut: back.cut,
        fold: back.fold,
        half: back.half,
        name: back.name,
        notes: back.notes,
      }).toEqual({
        part: piece.part,
        cut: piece.cut,
        fold: piece.fold,
        half: piece.half,
        name: piece.name,
        notes: piece.notes,
      });
      back.darts.forEach((d, i) => {
        const was = piece.darts[i];
        expect({ ...d, tip: null }).toEqual({ ...was, tip: null });
        expect(Math.hypot(d.tip.x - (was?.tip.x ?? 0), d.tip.y - (was?.tip.y ?? 0))).toBeLessThan(SAME);
      });
      for (const m of piece.marks)
        if (m.kind === 'notch') {
          const now = back.marks.find((k) => k.kind === 'notch' && k.id === m.id);
          const at = now?.kind === 'notch' ? pointAt(requireEdge(back, now.edge).path, now.at) : { x: NaN, y: NaN };
          const was = pointAt(requireEdge(piece, m.edge).path, m.at);
          expect(Math.hypot(at.x - was.x, at.y - was.y)).toBeLessThan(SAME);
        }
    }
  });

  it('comes back from DXF with its seam lines, sizes, roles and darts', () => {
    const read = expectOk(readDxf(writeDxf([{ size: '5', pieces }])), id);
    expect(read.unit).toEqual({ name: 'mm', stated: true });
    const told = toldPieces(read);
    expect(told.map((t) => t.choices.name).sort()).toEqual(pieces.map((p) => p.name).sort());
    for (const t of told) {
      const piece = pieces.find((p) => p.name === t.choices.name) as Piece;
      const traced = tracePiece(t.ring, t.others, t.choices);
      expect(t.size).toBe('5');
      expect(outlinesApart(piece, traced.piece), piece.id).toBeLessThan(SAME);
      expect(traced.piece.part).toBe(piece.part);
      expect(traced.piece.cut).toBe(piece.cut);
      expect(traced.piece.darts).toHaveLength(piece.darts.length);
      expect(validatePiece(traced.piece)).toEqual([]);
      const roles = (p: Piece): readonly string[] => [...new Set(p.edges.map((e) => e.role))].sort();
      expect(roles(traced.piece)).toEqual(roles(piece));
    }
  });
});

it.each([0, 0.8, -0.5])('double-pointed darts come back from SVG exactly and from DXF as drawn: curve %s', (curve) => {
  const back = sampleIn('jetty', '5').pieces.find((p) => p.part === 'back') as Piece;
  const piece = { ...back, marks: back.marks.map((m) => (m.kind === 'doubleDart' ? { ...m, curve } : m)) };
  const [was] = doubleDartsOf(piece);
  const svg = expectOk(readSvg(writeSvg([piece], { title: 'jetty' })), 'svg').pieces.flatMap(doubleDartsOf);
  expect(svg).toHaveLength(1);
  expect([svg[0]!.curve, svg[0]!.width]).toEqual([expect.closeTo(curve, 6), expect.closeTo(was!.width, 3)]);
  const [told] = toldPieces(expectOk(readDxf(writeDxf([{ size: '5', pieces: [piece] }])), 'dxf'));
  const [now, ...more] = doubleDartsOf(tracePiece(told!.ring, told!.others, told!.choices).piece);
  expect(more).toEqual([]);
  expect(Math.abs(now!.width - was!.width)).toBeLessThan(0.3);
  expect(Math.abs(now!.curve - curve)).toBeLessThan(0.05);
  expect(Math.abs(now!.widest - was!.widest)).toBeLessThan(0.01);
});

it('is read by another program as the same lines at the same scale', () => {
  const front = sampleIn('causeway', '5').pieces[0] as Piece;
  const text = writeDxf([{ size: '5', pieces: [front] }]);
  const parsed = new dxf.Helper(text).parsed as {
    blocks: { name: string; entities: { type: string; layer: string; vertices?: { x: number; y: number }[] }[] }[];
  };
  const block = parsed.blocks.find((b) => b.name.startsWith('BODICE_FRONT'));
  const sew = block?.entities.find((e) => e.type === 'POLYLINE' && e.layer === '14');
  const xs = (sew?.vertices ?? []).map((v) => v.x);
  const ys = (sew?.vertices ?? []).map((v) => v.y);
  const seam = front.edges.flatMap((e) => flatten(e.path, 0.01));
  const span = (list: readonly number[]): number => Math.max(...list) - Math.min(...list);
  expect(span(xs)).toBeCloseTo(span(seam.map((p) => p.x)), 2);
  expect(span(ys)).toBeCloseTo(span(seam.map((p) => p.y)), 2);
  expect(new Set(block?.entities.map((e) => e.layer))).toEqual(
    new Set(['1', '2', '3', '4', '6', '7', '8', '13', '14', '15']),
  );
});

it('writes nothing an old reader of DXF could not hold', () => {
  const front = { ...(sampleIn('causeway', '5').pieces[0] as Piece), name: 'Vorderteil größer ✂', notes: 'naïve' };
  const text = writeDxf([{ size: '5½', pieces: [front] }]);
  expect(/^[\x20-\x7e\r\n]*$/.test(text)).toBe(true);
  expect(text).toContain('Piece Name: Vorderteil gro');
});

it('comes back from SVG whatever characters its name and its notes hold', () => {
  const [front] = sampleIn('causeway', '5').pieces as [Piece];
  const odd = { ...front, name: 'Front\u0001 \u001b[1m <b>\uD800', notes: 'a\u0000b\u000bc\uFFFEd & "e"\n\tf' };
  const read = expectOk(readSvg(writeSvg([odd], { title: 'T\u0008itle\uFFFF' })), 'svg');
  expect(read.pieces).toHaveLength(1);
  expect(outlinesApart(front, read.pieces[0] as Piece)).toBeLessThan(SAME);
});
