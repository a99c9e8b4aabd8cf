import { describe, expect, it } from 'vitest';
import { setupOf, draft, replay, type ResolvedJob } from '../fitting/plan/index.ts';
import { samplePattern, type SampleId } from '../blocks/index.ts';
import { stepSchema, type Step } from '../documents/index.ts';
import { pathLength } from '../geometry/index.ts';
import { inspectPiece } from '../paper/guard/index.ts';
import { edgesWithRole, widthAt, type Piece } from '../pattern/index.ts';
import { handDraft, mismatch, PLAIN_HAND, wrongWith, type HandOptions } from '../testing/fuzz/index.ts';
import { lengthOf, pieceIn, refusal, work } from '../testing/work.ts';
import { cornerAngle } from '../paper/truing/index.ts';
import type { Context } from './index.ts';

/** Plans that used to put a wrong piece on the table without a word; each is now right, or refused in words. */
type Plan = readonly (readonly [alteration: string, values: Step['values'], side?: Step['side']])[];
const jobOf = (sample: SampleId, size: string, plan: Plan): ResolvedJob => ({
  job: {
    size,
    sizeMethod: 'highBust',
    steps: plan.map(([alteration, values, side = 'both'], i) =>
      stepSchema.parse({ id: `s${i}`, alteration, revision: 1, values, side }),
    ),
  },
  wearer: { sets: [], bustEase: null },
  pattern: samplePattern(sample, [size]),
});
/** What became of a plan: each step's refusal or "ran". Every piece that is cut is sound by both judges. */
function carriedOut(sample: SampleId, plan: Plan, size = '4') {
  const drafted = draft(jobOf(sample, size, plan));
  for (const piece of drafted.pieces) {
    expect(inspectPiece(piece)).toEqual([]);
    expect(wrongWith(piece)).toEqual([]);
  }
  const codes = drafted.steps.map((s) => (s.outcome.ok ? 'ran' : s.outcome.error.code));
  expect(codes).not.toContain('step-failed');
  return { codes, drafted };
}

const hand = (o: Partial<HandOptions> = {}): Context => {
  const { pieces, seams } = handDraft({ ...PLAIN_HAND, ...o });
  return { pieces, seams, original: pieces, originalSeams: seams, wearer: {} };
};
const halfWaist = (from: { readonly pieces: readonly Piece[] }, id: string): number => {
  const width = widthAt(pieceIn(from as Context, id), 372);
  return width.ok ? width.value.width : NaN;
};

describe('a side seam with a dart in it', () => {
  it('goes out at the underarm with the dart’s legs and mouth, twice over', () => {
    const once = carriedOut('causeway', [['side-add', { by: 20, level: 'underarm' }]]);
    expect(once.codes).toEqual(['ran']);
    const front = once.drafted.pieces.find((p) => p.id === 'front') as Piece;
    const [was] = jobOf('causeway', '4', []).pattern.sizes['4'] as readonly Piece[];
    // A quarter of 20 at the underarm.
    const under = (p: Piece) => (edgesWithRole(p, 'side')[0] as Piece['edges'][number]).path.start.x;
    expect(under(front) - under(was as Piece)).toBeCloseTo(5, 6);
    const twice = carriedOut('causeway', [
      ['side-add', { by: 20, level: 'underarm' }],
      ['side-add', { by: 20, level: 'underarm' }],
    ]);
    expect(twice.codes).toEqual(['ran', 'ran']);
    expect(Math.abs(mismatch(twice.drafted.sides.left.pieces, sideOf(twice.drafted.seams)) ?? 9)).toBeLessThan(0.5);
  });
  const sideOf = (seams: readonly { readonly kind: string }[]) => seams.find((s) => s.kind === 'side') as never;

  it('keeps its length when only the dart’s tip is moved', () => {
    const { codes, drafted } = carriedOut('causeway-side', [['dart-raise', { dart: 'side', by: 25.4, way: 'retip' }]]);
    expect(codes).toEqual(['ran']);
    expect(Math.abs(mismatch(drafted.sides.left.pieces, sideOf(drafted.seams)) ?? 9)).toBeLessThan(0.1);
  });
});

