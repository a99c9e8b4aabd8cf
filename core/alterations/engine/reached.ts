import { TOL } from '../../units/index.ts';
import type { Instruction } from '../instructions.ts';
import { hipOf, waistOf } from '../kit/sides.ts';
import { piecesNow, type TableState } from './state.ts';

/** Measures a level again over the pieces it runs across; where it is not what was wanted, that is told. */
export function tellReached(table: TableState, step: Extract<Instruction, { op: 'tellReached' }>): void {
  const of = step.level === 'waist' ? waistOf : hipOf;
  const now = piecesNow(table)
    .filter((p) => step.pieces.includes(p.id))
    .reduce((sum, p) => sum + (of(p) ?? 0), 0);
  const by = now - step.wanted;
  if (Math.abs(by) <= TOL.seam) return;
  const [piece] = step.pieces;
  table.findings.push({
    code: 'level-not-reached',
    grade: 'look',
    ...(piece === undefined ? {} : { piece }),
    data: { level: step.level, by, wanted: step.wanted, now },
  });
}
