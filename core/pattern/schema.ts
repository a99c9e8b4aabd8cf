import { z } from 'zod';
import { idSchema as id, nameSchema, onceEach } from './names.ts';

/**
 * The documents' shapes, and the only source of their types. Coordinates are mm in piece space
 * (x right, y down, neck at the top); every number must be finite and within ten metres.
 */
const coordinate = z.number().min(-10_000).max(10_000);
const text = z.string().max(2000);

export const pointSchema = z.object({ x: coordinate, y: coordinate });

export const segmentSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('line'), to: pointSchema }),
  z.object({ kind: z.literal('cubic'), c1: pointSchema, c2: pointSchema, to: pointSchema }),
]);

export const pathSchema = z.object({ start: pointSchema, segments: z.array(segmentSchema).min(1).max(400) });

export const EDGE_ROLES = [
  'centreFront',
  'centreBack',
  'neck',
  'shoulder',
  'armhole',
  'side',
  'waist',
  'hem',
  'princess',
  'raglan',
  /** The seam under a cut-on sleeve, from its hem to the side. */
  'underarm',
  'sleeveHem',
  /** The head of a sleeve, sewn into the armhole. */
  'cap',
  /** Of trousers: the seam down the centre to the inseam, and the inner seam of the leg. */
  'crotch',
  'inseam',
  /** Where a yoke and the piece below it are sewn together. */
  'yoke',
  'dart',
  'other',
] as const;
export const edgeRoleSchema = z.enum(EDGE_ROLES);

export const edgeSchema = z.object({
  id,
  role: edgeRoleSchema,
  path: pathSchema,
  /** Seam allowance outside the seam line, mm. */
  allowance: z.number().min(0).max(100).default(15),
});

export const DART_KINDS = ['side', 'waist', 'shoulder', 'armhole', 'neck', 'french', 'elbow', 'other'] as const;
export const dartSchema = z.object({
  id,
  kind: z.enum(DART_KINDS),
  /** The edge (role `dart`) across the open end; the legs run from its two ends to the tip. */
  mouth: id,
  tip: pointSchema,
  /** Towards which end of the mouth the closed dart is pressed. */
  foldToward: z.enum(['start', 'end']),
  /** Cut along its legs instead of folded: the seam allowance there, mm; absent for a folded dart. */
  cutAway: z.number().min(3).max(60).optional(),
});

export const LEVELS = ['bust', 'waist', 'hip', 'crotch', 'knee', 'elbow', 'lengthenShorten'] as const;
export const levelNameSchema = z.enum(LEVELS);

/** What pinning a yoke to a piece would lose: how each of the two is cut, and what its edges are called. */
const pinnedSchema = z.object({
  yoke: z.object({
    id,
    name: nameSchema(120),
    cut: z.number(),
    folded: z.boolean(),
    seam: id,
    centre: id,
    armhole: id,
    allowance: z.number(),
    notes: text,
  }),
  below: z.object({ name: nameSchema(120), seam: id, allowance: z.number() }),
  grain: z.object({ from: pointSchema, to: pointSchema }).nullable(),
});

export const markSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('notch'),
    id,
    edge: id,
    at: z.number().min(0).max(10_000),
    count: z.number().int().min(1).max(3).default(1),
  }),
  z.object({ kind: z.literal('grain'), id, from: pointSchema, to: pointSchema }),
  z.object({ kind: z.literal('level'), id, name: levelNameSchema, at: pointSchema }),
  z.object({ kind: z.literal('bustPoint'), id, at: pointSchema }),
  z.object({ kind: z.literal('drill'), id, at: pointSchema }),
  /** Where the body's neck begins at the shoulder, when the neckline lies elsewhere. May lie off the paper. */
  z.object({ kind: z.literal('neckBase'), id, at: pointSchema }),
  /** The nape on a back, the pit of the neck on a front, when the neckline lies elsewhere. May lie off the paper. */
  z.object({ kind: z.literal('neckCentre'), id, at: pointSchema }),
  /**
   * A dart without a mouth: two tips, and between them its widest line, square to the line from tip to tip, at a share
   * of that line from the upper tip. Its legs are straight, or curved: at a share t of the way from a tip to the widest line
   * half of it is width / 2 · t · (1 + curve · (1 − t)); at 1 they run level over the widest line, below 0 they are hollow.
   */
  z.object({
    kind: z.literal('doubleDart'),
    id,
    upper: pointSchema,
    lower: pointSchema,
    widest: z.number().min(0.01).max(0.99),
    /** What it takes in there, mm. */
    width: z.number().min(0).max(400),
    curve: z.number().min(-1).max(1).default(0),
  }),
  /** On a piece a yoke is pinned to: where the two are cut apart again, from the centre to the armhole. Never stored. */
  z.object({
    kind: z.literal('yokeLine'),
    id,
    path: pathSchema,
    /** The edge of the piece below, where it has been drawn away from the yoke’s. */
    lower: pathSchema.nullable().default(null),
    pinned: pinnedSchema,
  }),
]);

