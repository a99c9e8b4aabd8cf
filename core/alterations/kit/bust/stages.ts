import { isInOne } from '../../../paper/truing/index.ts';
import {
  bustPointOf,
  doubleDartShape,
  doubleDartsOf,
  edgesWithRole,
  type Dart,
  type DoubleDart,
} from '../../../pattern/index.ts';
import { NEW_DART, type Instruction, type MarkLine, type Values } from '../../contract.ts';
import { numberOf } from '../../engine/values.ts';
import { slashSpec, type Closing } from './cuts.ts';
import { lowerSide } from './front.ts';
import { type Layout } from './layout.ts';
import { choice } from './params.ts';
import {
  capDart,
  changeDart,
  easeDart,
  mark,
  openDart,
  restoreLevels,
  restoreWidth,
  retip,
  shapeDart,
  slash,
  smooth,
  splitEdge,
  squareAcross,
  tell,
} from '../../operations/index.ts';

/** What a sentence of the procedure may use. */
export type Data = Readonly<Record<string, string | number>>;

export function marking(l: Layout, data: Data, values: Values, closing: Closing): readonly Instruction[] {
  const { front, p, hinge, second } = l;
  const lines: MarkLine[] = [
    { id: 'line1', label: '1', points: [l.foot, p, hinge] },
    { id: 'line2', label: '2', points: [l.mouth, p] },
    { id: 'line3', label: '3', points: [l.centreAt, { x: p.x, y: l.level.y }] },
    ...(second ? [{ id: 'line4', label: '4', points: [p, second.at] }] : []),
  ];
  const code = second ? 'fba.mark.lines.two' : front.sideDart ? 'fba.mark.lines' : 'fba.mark.lines.noDart';
  return [
    mark({
      message: { code: 'fba.mark.bustPoint', data: { source: l.source } },
      points: [{ id: 'bustPoint', kind: 'bustPoint', at: p }],
    }),
    mark({
      message: { code, data: { ...data, share: numberOf(values, 'hinge') } },
      lines,
      points: [
        { id: 'hinge', kind: 'hinge', at: hinge },
        ...(second ? [{ id: 'overarm', kind: 'hinge' as const, at: second.at }] : []),
      ],
    }),
    ...(closing === 'goal' && front.goal ? [mark({ message: { code: 'fba.mark.goal', data } })] : []),
  ];
}

