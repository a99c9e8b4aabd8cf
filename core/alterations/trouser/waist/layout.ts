import { distance } from '../../../geometry/index.ts';
import { dartShape, edgesWithRole, waistOf, type Dart, type Piece } from '../../../pattern/index.ts';
import { capDart, edgeAfter, edgeBefore, narrowDart, type SideKnot } from '../../../paper/truing/index.ts';
import { solveNear } from '../../../numeric/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import { alongAt, solveKnot } from '../../kit/sides.ts';
import { drawnSide, ROUND } from '../../kit/sidesAlike.ts';
import { halves, sideOfHalf, type TrouserHalf, type TrousersOn } from '../../kit/trousers.ts';

/** A dart is left at least so wide, and made at most so much wider, mm: more belongs to the side. */
const DART = { least: 8, more: 10 } as const;
/** Darts that open at the waist, and what each is taken up by. */
export const waistDarts = (piece: Piece): readonly { readonly dart: Dart; readonly intake: number }[] =>
  piece.darts
    .filter((d) =>
      [edgeBefore(piece, d.mouth), edgeAfter(piece, d.mouth)].every((id) =>
        edgesWithRole(piece, 'waist').some((e) => e.id === id),
      ),
    )
    .map((dart) => {
      const { start, end } = dartShape(piece, dart);
      return { dart, intake: distance(start, end) };
    });

/** How one half becomes wider (or narrower) at the waist: each dart by so much, and the rest at the side. */
export interface WaistShare {
  readonly half: TrouserHalf;
  readonly darts: readonly Dart[];
  /** By how much each dart gives, mm; below nothing it takes. */
  readonly each: number;
  readonly side: number;
  /** Along the side down to the hip line, where the rest runs out. */
  readonly hip: number;
}

/** The half with its darts made wider or narrower. */
export const withDarts = ({ half, darts, each }: Pick<WaistShare, 'half' | 'darts' | 'each'>): Piece =>
  each === 0 ? half.piece : darts.reduce((p, dart) => capDart(narrowDart(p, dart, each), dart), half.piece);

/** A half on its way: what its darts can do, and what is left for the side. */
interface Giving {
  readonly half: TrouserHalf;
  readonly hip: number;
  readonly darts: readonly Dart[];
  /** What each dart is to give, as far as it goes. */
  readonly each: number;
  readonly rest: number;
  readonly goal: number;
}

/**
 * The darts first, as far as they go (`share` of the whole); what one half cannot give by them both give at the side by
 * the same, so that the side seams stay equal. Each half grows by exactly `by`, sewn. Refused where one has no hip
 * line to run out at.
 */
export function sharedOut(on: TrousersOn, by: number, share: number): Result<readonly WaistShare[]> {
  const giving: Giving[] = [];
  for (const half of halves(on)) {
    const hip = alongAt(sideOfHalf(half), half.hip);
    if (hip === null) return refuse('hip-missing', { piece: half.piece.name });
    const darts = waistDarts(half.piece);
    const most = Math.min(...darts.map((d) => Math.max(0, d.intake - DART.least)));
    const each = darts.length === 0 ? 0 : Math.max(-DART.more, Math.min(most, (by * share) / darts.length));
    const goal = (waistOf(half.piece) ?? 0) + by;
    giving.push({ half, hip, darts: darts.map((d) => d.dart), each, rest: by - each * darts.length, goal });
  }
  const [first, second] = giving;
  if (!first || !second) return refuse('trousers-not-found', {});
  const [lead, other] = Math.abs(second.rest) > Math.abs(first.rest) ? [second, first] : [first, second];
  const led = Math.abs(lead.rest) < TOL.same ? inDarts(lead, 0) : atSide(lead);
  const rest = other.darts.length === 0 || share === 0 ? atSide(other) : inDarts(other, led.side);
  return ok(lead === first ? [led, rest] : [rest, led]);
}

/** Where the side runs, moved by so much at the waist. */
export const sideKnots = (by: number, hip: number): readonly SideKnot[] => [
  { at: 0, by },
  { at: hip, by: 0 },
];

/** The darts as far as they go, the side by what is left. */
function atSide(on: Giving): WaistShare {
  const { half, hip, each, goal, darts } = on;
  const side = { ...sideOfHalf(half), piece: withDarts({ ...on, each }) };
  return { half, darts, each, hip, side: solveKnot(side, goal, waistOf, (by) => sideKnots(by, hip), ROUND, false) };
}

/** The side by what the other half asks for, the darts by what is left: across a curved waist a little more or less than it. */
function inDarts(on: Giving, side: number): WaistShare {
  const { half, hip, goal, darts } = on;
  const made = (each: number): Piece => {
    const piece = withDarts({ ...on, each });
    return side === 0 ? piece : drawnSide({ side: sideOfHalf(half), knots: sideKnots(side, hip), piece });
  };
  const wanted = (goal - (waistOf(half.piece) ?? 0) - side) / Math.max(1, darts.length);
  const each = solveNear((e) => ((waistOf(made(e)) ?? 0) - goal) / darts.length, wanted, TOL.same);
  return { half, darts, each: each ?? wanted, side, hip };
}
