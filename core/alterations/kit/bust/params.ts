import type { Param, Values } from '../../contract.ts';
import { choiceOf } from '../../engine/values.ts';

/** The values every bust alteration has, by key; a definition picks those it uses. */
export const BUST_PARAMS = {
  total: { kind: 'length', key: 'total', min: -160, max: 300, initial: 25, step: 1, signed: true },
  whose: { kind: 'choice', key: 'whose', options: ['wearer', 'waist', 'pattern', 'darts', 'tip'], initial: 'wearer' },
  bustPoint: { kind: 'point', key: 'bustPoint', initial: null },
  hinge: { kind: 'share', key: 'hinge', min: 0.3, max: 0.95, initial: 0.64 },
  hingePoint: { kind: 'point', key: 'hingePoint', initial: null },
  setback: { kind: 'length', key: 'setback', min: 5, max: 80, initial: 25, step: 1 },
  newBustPoint: { kind: 'choice', key: 'newBustPoint', options: ['middle', 'moved'], initial: 'middle' },
  waistDart: { kind: 'choice', key: 'waistDart', options: ['widen', 'keep'], initial: 'widen' },
  waistWidth: { kind: 'choice', key: 'waistWidth', options: ['straight', 'curved', 'keep'], initial: 'straight' },
  below: { kind: 'length', key: 'below', min: 25, max: 150, initial: 50, step: 1 },
  ending: { kind: 'choice', key: 'ending', options: ['dart', 'hem', 'ease'], initial: 'dart' },
} as const satisfies Record<string, Param>;

export const pick = (...keys: readonly (keyof typeof BUST_PARAMS)[]): readonly Param[] =>
  keys.map((k) => BUST_PARAMS[k]);

/** 25 mm behind the bust point, 5 more for every cup beyond the draft, at most 50. */
export const suggestSetback = (total: number): Values => ({
  setback: Math.min(50, 25 + 5 * Math.max(0, Math.round(total / 25))),
});

/** Refusals that any bust alteration on one front may give. */
export const BUST_REFUSALS = [
  'front-not-found',
  'centre-front-missing',
  'front-has-princess',
  'side-missing',
  'bust-point-unknown',
  'bust-point-outside',
  'hinge-not-on-armhole',
  'hinge-below-bust-point',
  'spread-beyond-reach',
  'line-misses-hem',
  'overlap-too-large',
  'cut-leaves-piece',
] as const;

/** A choice that not every bust alteration has. */
export const choice = (values: Values, key: string, otherwise: string): string =>
  key in values ? choiceOf(values, key) : otherwise;
