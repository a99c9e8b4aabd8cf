import type { Point } from '../../geometry/index.ts';
import { rotation, settleRotation, tipsAfterRotation, type RotationTarget } from '../../paper/truing/index.ts';
import { seamsAfterSplit } from '../../pattern/index.ts';
import { ok } from '../../units/index.ts';
import { operation, type Said } from './operation.ts';
import { slashWhole } from './slash.ts';
import { dartName } from './state.ts';

interface TurnDart extends Said {
  readonly dart: string;
  readonly target: RotationTarget;
  readonly about: Point;
  /** How much of it is turned: 1 for all. */
  readonly share: number;
  /** The tips are set back from it. */
  readonly bustPoint: Point;
  readonly setback: number;
}

export const turnDart = operation<'turnDart', TurnDart>('turnDart', {
  stage: 'open',
  summary: 'turns a dart, or a share of it, into another place',
  run: ({ table, state }, { dart, target, about, share, bustPoint, setback }) => {
    const source = dartName(table, dart);
    const before = state.piece;
    const found = rotation(before, source, target, about, share);
    if (!found.ok) return found;
    const turned = slashWhole(state, found.value.spec);
    if (!turned.ok) return turned;
    const settled = settleRotation(before, state.piece, target, source, found.value);
    table.newDart = settled.dart.id;
    if (settled.split) table.seams = seamsAfterSplit(table.seams, before.id, settled.split);
    state.piece = tipsAfterRotation(before, settled, source, bustPoint, setback);
    return ok(undefined);
  },
});
