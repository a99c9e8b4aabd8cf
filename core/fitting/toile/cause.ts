import type { MeasurementKey } from '../../pattern/index.ts';
import type { SymptomId } from '../fit/index.ts';

/** What would put a cause right. */
export type Remedy =
  /** A step of the plan; the first alteration that suits the pieces. `bust` is whichever bust adjustment does. */
  | {
      readonly kind: 'step';
      readonly alterations: readonly string[];
      /** Which way its amount goes. */
      readonly way: 1 | -1;
      /** What an amount pinned at a sign becomes in the step; signs left out tell no amount. */
      readonly per: Readonly<Partial<Record<SymptomId, number>>>;
      /** The value that is set, where it is not the step's own amount. */
      readonly key?: 'setback';
      readonly values?: Readonly<Record<string, string>>;
    }
  /** Another station decides. */
  | { readonly kind: 'station'; readonly station: 'size' | 'body' }
  /** Not a step of a plan: explained in words. */
  | { readonly kind: 'advice' };

/** A likely reason for what a fitting shows. */
export interface Cause {
  readonly id: string;
  /** How strongly each sign by itself speaks for it, 0 to 1. */
  readonly signs: Readonly<Partial<Record<SymptomId, number>>>;
  /** Signs that speak against it. */
  readonly against?: readonly SymptomId[];
  /** Measurements that tell: positive, the pattern would still have to grow there. */
  readonly reads: readonly { readonly key: MeasurementKey; readonly way: 1 | -1 }[];
  /** Measurements that must be right for it: one that is short as well points elsewhere. */
  readonly level?: readonly MeasurementKey[];
  /** The size was chosen so: makes it likelier. */
  readonly sizedBy?: 'fullBust';
  readonly remedy: Remedy;
  /** Alterations in the plan that would have caused it themselves. */
  readonly overdone?: readonly string[];
}

/** A step of the plan as a remedy. */
export const step = (
  alterations: readonly string[],
  way: 1 | -1,
  per: Readonly<Partial<Record<SymptomId, number>>>,
  more: { readonly key?: 'setback'; readonly values?: Readonly<Record<string, string>> } = {},
): Remedy => ({ kind: 'step', alterations, way, per, ...more });
