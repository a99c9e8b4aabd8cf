import { keepUndo } from '../store/undoKept.ts';

/**
 * When the page is left, reloaded or put in the background, a value still being typed is committed and the undo history
 * saved. The field keeps the focus, for a return to it.
 */
export function takeOnLeaving(): () => void {
  const take = (): void => {
    document.activeElement?.dispatchEvent(new FocusEvent('focusout', { bubbles: true }));
    keepUndo();
  };
  const onHidden = (): void => {
    if (document.visibilityState === 'hidden') take();
  };
  window.addEventListener('pagehide', take);
  document.addEventListener('visibilitychange', onHidden);
  return () => {
    window.removeEventListener('pagehide', take);
    document.removeEventListener('visibilitychange', onHidden);
  };
}
