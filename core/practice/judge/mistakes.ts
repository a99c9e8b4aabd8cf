import { distance, nearestOnPath, type Point } from '../../geometry/index.ts';
import { bustPointOf, type Edge } from '../../pattern/index.ts';
import { nth, PRACTICE, TOL } from '../../units/index.ts';
import type { Line } from '../cutting/index.ts';
import type { RightWay, Task } from '../task.ts';
import type { Attempt, Difference } from './compare.ts';
import { nearestLine, openingsOf, rightSheet, type Opened } from './openings.ts';

/** What goes wrong with paper, in the order in which it is told: the first cause first. */
export const MISTAKES = [
  'left-alone',
  'line-missing',
  'not-moved',
  'back-forgotten',
  'hinge-cut-through',
  'inner-hinge-cut-through',
  'hinge-on-wrong-seam',
  'hinge-elsewhere',
  'beside-bust-point',
  'line-elsewhere',
  'lapped-not-opened',
  'opened-not-lapped',
  'not-halved',
  'halved-twice',
  'measured-on-the-slant',
  'tapered-not-even',
  'even-not-tapered',
  'not-levelled',
  'level-slipped',
  'askew',
  'too-much',
  'too-little',
  'amounts-differ',
  'tip-not-drawn',
  'tip-at-bust-point',
  'tip-too-near',
  'tip-too-far',
  'tip-off-middle',
  'not-trued',
  'trued-elsewhere',
] as const;
export type MistakeCode = (typeof MISTAKES)[number];

/** A mistake, on which piece, how large where that is a length, and what it makes. */
export interface Mistake {
  readonly code: MistakeCode;
  readonly piece: number;
  readonly data: Readonly<Record<string, number>>;
  readonly makes: readonly Difference[];
}

/** What is known of one piece. */
export interface Case {
  readonly task: Task;
  readonly index: number;
  readonly way: RightWay;
  readonly attempt: Attempt | null;
  readonly opened: readonly Opened[];
  readonly differences: readonly Difference[];
}

type Found = {
  readonly code: MistakeCode;
  readonly data?: Readonly<Record<string, number>>;
  readonly makes?: (d: Difference) => boolean;
};

/** The mistakes made on one piece. */
export function mistakesOf(c: Case): readonly Mistake[] {
  const found: readonly Found[] = c.attempt
    ? [...cutsOf(c, c.attempt), ...movesOf(c), ...dartOf(c, c.attempt), ...truingOf(c, c.attempt)]
    : [alone(c)];
  return found
    .map(({ code, data = {}, makes = () => true }) => ({
      ...{ code, data, piece: c.index },
      makes: c.differences.filter((d) => Math.abs(d.by) > PRACTICE.careful && makes(d)),
    }))
    .sort((a, b) => MISTAKES.indexOf(a.code) - MISTAKES.indexOf(b.code));
}

const alone = ({ index }: Case): Found => ({ code: index === 0 ? 'left-alone' : 'back-forgotten' });

/** Everything a hinge torn or moved makes, but for what was opened. */
const shape = (d: Difference): boolean => d.kind !== 'opening' && d.kind !== 'legs' && d.kind !== 'tip';

/** A hinge of the right way on the seam line, or inside the paper. */
interface RightHinge {
  readonly at: Point;
  readonly edge: Edge | null;
}
const hingesOf = ({ from, spec }: RightWay): readonly RightHinge[] =>
  spec.hinges.map(({ at }) => ({
    at,
    edge: from.edges.find((e) => nearestOnPath(e.path, at).distance < TOL.placed) ?? null,
  }));

const ends = (l: Line) =>
  [
    { at: nth(l.points, 0), held: l.hinge.start },
    { at: nth(l.points, l.points.length - 1), held: l.hinge.end },
  ] as const;

