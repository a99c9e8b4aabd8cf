import { describe, expect, it } from 'vitest';
import {
  add,
  compose,
  distance,
  joinPaths,
  lerp,
  pathLength,
  pointAt,
  rotationAbout,
  translation,
  type Point,
  type Rigid,
} from '../../geometry/index.ts';
import { bustPointOf, edgesWithRole, type Piece } from '../../pattern/index.ts';
import { expectOk, nth } from '../../units/index.ts';
import { cutAlong, restOf, tapeDown, trueAlong, type CutSheet, type Laid, type Line } from '../cutting/index.ts';
import { LESSONS } from '../lessons/index.ts';
import { rightLines } from '../model.ts';
import { laidByHand, rightAttempt, truedRight } from '../../testing/practice.ts';
import { rightLaid } from '../rightLaid.ts';
import { drawFrom, taskOf, type Task } from '../task.ts';
import { judge, openingsOf, type Attempt, type MistakeCode } from './index.ts';

const lessonBy = (id: string) => {
  const found = LESSONS.find((l) => l.id === id);
  if (!found) throw new Error(`no lesson ${id}`);
  return found;
};
const taskBy = (id: string, seed = 7): Task => expectOk(taskOf(lessonBy(id), 'free', seed), id);
/** A lesson with the largest amount of twenty: what little amounts forgive shows there. */
const largest = (id: string): Task => {
  const all = Array.from({ length: 20 }, (_, i) => taskBy(id, i + 1));
  const told = (t: Task): number => Math.max(...Object.values(t.asked.told));
  return all.reduce((best, t) => (told(t) > told(best) ? t : best));
};
/** The tip as the alteration draws it. */
const rightTip = (t: Task): Point | null =>
  t.lesson.dart ? (nth(t.right, 0).final.darts.find((d) => d.kind !== 'waist')?.tip ?? null) : null;
const careful = (t: Task): readonly Attempt[] =>
  t.right.map((w) => expectOk(rightAttempt(w, rightTip(t), t.lesson.trues), 'a careful cut'));

/** What somebody does otherwise with one piece: other lines, paper laid otherwise, another tip. */
interface Otherwise {
  readonly lines?: (lines: readonly Line[], t: Task) => readonly Line[];
  readonly laid?: (right: Laid, sheet: CutSheet, t: Task) => Laid;
  readonly tip?: (right: Point, t: Task) => Point | null;
  /** The seam drawn anew; as the alteration has it unless said otherwise. */
  readonly trued?: (taped: Piece, right: Piece) => Piece | null;
}
function made(t: Task, { lines, laid, tip, trued }: Otherwise, index = 0): readonly Attempt[] {
  return t.right.map((way, i) => {
    if (i !== index) return nth(careful(t), i);
    const drawn = rightLines(way);
    const sheet = expectOk(cutAlong(way.from, lines ? lines(drawn, t) : drawn), 'sheet');
    const right = rightLaid(way, sheet);
    const lies = laid ? laid(right, sheet, t) : right;
    const at = rightTip(t);
    const taped = expectOk(tapeDown(sheet, lies), 'taped');
    const drew = truedRight(way, taped.piece, t.lesson.trues);
    return {
      ...{ sheet, laid: lies, taped, trued: drew && trued ? trued(taped.piece, drew) : drew },
      tip: at && tip ? tip(at, t) : at,
    };
  });
}
/** Everything so many times as far: hinged paper turns about its own hinges, loose paper slides. */
const times =
  (k: number) =>
  (right: Laid, sheet: CutSheet): Laid =>
    rehinged(
      right.map((m) => ({ angle: k * m.angle, x: k * m.x, y: k * m.y })),
      sheet,
    );
const through = (ids?: readonly string[]) => (lines: readonly Line[]) =>
  lines.map((l) => (!ids || ids.includes(l.id) ? { ...l, hinge: { start: false, end: false } } : l));
const ended = (id: string, move: (p: Point) => Point) => (lines: readonly Line[]) =>
  lines.map((l) =>
    l.id === id ? { ...l, points: [...l.points.slice(0, -1), move(nth(l.points, l.points.length - 1))] } : l,
  );
