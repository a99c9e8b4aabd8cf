/** Millimetres: the only length inside the model. */
export type Mm = number & { readonly __unit: 'mm' };
/** Radians, positive from x towards y (clockwise as seen, because y points down). */
export type Radians = number & { readonly __unit: 'rad' };

export const mm = (value: number): Mm => value as Mm;
export const radians = (value: number): Radians => value as Radians;
export const degrees = (angle: number): number => (angle * 180) / Math.PI;

/** Exact by definition. */
export const MM_PER_INCH = 25.4;
