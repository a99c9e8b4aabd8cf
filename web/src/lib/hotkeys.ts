import { useEffect, useRef, useState } from 'react';
import { isTyping } from './typing.ts';
import { inWords } from '@ample/core/speech';

/** Where keys are live; `fields` are seen to by the field, list or handle that has the focus. */
export const PLACES = {
  anywhere: 'Anywhere',
  table: 'On the table',
  fields: 'In fields, lists and on handles',
  projector: 'In the projector view',
} as const;

export interface Hotkey {
  readonly where: keyof typeof PLACES;
  /** As `chordOf` writes them; none where a widget sees to its own. */
  readonly keys: readonly string[];
  readonly shown: string;
  readonly does: string;
}

const ARROWS = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'] as const;

/** Every key there is. The handlers, the help and the finder all read this list. */
export const HOTKEYS = inWords({
  station: {
    where: 'anywhere',
    keys: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
    shown: '1 – 9',
    does: 'go to a station',
  },
  find: {
    where: 'anywhere',
    keys: ['mod+k', '/'],
    shown: 'Ctrl+K, or /',
    does: 'find a job, a wearer, a station, an alteration, a word of help',
  },
  undo: { where: 'anywhere', keys: ['mod+z'], shown: 'Ctrl+Z', does: 'undo' },
  redo: { where: 'anywhere', keys: ['mod+shift+z'], shown: 'Ctrl+Shift+Z', does: 'redo' },
  units: { where: 'anywhere', keys: ['u'], shown: 'U', does: 'centimetres or inches' },
  help: { where: 'anywhere', keys: ['?'], shown: '?', does: 'this page' },
  nextStage: { where: 'table', keys: ['n'], shown: 'N', does: 'next stage' },
  stageBefore: { where: 'table', keys: ['b'], shown: 'B', does: 'back a stage' },
  untouched: { where: 'table', keys: ['o'], shown: 'O, held down', does: 'show the untouched pieces' },
  measure: { where: 'table', keys: ['m'], shown: 'M', does: 'take up or put away the tape measure' },
  stopMeasuring: { where: 'table', keys: ['Escape'], shown: 'Esc', does: 'put away the tape measure' },
  zoomIn: { where: 'table', keys: ['+', '='], shown: '+', does: 'zoom in' },
  zoomOut: { where: 'table', keys: ['-'], shown: '−', does: 'zoom out' },
  zoomAll: { where: 'table', keys: ['0'], shown: '0', does: 'show everything' },
  nudge: {
    where: 'fields',
    keys: [],
    shown: 'Tab, then arrows',
    does: 'choose a handle on the mat and nudge it by 1 mm or 1/16 in; Shift makes it five',
  },
  piece: {
    where: 'fields',
    keys: [],
    shown: 'Enter on a piece',
    does: 'zoom to it; arrow keys slide it by 1 cm',
  },
  loose: {
    where: 'fields',
    keys: [],
    shown: 'Alt while dragging',
    does: 'do not snap to notches, thirds or the grain',
  },
  cancel: { where: 'fields', keys: [], shown: 'Esc', does: 'cancel a drag, or what was typed' },
  slip: {
    where: 'fields',
    keys: [],
    shown: 'Space, then arrows',
    does: 'on the grip of a slip in the plan: pick it up and slide it; Space puts it down',
  },
  nextRow: {
    where: 'fields',
    keys: [],
    shown: 'Enter',
    does: 'in the worksheet or a size chart: accept the value and move down the column',
  },
  nextPiece: { where: 'projector', keys: ['n'], shown: 'N', does: 'next piece' },
  pieceBefore: { where: 'projector', keys: ['b'], shown: 'B', does: 'piece before' },
  turn: { where: 'projector', keys: ['q'], shown: 'Q', does: 'turn by a quarter' },
  flip: { where: 'projector', keys: ['o'], shown: 'O', does: 'turn over' },
  invert: { where: 'projector', keys: ['i'], shown: 'I', does: 'dark on light, or light on dark' },
  hide: { where: 'projector', keys: ['h'], shown: 'H', does: 'hide the controls' },
  slide: { where: 'projector', keys: ARROWS, shown: 'Arrows', does: 'slide by 1 cm; with Shift by 10 cm' },
  thicker: { where: 'projector', keys: ['+'], shown: '+', does: 'thicker lines' },
  thinner: { where: 'projector', keys: ['-'], shown: '−', does: 'thinner lines' },
  middle: { where: 'projector', keys: ['0'], shown: '0', does: 'back to the middle' },
  leave: { where: 'projector', keys: ['Escape'], shown: 'Esc', does: 'leave the projector view' },
} as const satisfies Readonly<Record<string, Hotkey>>);

export type HotkeyId = keyof typeof HOTKEYS;
type Actions = Readonly<Partial<Record<HotkeyId, (e: KeyboardEvent) => void>>>;

/** Ctrl or the Mac's command key as `mod+`; Shift is named only along with it, since it is part of how `?` is typed. */
export function chordOf(e: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey'>): string {
  const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
  return e.ctrlKey || e.metaKey ? `mod+${e.shiftKey ? 'shift+' : ''}${key}` : key;
}

/** The one of these hotkeys that an event is, or null. */
export function hotkeyOf(e: KeyboardEvent, ids: readonly HotkeyId[]): HotkeyId | null {
  const chord = chordOf(e);
  const id = ids.find((i) => (HOTKEYS[i].keys as readonly string[]).includes(chord));
  if (id === undefined || e.altKey) return null;
  // Undo and redo work in fields too; a dialog keeps every key to itself.
  const always = id === 'undo' || id === 'redo';
  if (!always && document.querySelector('[role="dialog"]')) return null;
  return chord.startsWith('mod+') || !isTyping(e.target) ? id : null;
}

/** Does what belongs to a key when it is pressed; `first` sees it before everybody else and keeps it. */
export function useHotkeys(actions: Actions, { first = false } = {}): void {
  const now = useRef(actions);
  useEffect(() => {
    now.current = actions;
  });
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      const id = hotkeyOf(e, Object.keys(now.current) as HotkeyId[]);
      if (id === null) return;
      if (first) {
        e.preventDefault();
        e.stopPropagation();
      }
      now.current[id]?.(e);
    };
    window.addEventListener('keydown', onKey, first);
    return () => window.removeEventListener('keydown', onKey, first);
  }, [first]);
}

/** True while the key is held down. */
export function useHeldKey(id: HotkeyId): boolean {
  const [held, setHeld] = useState(false);
  useHotkeys({ [id]: () => setHeld(true) });
  useEffect(() => {
    const up = (e: KeyboardEvent) => {
      if ((HOTKEYS[id].keys as readonly string[]).includes(chordOf(e))) setHeld(false);
    };
    const off = () => setHeld(false);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', off);
    return () => {
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', off);
    };
  }, [id]);
  return held;
}

/** The direction of an arrow key, x to the right and y down, or null for any other key. */
export function arrowOf(key: string): { readonly x: number; readonly y: number } | null {
  if (key === 'ArrowLeft') return { x: -1, y: 0 };
  if (key === 'ArrowRight') return { x: 1, y: 0 };
  if (key === 'ArrowUp') return { x: 0, y: -1 };
  return key === 'ArrowDown' ? { x: 0, y: 1 } : null;
}
