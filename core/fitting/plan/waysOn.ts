import { amountOf } from './amount.ts';
import { alterationById } from '../../alterations/index.ts';
import { stepSchema, type Step } from '../../documents/schema.ts';
import { distance } from '../../geometry/index.ts';
import { dartShape } from '../../pattern/index.ts';
import { ADVICE } from '../../units/index.ts';
import type { DraftStep } from './step.ts';

export type WayCode = 'split' | 'cutAway' | 'twoSteps' | 'princess' | 'restWaist' | 'restSide' | 'restEase';

/** A way on when one dart would have to take too much: what the plan's step is replaced by. */
export interface WayOn {
  readonly code: WayCode;
  /** Null where this front cannot go that way, and why. */
  readonly steps: readonly Step[] | null;
}

const step = (id: string, alteration: string, values: Step['values']): Step =>
  stepSchema.parse({ id, alteration, revision: alterationById(alteration)?.revision ?? 1, values });

/** The ways on from a bust step that one dart cannot take: let out by too much, or lapped by more than the dart has. */
export function waysOn(drafted: DraftStep): readonly WayOn[] {
  const { step: bust, outcome } = drafted;
  const total = amountOf(drafted);
  const definition = alterationById(bust.alteration);
  if (definition?.family === 'bust' && !outcome.ok) return pastTheDart(drafted);
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

/** How much of what a dart has is left of it when it is closed as far as it goes, on the half, mm. */
const KEPT = 0.2;

/** Of a waist dart's width so much can be lapped away on the half, at the bust, before it is closed. */
const WAIST_GIVES = 0.3;

/** A bust smaller than the dart has room for: the dart closed, and the rest lapped elsewhere. */
function pastTheDart(drafted: DraftStep): readonly WayOn[] {
  const { step: bust, outcome, before } = drafted;
  const total = amountOf(drafted);
  if (outcome.ok || outcome.error.code !== 'overlap-larger-than-dart' || total === null) return [];
  const { most, dart } = outcome.error.data;
  if (typeof most !== 'number' || most < KEPT * 2) return [];
  const closed = -Math.floor((most - KEPT) * 20) / 10;
  const rest = Math.round((total - closed) * 10) / 10;
  const first: Step = { ...bust, values: { ...bust.values, total: closed } };
  const front = before.find((p) => p.part === 'front');
  const waist = dart === 'waist' ? undefined : front?.darts.find((d) => d.kind === 'waist');
  const shape = front && waist ? dartShape(front, waist) : null;
  const hasWaist = shape !== null && -rest / 2 <= WAIST_GIVES * distance(shape.start, shape.end);
  const { bustPoint: _place, hinge: _hinge, ...values } = bust.values;
  const known = new Set(alterationById('full-bust-waist-dart')?.params.map((p) => p.key));
  const kept = Object.fromEntries(Object.entries(values).filter(([key]) => known.has(key)));
  return [
    {
      code: 'restWaist',
      steps: hasWaist
        ? [
            first,
            step(`${bust.id}-eased`, 'dart-ease', { part: 'front', dart: String(dart) }),
            step(`${bust.id}-waist`, 'full-bust-waist-dart', { ...kept, total: rest }),
          ]
        : null,
    },
    {
      code: 'restSide',
      steps: [first, step(`${bust.id}-side`, 'side-add', { by: rest, level: 'bust' })],
    },
    { code: 'restEase', steps: [first] },
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
