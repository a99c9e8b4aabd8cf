import { boundsOf, boxesMeet, distance, flatten, lerp, pathFromSpans, type Point } from '../../geometry/index.ts';
import {
  aroundDoubleDart,
  dartShape,
  DOUBLE_POINTED,
  doubleDartsOf,
  edgeOf,
  type Dart,
  type Piece,
} from '../../pattern/index.ts';
import type { Fault, FaultCode } from './fault.ts';
import { chordsCross, ringOf } from './ring.ts';
import { holds } from './structure.ts';
import { cyclic, nth } from '../../units/index.ts';

type Say = (code: FaultCode, data?: Fault['data'], at?: Fault['at']) => void;

/** Legs are checked from this far inside their ends, mm: at the end itself a leg touches the seam. */
const INSIDE = 0.3;
/** Curved legs are checked as chords so near to them, mm. */
const LEGS = 0.2;

interface Legs {
  readonly kind: string;
  readonly tip: Point;
  readonly legs: readonly (readonly [Point, Point])[];
}

/** Darts with a mouth, a tip on the piece, legs that stay on it, and no dart across another. */
export function dartFaults(piece: Piece, say: Say): void {
  const sound: Legs[] = [];
  for (const dart of piece.darts) {
    const found = legsOf(piece, dart);
    if (!found) {
      say('dart-mouth-missing', { dart: dart.kind });
      continue;
    }
    if (!holds(piece, dart.tip)) say('dart-tip-outside', { dart: dart.kind }, dart.tip);
    else if (found.legs.some((leg) => leavesPiece(piece, leg))) say('dart-leaves-piece', { dart: dart.kind }, dart.tip);
    sound.push(found);
  }
  for (const double of doubleDartsOf(piece)) {
    const { upper, lower } = double;
    const legs = aroundDoubleDart(double).flatMap((leg) => {
      const points = flatten(pathFromSpans([leg]), LEGS);
      return points.slice(1).map((p, i) => [nth(points, i), p] as const);
    });
    if (![upper, lower].every((tip) => holds(piece, tip))) say('dart-tip-outside', { dart: DOUBLE_POINTED }, upper);
    else if (legs.some((leg) => leavesPiece(piece, leg))) say('dart-leaves-piece', { dart: DOUBLE_POINTED }, upper);
    sound.push({ kind: DOUBLE_POINTED, tip: upper, legs });
  }
  sound.forEach((one, i) => {
    for (const two of sound.slice(i + 1))
      if (acrossEachOther(one, two)) say('darts-cross', { first: one.kind, second: two.kind }, one.tip);
  });
}

function legsOf(piece: Piece, dart: Dart): Legs | null {
  const mouth = edgeOf(piece, dart.mouth);
  if (!mouth || mouth.role !== 'dart') return null;
  const { start, end, tip } = dartShape(piece, dart);
  return {
    kind: dart.kind,
    tip,
    legs: [start, end].map((from) => {
      const size = distance(from, tip);
      return [lerp(from, tip, size > 0 ? Math.min(0.5, INSIDE / size) : 0), tip] as const;
    }),
  };
}

function leavesPiece(piece: Piece, [a, b]: readonly [Point, Point]): boolean {
  const { points, box } = ringOf(piece);
  if (!boxesMeet(box, boundsOf([a, b]))) return true;
  return points.some((p, i) => chordsCross(a, b, p, cyclic(points, i + 1)));
}

const acrossEachOther = (one: Legs, two: Legs): boolean =>
  one.legs.some(([a, b]) => two.legs.some(([c, d]) => chordsCross(a, b, c, d)));
