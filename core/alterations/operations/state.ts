import {
  carryBeyond,
  layBustLine,
  settledBustLine,
  settledNeckBase,
  type Dart,
  type Piece,
  type Seam,
} from '../../pattern/index.ts';
import { ok, type Result } from '../../units/index.ts';
import type { Divided, Gap, Panel, Progress, SlashSpec } from '../../paper/slash/index.ts';
import type { Finding } from '../../paper/truing/index.ts';
import type { Context, PieceFrame } from '../contract.ts';
import { NEW_DART, type Dimension, type MarkLine, type MarkPoint } from '../message.ts';

/** One piece while a program is carried out. Local to a run: nothing of it is shared or kept. */
export interface PieceState {
  readonly original: Piece;
  piece: Piece;
  lines: readonly MarkLine[];
  points: readonly MarkPoint[];
  panels: readonly Panel[];
  gaps: readonly Gap[];
  dimensions: readonly Dimension[];
  moves: PieceFrame['moves'];
  /** The divided paper of the slash under way, so that each of its stages starts from the same cut. */
  slashed: { readonly spec: SlashSpec; readonly divided: Divided; readonly at: Progress } | null;
}

export interface TableState {
  readonly context: Context;
  readonly primary: string;
  readonly pieces: Map<string, PieceState>;
  seams: readonly Seam[];
  findings: Finding[];
  /** The dart the program made, for the steps that finish it. */
  newDart: string | null;
}

const fresh = (piece: Piece): PieceState => ({
  original: piece,
  piece,
  lines: [],
  points: [],
  panels: [],
  gaps: [],
  dimensions: [],
  moves: null,
  slashed: null,
});

/** The state of a piece, begun when a program first touches it. Throws on a piece that is not there. */
export function stateFor(table: TableState, id: string): PieceState {
  const known = table.pieces.get(id);
  if (known) return known;
  const piece = table.context.pieces.find((p) => p.id === id);
  if (!piece) throw new Error(`interpret: expected piece "${id}"`);
  const state = fresh(piece);
  table.pieces.set(id, state);
  return state;
}

/** A piece that did not exist before: what another was divided into. */
export function bringIn(table: TableState, piece: Piece): void {
  table.pieces.set(piece.id, fresh(piece));
}

/**
 * What hangs on the paper of every piece that was changed: the tape around the bust goes to where the seams lie now, the
 * neck base onto the shoulder seam, extension and facing along with the centre.
 */
export function settlePieces(table: TableState): Result<void> {
  for (const state of table.pieces.values()) {
    if (state.piece === state.original) continue;
    const carried = carryBeyond(state.original, state.piece);
    if (!carried.ok) return carried;
    state.piece = settledNeckBase(settledBustLine(layBustLine(state.original, carried.value)));
  }
  return ok(undefined);
}

/** Every piece as it is now. */
export const piecesNow = (table: TableState): readonly Piece[] => [
  ...table.context.pieces.map((p) => table.pieces.get(p.id)?.piece ?? p),
  ...[...table.pieces.values()].map((s) => s.piece).filter((p) => !table.context.pieces.some((q) => q.id === p.id)),
];

/** The name of a dart: the one the program itself has made where it says `NEW_DART`. */
export const dartName = (table: TableState, id: string): string => (id === NEW_DART ? (table.newDart ?? id) : id);

/** A dart by name; undefined where it has gone by then. */
export const findDart = (table: TableState, piece: Piece, id: string): Dart | undefined =>
  piece.darts.find((d) => d.id === dartName(table, id));

/** Tells something about a piece. */
export const note = (table: TableState, { piece }: PieceState, finding: Omit<Finding, 'piece'>): void =>
  void table.findings.push({ ...finding, piece: piece.id });
