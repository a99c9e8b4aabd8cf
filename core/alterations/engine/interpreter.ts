import { distance, move } from '../../geometry/index.ts';
import { inspectPiece, inspectSeams, newFaults, type Care } from '../../paper/guard/index.ts';
import { bustPointOf, carryBeyond, type Piece } from '../../pattern/index.ts';
import {
  cutPiece,
  DONE,
  movePanels,
  NOT_YET,
  type Panel,
  type Progress,
  type SlashSpec,
} from '../../paper/slash/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import {
  STAGES,
  type AlterationDefinition,
  type Context,
  type Dimension,
  type MarkPoint,
  type Message,
  type PieceFrame,
  type Program,
  type Run,
  type Stage,
  type Values,
} from '../contract.ts';
import { asWritten, plainContext } from './plain.ts';
import { dartReports, lengthChanges } from './report.ts';
import { settlePieces, stateFor, type PieceState, type TableState } from './state.ts';
import { runStep } from './steps.ts';
import { asksNothing, readValues } from './values.ts';

/** What any alteration may be refused with, besides its own refusals: the guard has the last word. */
export const GUARD_REFUSALS = ['step-makes-fault', 'piece-is-whole', 'beyond-centre-changed'] as const;

export interface RunOptions {
  /** Leaves out what is only told, for a search that asks for the pieces many times. */
  readonly brief?: boolean;
  /** How closely the pieces are inspected before they are handed back; `complete` unless said. */
  readonly care?: Care;
}

/**
 * Plans an alteration and carries it out, one frame for each stage. Refusals come from the values, the plan, the
 * kernel, or the guard that inspects every piece the step has touched: a step that would leave a piece unfit to be
 * cut is refused, and the pieces stay as they were. A mistake of the program's own is refused as well, never thrown.
 */
export function runAlteration(
  definition: AlterationDefinition,
  context: Context,
  values: Values,
  { brief = false, care = brief ? 'quick' : 'complete' }: RunOptions = {},
): Result<Run> {
  const read = readValues(definition, values);
  if (!read.ok) return read;
  try {
    const plain = plainContext(context);
    const program = definition.plan(plain, read.value);
    if (!program.ok) return program;
    const carried = asksNothing(definition, read.value) ? onlyMarked(program.value) : program.value;
    const whole = wholePiece(plain, program.value);
    if (whole) return refuse('piece-is-whole', { piece: whole.name });
    const done = interpret(definition, plain, carried, brief);
    return done.ok ? guarded(context, asWritten(context, plain, done.value), care) : done;
  } catch (error) {
    return refuse('step-failed', { detail: error instanceof Error ? error.message : String(error) });
  }
}

/** What is drawn and said before anything is cut: all there is to do where nothing is to change. */
const onlyMarked = (program: Program): Program => ({
  ...program,
  instructions: program.instructions.filter((step) => step.op === 'mark' && step.stage === 'mark'),
});

/** Parts that are drawn as halves wherever an alteration is described. */
const HALVED: readonly Piece['part'][] = ['front', 'back', 'skirtFront', 'skirtBack'];
/** A piece of the program that is drawn opened out, without a centre: an alteration would change one side of it. */
function wholePiece(context: Context, program: Program): Piece | undefined {
  const named = new Set([
    program.piece,
    ...program.instructions.flatMap((i) => ('piece' in i && i.piece ? [i.piece] : [])),
  ]);
  return context.pieces.find(
    (p) =>
      named.has(p.id) &&
      HALVED.includes(p.part) &&
      !p.half &&
      !p.edges.some((e) => e.role === 'centreFront' || e.role === 'centreBack'),
  );
}

/** Hands a run on only when no piece it touched has a fault that it did not have before. */
function guarded(context: Context, run: Run, care: Care): Result<Run> {
  const before = context.pieces;
  const touched = run.pieces.filter((p) => !before.includes(p));
  const was = [
    ...before.filter((p) => touched.some((t) => t.id === p.id)).flatMap((p) => inspectPiece(p, care)),
    ...inspectSeams(before, context.seams),
  ];
  const now = [...touched.flatMap((p) => inspectPiece(p, care)), ...inspectSeams(run.pieces, run.seams)];
  const [fault] = newFaults(was, now);
  return fault ? refuse('step-makes-fault', { ...fault.data, fault: fault.code, piece: fault.piece }) : ok(run);
}

/** How far a staged slash has come at the end of each stage; null where it has nothing to do. */
function progressAt(stage: Stage, from: Stage): Progress | null {
  if (stage === from) return NOT_YET;
  if (stage === 'open') return { ...NOT_YET, open: 1 };
  if (stage === 'level') return { ...NOT_YET, open: 1, level: 1 };
  return stage === 'dart' ? DONE : null;
}

