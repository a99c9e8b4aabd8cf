import { amountGrip } from '../../kit/grip.ts';
import { define, length } from '../../kit/define.ts';
import { pathLength, pointAt } from '../../../geometry/index.ts';
import { bustPointOf } from '../../../pattern/index.ts';
import { fairRun } from '../../../paper/truing/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import { findPanels } from '../../kit/bust/panels.ts';
import { seamsHold } from '../../kit/bust/promises.ts';
import type { AlterationDefinition, Context, Instruction, Program, Values } from '../../contract.ts';
import { fitsFallen } from '../../kit/fallen.ts';
import { numberOf } from '../../engine/values.ts';
import { fair, landmark, mark, match, matchSeam, slash } from '../../operations/index.ts';
import { slide } from './layout.ts';

const BY = length('by', -50, 50, -15, true);

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
      amountGrip({ piece: f.side.id, shown: 'moving', from: f.apex, axis: { x: 0, y: -1 }, value: by, limits: BY }),
    ],
  });
}

export const princessApex: AlterationDefinition = define({
  id: 'princess-apex',
  family: 'dart',
  params: [BY],
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
});
