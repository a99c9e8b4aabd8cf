import { setupOf, checkSides, cutPieces, replay, type ResolvedJob } from '../../fitting/plan/index.ts';
import { SAMPLE_IDS, SAMPLE_SIZES, samplePattern } from '../../blocks/index.ts';
import type { Step } from '../../documents/schema.ts';
import { inspectPiece, inspectSeams } from '../../paper/guard/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import { chanceFrom, type Chance } from './chance.ts';
import { handDraft, PLAIN_HAND, type HandOptions } from './hand.ts';
import { kernelTrial } from './kernel.ts';
import { mismatch, wrongWith } from './oracle.ts';
import { randomPlan } from './plans.ts';
import { REWRITINGS, type Drafted } from './rewrite.ts';

/** A draft and a plan for it, with the words by which the draft can be made again. */
export interface Case {
  readonly draft: string;
  readonly pattern: Pattern;
  readonly size: string;
  readonly steps: readonly Step[];
}

/** What went wrong without a word, with what it was found on. */
export interface Failure {
  readonly case: Case;
  readonly what: string;
}

export interface Tally {
  drafts: number;
  steps: number;
  carried: number;
  refused: number;
  byGuard: number;
  /** Cuts made by the kernel alone. */
  cuts: number;
}

const rows = samplePattern('causeway', ['4']).chart;
const patternOf = (id: string, drafted: Drafted, base: Pattern): Pattern => ({
  ...base,
  id,
  name: id,
  chart: rows,
  seams: drafted.seams,
  sizes: { '4': drafted.pieces },
  like: null,
});

const base = samplePattern('causeway-shirt', ['4']);
const HANDS: readonly Partial<HandOptions>[] = [
  {},
  { sideDart: true },
  { mirroredBack: false, centreBackSeam: true },
  { waistIn: 34, hollow: 34, sideDart: true, mirroredBack: false },
  { waistIn: 8, hollow: 12, wider: 40, longer: 25 },
];
const samples = new Map<string, Pattern>();

/** One of the drafts: a sample in one of its sizes, or one drawn by hand; as it is, or rewritten. */
export function draftBy(chance: Chance): Omit<Case, 'steps'> {
  const byHand = chance.often(0.3);
  const hand = chance.one(HANDS);
  const id = chance.one(SAMPLE_IDS);
  const size = byHand ? '4' : chance.one(SAMPLE_SIZES);
  const rewriting = chance.often(0.5) ? chance.one(REWRITINGS) : null;
  const name = `${byHand ? `hand ${JSON.stringify(hand)}` : `${id} ${size}`}${rewriting ? `, ${rewriting.name}` : ''}`;
  const known = samples.get(name);
  if (known) return { draft: name, pattern: known, size };
  const sold = byHand ? base : samplePattern(id, [size]);
  const drafted: Drafted = byHand
    ? handDraft({ ...PLAIN_HAND, ...hand })
    : { pieces: sold.sizes[size] ?? [], seams: sold.seams };
  const written = rewriting ? rewriting.to(drafted) : drafted;
  const pattern = byHand
    ? patternOf('hand', written, base)
    : { ...sold, seams: written.seams, sizes: { [size]: written.pieces } };
  samples.set(name, pattern);
  return { draft: name, pattern, size };
}

const jobOf = ({ pattern, size, steps }: Case): ResolvedJob => ({
  job: { size, sizeMethod: 'highBust', steps: [...steps] },
  wearer: { sets: [], bustEase: null },
  pattern,
});