describe('darts', () => {
  it('are never cut across one another, nor out of the piece, without a word', () => {
    for (const plan of [
      [['dart-split', { part: 'back', share: 0.4 }]],
      [['dart-rotate', { part: 'back', at: 0.4, merge: 'new' }]],
      [
        ['dart-split', { dart: 'side' }],
        ['full-bust-side-dart', { total: 120, whose: 'pattern' }],
      ],
      [['full-bust-side-dart', { total: -40, setback: 80, whose: 'pattern' }]],
      [['bust-point', { bustPoint: { x: 150, y: 190 } }]],
    ] as const satisfies readonly Plan[])
      carriedOut('causeway', plan);
  });

  it('keep their waist seam joined after they were split or turned', () => {
    for (const first of [
      ['dart-split', { part: 'back', dart: 'waist' }],
      ['dart-rotate', { part: 'back', dart: 'waist', to: 'waist', at: 0.2, merge: 'new', share: 0.5 }],
      ['full-seat', { by: 15 }],
    ] as const) {
      const plan: Plan = [first, ['swayback-waist-seam', { by: 15, skirt: 'gain' }]];
      carriedOut('causeway', plan);
    }
    expect(
      carriedOut('causeway', [
        ['length-line', { by: 10 }],
        ['dart-waist-width', { by: 30 }],
      ]).codes,
    ).toEqual(['ran', 'ran']);
  });

  it('give every edge a name of its own after one was eased in', () => {
    carriedOut('causeway', [
      ['dart-ease', { dart: 'side' }],
      ['dart-rotate', { dart: 'waist', to: 'side', at: 0.4, merge: 'new' }],
    ]);
  });

  it('do not open in a fold, on one side or on both', () => {
    for (const side of ['both', 'left'] as const)
      expect(carriedOut('causeway', [['dart-rotate', { dart: 'side', to: 'centreFront' }, side]]).codes).toEqual([
        'dart-on-fold',
      ]);
  });

  it('refuse to be lapped away, with how much they allow', () => {
    for (const total of [-18, -40, -60]) {
      const { drafted } = carriedOut('causeway-waist', [['full-bust-waist-dart', { total, whose: 'pattern' }]]);
      const outcome = drafted.steps[0]?.outcome;
      if (!outcome || outcome.ok) continue;
      expect(outcome.error.code).toBe('overlap-larger-than-dart');
      const most = Number(outcome.error.data['most']);
      const less = carriedOut('causeway-waist', [
        ['full-bust-waist-dart', { total: -2 * (most - 0.3), whose: 'pattern' }],
      ]);
      expect(less.codes).toEqual(['ran']);
    }
    const loop = carriedOut('causeway-waist', [
      ['full-bust-waist-dart', { total: -50, setback: 18, whose: 'pattern' }],
    ]);
    expect(loop.codes).toEqual(['overlap-larger-than-dart']);
  });
});

