/** What alterations are about, as they are offered. */
export const FAMILIES = [
  'length',
  'shoulder',
  'back',
  'bust',
  'dart',
  'width',
  'neck',
  'sleeve',
  'trouser',
  'follow',
] as const;
export type Family = (typeof FAMILIES)[number];

/**
 * The order of work, top down: size, lengths, shoulder and upper back, bust point and bust, the darts they leave,
 * swayback, widths, neck and armhole, sleeves, trousers, and last what must follow.
 */
export const PHASES = [
  'grade',
  'length',
  'shoulder',
  'upperBack',
  'bustPoint',
  'bust',
  'dart',
  'swayback',
  'width',
  'neck',
  'sleeve',
  'trouser',
  'follow',
  'allowance',
] as const;
export type Phase = (typeof PHASES)[number];

const OF_FAMILY: Readonly<Record<Family, Phase>> = {
  length: 'length',
  shoulder: 'shoulder',
  back: 'upperBack',
  bust: 'bust',
  dart: 'dart',
  width: 'width',
  neck: 'neck',
  sleeve: 'sleeve',
  trouser: 'trouser',
  follow: 'follow',
};

export const phaseOf = (definition: { readonly family: Family; readonly phase?: Phase }): Phase =>
  definition.phase ?? OF_FAMILY[definition.family];

/** The order of work: top down, or the bust before everything else. */
export type WorkOrder = 'topDown' | 'bustFirst';

/** Where a phase stands in the order of work, from 0. */
export function rankOf(phase: Phase, order: WorkOrder): number {
  const rank = PHASES.indexOf(phase);
  return order === 'bustFirst' && (phase === 'bustPoint' || phase === 'bust') ? rank - PHASES.length : rank;
}
