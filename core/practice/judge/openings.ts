import {
  add,
  cross,
  midpoint,
  move,
  nearestOnPath,
  norm,
  polyline,
  scale,
  sub,
  unit,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import { cutPiece, type Divided } from '../../paper/slash/index.ts';
import { nth, once, PRACTICE, TOL } from '../../units/index.ts';
import { besidePanel, grainMiddle, panelAt, type CutSheet, type Laid } from '../cutting/index.ts';
import { rightMotion, type RightWay } from '../task.ts';

/** Two panels of the right way on both sides of a cut, where they part most. */
export interface Opening {
  readonly cut: string;
  /** Where, on the paper before it is cut, and along which line. */
  readonly at: Point;
  readonly along: Point;
  /** The middle of that part of the cut. */
  readonly middle: Point;
  /** What opens square to the cut, mm, and by how much its sides turn against each other, radians; below nothing it laps. */
  readonly wanted: number;
  readonly turns: number;
  /** How far the two places that lay on each other have parted. */
  readonly parted: Point;
  readonly stage: 'open' | 'level';
}

/** The paper of the right way divided, and how its panels lie as seen from the one that holds the grain. */
export const rightSheet = once((way: RightWay): { divided: Divided; laid: Laid } => {
  const divided = cutPiece(way.from, way.spec);
  if (!divided.ok) throw new Error(`practice: expected the right way to cut, got ${divided.error.code}`);
  const { names, graph } = divided.value;
  const root = panelAt(graph.rings, grainMiddle(way.from));
  return {
    divided: divided.value,
    laid: besidePanel(
      names.map((n) => rightMotion(way, n)),
      root,
    ),
  };
});

/** A tape is laid where a cut opens evenly, if it does anywhere, and there as long as nothing has been levelled yet; else where it opens most. */
function tellsMore(a: Opening, b: Opening): boolean {
  const even = (o: Opening): number =>
    Math.abs(o.turns) < PRACTICE.turned && Math.abs(o.wanted) > PRACTICE.slight ? 1 : 0;
  if (even(a) !== even(b)) return even(a) > even(b);
  if (a.stage !== b.stage) return a.stage === 'open';
  return Math.abs(a.wanted) > Math.abs(b.wanted) + TOL.same;
}

/** What opens, cut by cut. */
export const openingsOf = once((way: RightWay): readonly Opening[] => {
  const { divided, laid } = rightSheet(way);
  const { graph, names } = divided;
  const most = new Map<string, Opening>();
  graph.halfEdges.forEach((h, i) => {
    if (h.cut === null || h.twin < i) return;
    const [one, two] = [nth(graph.faceOf, i), nth(graph.faceOf, h.twin)];
    const [a, b] = [nth(graph.nodes, h.from), nth(graph.nodes, h.to)];
    for (const at of [a, b, midpoint(a, b)]) {
      const found = openingAt(at, unit(sub(b, a)), nth(laid, one), nth(laid, two));
      const levelled = [one, two].some((f) => way.spec.panels.find((p) => p.id === names[f])?.stage === 'level');
      const was = most.get(h.cut);
      const now: Opening = {
        ...{ cut: h.cut, at, along: unit(sub(b, a)), middle: midpoint(a, b) },
        ...{ ...found, stage: levelled ? 'level' : 'open' },
      };
      if (!was || tellsMore(now, was)) most.set(h.cut, now);
    }
  });
  return [...most.values()].filter((o) => Math.abs(o.wanted) > PRACTICE.slight);
});

/** Square to a cut, from the left of its direction to the right: what opens there between paper on the right and on the left. */
function openingAt(at: Point, along: Point, right: Rigid, left: Rigid) {
  const parted = sub(move(right, at), move(left, at));
  const way = sub(move(left, add(at, along)), move(left, at));
  return { wanted: cross(way, parted), turns: right.angle - left.angle, parted };
}

/** How far beside a cut it is looked for what lies on either side, mm: a line drawn elsewhere parts the same two sides. */
const BESIDE = [10, 20, 45] as const;

/** What somebody’s paper does where the right way opens. */
export interface Opened {
  readonly opening: Opening;
  readonly got: number;
  readonly turns: number;
  /** Between the two places that lay on each other, along the slant, mm. */
  readonly slant: number;
  /** Whether somebody cut between the two sides at all. */
  readonly cut: boolean;
}
export function openedAt(opening: Opening, sheet: CutSheet | null, laid: Laid): Opened {
  const { at, along, middle } = opening;
  if (!sheet) return { opening, got: 0, turns: 0, slant: 0, cut: false };
  const aside = { x: -along.y, y: along.x };
  const sides = BESIDE.map((far) => [1, -1].map((way) => panelAt(sheet.rings, add(middle, scale(aside, way * far)))));
  const [right, left] = (sides.find(([r, l]) => r !== l) ?? nth(sides, 0)) as [number, number];
  const found = openingAt(at, along, nth(laid, right), nth(laid, left));
  return { opening, got: found.wanted, turns: found.turns, slant: norm(found.parted), cut: right !== left };
}

/** How near somebody’s lines come to a place, mm. */
export const nearestLine = (sheet: CutSheet, p: Point): number =>
  Math.min(...sheet.lines.map((l) => nearestOnPath(polyline(l.points), p).distance));
