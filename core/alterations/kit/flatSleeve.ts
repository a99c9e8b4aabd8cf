import { distance, endOf, midpoint, pathLength, type Point } from '../../geometry/index.ts';
import { edgesWithRole, seamLine, type Edge, type MeasurementKey, type Piece } from '../../pattern/index.ts';
import { cuffOn, hasCuff, heightOf } from './cuff.ts';
import { elbowOf, hemEnds, hemsOf } from './sleeve.ts';
import { line, partOf, type Flat, type Measure, type OnPieces } from './flatMeasure.ts';

/** A sleeve is a long one where its hem lies so far below the elbow, or below the top of the cap, mm. */
const LONG = { belowElbow: 120, belowTop: 440 } as const;

const topOf = (cap: readonly Edge[]): Point =>
  cap.flatMap((e) => [e.path.start, endOf(e.path)]).reduce((best, p) => (p.y < best.y ? p : best));

/** The set-in sleeve, its cap and hem; null where there is none. */
interface SleeveAt {
  readonly sleeve: Piece;
  readonly cap: readonly Edge[];
  readonly hem: readonly Edge[];
  readonly top: Point;
  /** Where the elbow line crosses the middle, if the sleeve has one. */
  readonly elbow: Point | null;
  readonly foot: Point;
  /** It reaches the wrist. */
  readonly long: boolean;
}

function sleeveAt({ pieces }: OnPieces): SleeveAt | null {
  const sleeve = partOf(pieces, 'sleeve');
  const cap = sleeve ? edgesWithRole(sleeve, 'cap') : [];
  const ends = sleeve ? hemEnds(sleeve) : null;
  if (!sleeve || cap.length === 0 || !ends) return null;
  const foot = midpoint(...ends);
  const top = topOf(cap);
  const elbow = elbowOf(sleeve);
  const long = elbow ? foot.y - elbow.y > LONG.belowElbow : foot.y - top.y > LONG.belowTop;
  return { sleeve, cap, hem: hemsOf(sleeve), top, elbow, foot, long };
}

const onSleeve =
  (measure: (at: SleeveAt, on: OnPieces) => Flat | null): Measure =>
  (on) => {
    const at = sleeveAt(on);
    return at ? measure(at, on) : null;
  };

/** What of an arm is found on the sleeve: around it at the underarm, at the wrist, and down it. */
export const SLEEVE_MEASURES: Readonly<Partial<Record<MeasurementKey, Measure>>> = {
  upperArm: onSleeve(({ sleeve, cap }) => {
    const ends = cap.flatMap((e) => [e.path.start, endOf(e.path)]).sort((a, b) => a.x - b.x);
    const [left, right] = [ends[0], ends.at(-1)];
    return left && right ? { value: right.x - left.x, lines: [line(sleeve, left, right)] } : null;
  }),
  wrist: onSleeve(({ sleeve, hem, long }, on) => {
    const found = cuffOn(on);
    if (found) {
      const seam = seamLine(found.cuff, found.side);
      return { value: pathLength(seam), lines: [line(found.cuff, seam.start, endOf(seam))] };
    }
    // A hem that is gathered into a cuff is no wrist, whether the seam is known or not.
    if (!long || hasCuff(on)) return null;
    return {
      value: hem.reduce((n, e) => n + pathLength(e.path), 0),
      lines: hem.map((e) => line(sleeve, e.path.start, endOf(e.path))),
    };
  }),
  shoulderToElbow: onSleeve(({ sleeve, top, elbow }) =>
    elbow ? { value: elbow.y - top.y, lines: [line(sleeve, top, { x: top.x, y: elbow.y })] } : null,
  ),
  shoulderToWrist: onSleeve(({ sleeve, top, elbow, foot, long }, on) => {
    const cuff = cuffOn(on);
    if (!cuff && (!long || hasCuff(on))) return null;
    // Down to the elbow line, and from its middle to the middle of the hem: the forearm may be turned.
    const turn = elbow ?? { x: foot.x, y: top.y };
    const value = turn.y - top.y + distance(turn, foot) + (cuff ? heightOf(cuff) : 0);
    return { value, lines: [line(sleeve, top, { x: top.x, y: turn.y }), line(sleeve, turn, foot)] };
  }),
};
