import { pathLength } from '../geometry/index.ts';
import { bustPointOf, dartShape, edgesWithRole, replaceEdge, type Mark, type Piece } from '../pattern/index.ts';
import {
  cutPiece,
  DONE,
  NOT_YET,
  movePanels,
  type Divided,
  type Gap,
  type LengthChange,
  type Panel,
  type SlashSpec,
} from '../slash/index.ts';
import {
  capDart,
  checkPieces,
  measureDart,
  narrowDart,
  restoreWidth,
  retipDart,
  smoothKinks,
  smoothNear,
  type Finding,
} from '../truing/index.ts';
import { degrees, mm, ok, TOL, type Result } from '../units/index.ts';
import {
  STAGES,
  type AlterationDefinition,
  type Context,
  type DartReport,
  type Dimension,
  type Frame,
  type MarkLine,
  type MarkPoint,
  type Message,
  type Program,
  type Run,
  type Stage,
  type Values,
} from './contract.ts';
import { readValues } from './values.ts';

interface State {
  piece: Piece;
  lines: readonly MarkLine[];
  points: readonly MarkPoint[];
  panels: readonly Panel[];
  gaps: readonly Gap[];
  dimensions: readonly Dimension[];
  spec: SlashSpec | null;
  /** The divided paper of the slash under way, so that each of its stages starts from the same cut. */
  divided: Divided | null;
  findings: Finding[];
  frames: Frame[];
}

/** Plans an alteration and carries it out, one frame for each stage. Refusals come from the values, the plan or the kernel. */
export function runAlteration(definition: AlterationDefinition, context: Context, values: Values): Result<Run> {
  const read = readValues(definition, values);
  if (!read.ok) return read;
  const program = definition.plan(context, read.value);
  if (!program.ok) return program;
  return interpret(definition, context, program.value);
}

function interpret(definition: AlterationDefinition, context: Context, program: Program): Result<Run> {
  const original = context.pieces.find((p) => p.id === program.piece);
  if (!original) throw new Error(`interpret: expected piece "${program.piece}"`);
  const state: State = {
    piece: original,
    lines: [],
    points: [],
    panels: [],
    gaps: [],
    dimensions: [],
    spec: null,
    divided: null,
    findings: [],
    frames: [],
  };
  for (const stage of STAGES) {
    const messages: Message[] = [];
    for (const step of program.instructions) {
      if (step.op === 'slash') {
        const done = runSlash(state, step.spec, stage, step.stage, step.dimensions);
        if (!done.ok) return done;
        const said = step.messages[stage];
        if (said) messages.push(said);
        continue;
      }
      if (step.stage !== stage) continue;
      if (step.op !== 'finding') messages.push(step.message);
      runStep(state, step, context);
    }
    state.frames.push({
      stage,
      laps: state.gaps.reduce((sum, g) => sum + g.area, 0) < 0,
      piece: state.piece,
      messages,
      lines: stage === 'mark' || stage === 'cut' ? state.lines : [],
      points: state.points,
      panels: state.panels,
      gaps: state.gaps,
      dimensions: stage === 'mark' || stage === 'cut' ? [] : state.dimensions,
    });
  }
  const pieces = context.pieces.map((p) => (p.id === original.id ? state.piece : p));
  return ok({
    pieces,
    altered: original.id,
    original,
    frames: state.frames.map((f) => ({ ...f, laps: state.frames.at(-1)?.laps ?? false })),
    slash: state.spec,
    panels: state.panels,
    lengths: lengthChanges(original, state.piece),
    darts: dartReports(state.piece),
    bustPoint: bustPointOf(state.piece) ?? null,
    inserted: state.gaps.reduce((sum, g) => sum + Math.max(0, g.area), 0),
    overlapped: state.gaps.reduce((sum, g) => sum + Math.max(0, -g.area), 0),
    findings: [...state.findings, ...definition.holds(original, state.piece)],
  });
}

/** Cut shows the panels at rest; open moves what opens; level brings what drops. */
function runSlash(
  state: State,
  spec: SlashSpec,
  stage: Stage,
  from: Stage,
  dimensions: readonly Dimension[],
): Result<void> {
  const at = stage === from ? NOT_YET : stage === 'open' ? { ...NOT_YET, open: 1 } : stage === 'level' ? DONE : null;
  if (!at) return ok(undefined);
  if (!state.divided) {
    const divided = cutPiece(state.piece, spec);
    if (!divided.ok) return divided;
    state.divided = divided.value;
  }
  const moved = movePanels(state.divided, spec, at);
  if (!moved.ok) return moved;
  state.spec = spec;
  state.piece = moved.value.piece;
  state.panels = moved.value.panels;
  state.gaps = moved.value.gaps;
  if (stage === 'open') state.dimensions = dimensions;
  return ok(undefined);
}