describe('necklines and shoulders', () => {
  it('refuse a neckline with a dart in it, and carry out one side alone', () => {
    expect(carriedOut('causeway-neck', [['neckline', { by: 10, wide: 50 }]]).codes).toEqual(['dart-in-neckline']);
    carriedOut('causeway-side', [['neckline', {}, 'right']]);
    carriedOut('causeway', [['neckline', { wide: 60 }]]);
  });

  it('leave no notch past its edge', () => {
    carriedOut('causeway', [
      ['dart-ease', { dart: 'side' }],
      ['side-add', { by: -120 }],
    ]);
    carriedOut('causeway', [
      ['shoulder-slide', { by: -12 }],
      ['shoulder-slide', { by: -12 }],
    ]);
  });

  it('slash to a pin the armhole allows, however hollow, and after the neck was taken in at the shoulders', () => {
    for (const hollow of [26, 40, 52])
      for (const share of [0.5, 0.56, 0.6]) {
        const c = hand({ hollow });
        const pieces = c.pieces.map((p) => ({
          ...p,
          marks: p.marks.map((m) => {
            const edge = p.edges.find((e) => m.kind === 'notch' && e.id === m.edge);
            return m.kind === 'notch' && edge?.role === 'armhole' ? { ...m, at: pathLength(edge.path) * share } : m;
          }),
        }));
        const run = work('shoulder-slash', { ...c, pieces, original: pieces }, { by: -8 });
        const before = lengthOf({ ...c, pieces }, 'RT', 'b2');
        expect(lengthOf(run, 'RT', 'b2')).toBeCloseTo(before - 8, 2);
      }
    const gaped = work('neck-gape-seam', hand(), { by: 10 });
    expect(refusal('shoulder-slash', { ...hand(), ...gaped }, { by: -6 })).toBe('ran');
  });

  it('turn no upper back about the shoulder point itself', () => {
    const top = hand({ waistIn: 34, hollow: 34, sideDart: true, mirroredBack: false });
    const sloped = work('shoulder-slope', top, { by: 40 });
    const after = { ...top, pieces: sloped.pieces, seams: sloped.seams };
    // The shoulder point now lies 60 below the neck, which is where the line would be drawn.
    expect(refusal('flat-upper-back', after, { belowNeck: 60 })).toBe('line-off-piece');
    expect(work('flat-upper-back', after, { belowNeck: 65 }).pieces).toHaveLength(top.pieces.length);
  });

  it('take from a neckline only what it has up to its dart', () => {
    const plan = (...by: readonly number[]): Plan => by.map((b) => ['neck-gape-seam', { by: b }]);
    // The back gives more where the front, up to its dart, has no more to give.
    expect(carriedOut('causeway-neck', plan(30, 40), '2').codes).toEqual(['ran', 'ran']);
    expect(carriedOut('causeway-neck', plan(40, 40, 40), '2').codes.at(-1)).toBe('wedge-too-large');
  });

  it('draw facings whose edges have names of their own, on a fold', () => {
    for (const [id, values] of [
      ['neckline', { by: 15, wide: 5 }],
      ['forward-shoulder', { by: 8 }],
    ] as const) {
      const first = work(id, hand(), values);
      const run = work('facing-follows', { ...hand(), ...first }, {});
      const facing = pieceIn(run, 'VB');
      expect(facing.fold).toBe('VB-z');
      expect(facing.edges.map((e) => e.id)).toEqual(['VB-n', 'VB-s', 'VB-u', 'VB-z']);
      expect(lengthOf(run, 'VB', 'VB-n')).toBeCloseTo(lengthOf(run, 'VT', 'f1'), 6);
    }
  });
});

describe('a side drawn in at the waist', () => {
  it.each([
    ['shoulder-slope', { by: 12 }],
    ['armhole-depth', { by: -14, out: 4 }],
    ['back-width', { by: 24 }],
    ['front-width', { by: -20, way: 'hinge' }],
  ] as const)('keeps its waist when %s moves the underarm', (id, values) => {
    for (const o of [{}, { waistIn: 40 }, { mirroredBack: false, centreBackSeam: true }]) {
      const c = hand(o);
      const run = work(id, c, values);
      for (const piece of ['VT', 'RT']) {
        expect(halfWaist(run, piece)).toBeCloseTo(halfWaist(c, piece), 2);
        expect(wrongWith(pieceIn(run, piece))).toEqual([]);
      }
      const side = run.seams.find((s) => s.id === 's2');
      expect(Math.abs((side && mismatch(run.pieces, side)) ?? 9)).toBeLessThan(0.5);
    }
  });

  it('is bent in as a whole, not ruled anew, where a small total is taken off its lower end in a curve', () => {
    const c = hand();
    const run = work('full-bust-no-dart', c, { total: 0.4, whose: 'pattern', waistWidth: 'curved', ending: 'hem' });
    expect(Math.abs(halfWaist(run, 'VT') - halfWaist(c, 'VT'))).toBeLessThan(0.6);
  });
});

