import { cross, inverse, move, movePath, pathLength, sub, unit, type Point, type Rigid } from '../../geometry/index.ts';
import type { SlashResult } from '../../paper/slash/index.ts';
import { edgesWithRole, type EdgeRole, type Piece } from '../../pattern/index.ts';
import { nth } from '../../units/index.ts';
import { besidePanel, grainMiddle, straysFrom, type CutSheet, type Laid } from '../cutting/index.ts';
import { panelAt } from '../cutting/sheet.ts';
import { rightMotion, type RightWay, type Task } from '../task.ts';
import { dartDifferences } from './dart.ts';
import { openedAt, openingsOf, rightSheet, type Opened } from './openings.ts';

/** What somebody did to one piece: nothing yet, or cut, moved and taped; and where the tip of the dart was drawn. */
export interface Attempt {
  readonly sheet: CutSheet;
  readonly laid: Laid;
  readonly taped: SlashResult;
  readonly tip: Point | null;
  /** The piece with a seam drawn anew; null where none was. */
  readonly trued: Piece | null;
}
/** What somebody has in the hand in the end. */
export const madeOf = (attempt: Attempt): Piece => attempt.trued ?? attempt.taped.piece;

/** By how much what was made differs from what the alteration makes, mm, each at its place on the paper as it lies. */
export type Difference = { readonly piece: number; readonly by: number; readonly at: Point } & (
  | { readonly kind: 'opening'; readonly got: number; readonly wanted: number; readonly cut: string }
  | { readonly kind: 'length'; readonly role: EdgeRole }
  | { readonly kind: 'corner'; readonly roles: readonly [EdgeRole, EdgeRole]; readonly way: Point }
  | { readonly kind: 'grain' }
  | { readonly kind: 'trued'; readonly role: EdgeRole }
  | { readonly kind: 'legs' }
  | { readonly kind: 'tip'; readonly got: number; readonly wanted: number }
  | { readonly kind: 'seam'; readonly role: EdgeRole; readonly other: number }
);

/** What somebody’s paper does at each place where the right way opens. */
export function openedOf(way: RightWay, attempt: Attempt | null): readonly Opened[] {
  const laid = attempt ? besidePanel(attempt.laid, attempt.sheet.root) : [];
  return openingsOf(way).map((o) => openedAt(o, attempt?.sheet ?? null, laid));
}

/** How the right way lies when the paper that holds the grain is put where it lay. */
export function rightBack(way: RightWay): Rigid {
  const { divided } = rightSheet(way);
  const { names, graph } = divided;
  return inverse(rightMotion(way, nth(names, panelAt(graph.rings, grainMiddle(way.from)))));
}

const middleOfEdge = (piece: Piece, role: EdgeRole): Point => {
  const edges = piece.edges.filter((e) => e.role === role);
  return nth(edges, Math.floor(edges.length / 2)).path.start;
};
const lengthOf = (piece: Piece, role: EdgeRole): number =>
  piece.edges.filter((e) => e.role === role).reduce((sum, e) => sum + pathLength(e.path), 0);

/** All differences of one piece, those of no size too. */
export function differencesOf(
  task: Task,
  index: number,
  attempt: Attempt | null,
  opened: readonly Opened[],
): readonly Difference[] {
  const way = nth(task.right, index);
  const piece = attempt ? attempt.taped.piece : way.from;
  const right = way.taped.piece;
  const roles = [...new Set(right.edges.map((e) => e.role))].filter((r) => r !== 'dart' && r !== task.lesson.trues);
  return [
    ...opened.map(({ opening, got }): Difference => ({
      ...{ kind: 'opening', piece: index, at: opening.at, cut: opening.cut },
      ...{ by: got - opening.wanted, got, wanted: opening.wanted },
    })),
    ...roles.map((role): Difference => ({
      ...{ kind: 'length', piece: index, role, at: middleOfEdge(piece, role) },
      by: lengthOf(piece, role) - lengthOf(right, role),
    })),
    ...cornersOf(way, index, piece),
    ...grainOf(way, index, piece),
    ...(task.lesson.trues && attempt ? truedOf(way, index, madeOf(attempt), task.lesson.trues) : []),
    ...(index === 0 && task.lesson.dart ? dartDifferences(way, attempt) : []),
  ];
}

/** How far every corner of the outline lies from its right place. */
function cornersOf(way: RightWay, index: number, piece: Piece): readonly Difference[] {
  const back = rightBack(way);
  const right = way.taped.piece;
  return right.edges.flatMap((e, i): readonly Difference[] => {
    const before = right.edges[(i + right.edges.length - 1) % right.edges.length];
    const mine = piece.edges.find((o) => o.id === e.id);
    if (!before || !mine || before.role === e.role || [before.role, e.role].includes('dart')) return [];
    const way = sub(mine.path.start, move(back, e.path.start));
    return [
      {
        kind: 'corner',
        piece: index,
        roles: [before.role, e.role],
        at: mine.path.start,
        way,
        by: Math.hypot(way.x, way.y),
      },
    ];
  });
}

/** How far a seam drawn anew strays from the alteration’s. */
function truedOf(way: RightWay, index: number, piece: Piece, role: EdgeRole): readonly Difference[] {
  const back = rightBack(way);
  const right = edgesWithRole(way.final, role).map((e) => ({ ...e, path: movePath(e.path, back) }));
  return [{ kind: 'trued', piece: index, role, ...straysFrom(edgesWithRole(piece, role), right) }];
}

/** How far the grain line runs off over its length, against the centre of the piece. */
function grainOf(way: RightWay, index: number, piece: Piece): readonly Difference[] {
  const along = (p: Piece): Point | null => {
    const grain = p.marks.find((m) => m.kind === 'grain');
    return grain ? sub(grain.to, grain.from) : null;
  };
  const [mine, right] = [along(piece), along(way.taped.piece)];
  if (!mine || !right) return [];
  const back = rightBack(way);
  const straight = sub(move(back, right), move(back, { x: 0, y: 0 }));
  return [{ kind: 'grain', piece: index, at: grainMiddle(piece), by: cross(unit(straight), mine) }];
}

/** Seams that join the two pieces of a lesson. */
const JOINED: readonly EdgeRole[] = ['side', 'shoulder', 'inseam'];

/** How much longer the seams between two pieces on the mat have become on the first than they should beside the second. */
export function seamDifferences(task: Task, attempts: readonly (Attempt | null)[]): readonly Difference[] {
  const [one, two] = task.right;
  if (!one || !two) return [];
  const made = (way: RightWay, i: number): Piece => attempts[i]?.taped.piece ?? way.from;
  const [a, b] = [made(one, 0), made(two, 1)];
  return JOINED.filter((role) => [a, b].every((p) => p.edges.some((e) => e.role === role))).map((role): Difference => {
    const now = lengthOf(a, role) - lengthOf(b, role);
    const right = lengthOf(one.taped.piece, role) - lengthOf(two.taped.piece, role);
    return { kind: 'seam', piece: 0, other: 1, role, at: middleOfEdge(a, role), by: now - right };
  });
}
