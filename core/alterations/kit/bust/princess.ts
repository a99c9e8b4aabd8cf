import { reversePath } from '../../../geometry/index.ts';
import { apexMark, edgesWithRole } from '../../../pattern/index.ts';
import { degrees, ok, type Result } from '../../../units/index.ts';
import type { Context, Grip, Instruction, Message, Program, Values } from '../../contract.ts';
import { choiceOf, numberOf } from '../../engine/values.ts';
import { BUST_PARAMS } from './params.ts';
import { advice } from './promises.ts';
import { ends } from './centreSpread.ts';
import { findPanels, type Panels } from './panels.ts';
import { openedFor, topOfNotch, type LaidOut } from './princessLayout.ts';
import { fair, landmark, mark, match, restoreWidth, slash, smooth, splitEdge, tell } from '../../operations/index.ts';

/** The panels, the geometry computed on them, and the data for the sentences of the steps. */
interface Work {
  readonly found: Panels;
  readonly laid: LaidOut;
  readonly data: Message['data'];
  readonly values: Values;
  readonly total: number;
}

/**
 * The full or small bust of a princess line. The side front opens along the inside of its princess seam and at
 * the side; the side opening is closed again about the moved bust point, which opens the princess seam at the
 * apex. The side front's seam has then grown by two amounts; the centre front is spread by the same two,
 * straight across, at the apex and below it.
 */
export function princessProgram(context: Context, values: Values, top: 'armhole' | 'shoulder'): Result<Program> {
  const found = findPanels(context.pieces, top);
  if (!found.ok) return found;
  const total = numberOf(values, 'total');
  const opened = openedFor(found.value, total / 2, values);
  if (!opened.ok) return opened;
  const laid = opened.value;
  const work: Work = { found: found.value, laid, data: dataOf(laid, values, total), values, total };
  const steps = [...opening(work), ...truing(work)];
  const still = steps.filter((i) => i.stage === 'mark' || i.stage === 'cut' || i.op === 'match');
  return ok({
    piece: found.value.side.id,
    instructions: laid.s === 0 ? still.filter((i) => i.op !== 'slash' || i.piece === undefined) : steps,
    grips: gripsOf(work),
  });
}

/** What the sentences of the steps say: lengths mm, angles in degrees. */
const dataOf = ({ s, dy, turn, atApex, grown }: LaidOut, values: Values, total: number): Message['data'] => ({
  s: Math.abs(s),
  more: Math.max(0, Math.abs(s) - Math.abs(total / 2)),
  total,
  dy: Math.abs(dy),
  drop: dy,
  degrees: Math.abs(degrees(turn)),
  apex: Math.abs(atApex),
  grown: Math.abs(grown),
  below: numberOf(values, 'below'),
});

/** The side front is opened and closed again, the centre front spread. */
function opening({ found, laid, data }: Work): readonly Instruction[] {
  const { side, apex } = found;
  const { s, p, hinge, moved, junction, spec, spread } = laid;
  const { foot, mouth, levelAt } = laid.lines;
  const lap = s < 0;
  const centre = found.centre.id;
  return [
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
      bustPoint: { x: (apex.x + moved.x) / 2, y: moved.y },
      levels: { bust: moved.y },
      keepGrain: true,
    }),
  ];
}

/** Seams and edges are drawn again where the paper has turned, the notches put where they meet, the waist made. */
function truing(work: Work): readonly Instruction[] {
  const { found, laid, data, total } = work;
  const { side } = found;
  const { hinge, armhole, run, spread } = laid;
  const role = edgesWithRole(side, 'waist').length > 0 ? 'waist' : 'hem';
  const seam: Message = { code: 'princess.true.seam', data };
  const edge: Message = { code: 'fba.true.waist', data: { ...data, role } };
  return [
    smooth({
      message: { code: 'fba.true.hinge', data: { ...data, hinge: 'armhole' } },
      reach: 30,
      at: { edge: armhole.id, near: hinge },
    }),
    fair({ message: seam, edge: found.seam.id, ...ends(run) }),
    fair({ piece: found.centre.id, message: seam, edge: found.centreSeam.id, ...ends(spread.run) }),
    fair({ message: edge, edge: laid.lines.low, from: 0, to: Infinity }),
    ...apexNotches(work),
    ...waistWidth(work, role),
    ...grainOf(work, role),
    smooth({ message: edge, reach: 25, at: { kinksOf: role } }),
    match({ message: { code: 'princess.match', data }, kinds: ['princess', 'side', 'shoulder'] }),
    ...advice(side, total, false).map((finding) => tell({ what: { finding } })),
  ];
}

/** The grain of the side front stays as it was drawn, and how far its lower edge leans is told; or it is set square to it. */
function grainOf({ found, data, values }: Work, role: 'waist' | 'hem'): readonly Instruction[] {
  const piece = found.side.id;
  if (choiceOf(values, 'grain') === 'kept') return [tell({ piece, what: { leans: role } })];
  const message: Message = { code: 'princess.grain', data: { ...data, role } };
  return [landmark({ stage: 'true', piece, message, grainSquareTo: role })];
}

/** The notch goes to the middle of what opened, as far from the top on one seam as on the other. */
function apexNotches({ found, laid, data }: Work): readonly Instruction[] {
  if (laid.s === 0) return [];
  const fromTop = topOfNotch(found, laid.spread);
  const seams = [
    { on: found.side, seam: found.seam },
    { on: found.centre, seam: found.centreSeam },
  ];
  return seams.flatMap(({ on, seam }) => {
    const notch = apexMark(on, seam);
    if (!notch) return [];
    return landmark({
      stage: 'true',
      piece: on.id,
      message: { code: 'princess.notch', data },
      notch: { id: notch.id, edge: seam.id, fromTop },
    });
  });
}

/** Waist or hem keeps its new width, or is brought back to what it was at the side seam. */
function waistWidth({ laid, data, values }: Work, role: 'waist' | 'hem'): readonly Instruction[] {
  const shape = choiceOf(values, 'waistWidth');
  if (shape === 'keep')
    return [
      tell({ stage: 'true', message: { code: 'fba.true.keep', data: { ...data, role } }, what: { widthOf: role } }),
    ];
  const { sideEdge, along } = laid.lines;
  const taper: Message = {
    code: laid.s < 0 ? 'fba.true.addBack' : 'fba.true.taper',
    data: { ...data, shape, role },
  };
  return [
    splitEdge({ message: taper, edge: sideEdge, at: along }),
    restoreWidth({
      belowBust: true,
      message: taper,
      side: sideEdge,
      role,
      shape: shape === 'curved' ? 'curved' : 'straight',
    }),
  ];
}

/** Handles: the hinge along the armhole, and the gap. */
function gripsOf({ found, laid }: Work): readonly Grip[] {
  const { side, dir } = found;
  const { hinge, armhole, moved, p } = laid;
  const { total, hinge: reach } = BUST_PARAMS;
  return [
    {
      kind: 'along',
      id: 'hinge',
      key: 'hinge',
      piece: side.id,
      stages: ['mark', 'cut', 'open', 'level', 'dart', 'true', 'match'],
      at: hinge,
      path: dir === 1 ? armhole.path : reversePath(armhole.path),
      min: reach.min,
      max: reach.max,
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
      min: total.min,
      max: total.max,
    },
  ];
}
