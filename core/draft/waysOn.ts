import { alterationById } from '../alterations/index.ts';
import { stepSchema, type Step } from '../formats/schema.ts';
import { ADVICE } from '../units/index.ts';
import type { DraftStep } from './step.ts';

export type WayCode = 'split' | 'cutAway' | 'twoSteps' | 'princess';

/** A way on when one dart would have to take too much: what the plan's step is replaced by. */
export interface WayOn {
  readonly code: WayCode;
  /** Null where this front cannot go that way, and why. */
  readonly steps: readonly Step[] | null;
}

const step = (id: string, alteration: string, values: Step['values']): Step =>
  stepSchema.parse({ id, alteration, revision: alterationById(alteration)?.revision ?? 1, values });

/** The ways on from a bust step whose half spread is past what one dart should take; none while it is not. */
export function waysOn({ step: bust, total, outcome }: DraftStep): readonly WayOn[] {
  const definition = alterationById(bust.alteration);
  if (definition?.family !== 'bust' || total === null || !outcome.ok || total / 2 <= ADVICE.largeSpread) return [];
  const change = outcome.value.changes[0];
  if (!change || outcome.value.pieces.some((p) => p.part === 'sideFront')) return [];
  // Let down to the hem or eased, no dart takes too much.
  const darts = [...change.darts].sort((a, b) => b.intake - a.intake);
  const largest = darts[0];
  if (!largest) return [];
  const was = change.original.darts;
  const canPanel = was.some((d) => d.kind === 'waist') && was.some((d) => d.kind !== 'waist' && d.kind !== 'other');
  const half = total / 2;
  return [
    { code: 'split', steps: [bust, step(`${bust.id}-split`, 'dart-split', { dart: largest.kind })] },
    {
      code: 'cutAway',
      steps: [bust, step(`${bust.id}-cut`, 'dart-cut-away', { dart: largest.kind })],
    },
    {
      code: 'twoSteps',
      steps: [{ ...bust, values: { ...bust.values, total: half } }, secondHalf(bust, half)],
    },
    {
      code: 'princess',
      steps: canPanel
        ? [step(`${bust.id}-line`, 'princess-line', {}), step(bust.id, 'full-bust-princess-armhole', { total })]
        : null,
    },
  ];
}

/** The second half starts from where the first left the bust point; a front without darts has one by then. */
function secondHalf(bust: Step, half: number): Step {
  const { bustPoint: _place, ...values } = bust.values;
  const alteration = bust.alteration === 'full-bust-no-dart' ? 'full-bust-side-dart' : bust.alteration;
  const known = new Set(alterationById(alteration)?.params.map((p) => p.key));
  const kept = Object.fromEntries(
    Object.entries({ ...values, whose: 'pattern', total: half }).filter(([k]) => known.has(k)),
  );
  return step(`${bust.id}-second`, alteration, kept);
}
