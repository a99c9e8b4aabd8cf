import { draft, type Draft } from '../fitting/plan/index.ts';
import { causewayPattern } from '../blocks/index.ts';
import {
  fittingSchema,
  observationSchema,
  stepSchema,
  wearerSchema,
  type Fitting,
  type Observation,
  type Step,
} from '../documents/index.ts';
import { symptomOf, type SymptomId } from '../fitting/fit/index.ts';

const pattern = causewayPattern();

/** A step of a plan, with nothing set but what is given. */
export const stepOf = (id: string, alteration: string, fields: Partial<Step> = {}): Step =>
  stepSchema.parse({ id, alteration, revision: 1, ...fields });

/** Causeway in size 4 (shoulder 122, centre back 404, side 196) with a plan, for a body. */
export const drafted = (steps: readonly Step[] = [], readings: Record<string, number[]> = {}): Draft =>
  draft({
    job: { size: '4', sizeMethod: 'highBust', steps: [...steps] },
    wearer: wearerSchema.parse({
      format: 'ample-draft/wearer',
      version: 1,
      id: 'w',
      name: 'W',
      sets: [{ id: 's', date: '2026-10-01', readings: { highBust: [870], fullBust: [920], ...readings } }],
    }),
    pattern,
  });

let count = 0;
export function seenAs(sign: SymptomId, fields: Partial<Observation> = {}): Observation {
  const { view, at } = symptomOf(sign);
  return observationSchema.parse({ id: `o${++count}`, sign, view, at, ...fields });
}

export const fittingOf = (date: string, observations: readonly Observation[], fields: Partial<Fitting> = {}): Fitting =>
  fittingSchema.parse({ id: `f-${date}`, date, observations, ...fields });
