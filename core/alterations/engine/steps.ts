import { distance, endOf, nearestLength, pathLength, pointAt } from '../../geometry/index.ts';
import {
  edgesWithRole,
  replaceDart,
  replaceEdge,
  requireEdge,
  seamsAfterSplit,
  splitEdge,
  withBustLineAnew,
  type Dart,
  type Edge,
  type Mark,
  type Piece,
} from '../../pattern/index.ts';
import { cutPiece, DONE, movePanels, NOT_YET, type SlashSpec } from '../../paper/slash/index.ts';
import {
  capDart,
  checkPieces,
  dartToEase,
  divideAtDarts,
  drawToTip,
  narrowDart,
  notchesMatched,
  openDart,
  redrawAcross,
  retipDart,
  rotation,
  seamsAfterDivision,
  settleRotation,
  smoothKinks,
  smoothNear,
  straightPath,
  tipsAfterRotation,
  type Finding,
} from '../../paper/truing/index.ts';
import { ok, TOL, type Result } from '../../units/index.ts';
import { NEW_DART, type Instruction, type Redraw } from '../contract.ts';
import { runFair } from './fairing.ts';
import { tellReached } from './reached.ts';
import { runRedraw } from './redraws.ts';
import { restore } from './restore.ts';
import { bringIn, piecesNow, stateFor, type PieceState, type TableState } from './state.ts';

type Step = Exclude<Instruction, { op: 'slash' }>;
const REDRAWS: readonly Step['op'][] = [
  'corner',
  'carry',
  'joint',
  'trim',
  'keepCorner',
  'rule',
  'raiseCentre',
  'widen',
  'transfer',
  'restoreNeck',
  'fitCap',
  'facing',
  'opening',
  'allowance',
] satisfies readonly Redraw['op'][];
const isRedraw = (step: Step): step is Redraw => REDRAWS.includes(step.op);
type Of<Op extends Step['op']> = Extract<Step, { op: Op }>;

const findDart = (table: TableState, piece: Piece, id: string): Dart | undefined =>
  piece.darts.find((d) => d.id === (id === NEW_DART ? table.newDart : id));