const slid =
  (by: Point) =>
  (right: Laid, sheet: CutSheet): Laid =>
    right.map((m, i) => (i === sheet.root ? m : compose(translation(by), m)));
const turned =
  (by: number) =>
  (right: Laid, sheet: CutSheet): Laid =>
    right.map((m, i) => (i === sheet.root ? m : compose(rotationAbout(nth(nth(sheet.rings, i), 0), by), m)));

describe('a careful cut', () => {
  it.each(LESSONS.map((l) => l.id))('%s: with its lines, hinges and amounts exactly right differs in nothing', (id) => {
    for (const seed of [1, 2, 3]) {
      const t = taskBy(id, seed);
      const v = judge(t, careful(t));
      expect(v.score).toBeLessThan(0.01);
      expect(v.mistakes).toEqual([]);
      expect(v.careful).toBe(true);
    }
  });

  it.each(LESSONS.map((l) => l.id))('%s: drawn, pinned and laid within half a millimetre it passes', (id) => {
    const draw = drawFrom(LESSONS.findIndex((l) => l.id === id) + 11);
    const by = (): number => draw.between(-0.3, 0.3, 0.05);
    const off = (p: Point): Point => add(p, { x: by(), y: by() });
    const t = taskBy(id);
    const v = judge(t, shaky(t, off));
    expect(v.mistakes).toEqual([]);
    expect(v.score).toBeGreaterThan(0);
    expect(v.careful).toBe(true);
  });
});

/** Cut with every point of every line a little off, and pulled by hand to a little beside its place. */
const shaky = (t: Task, off: (p: Point) => Point): readonly Attempt[] =>
  t.right.map((way) => {
    const lines = rightLines(way).map((l) => ({ ...l, points: l.points.map(off) }));
    const sheet = expectOk(cutAlong(way.from, lines), 'sheet');
    const laid = laidByHand(way, sheet, off);
    const taped = expectOk(tapeDown(sheet, laid), 'taped');
    return { sheet, laid, taped, tip: rightTip(t), trued: truedRight(way, taped.piece, t.lesson.trues) };
  });

const lower = (t: Task) => openingsOf(nth(t.right, 0)).find((o) => o.cut === 'line1');

