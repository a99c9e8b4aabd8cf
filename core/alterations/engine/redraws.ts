import { edgesWithRole, seamLine, type Edge, type Mark, type Piece } from '../../pattern/index.ts';
import { pathLength, reversePath, signedArea, spansOf, type Path } from '../../geometry/index.ts';
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
} from '../../paper/truing/index.ts';
import { ok, type Result } from '../../units/index.ts';
import type { Redraw } from '../instructions.ts';
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
      state.piece = raiseCentre(state.piece, step.by, step.panel);
      return ok(undefined);
    case 'widen': {
      const { out, hold, smooth: round } = step;
      state.piece = widenSquarely(state.piece, step.edges, step.knots, {
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

/** The facing keeps its own names and allowances, whatever its edges are called; only its lines are drawn anew. */
function fitted(facing: Piece, faced: Piece, depth: number): Piece {
  const drawn = facingOn(faced, depth);
  const own = new Map(drawn.map((e) => [e.id, edgesWithRole(facing, e.role)[0]] as const));
  const edges = drawn.map((e): Edge => {
    const kept = own.get(e.id);
    return kept ? { ...e, id: kept.id, allowance: kept.allowance } : e;
  });
  const marks = facing.marks.flatMap((m): readonly Mark[] => {
    if (m.kind !== 'notch') return [m];
    const [was, now] = [facing, { edges }].map((p) => p.edges.find((e) => e.id === m.edge));
    if (was?.role !== 'neck' || !now) return [];
    return [{ ...m, at: (m.at * pathLength(now.path)) / pathLength(was.path) }];
  });
  return { ...facing, edges, marks };
}
