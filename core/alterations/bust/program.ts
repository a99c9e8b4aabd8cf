import { add, scale } from '../../geometry/index.ts';
import { edgesWithRole, type Dart } from '../../pattern/index.ts';
import { degrees, ok, refuse, ADVICE, type Result } from '../../units/index.ts';
import {
  NEW_DART,
  type Context,
  type Grip,
  type Instruction,
  type MarkLine,
  type Program,
  type Values,
} from '../contract.ts';
import { choiceOf, numberOf } from '../values.ts';
import { slashSpec, type Closing } from './cuts.ts';
import { lowerSide, type BustHow } from './front.ts';
import { hingePath } from './landmarks.ts';
import { layOut, type Layout } from './layout.ts';
import { BUST_PARAMS } from './params.ts';
import { advice } from './promises.ts';

const choice = (values: Values, key: string, otherwise: string): string =>
  key in values ? choiceOf(values, key) : otherwise;

/** What is to be done with the opening in the side, for this amount. */
function closingOf(l: Layout, how: BustHow, values: Values, s: number): Closing {
  if (l.front.sideDart) return 'open';
  if (how.dart === 'waist') return 'hem';
  if (l.front.goal) return 'goal';
  // Without a dart there is nothing to lap into: the whole side goes in, down to the hem.
  return s < 0 || choiceOf(values, 'ending') === 'hem' ? 'hem' : 'open';
}

/**
 * The program of a full or small bust on a front in one piece: three lines, a swing about the hinge, the lower
 * centre levelled, the opening kept as a dart, closed into the hem or another dart, or eased; then trued.
 */
export function bustProgram(context: Context, values: Values, how: BustHow): Result<Program> {
  const total = numberOf(values, 'total');
  const s = total / 2;
  const laid = layOut(context, values, s, how);
  if (!laid.ok) return laid;
  const l = laid.value;
  const { front, p, moved, hinge } = l;
  const closing = closingOf(l, how, values, s);
  const ease = l.bare !== null && closing === 'open' && choiceOf(values, 'ending') === 'ease';
  const intake = Math.abs(l.whole) * Math.hypot(l.mouth.x - p.x, l.mouth.y - p.y);
  if (ease && intake > ADVICE.easeMost) return refuse('too-much-to-ease', { intake, most: ADVICE.easeMost });
  const setback = numberOf(values, 'setback');
  const middle = choice(values, 'newBustPoint', 'middle') === 'middle';
  const bustPoint = middle ? { x: (p.x + moved.x) / 2, y: moved.y } : moved;
  const data = {
    s: Math.abs(s),
    total,
    dy: moved.y - p.y,
    degrees: Math.abs(degrees(l.whole)),
    setback,
    below: l.bare ? numberOf(values, 'below') : 0,
    intake,
    hinge: how.hinge,
    dart: front.goal?.kind ?? (how.dart === 'waist' ? 'waist' : 'side'),
  };
  const steps: Instruction[] = [...marking(l, data, values, closing), ...opening(l, data, s, closing)];
  const waistDart = front.waistDart && l.footRole === 'dart' ? front.waistDart : null;
  const keepsDart = waistDart !== null && choice(values, 'waistDart', 'widen') === 'keep';
  steps.push({
    op: 'landmark',
    stage: 'dart',
    message: { code: middle ? 'fba.bustPoint.middle' : 'fba.bustPoint.moved', data },
    bustPoint,
    levels: { bust: bustPoint.y },
  });
  steps.push(...darts(l, data, closing, ease, bustPoint, setback));
  if (waistDart) steps.push(...waistDartSteps(l, waistDart, keepsDart, data, bustPoint, s));
  steps.push(...truing(l, data, values, closing, s, waistDart, keepsDart));
  steps.push({
    op: 'match',
    stage: 'match',
    message: { code: 'fba.match', data },
    kinds: ['side', 'shoulder', 'raglan'],
  });
  for (const finding of advice(front.piece, total, !ease)) steps.push({ op: 'finding', stage: 'match', finding });
  const still = steps.filter((i) => i.stage === 'mark' || i.stage === 'cut' || i.op === 'match');
  return ok({
    piece: front.piece.id,
    instructions: s === 0 ? still : steps,
    grips: gripsOf(l, values, bustPoint, s, hinge),
  });
}

type Data = Readonly<Record<string, string | number>>;

