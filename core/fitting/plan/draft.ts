import { alterationById, fallenBy, heightsApart } from '../../alterations/index.ts';
import {
  levelSizes,
  mayLeaveBust,
  differingOn,
  type Amounts,
  type Body,
  type Ease,
  type LevelSize,
} from '../fit/index.ts';
import { worksheet, type Row } from '../compare/index.ts';
import { inspectPiece, inspectSeams, type Care } from '../../paper/guard/index.ts';
import { sideDirection, type MeasurementKey, type Piece, type Seam } from '../../pattern/index.ts';
import { seamsAsDrafted, type CheckReport, type Finding } from '../../paper/truing/index.ts';
import type { Refusal } from '../../units/index.ts';
import { bySides, recommendationsOf, fitsOn, offersOf, type Recommendation } from './recommendations.ts';
import { setupOf, type Setup, type ResolvedJob } from './setup.ts';
import { followers, type Follower } from './followers.ts';
import { checkSides, cutPieces, halvesApart, type BothSides, type Side, type SideCheck } from './sides.ts';
import { meetingsOf, type Meeting } from './order.ts';
import type { StandIn } from './paper.ts';
import { amountsOn, replay, type DraftCache, type Replayed } from './replay.ts';
import type { DraftStep } from './step.ts';
import { habitsFor, type Habit } from './habits.ts';

/** Everything shown or printed of a job. */
export interface Draft extends Pick<
  Setup,
  'body' | 'right' | 'bodyProblems' | 'sizeChoice' | 'size' | 'cup' | 'cupChoice' | 'view'
> {
  /** The sizes waist and hip ask for by themselves. */
  readonly levels: readonly LevelSize[];
  readonly amounts: Amounts | null;
  /** Why the bust may be left alone. */
  readonly leaveBust: ReturnType<typeof mayLeaveBust>;
  /** Ease wanted at every measurement. */
  readonly ease: Ease;
  /** With paper only: the draft the hand sheets are drawn on. */
  readonly paper: Pick<StandIn, 'sample' | 'size'> | null;
  /** The pieces the steps work on, a yoke pinned to its back; and the same as they are cut. */
  readonly original: readonly Piece[];
  readonly untouched: readonly Piece[];
  readonly steps: readonly DraftStep[];
  /** What is cut: where a step was for one side only, opened out or one for each side. */
  readonly pieces: readonly Piece[];
  /** The two sides of the body; one and the same while no step was for one side. */
  readonly sides: BothSides;
  /** The seams, naming the edges as the steps left them. */
  readonly seams: readonly Seam[];
  readonly check: CheckReport;
  /** The same side by side, where the sides differ. */
  readonly checks: readonly SideCheck[];
  /**
   * What makes pieces unfit to cut: their own faults, and sewn edges that do not match. Such pieces are not printed or
   * exported until fixed, unless the user insists.
   */
  readonly faults: readonly Finding[];
  /** Seams that differ in the draft as it came. */
  readonly drafted: readonly Finding[];
  /** Pieces that have to follow, and the steps that would make them. */
  readonly followers: readonly Follower[];
  /** Steps that change the same seam. */
  readonly meetings: readonly Meeting[];
  /** Alterations the measurements still call for. */
  readonly asks: readonly Recommendation[];
  /** What another method would add. */
  readonly offers: readonly Recommendation[];
  /** Body against pattern, measurement by measurement, and what is left on the altered pieces. */
  readonly worksheet: readonly Row[];
  /** The same of what differs on the wearer’s right, against the right pieces. */
  readonly onRight: readonly Row[];
  /** Alterations usual in this wearer's finished jobs. */
  readonly usual: readonly Habit[];
  readonly refusal: Refusal | null;
}

/** Everything shown or printed of a job, computed from its choices. Never throws on bad input; says what is missing. */
export function draft(resolved: ResolvedJob, cache?: DraftCache, care: Care = 'complete'): Draft {
  const start = setupOf(resolved);
  const { job, body, bodyProblems, size, amounts, original, contextOf, standIn, sewn } = start;
  const { steps, sides } = replay(start, job.steps, cache, { care });
  const checks = checkSides(sides, original, sewn.seams);
  const pieces = cutPieces(sides, start);
  const unfit = standIn
    ? []
    : [...pieces.flatMap((p) => inspectPiece(p, care)), ...inspectSeams(sides.left.pieces, sides.left.seams)];
  const seams = standIn || inspectSeams(original, sewn.seams).length > 0 ? [] : seamsAsDrafted(original, sewn.seams);
  const drafted = [...seams, ...yokesApart(original)];
  const findings = [...unfit, ...unique(checks.flatMap((c) => c.report.findings)), ...halvesApart(sides), ...drafted];
  const left = checks[0]?.report;
  const planned = job.steps.map((x) => x.alteration);
  const asked = (side: Side): readonly Recommendation[] =>
    recommendationsOf(
      sides[side],
      {
        contextOf: (on) => contextOf(on, side),
        amountsOn: (on) => (bodyProblems.some((p) => p.grade === 'stop') ? null : amountsOn(on, start)),
        planned: start.right ? planned.filter((_, i) => job.steps[i]?.side !== other(side)) : planned,
        order: job.order ?? 'topDown',
        uncertainty: start.uncertainty,
      },
      care === 'quick',
    );
  const asks = original.length === 0 ? [] : asked('left');
  const fitOfLeft = fitsOn(contextOf(sides.left));
  return {
    body,
    right: start.right,
    bodyProblems,
    sizeChoice: start.sizeChoice,
    size,
    cup: start.cup,
    cupChoice: start.cupChoice,
    view: start.view,
    levels: levelSizes(body, start.pattern),
    amounts,
    leaveBust: mayLeaveBust(amounts, body, start.pattern),
    ease: start.ease,
    paper: standIn && { sample: standIn.sample, size: standIn.size },
    original,
    untouched: start.untouched,
    steps,
    pieces,
    sides,
    seams: sides.left.seams,
    checks,
    check: { walks: left?.walks ?? [], findings },
    drafted,
    faults: standIn ? [] : [...unfit, ...findings.filter((f) => SEWN.includes(f.code) && f.grade === 'fault')],
    followers: followers(findings, sides.left.pieces),
    meetings: meetingsOf(steps),
    asks: start.right && original.length > 0 ? bySides(asks, asked('right'), job.order ?? 'topDown') : asks,
    offers: original.length === 0 ? [] : offersOf(contextOf(sides.left), planned, start.uncertainty),
    usual: habitsFor(resolved.wearer.learnt ?? [], body, sides.left, fitOfLeft, planned),
    worksheet: worksheetOf(start, { sides, steps }),
    onRight: onRightOf(start, { sides, steps }),
    refusal: start.refusal,
  };
}

