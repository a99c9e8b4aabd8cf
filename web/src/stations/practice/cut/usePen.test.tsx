// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Point } from '@ample/core/geometry';
import { usePen } from './usePen.ts';

afterEach(cleanup);
const said = {
  down: vi.fn<(p: Point) => void>(),
  move: vi.fn<(p: Point) => void>(),
  up: vi.fn<(p: Point) => void>(),
  cancel: vi.fn(),
  mark: vi.fn<(p: Point) => void>(),
};
function Mat() {
  const pen = usePen(said, (x, y) => ({ x, y }), { minX: 0, minY: 0, maxX: 200, maxY: 100 });
  return (
    <button data-testid="mat" onKeyDown={pen.onKeyDown}>
      {pen.cross ? `${pen.cross.x} ${pen.cross.y}` : 'none'} {pen.held ? 'held' : 'free'}
    </button>
  );
}
const press = (key: string, shiftKey = false) => fireEvent.keyDown(screen.getByTestId('mat'), { key, shiftKey });

it('arrows carry the crosshair from the middle of the mat, finely with Shift; Enter presses and releases', () => {
  render(<Mat />);
  press('ArrowRight');
  expect(screen.getByTestId('mat').textContent).toBe('105 50 free');
  press('ArrowDown', true);
  expect(said.move).not.toHaveBeenCalled();
  press('Enter');
  expect(said.down).toHaveBeenCalledWith({ x: 105, y: 50.5 });
  press('ArrowLeft');
  expect(said.move).toHaveBeenLastCalledWith({ x: 100, y: 50.5 }, true);
  press('Enter');
  expect(said.up).toHaveBeenCalledWith({ x: 100, y: 50.5 });
  expect(screen.getByTestId('mat').textContent).toBe('100 50.5 free');
});

it('Escape lets go of what is held, and of nothing else', () => {
  render(<Mat />);
  press('Escape');
  expect(said.cancel).not.toHaveBeenCalled();
  press(' ');
  press('Escape');
  expect(said.cancel).toHaveBeenCalledTimes(1);
  expect(screen.getByTestId('mat').textContent).toBe('100 50 free');
});

it('Space sets a place on the way while something is held, and presses where nothing is', () => {
  render(<Mat />);
  press('Enter');
  press('ArrowUp');
  press(' ');
  expect(said.mark).toHaveBeenCalledWith({ x: 100, y: 45 });
  expect(screen.getByTestId('mat').textContent).toBe('100 45 held');
  press('Enter');
  expect(screen.getByTestId('mat').textContent).toBe('100 45 free');
  press(' ');
  expect(screen.getByTestId('mat').textContent).toBe('100 45 held');
});