/** Mistakes as they happen, each with what it must be called. */
const TYPICAL: readonly (readonly [string, string, Otherwise, MistakeCode])[] = [
  [
    'the armhole hinge cut through',
    'fullerBust',
    { lines: through(['line1']), laid: slid({ x: 3, y: 4 }) },
    'hinge-cut-through',
  ],
  [
    'the hinge at the bust point cut through',
    'fullerBust',
    {
      lines: through(['line2']),
      laid: (right, sheet) => right.map((m, i) => (i === lowest(sheet) ? compose(translation({ x: 0, y: 5 }), m) : m)),
    },
    'inner-hinge-cut-through',
  ],
  [
    'the swayback hinge cut through',
    'swayback',
    { lines: through(), laid: slid({ x: 0, y: -6 }) },
    'hinge-cut-through',
  ],
  ['twice the amount: not halved', 'widerHip', { laid: times(2) }, 'not-halved'],
  ['half of the half', 'longerBodice', { laid: times(0.5) }, 'halved-twice'],
  ['lapped where it should open', 'longerBodice', { laid: times(-1) }, 'lapped-not-opened'],
  ['opened where it should lap', 'swayback', { laid: times(-1) }, 'opened-not-lapped'],
  ['too much', 'shorterLeg', { laid: times(1.2) }, 'too-much'],
  ['too little', 'roundBack', { laid: times(0.75) }, 'too-little'],
  ['a wedge where it should open evenly', 'longerBodice', { laid: turned(0.02) }, 'tapered-not-even'],
  [
    'evenly where it should run out to nothing',
    'roundBack',
    {
      lines: through(),
      laid: (_, sheet, t) =>
        restOf(sheet).map((m, i) =>
          i === sheet.root
            ? m
            : translation({ x: 0, y: -Math.abs(nth(openingsOf(nth(t.right, 0)), 0).wanted) * (up(sheet, i) ? 1 : -1) }),
        ),
    },
    'even-not-tapered',
  ],
  ['cut and never moved', 'fullSeat', { laid: (_, sheet) => restOf(sheet) }, 'not-moved'],
  [
    'the centre never levelled',
    'fullerBust',
    { laid: (right, sheet) => right.map((m, i) => (i === lowerCentre(sheet) ? restOf(sheet)[i]! : m)) },
    'not-levelled',
  ],
  [
    'the centre levelled too far',
    'fullerBust',
    {
      laid: (right, sheet) =>
        right.map((m, i) => (i === lowerCentre(sheet) ? compose(translation({ x: 0, y: 4 }), m) : m)),
    },
    'level-slipped',
  ],
  [
    'the line across the centre left out',
    'fullerBust',
    { lines: (l) => l.filter((x) => x.id !== 'line3') },
    'line-missing',
  ],
  [
    'the hinge high on the armhole',
    'roundBack',
    { lines: ended('across', (p) => add(p, { x: 0, y: -14 })), laid: rehinged },
    'hinge-elsewhere',
  ],
  ['the dart’s tip at the bust point', 'fullerBust', { tip: (_, t) => newBustPoint(t) }, 'tip-at-bust-point'],
  ['the dart’s tip too far off', 'fullerBust', { tip: (p, t) => lerp(newBustPoint(t), p, 1.8) }, 'tip-too-far'],
  ['the tip beside the middle of its legs', 'fullerBust', { tip: (p) => add(p, { x: 0, y: 7 }) }, 'tip-off-middle'],
  ['no dart drawn on a front that had none', 'bustWithoutDart', { tip: () => null }, 'tip-not-drawn'],
  [
    'a new dart beside the middle of its legs',
    'bustWithoutDart',
    { tip: (p) => add(p, { x: 0, y: 9 }) },
    'tip-off-middle',
  ],
  [
    'a new dart under a raglan to the bust point',
    'raglanBust',
    { tip: (_, t) => newBustPoint(t) },
    'tip-at-bust-point',
  ],
  ['no dart drawn', 'fullerBust', { tip: () => null }, 'tip-not-drawn'],
  [
    'the slash beside the bust point',
    'fullerBust',
    {
      lines: (l) =>
        l.map((x) => ({
          ...x,
          points: x.points.map((p) => (distance(p, bustIn(l)) < 0.01 ? add(p, { x: 9, y: 0 }) : p)),
        })),
      laid: rehinged,
    },
    'beside-bust-point',
  ],
  ['the cap left as it was taped', 'fullUpperArm', { trued: () => null }, 'not-trued'],
  ['the cap drawn 9 mm too low', 'fullUpperArm', { trued: (_, right) => capLower(right, 9) }, 'trued-elsewhere'],
];

/** The cap of a sleeve with everything but its ends lower. */
function capLower(sleeve: Piece, by: number): Piece {
  const line = joinPaths(edgesWithRole(sleeve, 'cap').map((e) => e.path));
  const places = Array.from({ length: 25 }, (_, i) => {
    const p = pointAt(line, (pathLength(line) * i) / 24);
    return i % 24 === 0 ? p : add(p, { x: 0, y: by });
  });
  return expectOk(trueAlong(sleeve, places), 'cap');
}

const lowest = (sheet: CutSheet): number => farthest(sheet, (r) => Math.max(...r.map((p) => p.y + p.x / 2)));
const lowerCentre = (sheet: CutSheet): number => farthest(sheet, (r) => Math.max(...r.map((p) => p.y - p.x)));
const farthest = (sheet: CutSheet, of: (r: readonly Point[]) => number): number => {
  const all = sheet.rings.map(of);
  return all.indexOf(Math.max(...all));
};
const up = (sheet: CutSheet, i: number): boolean =>
  Math.min(...nth(sheet.rings, i).map((p) => p.y)) < Math.min(...nth(sheet.rings, sheet.root).map((p) => p.y));
