import { flatOf, throughBody, type Context } from '../../alterations/index.ts';
import {
  bodyFrom,
  bustAmounts,
  checkSets,
  dropBy,
  cupChoice,
  easeOf,
  easesFor,
  enoughOf,
  inCup,
  methodFor,
  rightFrom,
  startingSize,
  uncertaintyOf,
  untoldOf,
  type Amounts,
  type Body,
  type BodyProblem,
  type CupChoice,
  type Ease,
  type Eases,
  type MeasurementSet,
  type SizeChoice,
  type SizeError,
  type Uncertainty,
} from '../fit/index.ts';
import { toldFlat, type ToldFlat } from '../compare/index.ts';
import type { Job, Wearer } from '../../documents/schema.ts';
import {
  brokenIn,
  cutApart,
  inView,
  pinnedSizes,
  pinYokes,
  type Pattern,
  type Piece,
  type Problem,
  viewOf,
  yokeLineOf,
} from '../../pattern/index.ts';
import type { Refusal, Result } from '../../units/index.ts';
import type { Side, SidePieces } from './sides.ts';
import { standInFor, toldNow, type StandIn } from './paper.ts';

/** A job with its documents at hand. */
export interface ResolvedJob {
  readonly job: Pick<Job, 'size' | 'sizeMethod' | 'steps'> & Partial<Pick<Job, 'order' | 'cup' | 'view' | 'hanging'>>;
  readonly wearer: { readonly sets: readonly MeasurementSet[] } & Pick<Wearer, 'bustEase'> &
    Partial<Pick<Wearer, 'eases' | 'learnt' | 'heightLies'>>;
  readonly pattern: Pattern;
}

/** What a job starts from: the body, the size, the pieces in it, and what an alteration may look at. */
export interface Setup {
  readonly body: Body;
  /** The same as the wearer’s right side is; null where both are alike. */
  readonly right: Body | null;
  readonly bodyProblems: readonly BodyProblem[];
  readonly sizeChoice: Result<SizeChoice, SizeError>;
  readonly size: string | null;
  /** Of a pattern sold in several cups: the one taken, and what the rule says. */
  readonly cup: string | null;
  readonly cupChoice: CupChoice | null;
  /** Of a pattern that holds several views: the one made. */
  readonly view: string | null;
  readonly job: ResolvedJob['job'];
  /** In the cup taken. */
  readonly pattern: Pattern;
  readonly ease: Ease;
  /** The same with where each comes from. */
  readonly eases: Eases;
  readonly uncertainty: Uncertainty;
  readonly amounts: Amounts | null;
  /** The same once earlier steps have changed the flat bust by so much, mm. */
  readonly amountsAfter: (grown: number) => Amounts | null;
  readonly standIn: StandIn | null;
  readonly told: ToldFlat | null;
  /** The pieces as they lie on the table, a yoke pinned to its back. */
  readonly original: readonly Piece[];
  /** The same as they are cut, the yoke by itself. */
  readonly untouched: readonly Piece[];
  readonly sewn: SidePieces;
  /** What an alteration may look at on pieces of one side: the body as that side is. */
  readonly contextOf: (pieces: SidePieces, side?: Side) => Context;
  readonly refusal: Refusal | null;
}

const bodies = new WeakMap<readonly Piece[], readonly Piece[]>();
/** The pieces a job starts from; the same list for the same pieces: what was measured on it is not measured again. */
export function startingPieces(own: readonly Piece[], body: Body): readonly Piece[] {
  const made = throughBody(own, body);
  const had = bodies.get(own);
  if (had?.every((p, i) => p === made[i])) return had;
  bodies.set(own, made);
  return made;
}

/** The size a job starts in, and the pattern as it is sold in the cup taken. */
function sizeAndCup(job: ResolvedJob['job'], body: Body, sold: Pattern) {
  const framed = startingSize(body, sold, methodFor(sold, job.sizeMethod));
  const cups = cupChoice(body, sold, job.size ?? (framed.ok ? framed.value.chosen.size : null));
  const cup = job.cup ?? cups?.chosen.name ?? null;
  const pattern = inCup(sold, cup);
  const sizeChoice = startingSize(body, pattern, methodFor(pattern, job.sizeMethod));
  const size = job.size ?? (sizeChoice.ok ? sizeChoice.value.chosen.size : null);
  return { cup, cupChoice: cups, pattern, sizeChoice, size };
}

