/** What the Tab key stops at. */
const STOPS =
  'a[href], button:enabled, input:enabled, select:enabled, textarea:enabled, summary, [tabindex]:not([tabindex="-1"])';
/** Overlays, which take the focus for themselves. */
const OVER = '[role="dialog"], [role="alertdialog"], [role="menu"]';
/** How many earlier places of the focus are remembered. */
const REMEMBERED = 20;

interface Held {
  readonly element: HTMLElement;
  /** The stops around it as they were, it among them. */
  readonly stops: readonly HTMLElement[];
  readonly over: boolean;
  /** Its text, which identifies the element that replaces it. */
  readonly says: string;
}

const stopsIn = (place: ParentNode): readonly HTMLElement[] => [...place.querySelectorAll<HTMLElement>(STOPS)];
const saysOf = (e: HTMLElement): string =>
  [e.tagName, e.getAttribute('aria-label'), e.getAttribute('name'), e.textContent?.slice(0, 60)].join('|');
const isSeen = (e: HTMLElement): boolean =>
  e.isConnected && !e.closest('[inert], [hidden]') && (e.checkVisibility?.({ visibilityProperty: true }) ?? true);
const canTake = (e: HTMLElement): boolean => isSeen(e) && !e.matches(':disabled');

/** The heading of what stands on the screen, else all of it: read out by a screen reader, and Tab goes on from there. */
export function focusWork(): void {
  const main = document.querySelector('main');
  const place = main?.querySelector<HTMLElement>('h1') ?? main;
  if (!place) return;
  if (!place.hasAttribute('tabindex')) place.setAttribute('tabindex', '-1');
  place.focus({ preventScroll: true });
}

/** Where the focus goes when what had it is gone: what took its place, the nearest stop beside it, or back under what lay over. */
function heir(held: readonly Held[]): HTMLElement | null {
  const last = held.at(-1);
  if (!last) return null;
  if (!last.over) {
    const again = last.element.isConnected
      ? null
      : stopsIn(document).find((e) => saysOf(e) === last.says && canTake(e));
    return again ?? nearest(last);
  }
  // A dialog closed: back to where it was opened, or beside that where it went along.
  const under = held.findLast((h) => !h.over);
  return under ? (canTake(under.element) ? under.element : nearest(under)) : null;
}
function nearest({ element, stops }: Held): HTMLElement | null {
  const at = stops.indexOf(element);
  const byDistance = [...stops.keys()].sort((a, b) => Math.abs(a - at) - Math.abs(b - at) || b - a);
  return byDistance.map((i) => stops[i]).find((e) => e !== undefined && e !== element && canTake(e)) ?? null;
}

/**
 * Keeps the keyboard's place. A browser drops the focus on the page's body when what had it is taken away, hidden or
 * switched off; keyboard users would start from the top again. Returns a function that stops it.
 */
export function keepFocus(): () => void {
  const held: Held[] = [];
  let touched = false;
  let waiting = false;
  const onFocus = (e: FocusEvent): void => {
    const element = e.target;
    if (!(element instanceof HTMLElement) || element === document.body) return;
    const over = element.closest(OVER);
    // Within the station: when all of it goes, the bar does not inherit the focus.
    const place = over ?? element.closest('main') ?? document;
    held.push({ element, stops: stopsIn(place), over: over !== null, says: saysOf(element) });
    if (held.length > REMEMBERED) held.shift();
  };
  const look = (): void => {
    waiting = false;
    const last = held.at(-1);
    if (!last || touched || document.activeElement !== document.body) return;
    // Still there: somebody has turned away from it, by a press beside it.
    if (canTake(last.element)) return;
    const to = heir(held);
    if (to) to.focus();
    else focusWork();
  };
  const watch = new MutationObserver(() => {
    if (waiting || document.activeElement !== document.body || held.length === 0) return;
    waiting = true;
    setTimeout(look, 0);
  });
  const onPress = (e: PointerEvent): void => void (touched = e.pointerType === 'touch');
  const onKey = (): void => void (touched = false);
  document.addEventListener('focusin', onFocus);
  document.addEventListener('pointerdown', onPress, true);
  document.addEventListener('keydown', onKey, true);
  watch.observe(document.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled', 'hidden', 'inert'],
  });
  return () => {
    watch.disconnect();
    document.removeEventListener('focusin', onFocus);
    document.removeEventListener('pointerdown', onPress, true);
    document.removeEventListener('keydown', onKey, true);
  };
}

interface Navigating {
  readonly state: { readonly location: { readonly pathname: string } };
  readonly subscribe: (
    to: (state: {
      readonly location: { readonly pathname: string };
      readonly navigation: { readonly state: string };
    }) => void,
  ) => () => void;
}
/** On another station the focus goes to its heading, unless it is on something that is still there, as the tape is. */
export function followStations(router: Navigating): () => void {
  let at = router.state.location.pathname;
  return router.subscribe(({ location: { pathname }, navigation }) => {
    if (pathname === at || navigation.state !== 'idle') return;
    at = pathname;
    setTimeout(() => {
      if (document.activeElement === document.body) focusWork();
    }, 0);
  });
}