/**
 * What is cut in one with a piece beyond its centre: a button extension, and a facing that is folded back. The edges run
 * on in outline order from the start of the centre edge to its end, and are divided where a fold line meets them.
 */
export const beyondSchema = z.object({
  edges: z.array(edgeSchema).min(1).max(20),
  folds: z
    .array(z.object({ from: pointSchema, to: pointSchema }))
    .max(4)
    .default([]),
});

/** Buttons on the centre line: the highest and the lowest are placed, the others spaced evenly between them. */
export const buttonsSchema = z.object({
  count: z.number().int().min(1).max(40),
  /** Below the upper end of the centre, and above its lower end, mm. */
  first: z.number().min(0).max(1000),
  last: z.number().min(-50).max(1500),
  /** One of them level with the bust; one at the waist. */
  atBust: z.boolean().default(false),
  atWaist: z.boolean().default(false),
});

/** A straight stretch of a tape, around the bust or the waist, on one part of the paper. */
export const tapeStretchSchema = z.object({ from: pointSchema, to: pointSchema });

export const PARTS = [
  'front',
  'sideFront',
  'back',
  'sideBack',
  'sleeve',
  'skirtFront',
  'skirtBack',
  'trouserFront',
  'trouserBack',
  'waistband',
  'flyFacing',
  'facingFront',
  'facingBack',
  'yoke',
  'band',
  'collar',
  'cuff',
  'pocket',
  'other',
] as const;
/** More bits of line than this no pattern's piece has; every pair of them is looked at for crossings. */
const MOST_SEGMENTS = 4000;
const fewEnough = (edges: readonly { readonly path: { readonly segments: readonly unknown[] } }[]): boolean =>
  edges.reduce((sum, e) => sum + e.path.segments.length, 0) <= MOST_SEGMENTS;

export const pieceSchema = z.object({
  id,
  name: nameSchema(120),
  part: z.enum(PARTS),
  /** How many are cut. */
  cut: z.number().int().min(1).max(20).default(1),
  /** The edge placed on the fold, or null. */
  fold: id.nullable().default(null),
  /** True when the piece is half of what it becomes on the body. */
  half: z.boolean().default(true),
  edges: z
    .array(edgeSchema)
    .min(3)
    .max(60)
    .refine(...onceEach)
    .refine(fewEnough, `a piece has at most ${MOST_SEGMENTS} bits of line`),
  darts: z
    .array(dartSchema)
    .max(20)
    .refine(...onceEach)
    .default([]),
  marks: z
    .array(markSchema)
    .max(200)
    .refine(...onceEach)
    .default([]),
  /** Where the tape around the bust has gone with the paper; left out while the piece is as drafted. */
  bustLine: z.array(tapeStretchSchema).min(1).max(60).optional(),
  /** Where the waist lies on a piece that was folded across there; left out while its waist level tells. */
  waistLine: z.array(tapeStretchSchema).min(1).max(60).optional(),
  /** How far a step has cut the underarm below the body's for the arm's sake, mm; left out while it has not. */
  underarmLowered: z.number().min(-200).max(200).optional(),
  beyond: beyondSchema.optional(),
  buttons: buttonsSchema.optional(),
  notes: text.default(''),
});

export const seamSideSchema = z.object({
  piece: id,
  /** Edges in the order walked; the dart mouths between them are left out. */
  edges: z.array(id).min(1).max(20),
  /** True when the walk runs against the outline. */
  reversed: z.boolean().default(false),
  /** Only the part between these two notches, the first met on the walk first: a pocket in a side seam. */
  between: z.tuple([id, id]).optional(),
  /** Where the walk goes on over another piece: an armhole over a yoke and the back below it. */
  then: z.object({ piece: id, edges: z.array(id).min(1).max(20), reversed: z.boolean().default(false) }).optional(),
});
export const SEAM_KINDS = [
  'shoulder',
  'side',
  'princess',
  'raglan',
  'waist',
  'armhole',
  'neck',
  'pocket',
  'inseam',
  'other',
] as const;
export const seamSchema = z.object({
  id,
  kind: z.enum(SEAM_KINDS),
  first: seamSideSchema,
  second: seamSideSchema,
  /** How much longer the second side is drafted, mm. */
  ease: z.number().min(-200).max(200).default(0),
});