/** Lines and hinges against those of the right way. */
function cutsOf(c: Case, { sheet }: Attempt): readonly Found[] {
  const { way } = c;
  const all = sheet.lines.flatMap(ends);
  const onSeam = (p: Point): Edge | undefined =>
    sheet.piece.edges.find((e) => nearestOnPath(e.path, p).distance < TOL.placed);
  const hinges = hingesOf(way).flatMap((h): readonly Found[] => {
    const near = all
      .filter((e) => (h.edge !== null) === (onSeam(e.at) !== undefined))
      .map((e) => ({ ...e, off: distance(e.at, h.at) }))
      .sort((a, b) => a.off - b.off);
    const held = near.find((e) => e.held);
    const [nearest] = near;
    if (nearest && !nearest.held && (!held || held.off > PRACTICE.other) && nearest.off < PRACTICE.other)
      return [{ code: h.edge ? 'hinge-cut-through' : 'inner-hinge-cut-through', makes: shape }];
    if (!held) return [];
    const seam = onSeam(held.at);
    if (h.edge && seam && seam.role !== h.edge.role && held.off > PRACTICE.hinge)
      return [{ code: 'hinge-on-wrong-seam', data: { off: held.off }, makes: shape }];
    return h.edge && held.off > PRACTICE.hinge
      ? [{ code: 'hinge-elsewhere', data: { off: held.off }, makes: shape }]
      : [];
  });
  const bust = bustPointOf(way.from);
  const through = bust && way.spec.cuts.some((cut) => cut.points.some((p) => distance(p, bust) < TOL.placed));
  const beside = bust && through ? Math.min(...sheet.lines.flatMap((l) => l.points).map((p) => distance(p, bust))) : 0;
  return [
    ...hinges,
    ...(beside > PRACTICE.bust ? [{ code: 'beside-bust-point', data: { off: beside } } as const] : []),
    ...linesOf(c, beside > PRACTICE.bust),
  ];
}

/** Cuts of the right way that were not made, or were made somewhere else. */
function linesOf({ way, attempt, opened, differences }: Case, besideBust: boolean): readonly Found[] {
  const sheet = attempt?.sheet;
  if (!sheet) return [];
  const worst = Math.max(0, ...differences.filter((d) => d.kind === 'corner').map((d) => Math.abs(d.by)));
  return openingsOf(way).flatMap((o, i): readonly Found[] => {
    const off = nearestLine(sheet, o.middle);
    if (!opened[i]?.cut) return [{ code: 'line-missing', makes: (d) => d.kind !== 'opening' || d.cut === o.cut }];
    return off > PRACTICE.line && worst > PRACTICE.careful && !besideBust
      ? [{ code: 'line-elsewhere', data: { off } }]
      : [];
  });
}

/** How the paper was moved against how it should have been. */
function movesOf({ way, opened, attempt, differences }: Case): readonly Found[] {
  const { laid: right } = rightSheet(way);
  const moved = attempt?.laid.some((m) => Math.hypot(m.x, m.y) > PRACTICE.moved) ?? false;
  if (!moved && right.some((m) => Math.hypot(m.x, m.y) > PRACTICE.careful)) return [{ code: 'not-moved' }];
  const found = opened
    .filter((o) => o.cut)
    .flatMap((o) => (o.opening.stage === 'level' ? levelOf(o, opened) : openOf(o)));
  if (found.length > 0) return found;
  const askew = differences.find((d) => d.kind === 'grain' && Math.abs(d.by) > PRACTICE.careful);
  return askew ? [{ code: 'askew', data: { off: askew.by } }] : [];
}

const off = (o: Opened): number => Math.abs(o.got) - Math.abs(o.opening.wanted);
const data = (o: Opened) => ({ got: Math.abs(o.got), wanted: Math.abs(o.opening.wanted) });

