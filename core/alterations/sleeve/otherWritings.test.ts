import { describe, expect, it } from 'vitest';
import { flatten, nearestOnPath, pathLength, splitAtLength } from '../../geometry/index.ts';
import { outlineOf, type Piece, type Seam } from '../../pattern/index.ts';
import { walkSeam } from '../../paper/truing/index.ts';
import { contextOn, runOn, sampleIn } from '../../testing/samples.ts';
import { expectOk } from '../../units/index.ts';
import { alterationById, flatOf, runAlteration, type Run } from '../index.ts';

type Sample = 'causeway' | 'causeway-cuff' | 'causeway-long-sleeve';
const sleeveOf = (pieces: readonly Piece[]): Piece => pieces.find((p) => p.part === 'sleeve') as Piece;
const withSleeve = (pieces: readonly Piece[], change: (sleeve: Piece) => Piece): readonly Piece[] =>
  pieces.map((p) => (p.part === 'sleeve' ? change(p) : p));

/** The hem in two edges, as a file with a notch in the middle of it may draw it. */
const hemInTwo = (sleeve: Piece): Piece => ({
  ...sleeve,
  edges: sleeve.edges.flatMap((e) => {
    if (e.id !== 'sleeveHem') return [e];
    const [one, other] = splitAtLength(e.path, pathLength(e.path) * 0.37);
    return [
      { ...e, path: one },
      { ...e, id: 'hem 2', path: other },
    ];
  }),
});
const seamInTwo = (seam: Seam): Seam =>
  seam.id === 'cuff' ? { ...seam, first: { ...seam.first, edges: ['sleeveHem', 'hem 2'] } } : seam;
const unmarked = (sleeve: Piece): Piece => ({ ...sleeve, marks: sleeve.marks.filter((m) => m.kind !== 'level') });

function ran(id: string, sample: Sample, values: object, pieces: readonly Piece[], seams: readonly Seam[]): Run {
  const definition = alterationById(id);
  if (!definition) throw new Error(id);
  const context = { ...contextOn(sample, '4'), pieces, original: pieces, seams, originalSeams: seams };
  return expectOk(runAlteration(definition, context, { ...values }), id);
}
/** How far two outlines lie apart at most, mm. */
function apart(one: Piece, other: Piece): number {
  const outline = outlineOf(other);
  return Math.max(...flatten(outlineOf(one), 0.1).map((p) => nearestOnPath(outline, p).distance));
}

const CASES: readonly (readonly [string, Sample, object])[] = [
  ['sleeve-length', 'causeway-long-sleeve', { by: 30, upper: 10 }],
  ['sleeve-length', 'causeway-cuff', { by: -20, upper: -20 }],
  ['wrist-width', 'causeway-long-sleeve', { by: 20 }],
  ['sleeve-fullness', 'causeway', { by: 80 }],
  ['sleeve-fullness', 'causeway-cuff', { by: 80, uprights: '6' }],
  ['upper-arm', 'causeway', { by: 30 }],
  ['upper-arm', 'causeway-cuff', { by: 30, wrist: 20 }],
];

describe('a sleeve of another hand', () => {
  it.each(CASES)('%s on %s: with its hem in two edges it comes out the same', (id, sample, values) => {
    const { pieces, seams } = sampleIn(sample, '4');
    const whole = ran(id, sample, values, pieces, seams);
    const parted = ran(id, sample, values, withSleeve(pieces, hemInTwo), seams.map(seamInTwo));
    expect(apart(sleeveOf(whole.pieces), sleeveOf(parted.pieces))).toBeLessThan(0.05);
    for (const seam of parted.seams) expect(Math.abs(walkSeam(parted.pieces, seam).difference)).toBeLessThan(0.5);
  });

  it('tells its elbow by the dart where no elbow line is marked', () => {
    const { pieces, seams } = sampleIn('causeway-long-sleeve', '4');
    const plain = withSleeve(pieces, unmarked);
    const elbow = (of: readonly Piece[]) => flatOf({ pieces: of, seams }, 'shoulderToElbow')!.value;
    expect(elbow(plain)).toBeCloseTo(elbow(pieces), 9);
    const run = ran('sleeve-length', 'causeway-long-sleeve', { by: 30, upper: 10 }, plain, seams);
    expect(elbow(run.pieces) - elbow(plain)).toBeCloseTo(10, 6);
    expect(run.frames.find((f) => f.stage === 'cut')?.pieces[0]?.moves?.spec.cuts).toHaveLength(2);
  });
});

describe('a sleeve with a cuff', () => {
  it('gathers what its hem was opened by when the upper arm grew down to the wrist', () => {
    const run = expectOk(runOn(alterationById('upper-arm')!, 'causeway-cuff', '4', { by: 30, wrist: 20 }), 'run');
    const cuff = run.seams.find((s) => s.id === 'cuff')!;
    expect(cuff.ease).toBeCloseTo(-100, 9);
    expect(Math.abs(walkSeam(run.pieces, cuff).difference)).toBeLessThan(0.5);
  });

  it('of which the seam is not known tells no wrist, and its gathered hem is not taken for one', () => {
    const { pieces, seams } = sampleIn('causeway-cuff', '4');
    const unknown = seams.filter((s) => s.id !== 'cuff');
    for (const key of ['wrist', 'shoulderToWrist'] as const) {
      expect(flatOf({ pieces, seams }, key)).not.toBeNull();
      // What was worked out with the seam does not stand without it.
      expect(flatOf({ pieces, seams: unknown }, key)).toBeNull();
    }
    const context = { ...contextOn('causeway-cuff', '4'), seams: unknown, originalSeams: unknown };
    const code = (id: string) => {
      const r = runAlteration(alterationById(id)!, context, { by: 10 });
      return r.ok ? 'ran' : r.error.code;
    };
    expect(code('wrist-width')).toBe('sleeve-has-cuff');
    expect(code('cuff-width')).toBe('cuff-not-found');
  });
});