const newBustPoint = (t: Task): Point => bustPointOf(nth(t.right, 0).final) as Point;
const bustIn = (l: readonly Line[]): Point =>
  nth(
    nth(
      l.filter((x) => x.id === 'line2'),
      0,
    ).points,
    1,
  );
/** Turned by the right angles, but about one's own hinges. */
function rehinged(right: Laid, sheet: CutSheet): Laid {
  const done = new Map<number, Rigid>([[sheet.root, nth(restOf(sheet), 0)]]);
  for (let round = 0; round < sheet.rings.length; round++)
    for (const {
      at: pin,
      panels: [a, b],
    } of sheet.pins)
      for (const [known, next] of [
        [a, b],
        [b, a],
      ] as const) {
        const from = done.get(known);
        if (!from || done.has(next)) continue;
        const by = nth(right, next).angle - from.angle;
        done.set(next, compose(from, rotationAbout(pin, by)));
      }
  return right.map((m, i) => done.get(i) ?? m);
}

describe('typical mistakes', () => {
  it.each(TYPICAL)('%s (%s) is recognised', (_, id, otherwise, code) => {
    const t = largest(id);
    const v = judge(t, made(t, otherwise));
    expect(v.mistakes.map((m) => m.code)).toContain(code);
    expect(v.careful).toBe(false);
  });

  it('a hinge a little off that makes no difference anyone sees is not held against anybody', () => {
    const t = taskBy('roundBack');
    const v = judge(t, made(t, { lines: ended('across', (p) => add(p, { x: 0, y: -6 })), laid: rehinged }));
    expect(v.score).toBeLessThan(1);
    expect(v.mistakes).toEqual([]);
    expect(v.careful).toBe(true);
  });

  it('the back forgotten: its side seam is as much too long as the front was shortened', () => {
    const t = taskBy('shorterBodice');
    const [front] = careful(t);
    const v = judge(t, [front ?? null, null]);
    expect(v.mistakes.map((m) => m.code)).toEqual(['back-forgotten']);
    const side = v.differences.find((d) => d.kind === 'seam' && d.role === 'side');
    // The side runs slanted and is trimmed where it laps: a little less than the amount.
    expect(Math.abs(side?.by ?? 0) / (t.asked.told['by'] as number)).toBeGreaterThan(0.9);
  });

  it('front and back by different amounts do not meet', () => {
    const t = taskBy('longerBodice');
    const v = judge(t, made(t, { laid: times(1.3) }, 1));
    expect(v.mistakes.map((m) => m.code)).toContain('amounts-differ');
  });

  it('a gap measured on the slant opens less: what parted is as far apart as was wanted, the gap is not', () => {
    const t = taskBy('fullerBust');
    const o = lower(t);
    if (!o) throw new Error('no line 1');
    // The swing at which the parted points are the wanted amount from each other.
    const share = o.wanted / Math.hypot(o.parted.x, o.parted.y);
    const v = judge(t, made(t, { laid: (right, sheet) => byTurn(right, sheet, share) }));
    const slant = v.mistakes.find((m) => m.code === 'measured-on-the-slant');
    expect(slant?.data['got']).toBeLessThan((slant?.data['wanted'] ?? 0) - 1.5);
  });

  it('a hinge left out lengthens the armhole by what opens there', () => {
    const t = taskBy('roundBack');
    const v = judge(t, made(t, { lines: through(), laid: slid({ x: 0, y: -8 }) }));
    const armhole = v.differences.find((d) => d.kind === 'length' && d.role === 'armhole');
    expect(armhole?.by).toBeGreaterThan(6);
    expect(v.mistakes.find((m) => m.code === 'hinge-cut-through')?.makes).toContainEqual(armhole);
  });
});

/** Swung by a share of the right angle about the hinges, the loose centre lowered by as much as the side came down. */
function byTurn(right: Laid, sheet: CutSheet, share: number): Laid {
  const swung = rehinged(
    right.map((m) => ({ ...m, angle: share * m.angle })),
    sheet,
  );
  return swung.map((m, i) => (i === lowerCentre(sheet) ? { angle: 0, x: 0, y: share * nth(right, i).y } : m));
}
