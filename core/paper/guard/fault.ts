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
 * Something that must not be cut: what is wrong, on which piece, where. It has the shape of a finding, so that
 * everything that shows findings shows faults.
 */
export interface Fault {
  readonly code: FaultCode;
  readonly grade: 'fault';
  /** Id of the piece. */
  readonly piece: string;
  readonly at?: Point;
  readonly data: Readonly<Record<string, string | number>>;
}

/** How closely a piece is looked at: `quick` while something is dragged, `complete` before anything is kept. */
export type Care = 'quick' | 'complete';