/** The pieces cut apart again; those that nothing was done to are the pattern’s own. */
export function asSold(original: readonly Piece[], pinned: readonly Piece[], own: readonly Piece[]): readonly Piece[] {
  if (!original.some(yokeLineOf)) return original;
  return original.flatMap((p) =>
    pinned.includes(p) ? cutApart(p).map((part) => own.find((o) => o.id === part.id) ?? part) : cutApart(p),
  );
}

/** The pieces a job starts from: its own in the size, else a sample draft that stands in for pieces on paper. */
function piecesAtStart(pattern: Pattern, size: string | null, body: Body, sound: boolean) {
  const own = (size !== null ? pattern.sizes[size] : undefined) ?? [];
  const standIn = own.length === 0 && size !== null && sound ? standInFor(pattern, size) : null;
  const pinned = pinYokes(own, pattern.seams);
  const original = standIn?.pieces ?? startingPieces(pinned.pieces, body);
  const sewn: SidePieces = { pieces: original, seams: standIn?.seams ?? pinned.seams };
  return { standIn, original, sewn, untouched: asSold(original, pinned.pieces, own) };
}

/** Computes what a job starts from: the body, the size and cup, the pieces, the eases, and the bust amounts. */
export function setupOf({ job, wearer, pattern: given }: ResolvedJob): Setup {
  const broken = brokenIn(given);
  // An invalid pattern is not drafted; its problem is reported instead.
  const sold = broken ? { ...given, sizes: {}, seams: [] } : inView(given, job.view ?? null);
  const body = bodyFrom(wearer.sets);
  const right = rightFrom(wearer.sets);
  const chosen = sizeAndCup(job, body, sold);
  const { pattern, size, sizeChoice } = chosen;
  const { standIn, original, sewn, untouched } = piecesAtStart(pattern, size, body, broken === null);
  const eases = easesFor(pattern, size, standIn ? null : sewn, wearer.eases, wearer.bustEase, job.hanging);
  const ease = easeOf(eases);
  const enough = enoughOf(eases);
  const uncertainty = uncertaintyOf(wearer.sets, pattern);
  const told = standIn && size !== null ? toldFlat(pattern, size, ease) : null;
  const contextOf = (on: SidePieces, side: Side = 'left'): Context => ({
    ...on,
    original,
    originalSeams: sewn.seams,
    wearer: (side === 'right' && right) || body,
    ...(standIn ? {} : { nest: pinnedSizes(pattern) }),
    chart: pattern.chart,
    size,
    draftedHeight: pattern.draftedHeight,
    heightLies: wearer.heightLies ?? 'allOver',
    hung: dropBy(job.hanging),
    ease,
    enough,
    untold: untoldOf(eases),
    within: uncertainty,
    // Measured only when an alteration asks.
    ...(told
      ? {
          get flat() {
            return toldNow(told, sewn, on);
          },
        }
      : {}),
  });
  const amountsAfter = (grown: number): Amounts | null =>
    size === null
      ? null
      : bustAmounts(body, pattern, size, {
          ease: ease.fullBust,
          grown,
          enough: enough.fullBust,
          flat: standIn ? undefined : flatOf(sewn, 'fullBust')?.value,
        });
  return {
    job,
    ...{ body, right },
    bodyProblems: checkSets(wearer.sets, given.chart),
    ...chosen,
    view: viewOf(sold, job.view ?? null)?.name ?? null,
    ease,
    eases,
    uncertainty,
    amounts: amountsAfter(0),
    amountsAfter,
    standIn,
    told,
    original,
    untouched,
    sewn,
    contextOf,
    refusal: refusalOf(broken, size, sizeChoice, original),
  };
}

function refusalOf(
  broken: Problem | null,
  size: string | null,
  sizeChoice: Setup['sizeChoice'],
  original: readonly Piece[],
): Refusal | null {
  if (broken) return { code: 'pattern-invalid', data: { problem: broken.code, ...broken.data } };
  if (size === null) return sizeChoice.ok ? null : sizeChoice.error;
  return original.length === 0 ? { code: 'size-has-no-pieces', data: { size } } : null;
}
