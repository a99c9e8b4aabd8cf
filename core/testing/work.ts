import { alterationById, runAlteration, type Context, type Run, type Values } from '../alterations/index.ts';
import { endOf, pathLength, type Point } from '../geometry/index.ts';
import { edgesWithRole, requireEdge, type EdgeRole, type Piece } from '../pattern/index.ts';
import { expectOk } from '../units/index.ts';

/** Carries an alteration out by its id; fails loudly when it is refused. */
export function work(id: string, context: Context, values: Values): Run {
  const d = alterationById(id);
  if (!d) throw new Error(`work: expected an alteration "${id}"`);
  return expectOk(runAlteration(d, context, values), `${id} ${JSON.stringify(values)}`);
}

/** The code an alteration is refused with, or "ran". */
export function refusal(id: string, context: Context, values: Values): string {
  const d = alterationById(id);
  if (!d) throw new Error(`refusal: expected an alteration "${id}"`);
  const r = runAlteration(d, context, values);
  return r.ok ? 'ran' : r.error.code;
}

export function pieceIn(from: Run | Context, id: string): Piece {
  const piece = from.pieces.find((p) => p.id === id);
  if (!piece) throw new Error(`pieceIn: expected "${id}"`);
  return piece;
}

export const lengthOf = (from: Run | Context, piece: string, edge: string): number =>
  pathLength(requireEdge(pieceIn(from, piece), edge).path);

/** Length of all edges of a role on a piece, darts between them left out. */
export const roleOf = (from: Run | Context, piece: string, role: EdgeRole): number =>
  edgesWithRole(pieceIn(from, piece), role).reduce((n, e) => n + pathLength(e.path), 0);

export const startOf = (from: Run | Context, piece: string, edge: string): Point =>
  requireEdge(pieceIn(from, piece), edge).path.start;
export const finishOf = (from: Run | Context, piece: string, edge: string): Point =>
  endOf(requireEdge(pieceIn(from, piece), edge).path);

/** Degrees every panel of a piece has turned, by its id, once it is opened. */
export const turnsOf = (run: Run, piece: string): Readonly<Record<string, number>> =>
  Object.fromEntries(
    (run.frames.find((f) => f.stage === 'open')?.pieces.find((p) => p.piece.id === piece)?.panels ?? []).map((p) => [
      p.id,
      (p.motion.angle * 180) / Math.PI,
    ]),
  );