function interpret(definition: AlterationDefinition, context: Context, program: Program, brief: boolean): Result<Run> {
  const table: TableState = {
    context,
    primary: program.piece,
    pieces: new Map(),
    seams: context.seams,
    findings: [],
    newDart: null,
  };
  stateFor(table, program.piece);
  const frames: { stage: Stage; messages: readonly Message[]; pieces: readonly PieceFrame[] }[] = [];
  for (const stage of STAGES) {
    const messages: Message[] = [];
    for (const p of table.pieces.values()) p.moves = null;
    for (const step of program.instructions) {
      if (step.op === 'slash') {
        const said = step.messages[stage];
        const done = runSlash(
          stateFor(table, step.piece ?? program.piece),
          step.spec,
          stage,
          step.stage,
          step.dimensions,
        );
        if (!done.ok) return done;
        if (said && !messages.some((m) => m.code === said.code)) messages.push(said);
        continue;
      }
      if (step.stage !== stage) continue;
      if ('message' in step && !messages.some((m) => m.code === step.message.code)) messages.push(step.message);
      const done = runStep(table, step);
      if (!done.ok) return done;
    }
    frames.push({ stage, messages, pieces: [...table.pieces.values()].map((p) => frameOf(p, stage)) });
  }
  const settled = settlePieces(table);
  if (!settled.ok) return settled;
  const pieces = placed(context.pieces, table);
  const touched = [...table.pieces.values()];
  // A box that slides adds on one side what it doubles on the other: that is no lap.
  const paper = touched.flatMap((p) => (p.slashed ? p.gaps.filter((g) => !g.fold) : []));
  const doubled = paper.reduce((sum, g) => sum + Math.max(0, -g.area), 0);
  const laps = doubled > 1.5 * paper.reduce((sum, g) => sum + Math.max(0, g.area), 0);
  return ok({
    pieces,
    seams: table.seams,
    altered: program.piece,
    frames: frames.map((f) => ({ ...f, laps })),
    grips: program.grips ?? [],
    changes: (brief ? [] : touched).map((p) => ({
      piece: p.piece.id,
      original: p.original,
      panels: p.panels,
      lengths: lengthChanges(p.original, p.piece),
      darts: dartReports(p.piece),
      bustPoint: bustPointOf(p.piece) ?? null,
      inserted: p.gaps.reduce((sum, g) => sum + (g.fold ? 0 : Math.max(0, g.area)), 0),
      overlapped: p.gaps.reduce((sum, g) => sum + (g.fold ? 0 : Math.max(0, -g.area)), 0),
    })),
    findings: [...table.findings, ...(brief ? [] : definition.holds(context.pieces, pieces))],
  });
}

/** The piece as it lies by now, what is cut in one with its centre along with it. */
function asFar({ original, piece }: PieceState): Piece {
  const carried = piece === original ? null : carryBeyond(original, piece);
  return carried?.ok ? carried.value : piece;
}

const frameOf = (p: PieceState, stage: Stage): PieceFrame => ({
  piece: asFar(p),
  lines: stage === 'mark' || stage === 'cut' ? p.lines : [],
  points: p.points,
  panels: p.panels,
  gaps: p.gaps,
  dimensions: stage === 'mark' || stage === 'cut' ? [] : p.dimensions,
  moves: p.moves,
});

/** The pieces in their old order; what a piece was divided into follows it. */
function placed(before: readonly Piece[], table: TableState): readonly Piece[] {
  const known = before.map((p) => p.id);
  const born = [...table.pieces.values()].filter((p) => !known.includes(p.piece.id)).map((p) => p.piece);
  return before.flatMap((p) => {
    const now = table.pieces.get(p.id)?.piece ?? p;
    return p.id === table.primary ? [now, ...born] : [now];
  });
}

/** A pin goes with the paper it holds: both panels at a hinge agree on where that is. */
function carriedPin(point: MarkPoint, spec: SlashSpec, panels: readonly Panel[]): MarkPoint {
  const marked = point.marked ?? point.at;
  const hinge = point.kind === 'hinge' ? spec.hinges.find((h) => distance(h.at, marked) < TOL.same) : undefined;
  const panel = hinge ? panels.find((p) => p.id === hinge.panels[0]) : undefined;
  return panel ? { ...point, marked, at: move(panel.motion, marked) } : point;
}

/** Cut shows the panels at rest; open moves what opens; level brings what drops; at the darts one opening closes. */
function runSlash(
  state: PieceState,
  spec: SlashSpec,
  stage: Stage,
  from: Stage,
  dimensions: readonly Dimension[],
): Result<void> {
  const at = progressAt(stage, from);
  if (!at) return ok(undefined);
  if (state.slashed?.spec !== spec) {
    const divided = cutPiece(state.piece, spec);
    if (!divided.ok) return divided;
    state.slashed = { spec, divided: divided.value, at: NOT_YET };
  }
  const { divided, at: before } = state.slashed;
  const changes =
    at.open !== before.open ||
    at.level !== before.level ||
    (at.close !== before.close && spec.panels.some((p) => p.after));
  if (stage !== from && !changes) return ok(undefined);
  const moved = movePanels(divided, spec, at);
  if (!moved.ok) return moved;
  state.piece = moved.value.piece;
  state.panels = moved.value.panels;
  state.gaps = moved.value.gaps;
  state.points = state.points.map((p) => carriedPin(p, spec, moved.value.panels));
  state.moves = { from: divided.piece, spec, before, after: at };
  state.slashed = { spec, divided, at };
  if (stage === 'open') state.dimensions = dimensions;
  return ok(undefined);
}
