import type { z } from 'zod';
import type * as s from './schema.ts';

type Deep<T> = T extends readonly (infer U)[]
  ? readonly Deep<U>[]
  : T extends object
    ? { readonly [K in keyof T]: Deep<T[K]> }
    : T;

export type Edge = Deep<z.infer<typeof s.edgeSchema>>;
export type EdgeRole = z.infer<typeof s.edgeRoleSchema>;
export type Dart = Deep<z.infer<typeof s.dartSchema>>;
export type Mark = Deep<z.infer<typeof s.markSchema>>;
export type LevelName = z.infer<typeof s.levelNameSchema>;
export type TapeStretch = Deep<z.infer<typeof s.tapeStretchSchema>>;
export type Beyond = Deep<z.infer<typeof s.beyondSchema>>;
export type Buttons = Deep<z.infer<typeof s.buttonsSchema>>;
export type Piece = Deep<z.infer<typeof s.pieceSchema>>;
export type SeamSide = Deep<z.infer<typeof s.seamSideSchema>>;
export type Seam = Deep<z.infer<typeof s.seamSchema>>;
export type Pattern = Deep<z.infer<typeof s.patternSchema>>;
export type ChartRow = Deep<z.infer<typeof s.chartRowSchema>>;
export type MeasurementKey = z.infer<typeof s.measurementKeySchema>;
export type HeightLies = (typeof s.HEIGHT_LIES)[number];