/** Carries a plan out and looks at everything that would be cut; null when nothing is wrong, or when the fault was reported. */
export function judged(one: Case, tally?: Tally): string | null {
  const start = setupOf(jobOf(one));
  const { steps, sides } = replay(start, one.steps);
  if (tally) {
    tally.drafts += 1;
    for (const s of steps) {
      tally.steps += 1;
      if (s.outcome.ok) tally.carried += 1;
      else {
        tally.refused += 1;
        if (s.outcome.error.code === 'step-makes-fault') tally.byGuard += 1;
      }
    }
  }
  for (const s of steps)
    if (!s.outcome.ok && s.outcome.error.code === 'step-failed')
      return `${s.step.alteration} broke: ${String(s.outcome.error.data['detail'])}`;
  for (const piece of cutPieces(sides, start)) {
    const wrong = start.original.includes(piece) ? [] : wrongWith(piece);
    if (wrong[0] && inspectPiece(piece).length === 0) return `${piece.id}: ${wrong[0].what}`;
  }
  const checks = checkSides(sides, start.original, start.sewn.seams);
  for (const [i, side] of [sides.left, sides.right].entries()) {
    if (inspectSeams(side.pieces, side.seams).length > 0) return 'a seam names what is gone';
    const told = (checks[i] ?? checks[0])?.report.findings ?? [];
    for (const seam of side.seams) {
      const now = mismatch(side.pieces, seam);
      const was = start.sewn.seams.find((s) => s.id === seam.id);
      const drafted = was ? mismatch(start.original, was) : 0;
      const slack = seam.kind === 'princess' ? 1.1 : 0.6;
      if (
        now !== null &&
        Math.abs(now) > slack + Math.abs(drafted ?? 0) &&
        !told.some((f) => f.data['seam'] === seam.id)
      )
        return `the ${seam.kind} seam ${seam.id} differs by ${now.toFixed(2)}`;
    }
  }
  return null;
}

/** The same failure on less: steps left out, values at their usual, rounded. */
export function minimised(failure: Failure): Failure {
  const kind = (what: string | null): string | null => what?.replace(/-?\d+(\.\d+)?/g, '#') ?? null;
  const goal = kind(failure.what);
  let best = failure;
  const tries = (steps: readonly Step[]): boolean => {
    const what = attempt({ ...best.case, steps });
    if (kind(what) !== goal || what === null) return false;
    best = { case: { ...best.case, steps }, what };
    return true;
  };
  for (let again = true; again;) {
    again = false;
    for (let i = 0; i < best.case.steps.length && best.case.steps.length > 1; i++)
      if (tries(best.case.steps.filter((_, k) => k !== i))) again = true;
    best.case.steps.forEach((step, i) => {
      const put = (values: Step['values'], side = step.side): boolean =>
        tries(best.case.steps.map((s, k) => (k === i ? { ...s, values, side } : s)));
      const now = best.case.steps[i];
      if (!now) return;
      if (now.side !== 'both' && put(now.values, 'both')) again = true;
      for (const key of Object.keys(now.values)) {
        const { [key]: value, ...rest } = best.case.steps[i]?.values ?? {};
        if (value === undefined) continue;
        if (put(rest)) again = true;
        else if (
          typeof value === 'number' &&
          !Number.isInteger(value) &&
          Math.abs(value) > 1 &&
          put({ ...rest, [key]: Math.round(value) })
        )
          again = true;
      }
    });
  }
  return best;
}

/** What went wrong, an exception among it. */
export function attempt(one: Case, tally?: Tally): string | null {
  try {
    return judged(one, tally);
  } catch (error) {
    return `thrown: ${error instanceof Error ? error.message : String(error)}`;
  }
}

/** Plan after plan until `stop` says so; every kind of failure once, made small. */
export function search(
  seed: number,
  stop: (tally: Tally) => boolean,
  onFailure: (f: Failure) => void = () => undefined,
): { readonly tally: Tally; readonly failures: readonly Failure[] } {
  const chance = chanceFrom(seed);
  const tally: Tally = { drafts: 0, steps: 0, carried: 0, refused: 0, byGuard: 0, cuts: 0 };
  const failures: Failure[] = [];
  const seen = new Set<string>();
  while (!stop(tally)) {
    const draft = draftBy(chance);
    const pieces = draft.pattern.sizes[draft.size] ?? [];
    const one: Case = { ...draft, steps: randomPlan(pieces, draft.pattern.seams, chance) };
    const piece = chance.one(pieces);
    const cut = kernelTrial(piece, chance);
    tally.cuts += 1;
    if (cut !== null) {
      failures.push({ case: { ...draft, steps: [] }, what: cut });
      onFailure({ case: { ...draft, steps: [] }, what: cut });
    }
    const what = attempt(one, tally);
    if (what === null) continue;
    const small = minimised({ case: one, what });
    const key = `${small.case.steps.map((s) => s.alteration).join('+')} ${small.what.replace(/-?\d+(\.\d+)?/g, '#')}`;
    if (seen.has(key)) continue;
    seen.add(key);
    failures.push(small);
    onFailure(small);
  }
  return { tally, failures };
}
