import { pathLength } from '../../geometry/index.ts';
import { edgesWithRole, hipOf, waistOf, type Piece } from '../../pattern/index.ts';
import { lowerChord, type Finding } from '../../paper/truing/index.ts';
import { ADVICE, degrees, TOL } from '../../units/index.ts';
import type { Message } from '../message.ts';
import { operation, type At, type Place } from './operation.ts';
import { note, piecesNow } from './state.ts';

/** A waist or hip re-measured over these pieces; reported where it misses the target, mm. */
interface Level {
  readonly level: 'waist' | 'hip';
  readonly pieces: readonly string[];
  readonly wanted: number;
}

interface Tell extends At {
  readonly message?: Message;
  /** A finding, how much wider or narrower a waist or hem has become, how far one leans now, or a level. */
  readonly what:
    { readonly finding: Finding } | { readonly widthOf: 'waist' | 'hem' } | { readonly leans: 'waist' | 'hem' } | Level;
}

export const tell = operation<'tell', Tell>('tell', {
  stage: 'match',
  summary: 'tells a finding, what became of a width, or a level that was not reached',
  run: (at, { what }) => {
    if ('finding' in what) at.table.findings.push(what.finding);
    else if ('widthOf' in what) tellWidth(at, what.widthOf);
    else if ('leans' in what) tellLean(at, what.leans);
    else tellLevel(at, what);
  },
});

function tellWidth({ table, state }: Place, role: 'waist' | 'hem'): void {
  const width = (p: Piece): number => edgesWithRole(p, role).reduce((sum, e) => sum + pathLength(e.path), 0);
  const by = width(state.piece) - width(state.original);
  if (Math.abs(by) > TOL.legs) note(table, state, { code: 'waist-grew', grade: 'look', data: { by, role } });
}

/** By how much the lower edge of a panel leans against its grain, beyond what it was drafted with. */
function tellLean({ table, state }: Place, role: 'waist' | 'hem'): void {
  const lean = (p: Piece): number => {
    const chord = lowerChord(p, role);
    return chord ? Math.atan2(chord.y, chord.x) : 0;
  };
  const by = Math.abs(degrees(lean(state.piece) - lean(state.original)));
  if (by > ADVICE.panelLeans)
    note(table, state, { code: 'panel-leans', grade: 'look', data: { degrees: by, role, name: state.piece.name } });
}

function tellLevel({ table }: Place, { level, pieces, wanted }: Level): void {
  const of = level === 'waist' ? waistOf : hipOf;
  const now = piecesNow(table)
    .filter((p) => pieces.includes(p.id))
    .reduce((sum, p) => sum + (of(p) ?? 0), 0);
  const by = now - wanted;
  if (Math.abs(by) <= TOL.seam) return;
  const [piece] = pieces;
  table.findings.push({
    code: 'level-not-reached',
    grade: 'look',
    ...(piece === undefined ? {} : { piece }),
    data: { level, by, wanted, now },
  });
}
