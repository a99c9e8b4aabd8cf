import type { Piece, Seam } from '../pattern/index.ts';
import { CATALOGUE } from './catalogue.ts';
import type { AlterationDefinition, Message, WhyCode } from './contract.ts';
import type { RefusalCode } from '../units/index.ts';

export interface Proposal {
  readonly id: string;
  readonly revision: number;
  readonly grade: 'best' | 'possible' | 'no';
  /** Why it suits, or what the pattern lacks for it. */
  readonly why: Message<WhyCode | RefusalCode>;
}

/** The alterations of a family, the one that fits the pieces' darts and seams first, those that cannot be done last. */
export function propose(
  pieces: readonly Piece[],
  family: AlterationDefinition['family'],
  seams: readonly Seam[] = [],
): readonly Proposal[] {
  const rank = { best: 0, possible: 1, no: 2 } as const;
  return CATALOGUE.filter((d) => d.family === family)
    .map((d) => ({ id: d.id, revision: d.revision, ...d.suits(pieces, seams) }))
    .sort((a, b) => rank[a.grade] - rank[b.grade]);
}
