import type { PatchPlan } from '../out/patch/patches.ts';

const list = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** How patches go onto the tissue, what is printed whole instead, and what stays as it is: a sentence each. */
export function sayPatches({ patches, whole, asIs }: PatchPlan): readonly string[] {
  const names = (why: 'mostly' | 'new') => whole.filter((w) => w.why === why).map((w) => w.piece.name);
  const mostly = names('mostly');
  const born = names('new');
  return [
    ...(patches.length > 0
      ? [
          'Cut each patch out along its dashed edge, lay its thin dashed lines on the same lines of the tissue, tape, and follow the new lines. Trace the tissue first; never cut the only original.',
        ]
      : []),
    ...(mostly.length > 0 ? [`Printed whole, because most of it changed: ${list(mostly)}.`] : []),
    ...(born.length > 0 ? [`Printed whole, because it is new: ${list(born)}.`] : []),
    ...(asIs.length > 0 ? [`Nothing to tape on: ${list(asIs.map((p) => p.name))}.`] : []),
  ];
}