function runStep(
  state: State,
  step: Exclude<Program['instructions'][number], { op: 'slash' }>,
  context: Context,
): void {
  const note = (finding: Finding) => state.findings.push(finding);
  switch (step.op) {
    case 'mark':
      state.lines = [...state.lines, ...step.lines];
      state.points = [...state.points, ...step.points];
      return;
    case 'landmark':
      state.piece = { ...state.piece, marks: state.piece.marks.map((m) => moveLandmark(m, step)) };
      if (step.bustPoint) {
        const points = state.points.filter((p) => p.kind !== 'newBustPoint');
        state.points = [...points, { id: 'newBustPoint', kind: 'newBustPoint', at: step.bustPoint }];
      }
      return;
    case 'retip': {
      const dart = state.piece.darts.find((d) => d.id === step.dart);
      if (!dart) return;
      const done = retipDart(state.piece, dart, step.bustPoint, step.setback);
      state.piece = done.piece;
      if (done.moved > 1)
        note({
          code: 'tip-moved',
          grade: 'note',
          piece: state.piece.id,
          at: done.dart.tip,
          data: { dart: dart.kind, by: done.moved },
        });
      return;
    }
    case 'narrow': {
      const dart = state.piece.darts.find((d) => d.id === step.dart);
      if (dart) state.piece = narrowDart(state.piece, dart, step.change);
      return;
    }
    case 'cap': {
      const dart = state.piece.darts.find((d) => d.id === step.dart);
      if (dart) state.piece = capDart(state.piece, dart);
      return;
    }
    case 'smooth': {
      const done = smoothNear(state.piece, step.edge, step.near, step.reach);
      state.piece = done.piece;
      if (Math.abs(done.change) > TOL.armhole)
        note({
          code: 'armhole-changed',
          grade: 'look',
          piece: state.piece.id,
          at: step.near,
          data: { by: done.change },
        });
      return;
    }
    case 'smoothKinks':
      for (const edge of edgesWithRole(state.piece, step.role))
        state.piece = replaceEdge(state.piece, edge.id, smoothKinks(edge.path, 0.01, step.reach));
      return;
    case 'restoreWidth':
      restore(state, step, context, note);
      return;
    case 'match': {
      const pieces = context.pieces.map((p) => (p.id === state.piece.id ? state.piece : p));
      const seams = context.seams.filter((s) => step.kinds.includes(s.kind));
      state.findings.push(...checkPieces(pieces, seams, context.original).findings);
      return;
    }
    case 'finding':
      note(step.finding);
  }
}

const moveLandmark = (m: Mark, step: Extract<Program['instructions'][number], { op: 'landmark' }>): Mark => {
  if (m.kind === 'bustPoint' && step.bustPoint) return { ...m, at: step.bustPoint };
  const y = m.kind === 'level' ? step.levels?.[m.name] : undefined;
  return m.kind === 'level' && y !== undefined ? { ...m, at: { x: m.at.x, y } } : m;
};

function restore(
  state: State,
  step: Extract<Program['instructions'][number], { op: 'restoreWidth' }>,
  context: Context,
  note: (f: Finding) => void,
): void {
  const before = context.pieces.find((p) => p.id === state.piece.id) ?? state.piece;
  const total = (piece: Piece): number =>
    edgesWithRole(piece, step.role).reduce((sum, e) => sum + pathLength(e.path), 0);
  const i = state.piece.edges.findIndex((e) => e.id === step.side);
  const n = state.piece.edges.length;
  const edge = [state.piece.edges[(i + 1) % n], state.piece.edges[(i + n - 1) % n]].find((e) => e?.role === step.role);
  const by = total(state.piece) - total(before);
  if (!edge) return void note({ code: 'waist-not-restored', grade: 'look', piece: state.piece.id, data: { by } });
  const done = restoreWidth(state.piece, {
    side: step.side,
    waist: edge.id,
    target: mm(pathLength(edge.path) - by),
    shape: step.shape,
  });
  if (done.ok) state.piece = done.value.piece;
  else note({ code: 'waist-not-restored', grade: 'look', piece: state.piece.id, data: { by } });
}

export function lengthChanges(before: Piece, after: Piece): Readonly<Record<string, LengthChange>> {
  return Object.fromEntries(
    before.edges.map((e) => {
      const now = after.edges.find((x) => x.id === e.id);
      return [e.id, { before: pathLength(e.path), after: now ? pathLength(now.path) : 0 }];
    }),
  );
}

export function dartReports(piece: Piece): readonly DartReport[] {
  return piece.darts.map((dart) => {
    const shape = dartShape(piece, dart);
    const m = measureDart(shape);
    return {
      dart: dart.id,
      kind: dart.kind,
      tip: shape.tip,
      legEnds: [shape.start, shape.end] as const,
      legs: [m.startLeg, m.endLeg] as const,
      intake: m.intake,
      openingDegrees: degrees(m.opening),
    };
  });
}