/** A yoke that could not be pinned to its back: steps across both see the back alone, and one is told. */
const yokesApart = (original: readonly Piece[]): readonly Finding[] =>
  original.flatMap((p) =>
    p.part === 'yoke' ? [{ code: 'yoke-apart', grade: 'look', piece: p.id, data: { name: p.name } }] : [],
  );

/** Findings about edges that are sewn together. */
const SEWN: readonly Finding['code'][] = ['seam-lengths-differ', 'piece-must-follow'];

/** A bust step that works about the wearer's own bust point puts it where the body has it, whatever the paper grows by. */
function placedBy(steps: readonly DraftStep[], body: Body): readonly MeasurementKey[] {
  const height = body.neckPointToBustPoint ?? body.bustPointToWaist;
  const known = height !== undefined && body.bustSpan !== undefined;
  const about = steps.some(
    ({ step, outcome, values }) =>
      step.on &&
      outcome.ok &&
      alterationById(step.alteration)?.family === 'bust' &&
      values['whose'] !== 'pattern' &&
      !values['bustPoint'],
  );
  return known && about ? ['neckPointToBustPoint', 'bustSpan', 'napeToBustPoint'] : [];
}

/** What the steps of a plan were asked to change, by measurement, mm. */
function askedBy(steps: readonly DraftStep[]): Readonly<Partial<Record<MeasurementKey, number>>> {
  const out: Partial<Record<MeasurementKey, number>> = {};
  for (const { step, outcome, values } of steps) {
    const d = alterationById(step.alteration);
    if (!step.on || !outcome.ok || !d) continue;
    const reads = d.family === 'bust' ? (['fullBust'] as const) : (d.reads ?? []);
    for (const key of reads) {
      const own = values[key] ?? values['by'] ?? values['total'];
      if (typeof own === 'number') out[key] = (out[key] ?? 0) + own;
    }
  }
  return out;
}

/** How much lower than the wearer's own the bust point lies on the altered front, mm; higher is below nothing. */
const fallenOf = ({ original, body }: Setup, { left }: BothSides): number =>
  fallenBy({ pieces: left.pieces, original, wearer: body }) ?? 0;

/** By how much the two ways of measuring the wearer's bust height disagree on the front as drafted, mm; else 0. */
function apartOf({ original, body }: Setup): number {
  const front = original.find((p) => p.part === 'front');
  return front ? (heightsApart(front, sideDirection(front), body) ?? 0) : 0;
}

/** The worksheet of a job with its pieces as they are by then. */
export const worksheetOf = (
  start: Setup,
  { sides, steps }: Replayed,
  only?: readonly MeasurementKey[],
): readonly Row[] =>
  start.size === null
    ? []
    : worksheet(
        {
          body: start.body,
          eases: start.eases,
          uncertainty: start.uncertainty,
          pattern: start.pattern,
          size: start.size,
          before: start.sewn,
          after: sides.left,
          told: start.told,
          ...(start.told ? { asked: askedBy(steps) } : {}),
          placed: placedBy(steps, start.body),
          fallen: fallenOf(start, sides),
          apart: apartOf(start),
        },
        only,
      );

/** The rows of what was taken on the right, by the right body and the right pieces. */
export function onRightOf(start: Setup, { sides, steps }: Replayed): readonly Row[] {
  const { body, right } = start;
  if (!right) return [];
  return worksheetOf(
    { ...start, body: right },
    { sides: { left: sides.right, right: sides.right }, steps },
    differingOn(body, right),
  );
}

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');

const unique = (findings: readonly Finding[]): readonly Finding[] => {
  const seen = new Set<string>();
  return findings.filter((f) => {
    const key = JSON.stringify([f.code, f.piece, f.data]);
    return seen.has(key) ? false : seen.add(key);
  });
};
