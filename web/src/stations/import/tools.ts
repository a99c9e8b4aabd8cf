import { distance, type Point } from '@ample/core/geometry';
import { MEANT } from '@ample/core/in/tracing';
import { choose, pickAt, tracedOf, useImport, type Tool } from '../../store/import.ts';

/** What the pointer does on the sheet, and what to click next. */
export const TOOLS: readonly { readonly id: Tool; readonly name: string; readonly says: readonly string[] }[] = [
  { id: 'edge', name: 'Edge', says: ['Click an edge of the piece to say what it is.'] },
  { id: 'corner', name: 'Corner', says: ['Click a corner to remove it, or the line to set one.'] },
  {
    id: 'dart',
    name: 'Dart',
    says: ['Click where the first leg begins.', 'Click where the second leg begins.', 'Click the tip.'],
  },
  { id: 'notch', name: 'Notch', says: ['Click a notch to remove it, or the line to set one.'] },
  { id: 'grain', name: 'Grain', says: ['Click one end of the grain line.', 'Click its other end.'] },
  { id: 'bustPoint', name: 'Bust point', says: ['Click the bust point.'] },
];
export const PICK_SAYS = 'Click a line of the outline of a piece, or choose one from the list.';
export const MEASURE_SAYS = ['Click one end of the line to measure.', 'Click its other end.'] as const;

/** A place was clicked on the sheet. */
export function clickAt(p: Point): void {
  const { tool, clicks, choices } = useImport.getState();
  const set = useImport.setState;
  if (tool === 'pick') return pickAt(p);
  if (tool === 'measure') return set({ clicks: clicks.length >= 2 ? [p] : [...clicks, p] });
  const traced = tracedOf(useImport.getState());
  if (!choices || !traced) return;
  const near = <T extends { readonly at: Point }>(list: readonly T[]): T | undefined =>
    list.filter((x) => distance(x.at, p) <= 2 * MEANT).sort((a, b) => distance(a.at, p) - distance(b.at, p))[0];
  switch (tool) {
    case 'corner': {
      const there = near(traced.corners.map((at) => ({ at })));
      const own = near(choices.turned.filter((t) => t.on));
      if (own) return choose({ turned: choices.turned.filter((t) => t !== own) });
      return choose({ turned: [...choices.turned, { at: there?.at ?? p, on: !there }] });
    }
    case 'notch': {
      const own = near(choices.ownNotches.map((at) => ({ at })));
      if (own) return choose({ ownNotches: choices.ownNotches.filter((n) => n !== own.at) });
      const there = near(traced.notches);
      return choose(
        there ? { notNotches: [...choices.notNotches, there.at] } : { ownNotches: [...choices.ownNotches, p] },
      );
    }
    case 'bustPoint': {
      const dot = near(traced.dots.map((at) => ({ at })));
      return choose({ bustPoint: dot?.at ?? p });
    }
    case 'grain': {
      const [from] = clicks;
      if (!from) return set({ clicks: [p] });
      choose({ grain: { from, to: p } });
      return set({ clicks: [], tool: 'edge' });
    }
    case 'dart': {
      const [one, two] = clicks;
      if (!one || !two) return set({ clicks: [...clicks, p] });
      choose({ ownDarts: [...choices.ownDarts, { one, two, tip: p }] });
      return set({ clicks: [], tool: 'edge' });
    }
    case 'edge':
    case 'pages':
      return;
  }
}
