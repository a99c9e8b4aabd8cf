import {
  intersectPaths,
  nearestLength,
  pathLength,
  pointAt,
  polyline,
  type Path,
  type Point,
} from '../../../geometry/index.ts';
import { bustPointOf, type Edge, type Piece } from '../../../pattern/index.ts';
import { slashPiece, type SlashSpec } from '../../../paper/slash/index.ts';
import { fairRun } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { findPanels } from '../../kit/bust/panels.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import type { AlterationDefinition, Context, Instruction, MarkLine, Program, Values } from '../../contract.ts';
import { fitsFallen } from '../../kit/fallen.ts';
import { numberOf } from '../../engine/values.ts';
import { fair, landmark, mark, match, matchSeam, slash } from '../../operations/index.ts';

/** The box around the apex: half its height and its depth into the piece, mm. */
const HALF = 45;
const DEPTH = 30;

interface Slid {
  readonly spec: SlashSpec;
  readonly line: MarkLine;
  readonly from: number;
  readonly to: number;
  /** The seam as the slid box leaves it. */
  readonly path: Path;
}

/** A box cut from the princess edge around the apex, slid up by `by`; the edge faired across it. */
function slide(piece: Piece, seam: Edge, apex: Point, inward: 1 | -1, by: number): Result<Slid> {
  const at = (y: number): Point | undefined =>
    intersectPaths(
      polyline([
        { x: apex.x - 400, y },
        { x: apex.x + 400, y },
      ]),
      seam.path,
    )[0]?.point;
  const top = at(apex.y - HALF);
  const bottom = at(apex.y + HALF);
  if (!top || !bottom) return refuse('no-room-to-slide', { wanted: Math.abs(by), most: 0 });
  const inner = inward > 0 ? Math.max(top.x, bottom.x, apex.x) + DEPTH : Math.min(top.x, bottom.x, apex.x) - DEPTH;
  const points = [top, { x: inner, y: top.y }, { x: inner, y: bottom.y }, bottom];
  const spec: SlashSpec = {
    cuts: [{ id: 'box', points }],
    hinges: [],
    panels: [
      {
        id: 'box',
        seed: { x: inner - inward * 4, y: apex.y },
        motion: { kind: 'shift', by: { x: 0, y: -by } },
        stage: 'open',
      },
    ],
  };
  const done = slashPiece(piece, spec);
  if (!done.ok) return done;
  const path = (done.value.piece.edges.find((e) => e.id === seam.id) as Edge).path;
  const middle = nearestLength(path, { x: apex.x, y: apex.y - by });
  const reach = HALF + Math.abs(by) + 20;
  const from = Math.max(2, middle - reach);
  const to = Math.min(pathLength(path) - 2, middle + reach);
  return ok({
    spec,
    line: { id: `box ${piece.id}`, label: '1', points },
    from,
    to,
    path,
  });
}

function plan(context: Context, values: Values): Result<Program> {
  const found = findPanels(context.pieces, 'any');
  if (!found.ok) return found;
  const f = found.value;
  const by = numberOf(values, 'by');
  const side = slide(f.side, f.seam, f.apex, f.dir, by);
  if (!side.ok) return side;
  const centreApex = pointAt(f.centreSeam.path, f.centreApexAt);
  const centre = slide(f.centre, f.centreSeam, centreApex, f.dir === 1 ? -1 : 1, by);
  if (!centre.ok) return centre;
  const data = { by: Math.abs(by) };
  const up = by > 0;
  // Both seams differ as they did: the side front is drawn as long as the centre front comes out.
  const drafted = pathLength(f.seam.path) - pathLength(f.centreSeam.path);
  const { from, to, path } = centre.value;
  const sideLength = pathLength(fairRun(path, from, to)) + drafted;
  const sewn = context.seams.find((q) => {
    const ids = [q.first.piece, q.second.piece];
    return q.kind === 'princess' && ids.includes(f.side.id) && ids.includes(f.centre.id);
  });
  const steps: Instruction[] = [];
  for (const [piece, slid, seam] of [
    [f.side, side.value, f.seam],
    [f.centre, centre.value, f.centreSeam],
  ] as const) {
    const bust = bustPointOf(piece);
    steps.push(
      mark({ piece: piece.id, message: { code: 'apex.mark', data }, lines: [slid.line] }),
      slash({
        piece: piece.id,
        spec: slid.spec,
        messages: { cut: { code: 'apex.cut', data }, open: { code: up ? 'apex.up' : 'apex.down', data } },
      }),
      ...(bust
        ? [
            landmark({
              stage: 'dart',
              piece: piece.id,
              message: { code: 'raise.bustPoint', data },
              bustPoint: { x: bust.x, y: bust.y - by },
              levels: { bust: bust.y - by },
            }),
          ]
        : []),
      fair({
        piece: piece.id,
        message: { code: 'princess.true.seam', data },
        edge: seam.id,
        from: slid.from,
        to: slid.to,
        ...(piece === f.side ? { length: sideLength } : {}),
      }),
    );
  }
  if (sewn) steps.push(matchSeam({ piece: f.side.id, message: { code: 'apex.match', data }, seam: sewn.id }));
  steps.push(match({ message: { code: 'apex.match', data }, kinds: ['princess', 'side', 'shoulder'] }));
  return ok({
    piece: f.side.id,
    instructions: steps,
    grips: [
      {
        kind: 'amount',
        id: 'gap',
        key: 'by',
        piece: f.side.id,
        stages: ['open', 'level'],
        at: { x: f.apex.x, y: f.apex.y - by },
        from: f.apex,
        axis: { x: 0, y: -1 },
        per: 1,
        min: -50,
        max: 50,
      },
    ],
  });
}

export const princessApex: AlterationDefinition = {
  id: 'princess-apex',
  revision: 1,
  family: 'dart',
  params: [{ kind: 'length', key: 'by', min: -50, max: 50, initial: -15, step: 1, signed: true }],
  amount: 'by',
  requires: ['princess'],
  refusals: [
    'front-not-found',
    'side-front-not-found',
    'princess-missing',
    'armhole-missing',
    'apex-notch-missing',
    'no-room-to-slide',
    'overlap-too-large',
    'cut-leaves-piece',
  ],
  examples: [
    { name: 'lowered', on: 'skerry-shoulder', values: { by: -15 } },
    { name: 'raised', on: 'skerry-armhole', values: { by: 12 } },
  ],
  source: 'A box around the apex slid on both pieces by the same amount.',
  suggest: () => ({}),
  suits: (pieces) => {
    const found = findPanels(pieces, 'any');
    return found.ok
      ? { grade: 'possible', why: { code: 'why.apex', data: {} } }
      : { grade: 'no', why: { code: found.error.code, data: found.error.data } };
  },
  reads: ['neckPointToBustPoint'],
  fits: fitsFallen,
  offered: true,
  plan,
  holds: seamsHold,
};
