import type { Point } from '../../geometry/index.ts';

export const FAULT_CODES = [
  'edges-do-not-join',
  'edge-without-length',
  'id-repeated',
  'fold-missing',
  'outline-crosses',
  'outline-inside-out',
  'piece-too-small',
  'dart-mouth-missing',
  'dart-tip-outside',
  'dart-leaves-piece',
  'darts-cross',
  'notch-off-edge',
  'cutting-line-crosses',
  'cutting-line-off',
  'seam-broken',
] as const;
export type FaultCode = (typeof FAULT_CODES)[number];

/**
 * Something that makes a piece unfit to cut: what, on which piece, where. Shaped like a finding, so every view of
 * findings shows faults too.
 */
export interface Fault {
  readonly code: FaultCode;
  readonly grade: 'fault';
  /** Id of the piece. */
  readonly piece: string;
  readonly at?: Point;
  readonly data: Readonly<Record<string, string | number>>;
}

/** How thoroughly a piece is checked: `quick` during a drag, `complete` before anything is saved. */
export type Care = 'quick' | 'complete';
