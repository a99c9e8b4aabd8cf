import { formUnder, standFor, worn, type Worn } from '../drape/index.ts';
import type { Body } from '../form/index.ts';
import type { Garment } from '../sew/index.ts';
import { expectOk } from '../units/index.ts';

/** A garment of calico at rest on the form of a body, coarse; from where it lay before, if it did. */
export const onBody = (garment: Garment, body: Body, before?: Worn): Worn =>
  expectOk(worn(garment, standFor(formUnder(garment, body).figure, garment), 'calico', 'coarse', before), 'worn');
