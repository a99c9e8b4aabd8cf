import { z } from 'zod';
import { SYMPTOM_IDS, TISSUE_CHECK_IDS, VIEWS } from '../fitting/fit/index.ts';
import { daySchema as date, idSchema as id, pointSchema } from '../pattern/index.ts';

/** What was changed in the plan because of an observation. Amounts in mm; null for a step without an amount. */
export const answerSchema = z.object({
  did: z.enum(['add', 'edit', 'undo']),
  cause: id,
  step: id,
  alteration: id,
  from: z.number().nullable(),
  to: z.number().nullable(),
  date,
});

/** An observation at a fitting: what, where, on which side, and how much was pinned. */
export const observationSchema = z.object({
  id,
  sign: z.enum(SYMPTOM_IDS),
  view: z.enum(VIEWS),
  /** Position on the figure, 200 × 420, as seen by the viewer. */
  at: pointSchema,
  side: z.enum(['both', 'left', 'right']).default('both'),
  /** Signed as the symptom counts it, mm; null when nothing was pinned. */
  pinned: z.number().min(0).max(400).nullable().default(null),
  note: z.string().max(1000).default(''),
  answers: z.array(answerSchema).max(12).default([]),
});

/** The most a document may hold. */
export const MOST = { fittings: 60, versions: 60, observations: 80, photos: 40 } as const;

export const RESULTS = ['gone', 'less', 'same', 'more'] as const;
export const VERDICTS = ['open', 'alter', 'good'] as const;
export const FITTING_KINDS = ['form', 'tissue', 'toile', 'garment'] as const;

/** A picture taken at a fitting; its bytes are kept beside the documents. */
export const photoSchema = z.object({
  id,
  width: z.number().int().min(1).max(10_000),
  height: z.number().int().min(1).max(10_000),
  caption: z.string().max(400).default(''),
});

export const fittingSchema = z.object({
  id,
  date,
  kind: z.enum(FITTING_KINDS).default('toile'),
  /** The version of the plan it was sewn or pinned from. */
  version: id.nullable().default(null),
  /** For a tissue-fit: the checks already made. */
  checks: z.partialRecord(z.enum(TISSUE_CHECK_IDS), z.enum(['lines-up', 'differs', 'skipped'])).default({}),
  observations: z.array(observationSchema).max(MOST.observations).default([]),
  /** What became of the observations of earlier fittings. */
  followed: z
    .array(z.object({ observation: id, result: z.enum(RESULTS) }))
    .max(200)
    .default([]),
  photos: z.array(photoSchema).max(MOST.photos).default([]),
  sitting: z.string().max(1000).default(''),
  armsForward: z.string().max(1000).default(''),
  walking: z.string().max(1000).default(''),
  notes: z.string().max(4000).default(''),
  verdict: z.enum(VERDICTS).default('open'),
});

export type Answer = z.infer<typeof answerSchema>;
export type Observation = z.infer<typeof observationSchema>;
export type Fitting = z.infer<typeof fittingSchema>;
export type FittingPhoto = z.infer<typeof photoSchema>;
export type FollowUp = (typeof RESULTS)[number];
