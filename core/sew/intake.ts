import { endOf, type Point } from '../geometry/index.ts';
import { doubleDartShape, doubleDartsOf, edgesWithRole, type Piece } from '../pattern/index.ts';

/** Where the cloth taken in by a dart lies beside its seam: a triangle of the paper. */
type Covered = readonly [Point, Point, Point];

/** What a dart takes in lies double on the cloth beside it. */
const WITH_INTAKE = 3;

/**
 * How many layers of cloth lie at a place of a piece: one, and three where the intake of a dart has been pressed over it: down, or to
 * the centre.
 */
export function layersOn(piece: Piece): (p: Point) => number {
  const covered = coveredOn(piece);
  return (p) => (covered.some((t) => inside(t, p)) ? WITH_INTAKE : 1);
}

function coveredOn(piece: Piece): readonly Covered[] {
  const single = piece.darts.flatMap((d): readonly Covered[] => {
    const mouth = piece.edges.find((e) => e.id === d.mouth);
    if (!mouth) return [];
    const [a, b] = [mouth.path.start, endOf(mouth.path)];
    return [beside(d.tip, pressedTo(piece, a, b), middleOf(a, b))];
  });
  const double = doubleDartsOf(piece).flatMap((d): readonly Covered[] => {
    const { upper, lower, middle, ends } = doubleDartShape(d);
    const end = pressedTo(piece, ...ends);
    return d.width > 0 ? [beside(upper, end, middle), beside(lower, end, middle)] : [];
  });
  return [...single, ...double];
}

const middleOf = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** Of the two ends of a dart the one it is pressed towards: the lower of one that runs across, of one that runs down the one nearer the centre. */
function pressedTo(piece: Piece, a: Point, b: Point): Point {
  if (Math.abs(a.y - b.y) > Math.abs(a.x - b.x)) return a.y > b.y ? a : b;
  const [centre] = [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')];
  const x = centre?.path.start.x ?? Math.min(a.x, b.x);
  return Math.abs(a.x - x) < Math.abs(b.x - x) ? a : b;
}

/** Half of what a dart takes in, folded over at its leg: the corner in the middle of the dart comes to lie on the other side. */
function beside(tip: Point, end: Point, middle: Point): Covered {
  const [dx, dy] = [end.x - tip.x, end.y - tip.y];
  const [px, py] = [middle.x - tip.x, middle.y - tip.y];
  const along = (px * dx + py * dy) / (dx * dx + dy * dy || 1);
  return [tip, end, { x: tip.x + 2 * along * dx - px, y: tip.y + 2 * along * dy - py }];
}

function inside([a, b, c]: Covered, p: Point): boolean {
  const side = (u: Point, v: Point): number => (v.x - u.x) * (p.y - u.y) - (v.y - u.y) * (p.x - u.x);
  const [one, two, three] = [side(a, b), side(b, c), side(c, a)];
  return (one >= 0 && two >= 0 && three >= 0) || (one <= 0 && two <= 0 && three <= 0);
}
