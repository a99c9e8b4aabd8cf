import { distance, move } from '../../geometry/index.ts';
import {
  cutPiece,
  DONE,
  movePanels,
  NOT_YET,
  type Panel,
  type Progress,
  type SlashSpec,
} from '../../paper/slash/index.ts';
import { ok, TOL, type Result } from '../../units/index.ts';
import type { Dimension, MarkPoint, Message, Stage } from '../message.ts';
import { operation, type At } from './operation.ts';
import type { PieceState } from './state.ts';

interface Slash extends At {
  /** The message for each stage it reaches. */
  readonly messages: Readonly<Partial<Record<Stage, Message>>>;
  readonly spec: SlashSpec;
  readonly dimensions: readonly Dimension[];
}

export const slash = operation<'slash', Slash, 'dimensions'>('slash', {
  stage: 'cut',
  summary: 'cuts, and motions of the panels between them, in stages: opened, levelled, closed',
  filled: { dimensions: [] },
  run: ({ state }, step) => slashAt(state, step, step.stage),
});

/** How far a slash that begins at one stage has come at the end of another; null where it has nothing to do. */
function progressAt(stage: Stage, from: Stage): Progress | null {
  if (stage === from) return NOT_YET;
  if (stage === 'open') return { ...NOT_YET, open: 1 };
  if (stage === 'level') return { ...NOT_YET, open: 1, level: 1 };
  return stage === 'dart' ? DONE : null;
}

/** Cut shows the panels at rest; open moves what opens; level brings what drops; at the darts one opening closes. */
export function slashAt(state: PieceState, { spec, stage: from, dimensions }: Slash, stage: Stage): Result<void> {
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

/** A pin goes with the paper it holds: both panels at a hinge agree on where that is. */
function carriedPin(point: MarkPoint, spec: SlashSpec, panels: readonly Panel[]): MarkPoint {
  const marked = point.marked ?? point.at;
  const hinge = point.kind === 'hinge' ? spec.hinges.find((h) => distance(h.at, marked) < TOL.same) : undefined;
  const panel = hinge ? panels.find((p) => p.id === hinge.panels[0]) : undefined;
  return panel ? { ...point, marked, at: move(panel.motion, marked) } : point;
}

/** Cuts and moves in one go. */
export function slashWhole(state: PieceState, spec: SlashSpec): Result<void> {
  const divided = cutPiece(state.piece, spec);
  if (!divided.ok) return divided;
  const moved = movePanels(divided.value, spec, DONE);
  if (!moved.ok) return moved;
  state.moves = { from: state.piece, spec, before: NOT_YET, after: DONE };
  state.piece = moved.value.piece;
  state.panels = moved.value.panels;
  state.gaps = [...state.gaps, ...moved.value.gaps];
  return ok(undefined);
}