function marking(l: Layout, data: Data, values: Values, closing: Closing): readonly Instruction[] {
  const { front, p, hinge, second } = l;
  const lines: MarkLine[] = [
    { id: 'line1', label: '1', points: [l.foot, p, hinge] },
    { id: 'line2', label: '2', points: [l.mouth, p] },
    { id: 'line3', label: '3', points: [l.centreAt, { x: p.x, y: l.level.y }] },
    ...(second ? [{ id: 'line4', label: '4', points: [p, second.at] }] : []),
  ];
  const code = second ? 'fba.mark.lines.two' : front.sideDart ? 'fba.mark.lines' : 'fba.mark.lines.noDart';
  return [
    {
      op: 'mark',
      stage: 'mark',
      message: { code: 'fba.mark.bustPoint', data: { source: l.source } },
      lines: [],
      points: [{ id: 'bustPoint', kind: 'bustPoint', at: p }],
    },
    {
      op: 'mark',
      stage: 'mark',
      message: { code, data: { ...data, share: numberOf(values, 'hinge') } },
      lines,
      points: [
        { id: 'hinge', kind: 'hinge', at: hinge },
        ...(second ? [{ id: 'overarm', kind: 'hinge' as const, at: second.at }] : []),
      ],
    },
    ...(closing === 'goal' && front.goal
      ? [
          {
            op: 'mark' as const,
            stage: 'mark' as const,
            message: { code: 'fba.mark.goal', data },
            lines: [],
            points: [],
          },
        ]
      : []),
  ];
}

function opening(l: Layout, data: Data, s: number, closing: Closing): readonly Instruction[] {
  const lap = s < 0;
  const { p, moved } = l;
  return [
    {
      op: 'slash',
      stage: 'cut',
      spec: slashSpec(l, closing),
      messages: {
        cut: { code: l.second ? 'fba.cut.two' : 'fba.cut', data },
        open: {
          code:
            l.carried !== null
              ? 'fba.lap.goal'
              : l.second
                ? lap
                  ? 'fba.lap.two'
                  : 'fba.open.two'
                : lap
                  ? 'fba.lap'
                  : 'fba.open',
          data,
        },
        level: {
          code: lap ? 'fba.level.up' : 'fba.level.down',
          data: { dy: Math.abs(moved.y - p.y), drop: moved.y - p.y },
        },
        ...(closing === 'open' || l.carried !== null
          ? {}
          : {
              dart: {
                code:
                  closing === 'hem'
                    ? l.front.waistDart
                      ? 'fba.close.waist'
                      : 'fba.close.hem'
                    : lap
                      ? 'fba.close.goal.lap'
                      : 'fba.close.goal',
                data,
              },
            }),
      },
      dimensions: [{ id: 'spread', from: { x: p.x, y: moved.y }, to: moved, value: Math.abs(s) }],
    },
  ];
}

/** The dart that took the opening: the old one wider or narrower, a new one, or none. */
function darts(
  l: Layout,
  data: Data,
  closing: Closing,
  ease: boolean,
  bustPoint: Layout['p'],
  setback: number,
): readonly Instruction[] {
  const { front } = l;
  if (front.sideDart)
    return [
      {
        op: 'retip',
        stage: 'dart',
        message: { code: 'fba.dart.retip', data },
        dart: front.sideDart.id,
        bustPoint,
        setback,
      },
    ];
  if (closing === 'goal' && front.goal)
    return [
      {
        op: 'retip',
        stage: 'dart',
        message: { code: 'fba.dart.retip.goal', data },
        dart: front.goal.id,
        bustPoint,
        setback,
      },
    ];
  if (closing !== 'open' || !l.bare) return [];
  const made: Instruction = {
    op: 'openDart',
    stage: 'dart',
    message: { code: ease ? 'fba.dart.ease' : 'fba.dart.new', data },
    edge: l.bare.edge,
    at: l.bare.along,
    tip: l.moved,
  };
  return ease
    ? [made, { op: 'ease', stage: 'dart', message: { code: 'fba.dart.ease', data }, dart: NEW_DART }]
    : [
        made,
        { op: 'retip', stage: 'dart', message: { code: 'fba.dart.retip', data }, dart: NEW_DART, bustPoint, setback },
      ];
}

function waistDartSteps(
  l: Layout,
  dart: Dart,
  keeps: boolean,
  data: Data,
  bustPoint: Layout['p'],
  s: number,
): readonly Instruction[] {
  const below = Math.max(10, Math.abs(dart.tip.y - l.p.y));
  const code = keeps ? 'fba.waistDart.retip' : s < 0 ? 'fba.waistDart.narrower' : 'fba.waistDart.wider';
  return [
    ...(keeps
      ? [
          {
            op: 'narrow' as const,
            stage: 'dart' as const,
            message: { code: 'fba.waistDart.keep', data },
            dart: dart.id,
            change: s,
          },
        ]
      : []),
    {
      op: 'retip',
      stage: 'dart',
      message: { code, data: { ...data, below } },
      dart: dart.id,
      bustPoint,
      setback: below,
    },
  ];
}

