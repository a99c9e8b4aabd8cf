import type { Result } from '../../units/index.ts';
import { asBefore } from './asBefore.ts';
import { capDart } from './capDart.ts';
import { changeDart } from './changeDart.ts';
import { dividePiece } from './dividePiece.ts';
import { drawAlong } from './drawAlong.ts';
import { drawYoke } from './drawYoke.ts';
import { easeDart } from './easeDart.ts';
import { fair } from './fair.ts';
import { fitCap } from './fitCap.ts';
import { gatherHead } from './gatherHead.ts';
import { landmark } from './landmark.ts';
import { mark } from './mark.ts';
import { match } from './match.ts';
import { matchSeam } from './matchSeam.ts';
import { moveCorner } from './moveCorner.ts';
import { moveEdge } from './moveEdge.ts';
import { moveJoint } from './moveJoint.ts';
import { openDart } from './openDart.ts';
import type { At, Place } from './operation.ts';
import { redraw } from './redraw.ts';
import { restoreCap } from './restoreCap.ts';
import { restoreLevels } from './restoreLevels.ts';
import { restoreNeck } from './restoreNeck.ts';
import { restoreWidth } from './restoreWidth.ts';
import { retip } from './retip.ts';
import { rule } from './rule.ts';
import { shapeDart } from './shapeDart.ts';
import { slash } from './slash.ts';
import { smooth } from './smooth.ts';
import { splitEdge } from './splitEdge.ts';
import { squareAcross } from './squareAcross.ts';
import { tell } from './tell.ts';
import { turnDart } from './turnDart.ts';
import { widen } from './widen.ts';

export {
  asBefore,
  capDart,
  changeDart,
  dividePiece,
  drawAlong,
  drawYoke,
  easeDart,
  fair,
  fitCap,
  gatherHead,
  landmark,
  mark,
  match,
  matchSeam,
  moveCorner,
  moveEdge,
  moveJoint,
  openDart,
  redraw,
  restoreCap,
  restoreLevels,
  restoreNeck,
  restoreWidth,
  retip,
  rule,
  shapeDart,
  slash,
  smooth,
  splitEdge,
  squareAcross,
  tell,
  turnDart,
  widen,
};

/** Every operation, in the order of the hands' work. The union of instructions and the table of the docs are read off it. */
export const OPERATIONS = {
  mark,
  slash,
  landmark,
  turnDart,
  openDart,
  retip,
  changeDart,
  shapeDart,
  capDart,
  easeDart,
  splitEdge,
  dividePiece,
  smooth,
  fair,
  rule,
  squareAcross,
  asBefore,
  moveCorner,
  moveEdge,
  moveJoint,
  widen,
  restoreWidth,
  restoreLevels,
  restoreNeck,
  restoreCap,
  fitCap,
  gatherHead,
  drawAlong,
  drawYoke,
  redraw,
  match,
  matchSeam,
  tell,
} as const;

type Operations = typeof OPERATIONS;
/** What a program is made of. */
export type Instruction = { [Op in keyof Operations]: ReturnType<Operations[Op]> }[keyof Operations];

/** Carries out one instruction. */
export function runInstruction(at: Place, instruction: Instruction): Result<void> | void {
  const { run } = OPERATIONS[instruction.op] as unknown as {
    readonly run: (at: Place, args: At) => Result<void> | void;
  };
  return run(at, instruction);
}
