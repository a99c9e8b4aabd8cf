const TAKES_LETTERS =
  'input:not([type="checkbox"], [type="radio"], [type="range"]), textarea, select, [contenteditable="true"]';

/** Whether the focused element takes letters and digits; check boxes, selects and sliders do not. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element && target.matches(TAKES_LETTERS);
