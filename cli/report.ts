import { alterationById, isByBust, type PieceChange, type Run } from '@ample/core/alterations';
import { amountOf, waysOn, type Draft, type DraftStep } from '@ample/core/fitting/plan';
import type { Rigid } from '@ample/core/geometry';
import { edgeLengths, type Finding } from '@ample/core/paper/truing';
import { TOL, degrees } from '@ample/core/units';
import { sayFinding, sayFit, sayStep, type Units } from '@ample/core/words';

/** What a command that writes pieces gives: the report, and the faults that keep pieces from being written. */
export interface Written {
  readonly report: unknown;
  readonly faults: readonly string[];
  /** Names of the pieces that were left out of the files. */
  readonly leftOut: readonly string[];
}

const round = (value: number): number => Math.round(value * 1e6) / 1e6;
/** Numbers rounded to a millionth, so that reports are the same on every machine. */
export const tidy = (value: unknown): unknown => {
  if (typeof value === 'number') return round(value);
  if (Array.isArray(value)) return value.map(tidy);
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, tidy(v)]));
  return value;
};

/** A rigid motion in words: a turn about a point, or a shift. */
export function describeMotion(m: Rigid) {
  if (Math.abs(m.angle) < TOL.singular) return { turnDegrees: 0, about: null, shift: { x: m.x, y: m.y } };
  // The fixed point c solves R·c + d = c.
  const c = Math.cos(m.angle);
  const s = Math.sin(m.angle);
  const det = (1 - c) ** 2 + s ** 2;
  return {
    turnDegrees: degrees(m.angle),
    about: { x: ((1 - c) * m.x - s * m.y) / det, y: (s * m.x + (1 - c) * m.y) / det },
    shift: null,
  };
}

const findingReport = (units: Units) => (f: Finding) => ({ ...f, message: sayFinding(f, units) });

const changeReport = (run: Run, change: PieceChange) => {
  const opened = run.frames.find((f) => f.stage === 'level')?.pieces.find((p) => p.piece.id === change.piece);
  return {
    piece: change.piece,
    edges: change.lengths,
    darts: change.darts,
    bustPoint: change.bustPoint,
    panels: (opened?.panels ?? []).map((p) => ({ id: p.id, ...describeMotion(p.motion) })),
    insertArea: change.inserted,
    overlapArea: change.overlapped,
  };
};

function runReport(run: Run, units: Units) {
  const [first, ...others] = run.changes;
  return {
    ...(first ? changeReport(run, first) : {}),
    ...(others.length > 0 ? { others: others.map((c) => changeReport(run, c)) } : {}),
    stages: run.frames.map((f) => ({ stage: f.stage, says: f.messages.map((m) => sayStep(m, units)) })),
    findings: run.findings.map(findingReport(units)),
  };
}

export function stepReport(drafted: DraftStep, units: Units) {
  const { step, values, outcome, fit } = drafted;
  const total = isByBust(alterationById(step.alteration)) ? amountOf(drafted) : null;
  const ways = waysOn(drafted);
  return {
    id: step.id,
    alteration: step.alteration,
    on: step.on,
    ...(step.side !== 'both' ? { side: step.side } : {}),
    ...(fit ? { asked: { values: fit.values, says: sayFit(fit.sum, units) } } : {}),
    school: step.school,
    total,
    perHalf: total === null ? null : total / 2,
    values,
    ...(ways.length > 0 ? { waysOn: ways } : {}),
    ...(outcome.ok ? runReport(outcome.value, units) : { refused: outcome.error }),
  };
}

export function alterReport(d: Draft, units: Units) {
  return {
    size: d.size,
    steps: d.steps.map((s) => stepReport(s, units)),
    pieces: Object.fromEntries(d.pieces.map((p) => [p.id, edgeLengths(p)])),
    seams: d.check.walks.map((w) => ({
      seam: w.seam.id,
      kind: w.seam.kind,
      first: w.first.length,
      second: w.second.length,
      ease: w.seam.ease,
      difference: w.difference,
    })),
    findings: d.check.findings.map(findingReport(units)),
    // Seams that differ in the draft as it came.
    drafted: d.drafted.map(findingReport(units)),
    // What keeps pieces from being printed or written.
    faults: d.faults.map(findingReport(units)),
    // What has to follow, what the measurements still ask for, and what is left once the plan is carried out.
    follow: d.followers.map((f) => ({ alteration: f.alteration, pieces: f.pieces })),
    asks: d.asks.map((a) => ({
      alteration: a.alteration,
      side: a.side,
      values: a.fit.values,
      says: sayFit(a.fit.sum, units),
    })),
    left: d.worksheet.flatMap((r) => (r.left === null ? [] : [{ key: r.key, body: r.body, left: r.left }])),
  };
}
