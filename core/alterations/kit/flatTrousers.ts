import { pathLength, type Path } from '../../geometry/index.ts';
import { levelOf, widthAt, type MeasurementKey } from '../../pattern/index.ts';
import { line, type Flat, type Measure } from './flatMeasure.ts';
import { alongAt } from './sides.ts';
import { halves, sideOfHalf, trousersOn, type TrouserHalf, type TrousersOn } from './trousers.ts';

/** The fullest part of a thigh lies so far below the crotch line, mm. */
export const THIGH_BELOW = 25;

const onTrousers =
  (measure: (on: TrousersOn) => Flat | null): Measure =>
  ({ pieces }) => {
    const on = trousersOn(pieces);
    return on.ok ? measure(on.value) : null;
  };

/** Around one leg at a height of each half; null where one does not reach it. */
function aroundLeg(on: TrousersOn, at: (half: TrouserHalf) => number): Flat | null {
  const widths = halves(on).map((half) => ({ half, found: widthAt(half.piece, at(half)) }));
  if (widths.some((w) => !w.found.ok)) return null;
  const runs = widths.flatMap(({ half, found }) =>
    found.ok ? found.value.runs.map((points) => line(half.piece, ...points)) : [],
  );
  return { value: widths.reduce((sum, { found }) => sum + (found.ok ? found.value.width : 0), 0), lines: runs };
}

const along = (half: TrouserHalf, path: Path) => line(half.piece, path.start, ...path.segments.map((s) => s.to));

function toHeight(half: TrouserHalf, y: number): Flat | null {
  const value = alongAt(sideOfHalf(half), y);
  return value === null ? null : { value, lines: [line(half.piece, half.corner, { x: half.corner.x, y })] };
}

/** What of a lower body is found on trousers: down the side, around one leg, and between the legs. */
export const TROUSER_MEASURES: Readonly<Partial<Record<MeasurementKey, Measure>>> = {
  crotchDepth: onTrousers(({ front }) => {
    const { piece, corner, crotchLine } = front;
    return { value: crotchLine - corner.y, lines: [line(piece, corner, { x: corner.x, y: crotchLine })] };
  }),
  crotchLength: onTrousers((on) => ({
    value: halves(on).reduce((sum, half) => sum + pathLength(half.crotch.path), 0),
    lines: halves(on).map((half) => along(half, half.crotch.path)),
  })),
  thigh: onTrousers((on) => aroundLeg(on, ({ crotchLine }) => crotchLine + THIGH_BELOW)),
  knee: onTrousers((on) => aroundLeg(on, ({ knee }) => knee)),
  waistToKnee: onTrousers(({ front }) => toHeight(front, front.knee)),
  hipDepth: onTrousers(({ front }) => (levelOf(front.piece, 'hip') ? toHeight(front, front.hip) : null)),
  outsideLeg: onTrousers(({ front }) => ({
    value: pathLength(front.side.path),
    lines: [along(front, front.side.path)],
  })),
};