export function opening(l: Layout, data: Data, s: number, closing: Closing): readonly Instruction[] {
  const lap = s < 0;
  const { p, moved } = l;
  return [
    slash({
      spec: slashSpec(l, closing),
      messages: {
        cut: { code: l.second ? 'fba.cut.two' : l.carried !== null ? 'fba.cut.lapGoal' : 'fba.cut', data },
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
    }),
  ];
}

/** The dart that took the opening: the old one wider or narrower, a new one, or none. */
export function darts(
  l: Layout,
  data: Data,
  closing: Closing,
  ease: boolean,
  bustPoint: Layout['p'],
  setback: number,
): readonly Instruction[] {
  const { front } = l;
  if (front.sideDart)
    return [retip({ message: { code: 'fba.dart.retip', data }, dart: front.sideDart.id, to: { bustPoint, setback } })];
  if (closing === 'goal' && front.goal)
    return [retip({ message: { code: 'fba.dart.retip.goal', data }, dart: front.goal.id, to: { bustPoint, setback } })];
  if (closing !== 'open' || !l.bare) return [];
  const made: Instruction = openDart({
    message: { code: ease ? 'fba.dart.ease' : 'fba.dart.new', data },
    edge: l.bare.edge,
    at: l.bare.along,
    tip: l.moved,
  });
  return ease
    ? [made, easeDart({ stage: 'dart', message: { code: 'fba.dart.ease', data }, dart: NEW_DART })]
    : [made, retip({ message: { code: 'fba.dart.retip', data }, dart: NEW_DART, to: { bustPoint, setback } })];
}

export function waistDartSteps(
  l: Layout,
  dart: Dart,
  keeps: boolean,
  data: Data,
  bustPoint: Layout['p'],
  s: number,
): readonly Instruction[] {
  // As far below as it was drafted below the pattern's own bust point: it moves with the side dart's tip.
  const drafted = bustPointOf(l.front.piece) ?? l.p;
  const below = Math.max(10, Math.abs(dart.tip.y - drafted.y));
  const code = keeps ? 'fba.waistDart.retip' : s < 0 ? 'fba.waistDart.narrower' : 'fba.waistDart.wider';
  return [
    ...(keeps
      ? [changeDart({ message: { code: 'fba.waistDart.keep', data }, dart: dart.id, change: { narrower: s } })]
      : []),
    retip({ message: { code, data: { ...data, below } }, dart: dart.id, to: { bustPoint, setback: below } }),
  ];
}

/** Darts without a mouth that line 1 runs through: they open, or close, with it. */
export const doubleDartsOnLine = ({ front, p }: Layout): readonly DoubleDart[] =>
  doubleDartsOf(front.piece).filter((d) => {
    const xs = doubleDartShape(d).ends.map((end) => end.x);
    return d.lower.y > p.y && Math.min(...xs) <= p.x && p.x <= Math.max(...xs);
  });

export function doubleDartSteps(
  darts: readonly DoubleDart[],
  keeps: boolean,
  data: Data,
  s: number,
): readonly Instruction[] {
  return darts.map((dart) =>
    keeps
      ? shapeDart({ message: { code: 'fba.doubleDart.keep', data }, dart: dart.id, as: { width: dart.width } })
      : mark({ stage: 'dart', message: { code: s < 0 ? 'fba.doubleDart.narrower' : 'fba.doubleDart.wider', data } }),
  );
}

export function truing(
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
    smooth({ message: { code: 'fba.true.hinge', data }, reach: 30, at: { edge: l.hingeEdge, near: l.hinge } }),
  ];
  if (l.second)
    steps.push(
      smooth({ message: { code: 'fba.true.hinge', data }, reach: 30, at: { edge: l.second.edge, near: l.second.at } }),
    );
  const bareHem = closing === 'hem' && waistDart === null;
  if (bareHem) steps.push(squareAcross({ message: { code: 'fba.true.relevel', data: { ...data, role } }, role }));
  const widthGrows = s !== 0 && (waistDart === null || keepsDart);
  if (widthGrows && shape === 'keep')
    steps.push(
      tell({ stage: 'true', message: { code: 'fba.true.keep', data: { ...data, role } }, what: { widthOf: role } }),
    );
  if (widthGrows && shape !== 'keep' && isInOne(front.piece) && closing === 'open') {
    steps.push(
      restoreLevels({
        message: { code: lap ? 'fba.true.levels.lap' : 'fba.true.levels', data },
        side: lowerSide(front).id,
      }),
    );
  } else if (widthGrows && shape !== 'keep') {
    if (l.bare && closing !== 'open')
      steps.push(
        splitEdge({
          message: { code: lap ? 'fba.true.addBack' : 'fba.true.taper', data: { ...data, shape, role } },
          edge: l.bare.edge,
          at: l.bare.along,
        }),
      );
    steps.push(
      restoreWidth({
        belowBust: true,
        message: { code: lap ? 'fba.true.addBack' : 'fba.true.taper', data: { ...data, shape, role } },
        side: lowerSide(front).id,
        role,
        shape: shape === 'curved' ? 'curved' : 'straight',
      }),
    );
  }
  if (widthGrows)
    steps.push(
      smooth({ message: { code: 'fba.true.waist', data: { ...data, role } }, reach: 20, at: { kinksOf: role } }),
    );
  const capped =
    front.sideDart?.id ?? (closing === 'goal' ? front.goal?.id : closing === 'open' ? NEW_DART : undefined);
  if (capped) steps.push(capDart({ message: { code: 'fba.true.cap', data }, dart: capped }));
  if (waistDart) steps.push(capDart({ message: { code: 'fba.true.capWaist', data }, dart: waistDart.id }));
  return steps;
}