function truing(
  l: Layout,
  data: Data,
  values: Values,
  closing: Closing,
  s: number,
  waistDart: Dart | null,
  keepsDart: boolean,
): readonly Instruction[] {
  const { front } = l;
  const lap = s < 0;
  const shape = choice(values, 'waistWidth', 'straight');
  const role: 'waist' | 'hem' = edgesWithRole(front.piece, 'waist').length > 0 ? 'waist' : 'hem';
  const steps: Instruction[] = [
    {
      op: 'smooth',
      stage: 'true',
      message: { code: 'fba.true.hinge', data },
      edge: l.hingeEdge,
      near: l.hinge,
      reach: 30,
    },
  ];
  if (l.second)
    steps.push({
      op: 'smooth',
      stage: 'true',
      message: { code: 'fba.true.hinge', data },
      edge: l.second.edge,
      near: l.second.at,
      reach: 30,
    });
  const bareHem = closing === 'hem' && waistDart === null;
  if (bareHem)
    steps.push({ op: 'redraw', stage: 'true', message: { code: 'fba.true.relevel', data: { ...data, role } }, role });
  const widthGrows = s !== 0 && (waistDart === null || keepsDart);
  if (widthGrows && shape === 'keep')
    steps.push({
      op: 'finding',
      stage: 'true',
      finding: { code: 'waist-grew', grade: 'look', piece: front.piece.id, data: { by: s } },
    });
  if (widthGrows && shape !== 'keep') {
    if (l.bare && closing !== 'open')
      steps.push({
        op: 'part',
        stage: 'true',
        message: { code: lap ? 'fba.true.addBack' : 'fba.true.taper', data: { ...data, shape, role } },
        edge: l.bare.edge,
        at: l.bare.along,
      });
    steps.push({
      op: 'restoreWidth',
      stage: 'true',
      message: { code: lap ? 'fba.true.addBack' : 'fba.true.taper', data: { ...data, shape, role } },
      side: lowerSide(front).id,
      role,
      shape: shape === 'curved' ? 'curved' : 'straight',
    });
  }
  if (widthGrows)
    steps.push({
      op: 'smoothKinks',
      stage: 'true',
      message: { code: 'fba.true.waist', data: { ...data, role } },
      role,
      reach: 20,
    });
  const capped =
    front.sideDart?.id ?? (closing === 'goal' ? front.goal?.id : closing === 'open' ? NEW_DART : undefined);
  if (capped) steps.push({ op: 'cap', stage: 'true', message: { code: 'fba.true.cap', data }, dart: capped });
  if (waistDart)
    steps.push({ op: 'cap', stage: 'true', message: { code: 'fba.true.capWaist', data }, dart: waistDart.id });
  return steps;
}

/** What one may take hold of: hinge, bust point, the gap, and the tip once there is a dart. */
function gripsOf(l: Layout, values: Values, bustPoint: Layout['p'], s: number, hinge: Layout['p']): readonly Grip[] {
  const piece = l.front.piece.id;
  const { dir } = l.front;
  const early = ['mark', 'cut'] as const;
  const late = ['dart', 'true', 'match'] as const;
  const { min, max } = BUST_PARAMS.total;
  const grips: Grip[] = [
    {
      kind: 'along',
      id: 'hinge',
      key: 'hinge',
      piece,
      stages: [...early, 'open', 'level', ...late],
      at: hinge,
      path: hingePath(l.front),
      min: BUST_PARAMS.hinge.min,
      max: BUST_PARAMS.hinge.max,
    },
    { kind: 'point', id: 'bustPoint', key: 'bustPoint', piece, stages: early, at: l.p },
    {
      kind: 'amount',
      id: 'gap',
      key: 'total',
      piece,
      stages: ['open', 'level'],
      at: l.moved,
      from: l.p,
      axis: { x: dir, y: 0 },
      per: 2,
      min,
      max,
    },
  ];
  if (l.front.sideDart || (l.bare && s > 0))
    grips.push({
      kind: 'amount',
      id: 'tip',
      key: 'setback',
      piece,
      stages: late,
      at: add(bustPoint, scale({ x: dir, y: 0 }, numberOf(values, 'setback'))),
      from: bustPoint,
      axis: { x: dir, y: 0 },
      per: 1,
      min: BUST_PARAMS.setback.min,
      max: BUST_PARAMS.setback.max,
    });
  return grips;
}
