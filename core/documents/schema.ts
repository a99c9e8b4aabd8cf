import { z } from 'zod';
import { GARMENTS } from '../fitting/fit/ease.ts';
import {
  daySchema as date,
  HEIGHT_LIES,
  idSchema as id,
  keySchema,
  measurementKeySchema,
  nameSchema,
  onceEach,
  patternSchema,
  pointSchema,
} from '../pattern/index.ts';
import { fittingSchema, MOST } from './schemaFitting.ts';

export * from './schemaFitting.ts';

/** Version 2 added fittings, versions and labels; since 3 a step's values hold an amount only when it was typed. */
export const JOB_VERSION = 10;
/** Readings are kept as typed: bounds are wide, and the fit queries what is unlikely. */
const reading = z.number().min(-10_000).max(100_000);

export const measurementSetSchema = z.object({
  id,
  date,
  readings: z.partialRecord(measurementKeySchema, z.array(reading).min(1).max(2)),
  /** Taken again on the wearer’s right, where that side differs; `readings` are then the left’s. */
  right: z.partialRecord(measurementKeySchema, z.array(reading).min(1).max(2)).default({}),
  /** A note on one reading: how the tape lay, what was worn. */
  remarks: z.partialRecord(measurementKeySchema, z.string().max(400)).default({}),
  /** Copied from the previous set, not measured again. */
  carried: z.array(measurementKeySchema).max(40).default([]),
  notes: z.string().max(2000).default(''),
});

const amountSchema = z.record(keySchema, z.union([z.number(), z.string().max(80)]));
/** The alterations of one finished job, and the body they were made for. */
export const lessonSchema = z.object({
  job: id,
  pattern: z.string().max(160),
  date,
  steps: z.array(z.object({ alteration: id, side: z.enum(['both', 'left', 'right']), values: amountSchema })).max(60),
  body: z.partialRecord(measurementKeySchema, z.number()),
});

export const wearerSchema = z.object({
  format: z.literal('ample-draft/wearer'),
  version: z.literal(1),
  id,
  name: nameSchema(120),
  sets: z.array(measurementSetSchema).max(200).default([]),
  /** Preferred bust ease, mm; null takes the garment's default. */
  bustEase: z.number().min(-200).max(600).nullable().default(null),
  /** Preferred ease by kind of garment, whole body, mm. */
  eases: z
    .partialRecord(z.enum(GARMENTS), z.partialRecord(measurementKeySchema, z.number().min(-400).max(800)))
    .default({}),
  /** Where the difference in height lies, when the wearer knows. */
  heightLies: z.enum(HEIGHT_LIES).default('allOver'),
  /** What was learnt from finished jobs, one entry per job. */
  learnt: z.array(lessonSchema).max(200).default([]),
  notes: z.string().max(2000).default(''),
});

const valueSchema = z.union([z.number(), z.string().max(80), pointSchema, z.null()]);

export const stepSchema = z.object({
  id,
  alteration: id,
  revision: z.number().int().min(1),
  /** The method that computes the bust amount; a typed amount in `values` takes precedence. */
  school: z.enum(['auto', 'finished', 'chart', 'cup', 'whole', 'knit']).default('auto'),
  /** Share of the amount a knit takes, chosen by hand; null takes the usual half. */
  knitFactor: z.number().min(0).max(1).nullable().default(null),
  values: z.record(keySchema, valueSchema).default({}),
  side: z.enum(['both', 'left', 'right']).default('both'),
  on: z.boolean().default(true),
});

// Strict, so that a faulty inline document is never taken for a reference.
const fileRef = z.strictObject({ file: z.string().min(1).max(400) });
const idRef = z.strictObject({ id });
const sampleRef = z.strictObject({ sample: id });

/** What a job chooses; a version keeps the same. */
const choices = {
  /** The size chosen by hand; null follows the rule. */
  size: id.nullable().default(null),
  sizeMethod: z.enum(['highBust', 'fullBust', 'hip']).default('highBust'),
  /** The cup taken of a pattern sold in several; null follows the rule. */
  cup: z.string().max(20).nullable().default(null),
  /** The view made of a pattern that holds several; null takes the first. */
  view: z.string().max(60).nullable().default(null),
  /**
   * The weight of the skirt hanging from a stretch bodice, grams, and how much 100 g lengthen it, mm; null when none
   * hangs.
   */
  hanging: z
    .object({ grams: z.number().min(0).max(20_000), stretch: z.number().min(0).max(200) })
    .nullable()
    .default(null),
  steps: z
    .array(stepSchema)
    .max(60)
    .refine(...onceEach)
    .default([]),
  /** How new steps are put in order: top down, or the bust before everything else. */
  order: z.enum(['topDown', 'bustFirst']).default('topDown'),
};

/** A named state of a job: its choices, and what they were worked out from. */
export const versionSchema = z.object({
  id,
  name: z.string().max(160),
  /** Date and time, ISO. */
  at: z.string().max(40),
  ...choices,
  body: wearerSchema.pick({ sets: true, bustEase: true, eases: true, heightLies: true }),
  /** The pattern where it is one's own; null for one that never changes. */
  pattern: patternSchema.nullable().default(null),
});

/** The job this one was copied from; what needs checking again is worked out from it. */
export const againSchema = z.object({
  job: id,
  title: z.string().max(160),
  fabric: z.string().max(400),
  date,
  body: z.partialRecord(measurementKeySchema, z.number()),
});

export const jobSchema = z.object({
  format: z.literal('ample-draft/job'),
  version: z.literal(JOB_VERSION),
  id,
  title: z.string().max(160).default(''),
  wearer: z.union([wearerSchema, fileRef, idRef]),
  pattern: z.union([patternSchema, fileRef, sampleRef, idRef]),
  ...choices,
  /** When the garment was finished: its plan has then taught the wearer's profile. */
  finished: date.nullable().default(null),
  due: date.nullable().default(null),
  fittings: z.array(fittingSchema).max(MOST.fittings).default([]),
  versions: z.array(versionSchema).max(MOST.versions).default([]),
  /** A word on the label of a piece, by piece id. */
  labels: z.record(keySchema, z.string().max(200)).default({}),
  again: againSchema.nullable().default(null),
  /** Archived: hidden from the rail but kept. */
  archived: z.boolean().default(false),
  fabric: z.string().max(400).default(''),
  notes: z.string().max(4000).default(''),
  demo: z.boolean().default(false),
});

export type Wearer = z.infer<typeof wearerSchema>;
export type Job = z.infer<typeof jobSchema>;
export type Version = z.infer<typeof versionSchema>;
export type Step = z.infer<typeof stepSchema>;
export type Lesson = z.infer<typeof lessonSchema>;
