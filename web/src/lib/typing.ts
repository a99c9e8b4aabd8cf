const TAKES_LETTERS =
  'input:not([type="checkbox"], [type="radio"], [type="range"]), textarea, select, [contenteditable="true"]';

/** Whether letters and digits are meant for what has the focus; a box, a choice or a slider takes none. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element && target.matches(TAKES_LETTERS);
