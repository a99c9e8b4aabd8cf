import { movePanels, type PanelSpec, type SlashResult } from '../../paper/slash/index.ts';
import { nth, refuse, type Result } from '../../units/index.ts';
import type { Laid } from './hands.ts';
import type { CutSheet } from './sheet.ts';

/** Tapes the panels where they lie: the piece as it has become, mistakes included. Refused where paper laps too far to join. */
export function tapeDown(sheet: CutSheet, laid: Laid): Result<SlashResult> {
  const { divided } = sheet;
  const panels = divided.names.map((id, i): PanelSpec => {
    const { angle, x, y } = nth(laid, i);
    const turn = { kind: 'turn', about: { x: 0, y: 0 }, angle } as const;
    return {
      id,
      seed: nth(nth(sheet.rings, i), 0),
      motion: { kind: 'chain', motions: [turn, { kind: 'shift', by: { x, y } }] },
      stage: 'open',
    };
  });
  const hinges = sheet.pins.map(({ at, panels: [a, b] }, i) => ({
    id: `pin ${i}`,
    at,
    panels: [nth(divided.names, a), nth(divided.names, b)] as const,
  }));
  const taped = movePanels(divided, { cuts: [], hinges, panels });
  return taped.ok ? taped : refuse('practice-tape-fails');
}
