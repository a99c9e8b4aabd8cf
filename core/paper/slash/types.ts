import type { Path, Point, Rigid } from '../../geometry/index.ts';
import type { Piece } from '../../pattern/index.ts';
import type { Gap } from './gaps.ts';
import type { Cut, GraphError, SlashGraph } from './graph.ts';
import type { PanelSpec } from './motion.ts';

export interface Hinge {
  readonly id: string;
  readonly at: Point;
  /** The panels whose paper stays attached here. */
  readonly panels: readonly [string, string];
}

export interface SlashSpec {
  readonly cuts: readonly Cut[];
  readonly hinges: readonly Hinge[];
  /** Panels that move; a panel not named rests. */
  readonly panels: readonly PanelSpec[];
}

export interface Panel {
  readonly id: string;
  /** Closed, before the motion. */
  readonly outline: Path;
  readonly motion: Rigid;
}

export interface LengthChange {
  readonly before: number;
  readonly after: number;
}

export interface SlashResult {
  readonly piece: Piece;
  readonly panels: readonly Panel[];
  readonly gaps: readonly Gap[];
  readonly lengths: Readonly<Record<string, LengthChange>>;
}

export type SlashError = GraphError | 'panel-not-found' | 'panels-not-separated' | 'hinge-torn' | 'overlap-too-large';

/** A graph once divided can be opened at many amounts: dividing costs more than moving. */
export interface Divided {
  readonly piece: Piece;
  readonly graph: SlashGraph;
  /** Panel id of each face. */
  readonly names: readonly string[];
  /** What every movement needs and none changes: panel outlines, lengths, and the face each mark lies in. */
  readonly outlines: readonly Path[];
  readonly edgeLengths: readonly number[];
  readonly portionLengths: readonly number[];
  readonly dartFaces: readonly number[];
  /** Of each mark, for each of its anchors, the face it lies in twice; on a cut the faces on both sides of it. */
  readonly markFaces: readonly (readonly (readonly [number, number])[])[];
}
