import { describe, expect, it } from 'vitest';
import { SAMPLE_CHART, samplePattern, type SampleId } from '../blocks/index.ts';
import { pathLength } from '../geometry/index.ts';
import { canonical } from '../pattern/index.ts';
import {
  asWritten,
  brokenBy,
  edgesInTwo,
  handDraft,
  linesAsCurves,
  PLAIN_HAND,
  REWRITINGS,
  type Drafted,
} from '../testing/fuzz/index.ts';
import { outlinesApart } from '../testing/drawn.ts';
import { CATALOGUE, runAlteration, type Context, type Values } from './index.ts';

interface On {
  readonly name: string;
  readonly drafted: Drafted;
  readonly more: Partial<Context>;
}
const sample = (id: SampleId): On => {
  const pattern = samplePattern(id, ['3', '5']);
  return {
    name: id,
    drafted: { pieces: pattern.sizes['5'] ?? [], seams: pattern.seams },
    more: { nest: pattern.sizes, chart: SAMPLE_CHART, size: '5', draftedHeight: 1660 },
  };
};
const DRAFTS: readonly On[] = [
  ...(['causeway', 'causeway-side', 'causeway-neck', 'causeway-shirt', 'ebb', 'skerry-armhole'] as const).map(sample),
  { name: 'a top with shaped sides', drafted: handDraft(), more: {} },
  {
    name: 'a hollow top with a side dart',
    drafted: handDraft({ ...PLAIN_HAND, waistIn: 34, hollow: 34, sideDart: true }),
    more: {},
  },
];
const sizesOf = (values: Values): Values =>
  Object.fromEntries(Object.entries(values).map(([k, v]) => [k, k === 'waistSize' || k === 'hipSize' ? '3' : v]));

/** Every alteration on every draft it suits, as that is written. */
const TRIALS = CATALOGUE.flatMap((d) =>
  DRAFTS.filter(({ drafted }) => d.suits(drafted.pieces, drafted.seams).grade !== 'no').map(
    ({ name, drafted, more }) => {
      const whose = d.params.some((p) => p.key === 'whose') ? { whose: 'pattern' } : {};
      const values = { ...whose, ...sizesOf(d.examples[0]?.values ?? {}) };
      return {
        name: `${d.id} on ${name} ${JSON.stringify(values)}`,
        ...asWritten({ definition: d, values, drafted, more }),
      };
    },
  ),
);

describe.each(REWRITINGS.map((r) => [r.name, r] as const))('pieces %s', (_name, rewriting) => {
  it('are altered to the same result, to a twentieth of a millimetre', () => {
    for (const trial of TRIALS) expect(brokenBy(trial, rewriting), trial.name).toBeNull();
  }, 120_000);
});

describe('a change by nothing', () => {
  it('gives back the very same pieces, for every alteration that has an amount', () => {
    let tried = 0;
    for (const d of CATALOGUE)
      for (const { drafted, more } of DRAFTS) {
        const keys =
          d.amounts ??
          (d.params.some((p) => p.key === d.amount && p.kind === 'length' && p.min <= 0) ? [d.amount as string] : []);
        if (keys.length === 0 || d.suits(drafted.pieces, drafted.seams).grade === 'no') continue;
        const { pieces, seams } = drafted;
        const whose = d.params.some((p) => p.key === 'whose') ? { whose: 'pattern' } : {};
        const context: Context = { wearer: {}, ...more, pieces, seams, original: pieces, originalSeams: seams };
        const run = runAlteration(d, context, { ...whose, ...Object.fromEntries(keys.map((k) => [k, 0])) });
        // What cannot be done there at all is still refused.
        if (!run.ok) continue;
        tried += 1;
        pieces.forEach((p, i) => expect(run.value.pieces[i], `${d.id} ${p.id}`).toBe(p));
      }
    expect(tried).toBeGreaterThan(80);
  });
});

describe('a small change', () => {
  it('makes a small difference', () => {
    for (const d of CATALOGUE) {
      const param = d.params.find((p) => p.key === d.amount && p.kind === 'length' && p.min <= 0);
      const example = d.examples[0];
      if (!param || !example) continue;
      const { drafted, more } = sample(example.on as SampleId);
      const { pieces, seams } = drafted;
      const whose = d.params.some((p) => p.key === 'whose') ? { whose: 'pattern' } : {};
      const others = Object.fromEntries((d.amounts ?? []).map((k) => [k, 0]));
      const context: Context = { wearer: {}, ...more, pieces, seams, original: pieces, originalSeams: seams };
      const run = runAlteration(d, context, { ...whose, ...sizesOf(example.values), ...others, [param.key]: 0.2 });
      if (!run.ok) continue;
      for (const [i, p] of pieces.entries()) {
        const now = run.value.pieces[i];
        if (now && now.id === p.id && now !== p)
          expect(outlinesApart(p, now), `${d.id} ${p.id}`).toBeLessThan(MOST[d.id] ?? 1.5);
      }
    }
  });
  /** What is faired anew near a cut moves by more than the amount, and is told on the page of the alteration. */
  const MOST: Readonly<Record<string, number>> = {
    'full-bust-no-dart': 8,
    'full-bust-cut-on-sleeve': 8,
    'full-bust-raglan': 8,
    'full-bust-princess-armhole': 8,
    'full-bust-princess-shoulder': 8,
    'shoulder-slide': 5,
  };
});

describe('the plainest writing of a piece', () => {
  const drafted = handDraft();
  it('is reached from lines written as curves and from edges in two, marks and seams with it', () => {
    const plain = canonical(drafted.pieces, drafted.seams);
    expect(plain.pieces).toBe(drafted.pieces);
    for (const written of [linesAsCurves.to(drafted), edgesInTwo.to(drafted)]) {
      const again = canonical(written.pieces, written.seams);
      again.pieces.forEach((p, i) => {
        const was = drafted.pieces[i];
        expect(p.edges.map((e) => [e.id, e.path.segments.map((s) => s.kind)])).toEqual(
          was?.edges.map((e) => [e.id, e.path.segments.map((s) => s.kind)]),
        );
        p.marks.forEach((m, k) => {
          const mark = was?.marks[k];
          if (m.kind === 'notch' && mark?.kind === 'notch')
            expect([m.edge, m.at]).toEqual([mark.edge, expect.closeTo(mark.at, 4)]);
        });
        p.edges.forEach((e, k) => expect(pathLength(e.path)).toBeCloseTo(pathLength(was?.edges[k]?.path ?? e.path), 4));
      });
      expect(again.seams.map((s) => [s.first.edges, s.second.edges])).toEqual(
        drafted.seams.map((s) => [s.first.edges, s.second.edges]),
      );
    }
  });
});