function openOf(o: Opened): readonly Found[] {
  const { wanted, turns, cut } = o.opening;
  const makes = (d: Difference): boolean => d.kind !== 'opening' || d.cut === cut;
  const share = o.got / wanted;
  const even = Math.abs(turns) < PRACTICE.turned;
  if (share < -0.1) return [{ code: wanted > 0 ? 'lapped-not-opened' : 'opened-not-lapped', data: data(o), makes }];
  const shapeOff: readonly Found[] =
    even && Math.abs(o.turns) > PRACTICE.turned
      ? [{ code: 'tapered-not-even', makes }]
      : !even && Math.abs(o.turns) < PRACTICE.turned && Math.abs(o.got) > PRACTICE.careful
        ? [{ code: 'even-not-tapered', makes }]
        : [];
  if (Math.abs(o.got - wanted) <= PRACTICE.careful) return shapeOff;
  if (Math.abs(share - 2) < 2 * PRACTICE.about) return [...shapeOff, { code: 'not-halved', data: data(o), makes }];
  if (Math.abs(share - 0.5) < PRACTICE.about / 2) return [...shapeOff, { code: 'halved-twice', data: data(o), makes }];
  if (off(o) < 0 && Math.abs(o.slant - Math.abs(wanted)) < PRACTICE.careful)
    return [...shapeOff, { code: 'measured-on-the-slant', data: data(o), makes }];
  return [...shapeOff, { code: off(o) > 0 ? 'too-much' : 'too-little', data: data(o), makes }];
}

/** The lower centre that should have gone down by as much as the side did. */
function levelOf(o: Opened, all: readonly Opened[]): readonly Found[] {
  const makes = (d: Difference): boolean => d.kind !== 'opening' || d.cut === o.opening.cut;
  if (Math.abs(o.got) < Math.abs(o.opening.wanted) / 4) return [{ code: 'not-levelled', data: data(o), makes }];
  // What was opened wrongly wants another level too: then that is the cause.
  const other = all.some((a) => a.opening.stage !== 'level' && Math.abs(a.got - a.opening.wanted) > PRACTICE.careful);
  return !other && Math.abs(o.got - o.opening.wanted) > PRACTICE.careful
    ? [{ code: 'level-slipped', data: data(o), makes }]
    : [];
}

/** The seam that was to be drawn anew. What lies elsewhere already draws it elsewhere: then that is the cause. */
function truingOf({ differences }: Case, { trued }: Attempt): readonly Found[] {
  const strays = differences.find((d) => d.kind === 'trued');
  if (!strays || Math.abs(strays.by) <= PRACTICE.drawn + PRACTICE.careful) return [];
  const makes = (d: Difference): boolean => d.kind === 'trued';
  if (!trued) return [{ code: 'not-trued', data: { off: strays.by }, makes }];
  const other = differences.some((d) => d.kind === 'opening' && Math.abs(d.by) > PRACTICE.careful);
  return other ? [] : [{ code: 'trued-elsewhere', data: { off: strays.by }, makes }];
}

/** The dart that was drawn at the end. */
function dartOf({ task, index, differences }: Case, attempt: Attempt): readonly Found[] {
  if (index > 0 || !task.lesson.dart) return [];
  if (!attempt.tip) return [{ code: 'tip-not-drawn', makes: (d) => d.kind === 'tip' || d.kind === 'legs' }];
  const tip = differences.find((d) => d.kind === 'tip');
  const legs = differences.find((d) => d.kind === 'legs');
  const found: Found[] = [];
  const only = (kind: Difference['kind']) => (d: Difference) => d.kind === kind;
  if (tip?.kind === 'tip') {
    const size = { got: tip.got, wanted: tip.wanted };
    const near = tip.wanted > 2 * PRACTICE.bust && tip.got < PRACTICE.bust;
    if (near) found.push({ code: 'tip-at-bust-point', data: size, makes: only('tip') });
    else if (Math.abs(tip.by) > PRACTICE.tip)
      found.push({ code: tip.by < 0 ? 'tip-too-near' : 'tip-too-far', data: size, makes: only('tip') });
  }
  if (legs && Math.abs(legs.by) > PRACTICE.careful)
    found.push({ code: 'tip-off-middle', data: { off: legs.by }, makes: only('legs') });
  return found;
}
