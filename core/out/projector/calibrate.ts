import { ok, refuse, type Result } from '../../units/index.ts';

/** Screen pixels for each millimetre of the table, across and down the picture. */
export interface Calibration {
  readonly across: number;
  readonly down: number;
}

/** A rectangle as it was drawn on the screen, pixels. */
export interface Drawn {
  readonly width: number;
  readonly height: number;
}
/** What a tape reads of it on the table, mm; the diagonals where they were measured too. */
export interface Read {
  readonly across: number;
  readonly down: number;
  /** From the lower left to the upper right corner. */
  readonly rising?: number | null;
  /** From the upper left to the lower right corner. */
  readonly falling?: number | null;
}

export interface Calibrated {
  readonly calibration: Calibration;
  /** How far the picture's two directions are from square, degrees; null where no diagonals were measured. */
  readonly skew: number | null;
  /** By how much the readings contradict one another, mm on the longer diagonal: a keystone, or a slip of the tape. */
  readonly contradiction: number | null;
  /** Across over down, less one: how much wider the picture is thrown than high. */
  readonly stretch: number;
}

/** Pixels for a millimetre that any projector over a table has; outside, a unit or a digit was mistaken. */
const FEWEST = 0.15;
const MOST = 12;
/** A picture that is stretched more than this was misread. */
const STRETCH_MOST = 0.25;

export type CalibrateError = 'square-unread' | 'square-unlikely' | 'square-uneven';

/**
 * From a rectangle drawn on the screen and measured on the table to the scale of the picture. Both ways by themselves,
 * because projectors stretch. With both diagonals also how far from square the picture lies: sides a, b and diagonals
 * p, q of a parallelogram hold p² − q² = 4ab·cos of the angle between the sides, and p² + q² = 2(a² + b²).
 */
export function calibrate(drawn: Drawn, read: Read): Result<Calibrated, CalibrateError> {
  const { across: a, down: b } = read;
  if (!(a > 0) || !(b > 0) || !Number.isFinite(a + b)) return refuse('square-unread');
  const calibration = { across: drawn.width / a, down: drawn.height / b };
  for (const k of [calibration.across, calibration.down])
    if (k < FEWEST || k > MOST) return refuse('square-unlikely', { across: a, down: b });
  const stretch = calibration.down / calibration.across - 1;
  if (Math.abs(stretch) > STRETCH_MOST) return refuse('square-uneven', { across: a, down: b });
  const { rising, falling } = read;
  if (!rising || !falling) return ok({ calibration, skew: null, contradiction: null, stretch });
  const cosine = Math.max(-1, Math.min(1, (rising ** 2 - falling ** 2) / (4 * a * b)));
  const wanted = 2 * (a ** 2 + b ** 2);
  const contradiction = Math.abs(Math.sqrt((rising ** 2 + falling ** 2) / 2) - Math.sqrt(wanted / 2));
  return ok({ calibration, skew: 90 - (Math.acos(cosine) * 180) / Math.PI, contradiction, stretch });
}

/** A picture that is this far from square cuts visibly wrong, degrees: half a centimetre on a metre. */
export const SKEW_MOST = 0.3;
/** Readings that contradict each other by more are not of one square, mm. */
export const CONTRADICTION_MOST = 3;

/** Share of the picture's shorter side that the first square takes: large enough to measure well, whole in sight. */
const SHARE = 0.55;
/** Check squares grow by steps one finds on a tape, mm: five centimetres, two inches. */
export const SQUARE_STEPS = { cm: 50, in: 50.8 } as const;

/** The square to measure: so many pixels while the scale is unknown, a round true size once it is known. */
export function squareOn(
  screen: { readonly width: number; readonly height: number },
  calibration: Calibration | null,
  step: number = SQUARE_STEPS.cm,
): Drawn & { readonly side: number | null } {
  const px = Math.floor(SHARE * Math.min(screen.width, screen.height));
  if (!calibration) return { width: px, height: px, side: null };
  const room = Math.min(px / calibration.across, px / calibration.down);
  const side = Math.max(1, Math.floor(room / step)) * step;
  return { width: side * calibration.across, height: side * calibration.down, side };
}