/** Carries out one instruction on the table. A dart that has gone by then is passed over. */
export function runStep(table: TableState, step: Step): Result<void> {
  if (step.op === 'finding') {
    table.findings.push(step.finding);
    return ok(undefined);
  }
  if (step.op === 'tellReached') {
    tellReached(table, step);
    return ok(undefined);
  }
  const state = stateFor(table, step.piece ?? table.primary);
  if (isRedraw(step)) return runRedraw(table, state, step);
  const note = (finding: Omit<Finding, 'piece'>) => table.findings.push({ ...finding, piece: state.piece.id });
  const withDart = (id: string, change: (dart: Dart) => Piece): void => {
    const dart = findDart(table, state.piece, id);
    if (dart) state.piece = change(dart);
  };
  switch (step.op) {
    case 'mark':
      state.lines = [...state.lines, ...step.lines];
      state.points = [...state.points, ...step.points];
      return ok(undefined);
    case 'shift':
      return runWhole(state, step.spec);
    case 'landmark':
      state.piece = { ...state.piece, marks: state.piece.marks.map((m) => moveLandmark(m, step, state.original)) };
      if (step.bustPoint) {
        const points = state.points.filter((p) => p.kind !== 'newBustPoint');
        state.points = [...points, { id: 'newBustPoint', kind: 'newBustPoint', at: step.bustPoint }];
      }
      return ok(undefined);
    case 'rotate':
      return rotateStep(table, state, step);
    case 'openDart': {
      const before = pathLength(requireEdge(state.original, step.edge).path);
      const width = pathLength(requireEdge(state.piece, step.edge).path) - before;
      if (width < TOL.join) return ok(undefined);
      const done = openDart(state.piece, step.edge, step.at, width, step.tip);
      state.piece = done.piece;
      table.newDart = done.dart.id;
      table.seams = seamsAfterSplit(table.seams, state.piece.id, done.split);
      return ok(undefined);
    }
    case 'retip':
      withDart(step.dart, (dart) => {
        const done = retipDart(state.piece, dart, step.bustPoint, step.setback);
        if (done.moved > 1)
          note({ code: 'tip-moved', grade: 'note', at: done.dart.tip, data: { dart: dart.kind, by: done.moved } });
        return done.piece;
      });
      return ok(undefined);
    case 'tip':
      withDart(step.dart, (dart) => drawToTip(state.piece, dart, step.tip));
      return ok(undefined);
    case 'narrow':
      withDart(step.dart, (dart) => narrowDart(state.piece, dart, step.change));
      return ok(undefined);
    case 'cap':
      withDart(step.dart, (dart) => capDart(state.piece, dart));
      return ok(undefined);
    case 'cutAway':
      withDart(step.dart, (dart) => replaceDart(state.piece, { ...dart, cutAway: step.allowance }));
      return ok(undefined);
    case 'ease': {
      const dart = findDart(table, state.piece, step.dart);
      if (!dart) return ok(undefined);
      easeStep(table, state, dart);
      return ok(undefined);
    }
    case 'divide': {
      const { centre, side } = divideAtDarts(
        state.piece,
        nameOf(table, step.upper),
        nameOf(table, step.lower),
        step.meet,
        step.names,
      );
      table.seams = seamsAfterDivision(table.seams, state.piece, centre, side);
      state.piece = withBustLineAnew(centre);
      // Two pieces lie where one lay: what was taped into the one belongs to neither drawing any more.
      state.gaps = [];
      state.panels = [];
      bringIn(table, withBustLineAnew(side));
      return ok(undefined);
    }
    case 'smooth': {
      // The paper may have carried the hinge elsewhere since it was marked.
      const pin = state.points.find((p) => p.marked && distance(p.marked, step.near) < TOL.same);
      const done = smoothNear(state.piece, step.edge, pin?.at ?? step.near, step.reach);
      state.piece = done.piece;
      if (Math.abs(done.change) > TOL.armhole)
        note({ code: 'armhole-changed', grade: 'look', at: step.near, data: { by: done.change } });
      return ok(undefined);
    }
    case 'smoothKinks':
      for (const edge of edgesWithRole(state.piece, step.role))
        state.piece = replaceEdge(state.piece, edge.id, smoothKinks(edge.path, 0.01, step.reach));
      return ok(undefined);
    case 'fairRun':
      runFair(table, state, step);
      return ok(undefined);
    case 'notch': {
      const edge = requireEdge(state.piece, step.edge).path;
      const up = endOf(edge).y < edge.start.y;
      const at = up ? pathLength(edge) - step.fromTop : step.fromTop;
      state.piece = {
        ...state.piece,
        marks: state.piece.marks.map((m) =>
          m.kind === 'notch' && m.id === step.notch ? { ...m, edge: step.edge, at } : m,
        ),
      };
      return ok(undefined);
    }
    case 'straighten':
      for (const id of step.edges) state.piece = straightened(state.piece, id);
      return ok(undefined);
    case 'tellWidth': {
      const width = (p: Piece): number => edgesWithRole(p, step.role).reduce((sum, e) => sum + pathLength(e.path), 0);
      const by = width(state.piece) - width(state.original);
      if (Math.abs(by) > TOL.legs) note({ code: 'waist-grew', grade: 'look', data: { by, role: step.role } });
      return ok(undefined);
    }
    case 'matchNotches': {
      const seam = table.seams.find((s) => s.id === step.seam);
      const { original, originalSeams } = table.context;
      const then = originalSeams.find((s) => s.id === step.seam);
      if (seam && then)
        state.piece = notchesMatched(state.piece, piecesNow(table), seam, { pieces: original, seam: then });
      return ok(undefined);
    }
    case 'easeTo':
      table.seams = table.seams.map((s) => (s.id === step.seam ? { ...s, ease: step.ease } : s));
      return ok(undefined);
    case 'asBefore':
      state.piece = step.edges.reduce((piece, id) => asItWas(piece, state.original, id), state.piece);
      return ok(undefined);
    case 'redraw':
      state.piece = redrawAcross(state.piece, step.role);
      return ok(undefined);
    case 'part': {
      const size = pathLength(requireEdge(state.piece, step.edge).path);
      if (step.at <= 1 || step.at >= size - 1) return ok(undefined);
      const split = splitEdge(state.piece, step.edge, step.at);
      state.piece = split.piece;
      table.seams = seamsAfterSplit(table.seams, state.piece.id, split);
      return ok(undefined);
    }
    case 'restoreWidth':
      restore(table, state, step, note);
      return ok(undefined);
    case 'match': {
      const seams = table.seams.filter((s) => step.kinds.includes(s.kind));
      const { original, originalSeams } = table.context;
      table.findings.push(...checkPieces(piecesNow(table), seams, original, originalSeams).findings);
      return ok(undefined);
    }
  }
}

