import { edgesWithRole, seamLine, type Piece } from '../pattern/index.ts';
import { reversePath, signedArea, spansOf, type Path } from '../geometry/index.ts';
import {
  carryEdge,
  cornerAngle,
  facingOn,
  fitCap,
  moveCorner,
  openAlong,
  raiseCentre,
  restoreNeck,
  ruleSeam,
  shiftJoint,
  transferSliver,
  trimEnd,
  turnCorner,
  widenSquarely,
} from '../truing/index.ts';
import { ok, type Result } from '../units/index.ts';
import type { Redraw } from './instructions.ts';
import { piecesNow, stateFor, type PieceState, type TableState } from './state.ts';

/** Carries out a redrawing on one piece, or on two where paper passes from one to the other. */
export function runRedraw(table: TableState, state: PieceState, step: Redraw): Result<void> {
  switch (step.op) {
    case 'corner':
      state.piece = moveCorner(state.piece, step.edge, step.to, step.reach);
      return ok(undefined);
    case 'carry':
      state.piece = carryEdge(state.piece, step.edge, step.start, step.end);
      return ok(undefined);
    case 'trim':
      state.piece = trimEnd(state.piece, step.edge, step.at, step.by, step.reach);
      return ok(undefined);
    case 'joint':
      state.piece = shiftJoint(state.piece, step.edge, step.by);
      return ok(undefined);
    case 'keepCorner': {
      const angle = cornerAngle(state.original, step.edge, step.at);
      state.piece = turnCorner(state.piece, step.edge, step.at, angle, step.reach);
      return ok(undefined);
    }
    case 'rule':
      state.piece = ruleSeam(state.piece, step.edges);
      return ok(undefined);
    case 'raiseCentre':
      state.piece = raiseCentre(state.piece, step.by);
      return ok(undefined);
    case 'widen': {
      const { out, hold, smooth: round } = step;
      state.piece = widenSquarely(state.piece, step.edge, step.knots, {
        out,
        hold,
        ...(round !== undefined ? { round } : {}),
      });
      return ok(undefined);
    }
    case 'transfer': {
      const giver = stateFor(table, step.from.piece);
      const taker = stateFor(table, step.to.piece);
      const done = transferSliver(
        { piece: giver.piece, edges: step.from.edges },
        { piece: taker.piece, edges: step.to.edges },
        step.neck,
        step.shoulder,
      );
      giver.piece = done.giver;
      taker.piece = done.taker;
      giver.gaps = [...giver.gaps, sliver(done.taken, -1)];
      taker.gaps = [...taker.gaps, sliver(done.given, 1)];
      return ok(undefined);
    }
    case 'restoreNeck':
      state.piece = restoreNeck(state.original, state.piece, step.by, step.reach);
      return ok(undefined);
    case 'fitCap': {
      const done = fitCap(state.piece, step.goal);
      if (!done.ok) return done;
      state.piece = done.value.piece;
      return ok(undefined);
    }
    case 'facing': {
      const faced = piecesNow(table).find((p) => p.id === step.of);
      if (faced) state.piece = fitted(state.piece, faced, step.depth);
      return ok(undefined);
    }
    case 'opening': {
      const seam = table.seams.find((s) => s.id === step.seam);
      const sides = seam ? [seam.first, seam.second] : [];
      const leading = sides.find((s) => s.piece === step.of);
      const following = sides.find((s) => s.piece === state.piece.id);
      const opening = following?.edges[0];
      const sewnTo = piecesNow(table).find((p) => p.id === step.of);
      if (!leading || !following || !opening || !sewnTo) return ok(undefined);
      const line = seamLine(sewnTo, leading);
      state.piece = openAlong(state.piece, opening, following.reversed ? reversePath(line) : line);
      return ok(undefined);
    }
    case 'allowance':
      state.piece = {
        ...state.piece,
        edges: state.piece.edges.map((e) =>
          step.edges.includes(e.id) ? { ...e, allowance: Math.max(0, e.allowance + step.by) } : e,
        ),
      };
      return ok(undefined);
  }
}

const sliver = (outline: Path, sign: 1 | -1) => ({
  cut: null,
  outline,
  area: sign * Math.abs(signedArea(spansOf(outline))),
});

/** The facing keeps its own ids and allowances; only its lines are drawn anew. */
function fitted(facing: Piece, faced: Piece, depth: number): Piece {
  const drawn = facingOn(faced, depth);
  return {
    ...facing,
    edges: drawn.map((e) => ({ ...e, allowance: facing.edges.find((f) => f.id === e.id)?.allowance ?? e.allowance })),
    marks: facing.marks.filter((m) => m.kind !== 'notch' || edgesWithRole(facing, 'neck').some((e) => e.id === m.edge)),
  };
}
