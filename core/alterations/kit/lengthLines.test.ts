import { describe, expect, it } from 'vitest';
import { edge, line, rectangle } from '../../testing/shapes.ts';
import { lineAcross } from './lengthLines.ts';

/** Two legs below a body: a line across it meets two seams, one across the legs four. */
const forked = {
  ...rectangle(200, 100),
  edges: [
    edge('top', 'neck', line([0, 0], [200, 0])),
    edge('right', 'side', line([200, 0], [200, 100])),
    edge('hemRight', 'hem', line([200, 100], [120, 100])),
    edge('fork', 'other', line([120, 100], [120, 50], [80, 50], [80, 100])),
    edge('hemLeft', 'hem', line([80, 100], [0, 100])),
    edge('left', 'centreFront', line([0, 100], [0, 0])),
  ],
};

describe('a line across a piece', () => {
  it('runs from seam to seam', () => {
    const met = lineAcross(forked, 'l', 20, 5);
    expect(met).toMatchObject({ ok: true, value: { left: { at: { x: 0, y: 20 } }, right: { at: { x: 200, y: 20 } } } });
  });
  it('is none where the piece ends above it', () => {
    expect(lineAcross(forked, 'l', 140, 5)).toEqual({ ok: true, value: null });
  });
  it('is refused where it meets more than two seams', () => {
    expect(lineAcross(forked, 'l', 80, 5)).toMatchObject({ ok: false, error: { code: 'line-off-piece' } });
  });
});
