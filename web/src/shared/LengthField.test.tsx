// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { usePrefs } from '../store/prefs.ts';
import { LengthField } from './LengthField.tsx';

const field = () => screen.getByLabelText<HTMLInputElement>('Waist');
const type = (text: string) => {
  fireEvent.change(field(), { target: { value: text } });
  fireEvent.blur(field());
};
beforeEach(() => usePrefs.setState({ units: { unit: 'cm', fraction: 8 } }));
afterEach(cleanup);

describe('a length field', () => {
  it('reads what people write and hands on exact millimetres', () => {
    const commit = vi.fn();
    render(<LengthField label="Waist" value={700} onCommit={commit} />);
    expect(field().value).toBe('70.0');
    type('36 1/2 in');
    expect(commit).toHaveBeenLastCalledWith(36.5 * 25.4);
    type('92,7');
    expect(commit).toHaveBeenLastCalledWith(927);
  });

  it('keeps a wrong entry, says why next to it, and hands on nothing', () => {
    const commit = vi.fn();
    render(<LengthField label="Waist" value={700} min={100} max={2000} onCommit={commit} />);
    type('seventy');
    expect(screen.getByRole('alert').textContent).toContain('“seventy” is not a length');
    expect(field().value).toBe('seventy');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    type('700');
    expect(screen.getByRole('alert').textContent).toContain('between 10.0 cm and 200.0 cm');
    expect(commit).not.toHaveBeenCalled();
  });

  it('shows the same value in inches without touching it', () => {
    const commit = vi.fn();
    const { rerender } = render(<LengthField label="Waist" value={927.1} onCommit={commit} />);
    usePrefs.setState({ units: { unit: 'in', fraction: 8 } });
    rerender(<LengthField label="Waist" value={927.1} onCommit={commit} />);
    expect(field().value).toBe('36 1/2');
    fireEvent.focus(field());
    fireEvent.blur(field());
    expect(commit).not.toHaveBeenCalled();
  });

  it('can be emptied only where that means something, and steps with the arrows', () => {
    const commit = vi.fn();
    const { rerender } = render(<LengthField label="Waist" value={700} optional onCommit={commit} />);
    type('');
    expect(commit).toHaveBeenLastCalledWith(null);
    rerender(<LengthField label="Waist" value={700} steps onCommit={commit} />);
    fireEvent.keyDown(field(), { key: 'ArrowUp', shiftKey: true });
    expect(commit).toHaveBeenLastCalledWith(705);
  });
});