/** An edge ruled straight from end to end; its notches go straight across to the line. */
function straightened(piece: Piece, id: string): Piece {
  const was = requireEdge(piece, id).path;
  const now = straightPath(was);
  const marks = piece.marks.map((m) =>
    m.kind === 'notch' && m.edge === id ? { ...m, at: nearestLength(now, pointAt(was, m.at)) } : m,
  );
  return { ...replaceEdge(piece, id, now), marks };
}

/** An edge put back as it lay before the step, its notches with it, so that it is drawn again from its own shape. */
function asItWas(piece: Piece, original: Piece, id: string): Piece {
  const marks = piece.marks.map((m) =>
    m.kind === 'notch' && m.edge === id ? (original.marks.find((o) => o.id === m.id) ?? m) : m,
  );
  return { ...replaceEdge(piece, id, requireEdge(original, id).path), marks };
}

const nameOf = (table: TableState, id: string): string => (id === NEW_DART ? (table.newDart ?? id) : id);

const moveLandmark = (m: Mark, step: Of<'landmark'>, original: Piece): Mark => {
  if (m.kind === 'grain' && step.keepGrain) return original.marks.find((o) => o.id === m.id) ?? m;
  if (m.kind === 'bustPoint' && step.bustPoint) return { ...m, at: step.bustPoint };
  const y = m.kind === 'level' ? step.levels?.[m.name] : undefined;
  return m.kind === 'level' && y !== undefined ? { ...m, at: { x: m.at.x, y } } : m;
};

/** Cuts and moves in one go, at one stage. */
function runWhole(state: PieceState, spec: SlashSpec): Result<void> {
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

function rotateStep(table: TableState, state: PieceState, step: Of<'rotate'>): Result<void> {
  const source = nameOf(table, step.dart);
  const before = state.piece;
  const found = rotation(before, source, step.target, step.about, step.share);
  if (!found.ok) return found;
  const turned = runWhole(state, found.value.spec);
  if (!turned.ok) return turned;
  const settled = settleRotation(before, state.piece, step.target, source, found.value);
  table.newDart = settled.dart.id;
  if (settled.split) table.seams = seamsAfterSplit(table.seams, before.id, settled.split);
  state.piece = tipsAfterRotation(before, settled, source, step.bustPoint, step.setback);
  return ok(undefined);
}

/** An unsewn dart's mouth joins the seam beside it; the seam carries that much more on this side. */
function easeStep(table: TableState, state: PieceState, dart: Dart): void {
  const n = state.piece.edges.length;
  const i = state.piece.edges.findIndex((e) => e.id === dart.mouth);
  const before = state.piece.edges[(i + n - 1) % n] as Edge;
  const done = dartToEase(state.piece, dart.id);
  const notches = (['before', 'after'] as const).map((where): Mark => {
    const edge = where === 'before' ? before : (state.piece.edges[(i + 1) % n] as Edge);
    const size = pathLength(edge.path);
    const reach = Math.min(25, size / 3);
    return {
      kind: 'notch',
      id: `${dart.id} ${where}`,
      edge: edge.id,
      at: where === 'before' ? size - reach : reach,
      count: 1,
    };
  });
  state.piece = { ...done.piece, marks: [...done.piece.marks, ...notches] };
  table.seams = table.seams.map((seam) => {
    const first = seam.first.piece === state.piece.id && seam.first.edges.includes(before.id);
    const second = seam.second.piece === state.piece.id && seam.second.edges.includes(before.id);
    if (!first && !second) return seam;
    const key = first ? 'first' : 'second';
    const side = seam[key];
    const edges = side.edges.flatMap((e) =>
      e !== before.id ? [e] : side.reversed ? [dart.mouth, e] : [e, dart.mouth],
    );
    return { ...seam, ease: seam.ease + (first ? -1 : 1) * done.intake, [key]: { ...side, edges } };
  });
}
