import type { AlterationDefinition, Example } from '../../contract.ts';
import { findFront, type BustHow } from './front.ts';
import { BUST_REFUSALS, pick, suggestSetback } from './params.ts';
import { bustProgram } from './program.ts';
import { seamsHold } from './promises.ts';
import { suits } from './suits.ts';

interface Through {
  readonly id: string;
  readonly dart: Exclude<BustHow['dart'], 'side' | 'none' | 'either'>;
  readonly on: string;
  readonly source: string;
}

/** A bust alteration whose opening is made in the side seam and turned into the dart that the front has. */
export function throughDart({ id, dart, on, source }: Through): AlterationDefinition {
  const how: BustHow = { hinge: 'armhole', dart };
  const examples: readonly Example[] = [
    { name: 'full', on, values: { total: 40 } },
    { name: 'small', on, values: { total: -14 } },
  ];
  return {
    id,
    revision: 1,
    family: 'bust',
    params: pick(
      'total',
      'whose',
      'bustPoint',
      'hinge',
      'hingePoint',
      'below',
      'setback',
      'newBustPoint',
      ...(dart === 'waist' ? [] : (['waistDart'] as const)),
      'waistWidth',
    ),
    amount: 'total',
    requires: ['centreFront', 'armhole', 'side', 'dart'],
    refusals: [...BUST_REFUSALS, 'armhole-missing', 'front-has-side-dart', 'no-such-dart', 'overlap-larger-than-dart'],
    examples,
    source,
    suggest: suggestSetback,
    suits: (pieces) => {
      const front = pieces.find((p) => p.part === 'front');
      const others = (front?.darts ?? []).filter((d) => d.kind !== dart && d.kind !== 'waist');
      return suits(findFront(pieces, how), `why.${dart}-dart`, others.length > 0 ? 'possible' : 'best');
    },
    plan: (context, values) => bustProgram(context, values, how),
    holds: seamsHold,
  };
}