describe('straight is a property of shape', () => {
  it('squares neck and underarm the same whether a line is written as one or as a curve', () => {
    const c = hand();
    const curved: Context = {
      ...c,
      pieces: c.pieces.map((p) => ({
        ...p,
        edges: p.edges.map((e) => {
          const [only, more] = e.path.segments;
          if (!only || more || only.kind !== 'line') return e;
          const at = (t: number) => ({
            x: e.path.start.x + (only.to.x - e.path.start.x) * t,
            y: e.path.start.y + (only.to.y - e.path.start.y) * t,
          });
          return {
            ...e,
            path: {
              start: e.path.start,
              segments: [{ kind: 'cubic' as const, c1: at(0.3), c2: at(0.6), to: only.to }],
            },
          };
        }),
      })),
    };
    const run = work('neckline', { ...curved, original: curved.pieces }, { by: 12 });
    expect(cornerAngle(pieceIn(run, 'VT'), 'f1', 'start')).toBeCloseTo(90, 4);
  });
});

describe('bands', () => {
  it('are made higher across, not longer, however they lie', () => {
    const c = hand();
    const run = work('band-height', c, { by: 8 });
    for (const id of ['bd-v', 'bd-r']) expect(lengthOf(run, 'BD', id)).toBeCloseTo(lengthOf(c, 'BD', id), 6);
    expect(lengthOf(run, 'BD', 'bd-f')).toBeCloseTo(36, 6);
  });

  it('follow a neckline at nine tenths, and are right then', () => {
    const first = work('neckline', hand(), { by: 20 });
    const run = work('band-follows', { ...hand(), ...first }, {});
    expect(lengthOf(run, 'BD', 'bd-v')).toBeCloseTo(0.9 * lengthOf(run, 'VT', 'f1'), 1);
    const front = run.seams.find((s) => s.id === 's6');
    expect(Math.abs((front && mismatch(run.pieces, front)) ?? 9)).toBeLessThan(0.1);
    expect(run.findings.filter((f) => f.grade === 'fault')).toEqual([]);
  });
});

describe('what follows', () => {
  it('is asked for by what changed, whatever else was done to the piece', () => {
    const { drafted } = carriedOut('causeway', [
      ['fit-allowance', { by: 10 }],
      ['dart-waist-width', { by: 24 }],
    ]);
    expect(drafted.followers.map((f) => f.alteration)).toContain('skirt-follows');
  });

  it('has its notches where those it meets are', () => {
    for (const first of [
      ['shoulder-slope', { by: 12, underarm: 'stay' }],
      ['back-width', { by: 30 }],
    ] as const) {
      const { drafted } = carriedOut('causeway', [first, ['cap-follows', {}]]);
      expect(drafted.check.findings.filter((f) => f.code === 'notches-differ')).toEqual([]);
    }
  });

  it('is told by how much the waist has really grown', () => {
    const pattern = samplePattern('causeway-shirt', ['4']);
    const pieces = pattern.sizes['4'] as readonly Piece[];
    const c: Context = { pieces, seams: pattern.seams, original: pieces, originalSeams: pattern.seams, wearer: {} };
    const run = work('full-bust-no-dart', c, { total: 40, whose: 'pattern', ending: 'hem', waistWidth: 'keep' });
    const hem = (list: readonly Piece[]) =>
      edgesWithRole(list.find((p) => p.id === 'front') as Piece, 'hem').reduce((n, e) => n + pathLength(e.path), 0);
    const told = run.findings.find((f) => f.code === 'waist-grew');
    expect(Number(told?.data['by'])).toBeCloseTo(hem(run.pieces) - hem(pieces), 3);
  });
});

describe('armhole built out', () => {
  it('leaves front, back and sleeve seams meeting', () => {
    const { codes, drafted } = carriedOut('causeway', [['armhole-depth', { by: 0, out: 20 }]]);
    expect(codes).toEqual(['ran']);
    for (const seam of drafted.seams.filter((s) => s.kind === 'side'))
      expect(Math.abs(mismatch(drafted.sides.left.pieces, seam) ?? 0)).toBeLessThan(0.1);
  });
});

it('a step that would make a wrong piece leaves the pieces as they were', () => {
  const job = jobOf('causeway', '4', [['dart-rotate', { dart: 'side', to: 'centreFront' }]]);
  const start = setupOf(job);
  expect(replay(start, job.job.steps).sides.left.pieces).toBe(start.sewn.pieces);
});
