import { expect, it } from 'vitest';
import { samplePattern } from '../../blocks/index.ts';
import { soundSizes } from './index.ts';

/** Two sizes of a dress; the front of the first has its waist dart dragged across the side dart. */
function sizes() {
  const { sizes } = samplePattern('causeway', ['4', '6']);
  return Object.entries(sizes).map(([size, pieces]) => ({
    size,
    pieces: pieces.map((p) =>
      size === '4' && p.id === 'front'
        ? {
            ...p,
            darts: p.darts.map((d) => (d.kind === 'waist' ? { ...d, tip: { x: d.tip.x + 60, y: d.tip.y - 40 } } : d)),
          }
        : p,
    ),
  }));
}

it('leaves out of all sizes the one piece that would be cut wrong, and names it', () => {
  const given = sizes();
  const sound = soundSizes(given);
  expect(sound.leftOut).toEqual([{ size: '4', name: 'Bodice front' }]);
  expect(sound.sizes.map((s) => s.size)).toEqual(['4', '6']);
  expect(sound.sizes[0]?.pieces).toEqual(given[0]?.pieces.filter((p) => p.id !== 'front'));
  expect(sound.sizes[1]).toEqual(given[1]);
});

it('leaves a size out that has no sound piece', () => {
  const front = sizes().map((s) => ({ ...s, pieces: s.pieces.filter((p) => p.id === 'front') }));
  expect(soundSizes(front).sizes.map((s) => s.size)).toEqual(['6']);
});
