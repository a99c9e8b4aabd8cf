import { keepUndo } from '../store/undoKept.ts';

/**
 * When the page is left, loaded anew or put away by a telephone, a value that was typed and not yet left is taken as if it
 * had been, and the steps to take back are kept. The field keeps the focus: one may come back to it.
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
