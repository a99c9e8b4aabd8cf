import { inspectPiece, inspectSeams, newFaults, type Care } from '../../paper/guard/index.ts';
import { bustPointOf, carryBeyond, yokeLineOf, type Piece } from '../../pattern/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import {
  STAGES,
  type AlterationDefinition,
  type Context,
  type Message,
  type PieceFrame,
  type Program,
  type Run,
  type Stage,
  type Values,
} from '../contract.ts';
import { asWritten, plainContext } from './plain.ts';
import { dartReports, lengthChanges } from './report.ts';
import { runInstruction } from '../operations/index.ts';
import { slashAt } from '../operations/slash.ts';
import { settlePieces, stateFor, type PieceState, type TableState } from '../operations/state.ts';
import { asksNothing, readValues } from './values.ts';

/** Refusals any alteration may give besides its own: the guard inspects every result. */
export const GUARD_REFUSALS = ['step-makes-fault', 'piece-is-whole', 'beyond-centre-changed'] as const;

export interface RunOptions {
  /** Skips reports, for searches that run the plan many times. */
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
      const state = stateFor(table, step.piece ?? program.piece);
      // A slash continues in later stages.
      const said = step.op === 'slash' ? step.messages[stage] : step.stage === stage ? step.message : undefined;
      const done =
        step.op === 'slash'
          ? slashAt(state, step, stage)
          : step.stage === stage && runInstruction({ table, state }, step);
      if (done && !done.ok) return done;
      if (said && !messages.some((m) => m.code === said.code)) messages.push(said);
    }
    const told = [...table.pieces.values()].some((p) => yokeLineOf(p.original)) ? withYoke(stage, messages) : messages;
    frames.push({ stage, messages: told, pieces: [...table.pieces.values()].map((p) => frameOf(p, stage)) });
  }
  const settled = settlePieces(table);
  if (!settled.ok) return settled;
  const pieces = placed(context.pieces, table);
  const touched = [...table.pieces.values()];
  // A sliding box opens on one side as much as it overlaps on the other: not a lap.
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

/** A piece with a yoke pinned on: said before the first line is drawn, and once everything matches. */
const withYoke = (stage: Stage, messages: readonly Message[]): readonly Message[] => [
  ...(stage === 'mark' ? [{ code: 'across.yoke.pin' as const, data: {} }] : []),
  ...messages,
  ...(stage === 'match' ? [{ code: 'across.yoke.apart' as const, data: {} }] : []),
];

/** The piece as it lies now, what is cut in one with its centre along with it. */
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
