// @vitest-environment jsdom
import { cleanup, fireEvent, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { arrowOf, HOTKEYS, useHeldKey, useHotkeys, type HotkeyId } from './hotkeys.ts';

afterEach(() => {
  cleanup();
  document.body.innerHTML = '';
});

/** Places whose keys are live at the same time; the projector view takes its keys before anything else. */
const TOGETHER = [['anywhere', 'table'], ['projector']];

describe('the keys', () => {
  it('mean one thing each wherever they are live together', () => {
    for (const places of TOGETHER) {
      const keys = Object.values(HOTKEYS).flatMap((h) => (places.includes(h.where) ? h.keys : []));
      expect(keys.length).toBeGreaterThan(5);
      expect(keys.filter((k, i) => keys.indexOf(k) !== i)).toEqual([]);
    }
  });

  it('do what they say, with the command key and without', () => {
    const did: string[] = [];
    renderHook(() =>
      useHotkeys({ find: () => did.push('find'), undo: () => did.push('undo'), redo: () => did.push('redo') }),
    );
    fireEvent.keyDown(document.body, { key: 'k', ctrlKey: true });
    fireEvent.keyDown(document.body, { key: 'k' });
    fireEvent.keyDown(document.body, { key: '/', altKey: true });
    fireEvent.keyDown(document.body, { key: 'z', metaKey: true });
    fireEvent.keyDown(document.body, { key: 'Z', ctrlKey: true, shiftKey: true });
    expect(did).toEqual(['find', 'undo', 'redo']);
  });

  it('leave letters to whoever types them, and everything but undo to an open dialog', () => {
    const units = vi.fn();
    const undo = vi.fn();
    renderHook(() => useHotkeys({ units, undo }));
    document.body.innerHTML = '<input type="text"><input type="checkbox">';
    const [text, box] = [...document.querySelectorAll('input')];
    fireEvent.keyDown(text as Element, { key: 'u' });
    expect(units).not.toHaveBeenCalled();
    fireEvent.keyDown(text as Element, { key: 'z', ctrlKey: true });
    expect(undo).toHaveBeenCalledTimes(1);
    fireEvent.keyDown(box as Element, { key: 'u' });
    expect(units).toHaveBeenCalledTimes(1);
    document.body.innerHTML = '<div role="dialog"></div>';
    fireEvent.keyDown(document.body, { key: 'u' });
    expect(units).toHaveBeenCalledTimes(1);
  });

  it('held down hold until they are let go, or the window is left', () => {
    const id: HotkeyId = 'untouched';
    const { result } = renderHook(() => useHeldKey(id));
    fireEvent.keyDown(document.body, { key: 'o' });
    expect(result.current).toBe(true);
    fireEvent.keyUp(document.body, { key: 'o' });
    expect(result.current).toBe(false);
    fireEvent.keyDown(document.body, { key: 'o' });
    fireEvent.blur(window);
    expect(result.current).toBe(false);
  });

  it('with arrows point along the mat, whose y goes down', () => {
    expect(arrowOf('ArrowUp')).toEqual({ x: 0, y: -1 });
    expect(arrowOf('ArrowRight')).toEqual({ x: 1, y: 0 });
    expect(arrowOf('Enter')).toBeNull();
  });
});
