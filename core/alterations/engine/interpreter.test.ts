import { describe, expect, it } from 'vitest';
import { pathLength } from '../../geometry/index.ts';
import { edgeOf, type Piece } from '../../pattern/index.ts';
import { rectangle } from '../../testing/shapes.ts';
import { expectOk, ok, refuse, type Result } from '../../units/index.ts';
import {
  CATALOGUE,
  alterationById,
  dartReports,
  lengthChanges,
  readValues,
  runAlteration,
  STAGES,
  type AlterationDefinition,
  type Context,
  type Program,
  type Instruction,
} from '../index.ts';

/** A little alteration made only for the test: lengthen a box by a parallel spread. */
const lengthen = (instructions: readonly Instruction[] = []): AlterationDefinition => ({
  id: 'test-lengthen',
  revision: 1,
  family: 'length',
  params: [
    { kind: 'length', key: 'by', min: -50, max: 50, initial: 10, step: 1 },
    { kind: 'choice', key: 'where', options: ['middle', 'low'], initial: 'middle' },
    { kind: 'point', key: 'at', initial: null },
  ],
  amount: 'by',
  suits: () => ({ grade: 'possible', why: { code: 'why.dart', data: {} } }),
  requires: [],
  refusals: ['wedge-too-large'],
  examples: [],
  source: 'test',
  suggest: () => ({}),
  plan: (_context, values): Result<Program> => {
    const by = values['by'] as number;
    if (by > 40) return refuse('wedge-too-large');
    const y = values['where'] === 'low' ? 60 : 40;
    return ok({
      piece: 'box',
      instructions: [
        {
          op: 'mark',
          stage: 'mark',
          message: { code: 'hip.mark', data: {} },
          lines: [
            {
              id: 'l',
              label: '1',
              points: [
                { x: 0, y },
                { x: 100, y },
              ],
            },
          ],
          points: [],
        },
        {
          op: 'slash',
          stage: 'cut',
          messages: { cut: { code: 'hip.cut', data: {} }, open: { code: 'hip.open', data: { by } } },
          spec: {
            cuts: [
              {
                id: 'l',
                points: [
                  { x: 0, y },
                  { x: 100, y },
                ],
              },
            ],
            hinges: [],
            panels: [
              { id: 'lower', seed: { x: 50, y: 70 }, motion: { kind: 'shift', by: { x: 0, y: by } }, stage: 'open' },
            ],
          },
          dimensions: [],
        },
        ...instructions,
      ],
    });
  },
  holds: (before, after) =>
    pathLength(edgeOf(after[0]!, 'top')!.path) === pathLength(edgeOf(before[0]!, 'top')!.path)
      ? []
      : [{ code: 'waist-grew', grade: 'fault', data: { by: 0 } }],
});
const box = rectangle(100, 80);
const context: Context = { pieces: [box], seams: [], original: [box], originalSeams: [], wearer: {} };

describe('the interpreter', () => {
  it('yields the seven stages in order, each with what is said then', () => {
    const run = expectOk(runAlteration(lengthen(), context, {}), 'run');
    expect(run.frames.map((f) => f.stage)).toEqual([...STAGES]);
    expect(run.frames.map((f) => f.messages.map((m) => m.code).join())).toEqual([
      'hip.mark',
      'hip.cut',
      'hip.open',
      '',
      '',
      '',
      '',
    ]);
    expect(run.frames.map((f) => pathLength(edgeOf(f.pieces[0]!.piece, 'right')!.path))).toEqual([
      80, 80, 90, 90, 90, 90, 90,
    ]);
    expect(run.changes[0]!.inserted).toBeCloseTo(1000, 9);
    expect(run.frames.some((f) => f.laps)).toBe(false);
  });

  it('runs later instructions on the paper as it then is', () => {
    const landmark: Instruction = {
      op: 'landmark',
      stage: 'dart',
      message: { code: 'hip.mark', data: {} },
      levels: { waist: 77 },
    };
    const marked: Piece = { ...box, marks: [{ kind: 'level', id: 'w', name: 'waist', at: { x: 5, y: 70 } }] };
    const run = expectOk(runAlteration(lengthen([landmark]), { ...context, pieces: [marked] }, {}), 'run');
    const y = (stage: string) =>
      (run.frames.find((f) => f.stage === stage)!.pieces[0]!.piece.marks[0] as { at: { y: number } }).at.y;
    expect([y('cut'), y('level'), y('dart')]).toEqual([70, 80, 77]);
  });

  it('leaves the pieces it was given untouched', () => {
    const copy = structuredClone(box);
    expectOk(runAlteration(lengthen(), context, { by: 33 }), 'run');
    expect(box).toEqual(copy);
  });

  it('passes on refusals from the values, the plan and the kernel', () => {
    const code = (values: Parameters<typeof runAlteration>[2]) => {
      const r = runAlteration(lengthen(), context, values);
      return r.ok ? 'ran' : r.error.code;
    };
    expect(code({ by: 51 })).toBe('value-out-of-range');
    expect(code({ by: Number.NaN })).toBe('value-wrong-kind');
    expect(code({ where: 'high' })).toBe('value-wrong-kind');
    expect(code({ at: { x: Infinity, y: 0 } })).toBe('value-wrong-kind');
    expect(code({ by: 41 })).toBe('wedge-too-large');
    expect(code({ by: -50, where: 'low' })).toBe('overlap-too-large');
    expect(code({ by: -20 })).toBe('ran');
  });

  it('fills in initial values and keeps given ones', () => {
    expect(expectOk(readValues(lengthen(), { by: 3 }), 'values')).toEqual({ by: 3, where: 'middle', at: null });
  });

  it('reports lengths by edge and darts by id', () => {
    const longer = expectOk(runAlteration(lengthen(), context, {}), 'run').pieces[0]!;
    expect(lengthChanges(box, longer)).toMatchObject({
      top: { before: 100, after: 100 },
      right: { before: 80, after: 90 },
    });
    const mouth = {
      ...box,
      darts: [{ id: 'd', kind: 'side' as const, mouth: 'right', tip: { x: 40, y: 40 }, foldToward: 'end' as const }],
    };
    expect(dartReports(mouth)[0]).toMatchObject({ dart: 'd', intake: 80 });
    expect(dartReports(mouth)[0]!.openingDegrees).toBeCloseTo((2 * Math.atan(40 / 60) * 180) / Math.PI, 9);
  });
});

describe('the catalogue', () => {
  it('knows each alteration once, by an id and a revision that files can keep', () => {
    expect(new Set(CATALOGUE.map((d) => d.id)).size).toBe(CATALOGUE.length);
    for (const d of CATALOGUE) {
      expect(alterationById(d.id)).toBe(d);
      expect(d.revision).toBeGreaterThanOrEqual(1);
      expect(new Set(d.params.map((p) => p.key)).size).toBe(d.params.length);
      for (const p of d.params)
        if (p.kind === 'length' || p.kind === 'share') expect(p.initial >= p.min && p.initial <= p.max).toBe(true);
    }
    expect(alterationById('nothing')).toBeUndefined();
  });
});
