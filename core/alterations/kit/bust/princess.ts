import { reversePath } from '../../../geometry/index.ts';
import { apexMark, edgesWithRole } from '../../../pattern/index.ts';
import { degrees, ok, type Result } from '../../../units/index.ts';
import type { Context, Grip, Instruction, Message, Program, Values } from '../../contract.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { BUST_PARAMS } from './params.ts';
import { advice } from './promises.ts';
import { ends } from './centreSpread.ts';
import { findPanels } from './panels.ts';
import { openedFor, topOfNotch } from './princessLayout.ts';
import { fair, landmark, mark, match, restoreWidth, slash, smooth, splitEdge, tell } from '../../operations/index.ts';

/**
 * The full or small bust of a princess line. The side front opens along the inside of its princess seam and at
 * the side; the side opening is closed again about the moved bust point, which opens the princess seam at the
 * apex. The side front's seam has then grown by two amounts; the centre front is spread by the same two,
 * straight across, at the apex and below it.
 */
export function princessProgram(context: Context, values: Values, top: 'armhole' | 'shoulder'): Result<Program> {
  const found = findPanels(context.pieces, top);
  if (!found.ok) return found;
  const f = found.value;
  const { side, dir, apex } = f;
  const total = numberOf(values, 'total');
  const laid = openedFor(f, total / 2, values);
  if (!laid.ok) return laid;
  const { s, p, hinge, armhole, moved, turn, junction, spec, run, spread, dy, atApex, grown } = laid.value;
  const { foot, low, mouth, levelAt, sideEdge, along } = laid.value.lines;
  const data = {
    s: Math.abs(s),
    more: Math.max(0, Math.abs(s) - Math.abs(total / 2)),
    total,
    dy: Math.abs(dy),
    drop: dy,
    degrees: Math.abs(degrees(turn)),
    apex: Math.abs(atApex),
    grown: Math.abs(grown),
    below: numberOf(values, 'below'),
  };
  const lap = s < 0;
  const shape = choiceOf(values, 'waistWidth');
  const role: 'waist' | 'hem' = edgesWithRole(side, 'waist').length > 0 ? 'waist' : 'hem';
  const centre = f.centre.id;
  const bustPoint = { x: (apex.x + moved.x) / 2, y: moved.y };
  const steps: Instruction[] = [
    mark({
      message: { code: 'princess.mark.side', data },
      lines: [
        { id: 'line1', label: '1', points: [foot, junction, p, hinge] },
        { id: 'line2', label: '2', points: [mouth, p, apex] },
        { id: 'line3', label: '3', points: [levelAt, junction] },
      ],
      points: [
        { id: 'hinge', kind: 'hinge', at: hinge },
        { id: 'bustPoint', kind: 'bustPoint', at: apex },
      ],
    }),
    mark({ piece: centre, message: { code: 'princess.mark.centre', data }, lines: spread.lines }),
    slash({
      spec,
      messages: {
        cut: { code: 'princess.cut', data },
        open: { code: lap ? 'princess.lap' : 'princess.open', data },
        level: { code: lap ? 'princess.level.up' : 'princess.level.down', data },
        dart: { code: lap ? 'princess.close.lap' : 'princess.close', data },
      },
      dimensions: [{ id: 'spread', from: { x: p.x, y: moved.y }, to: moved, value: Math.abs(s) }],
    }),
    slash({
      piece: centre,
      spec: spread.spec,
      messages: { dart: { code: lap ? 'princess.centre.lap' : 'princess.centre', data } },
    }),
    landmark({
      stage: 'dart',
      piece: side.id,
      message: { code: 'princess.apex', data },
      bustPoint,
      levels: { bust: moved.y },
      keepGrain: true,
    }),
    smooth({
      message: { code: 'fba.true.hinge', data: { ...data, hinge: 'armhole' } },
      reach: 30,
      at: { edge: armhole.id, near: hinge },
    }),
    fair({ message: { code: 'princess.true.seam', data }, edge: f.seam.id, ...ends(run) }),
    fair({ piece: centre, message: { code: 'princess.true.seam', data }, edge: f.centreSeam.id, ...ends(spread.run) }),
  ];
  steps.push(fair({ message: { code: 'fba.true.waist', data: { ...data, role } }, edge: low, from: 0, to: Infinity }));
  // The notch goes to the middle of what opened, as far from the top on one seam as on the other.
  const fromTop = topOfNotch(f, spread);
  for (const [on, seam] of [
    [side, f.seam],
    [f.centre, f.centreSeam],
  ] as const) {
    const notch = apexMark(on, seam);
    if (notch && s !== 0)
      steps.push(
        landmark({
          stage: 'true',
          piece: on.id,
          message: { code: 'princess.notch', data },
          notch: { id: notch.id, edge: seam.id, fromTop },
        }),
      );
  }
  if (shape === 'keep')
    steps.push(
      tell({ stage: 'true', message: { code: 'fba.true.keep', data: { ...data, role } }, what: { widthOf: role } }),
    );
  else {
    const taper: Message = { code: lap ? 'fba.true.addBack' : 'fba.true.taper', data: { ...data, shape, role } };
    steps.push(
      splitEdge({ message: taper, edge: sideEdge, at: along }),
      restoreWidth({
        belowBust: true,
        message: taper,
        side: sideEdge,
        role,
        shape: shape === 'curved' ? 'curved' : 'straight',
      }),
    );
  }
  steps.push(
    smooth({ message: { code: 'fba.true.waist', data: { ...data, role } }, reach: 25, at: { kinksOf: role } }),
    match({ message: { code: 'princess.match', data }, kinds: ['princess', 'side', 'shoulder'] }),
  );
  for (const finding of advice(side, total, false)) steps.push(tell({ what: { finding } }));
  const { min, max } = BUST_PARAMS.total;
  const grips: readonly Grip[] = [
    {
      kind: 'along',
      id: 'hinge',
      key: 'hinge',
      piece: side.id,
      stages: ['mark', 'cut', 'open', 'level', 'dart', 'true', 'match'],
      at: hinge,
      path: dir === 1 ? armhole.path : reversePath(armhole.path),
      min: BUST_PARAMS.hinge.min,
      max: BUST_PARAMS.hinge.max,
    },
    {
      kind: 'amount',
      id: 'gap',
      key: 'total',
      piece: side.id,
      stages: ['open', 'level'],
      at: moved,
      from: p,
      axis: { x: dir, y: 0 },
      per: 2,
      min,
      max,
    },
  ];
  const still = steps.filter((i) => i.stage === 'mark' || i.stage === 'cut' || i.op === 'match');
  return ok({
    piece: side.id,
    instructions: s === 0 ? still.filter((i) => i.op !== 'slash' || i.piece === undefined) : steps,
    grips,
  });
}
