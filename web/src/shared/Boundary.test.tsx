// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Boundary, PieceBoundary } from './Boundary.tsx';

let broken = true;
function Fragile() {
  if (broken) throw new Error('a curve without an end');
  return <p>All well</p>;
}
beforeEach(() => {
  broken = true;
  // React reports what a boundary catches; that is the point here.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

describe('a fault', () => {
  it('in a station leaves the rest standing, says so, and can be tried again', () => {
    render(
      <>
        <p>The tape</p>
        <Boundary where="Check">
          <Fragile />
        </Boundary>
      </>,
    );
    expect(screen.getByText('The tape')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toContain('Check could not be shown');
    expect(screen.getByText('a curve without an end')).toBeTruthy();
    broken = false;
    fireEvent.click(screen.getByRole('button', { name: 'Show again' }));
    expect(screen.getByText('All well')).toBeTruthy();
  });

  it('can be handed on as a text that holds no name and no measurement', () => {
    render(
      <Boundary where="Check">
        <Fragile />
      </Boundary>,
    );
    const { value } = screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'What happened' });
    expect(value.split('\n').slice(0, 4)).toEqual([
      'Ample Draft 0.0.0-test',
      'At: Check',
      'Pattern: none',
      'Steps: none',
    ]);
    expect(value).toContain('Error: a curve without an end');
    fireEvent.click(screen.getByRole('button', { name: 'Copy the details' }));
  });

  it('in one piece leaves the other pieces on the mat', () => {
    const { container, rerender } = render(
      <svg>
        <PieceBoundary name="Bodice front" of="1">
          <Fragile />
        </PieceBoundary>
        <text>Bodice back</text>
      </svg>,
    );
    expect(container.textContent).toContain('Bodice front cannot be drawn');
    expect(container.textContent).toContain('Bodice back');
    broken = false;
    rerender(
      <svg>
        <PieceBoundary name="Bodice front" of="2">
          <Fragile />
        </PieceBoundary>
      </svg>,
    );
    expect(container.textContent).toContain('All well');
  });
});
