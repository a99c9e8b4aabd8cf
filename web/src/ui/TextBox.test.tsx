// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { TextBox } from './TextBox.tsx';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});
const box = (value: string, onCommit: (text: string) => void) => (
  <TextBox label="Notes" value={value} max={40} onCommit={onCommit} />
);
const type = (text: string) => fireEvent.change(screen.getByLabelText('Notes'), { target: { value: text } });

it('takes a text when it is left, once, and not when nothing was changed', () => {
  const commit = vi.fn();
  render(box('old', commit));
  fireEvent.blur(screen.getByLabelText('Notes'));
  type('new');
  expect(commit).not.toHaveBeenCalled();
  fireEvent.blur(screen.getByLabelText('Notes'));
  expect(commit.mock.calls).toEqual([['new']]);
});
it('takes it at a pause, not letter by letter', () => {
  const commit = vi.fn();
  render(box('', commit));
  for (const text of ['t', 'ti', 'tig', 'tight']) {
    type(text);
    act(() => void vi.advanceTimersByTime(300));
  }
  expect(commit).not.toHaveBeenCalled();
  act(() => void vi.advanceTimersByTime(700));
  expect(commit.mock.calls).toEqual([['tight']]);
});
it('keeps what was being typed when the station is left', () => {
  const commit = vi.fn();
  const { unmount } = render(box('', commit));
  type('half a wor');
  unmount();
  expect(commit.mock.calls).toEqual([['half a wor']]);
});
it('does not hand on twice what was taken at a pause', () => {
  const commit = vi.fn();
  const { rerender, unmount } = render(box('', commit));
  type('tight');
  act(() => void vi.advanceTimersByTime(800));
  rerender(box('tight', commit));
  fireEvent.blur(screen.getByLabelText('Notes'));
  unmount();
  expect(commit.mock.calls).toEqual([['tight']]);
});
it('shows what another window wrote while nothing is being typed here', () => {
  const { rerender } = render(box('mine', () => undefined));
  rerender(box('theirs', () => undefined));
  expect((screen.getByLabelText('Notes') as HTMLTextAreaElement).value).toBe('theirs');
  type('typing');
  rerender(box('theirs again', () => undefined));
  expect((screen.getByLabelText('Notes') as HTMLTextAreaElement).value).toBe('typing');
});