export const MEASUREMENTS = [
  'highBust',
  'fullBust',
  'underbust',
  'waist',
  'highHip',
  'hip',
  'hipDepth',
  'neck',
  'shoulder',
  'shoulderSlope',
  'crossBack',
  'crossFront',
  'napeToWaist',
  'napeToBustPoint',
  'napeToFrontWaist',
  'frontWaistLength',
  'neckPointToBustPoint',
  'bustPointToWaist',
  'bustSpan',
  'napeToUnderarm',
  'sideWaist',
  'armhole',
  'upperArm',
  'wrist',
  'shoulderToElbow',
  'shoulderToWrist',
  'crotchDepth',
  'crotchLength',
  'thigh',
  'knee',
  'waistToKnee',
  'outsideLeg',
  'skirtLength',
  'height',
] as const;
/** Where a body is taller or shorter than the pattern: all over, in the torso, or in the legs. */
export const HEIGHT_LIES = ['allOver', 'torso', 'legs'] as const;

export const measurementKeySchema = z.enum(MEASUREMENTS);

export const chartRowSchema = z.object({
  size: id,
  body: z.partialRecord(measurementKeySchema, z.number().positive().max(4000)),
});

/** 2: where the neck, the centre and the underarm of the body lie. 3: cuffs, elbow darts and elbow lines. 4: trousers. */
export const PATTERN_VERSION = 8;

export const patternSchema = z.object({
  format: z.literal('ample-draft/pattern'),
  version: z.literal(PATTERN_VERSION),
  id,
  house: z.string().max(120).default(''),
  number: z.string().max(40).default(''),
  name: nameSchema(120),
  fabric: z
    .object({ kind: z.enum(['woven', 'knit']), stretch: z.number().min(0).max(2).default(0) })
    .default({ kind: 'woven', stretch: 0 }),
  style: z.enum(['fitted', 'loose']).default('fitted'),
  /** What it hangs from: the size is chosen by high bust, or by hip. */
  garment: z.enum(['top', 'bottom']).default('top'),
  /** Full bust minus high bust that the draft assumes, mm. */
  draftCup: z.number().min(0).max(400).default(50),
  /**
   * Cups the pattern is sold in; pieces drawn for a cup stand under "size cup" in `sizes`, what is the same for all under
   * the size alone. Empty: one cup, `draftCup`.
   */
  cups: z
    .array(
      z.object({
        name: nameSchema(20),
        cup: z.number().min(0).max(400),
        /** A ready-made piece for a full bust so many sizes above (or below) the size; null: `cup` on every row. */
        sizesUp: z.number().int().min(-3).max(3).nullable().default(null),
      }),
    )
    .max(12)
    .default([]),
  /**
   * Garments the pattern may be made up as, each by the pieces it takes: another sleeve, another hem, with or without a
   * collar. A piece that several take is one; a piece that none names belongs to all of them.
   */
  views: z
    .array(z.object({ name: nameSchema(60), pieces: z.array(id).max(60) }))
    .max(12)
    .default([]),
  /** Ease at the bust that the draft was meant to have, whole body, mm; null takes the usual of its cloth. */
  bustEase: z.number().min(-400).max(600).nullable().default(null),
  draftedHeight: z.number().min(500).max(2500).nullable().default(null),
  chart: z.array(chartRowSchema).min(1).max(40),
  /** Finished garment measurements printed on the envelope, whole body, mm. */
  finished: z.record(id, z.object({ bust: z.number().positive().max(4000) })).default({}),
  /** Flat measurements taken by hand on paper pieces, size by size, as the body is measured, mm. */
  flat: z.record(id, z.partialRecord(measurementKeySchema, z.number().positive().max(4000))).default({}),
  /** By size, how far the underarm is drafted below the body's, mm, where entered by hand; otherwise taken from the chart. */
  underarmDrop: z.record(id, z.number().min(-60).max(400)).default({}),
  seams: z
    .array(seamSchema)
    .max(100)
    .refine(...onceEach)
    .default([]),
  /** The pieces of every size, along the seam line. */
  sizes: z.record(
    id,
    z
      .array(pieceSchema)
      .max(60)
      .refine(...onceEach),
  ),
  /** With paper only: the sample draft it is like, on which hand sheets are drawn; null takes the nearest. */
  like: id.nullable().default(null),
  /** Seam allowance of the paper pieces, mm. */
  allowance: z.number().min(0).max(100).default(15),
  notes: text.default(''),
});
