// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { focusWork, followStations, keepFocus } from './focus.ts';

let stop = (): void => undefined;
beforeEach(() => {
  stop = keepFocus();
});
afterEach(() => {
  stop();
  document.body.replaceChildren();
});
const put = (html: string): void => {
  document.body.innerHTML = html;
};
const at = (id: string): HTMLElement => document.getElementById(id)!;
const focused = (): string => document.activeElement?.id ?? '';
/** Observers have told, and what they put off is done. */
const settled = (): Promise<void> => new Promise((r) => setTimeout(r, 20));
const ROWS =
  '<main><h1 id="h">Rows</h1><button id="a">A</button><button id="b">B</button><button id="c">C</button></main>';

describe('the keyboard’s place', () => {
  it('goes to the next stop where what had it is taken away, and to the one before at the end', async () => {
    put(ROWS);
    at('b').focus();
    at('b').remove();
    await settled();
    expect(focused()).toBe('c');
    at('c').remove();
    await settled();
    expect(focused()).toBe('a');
  });
  it('goes to the heading where all of the station is gone, not to the bar above it', async () => {
    put(`<a id="bar" href="#x">Bar</a>${ROWS}`);
    at('bar').focus();
    at('b').focus();
    document.querySelector('main')!.outerHTML = '<main><h1 id="next">Check</h1><button id="x">X</button></main>';
    await settled();
    expect(focused()).toBe('next');
  });
  it('follows a control that was only made anew', async () => {
    put(ROWS);
    at('b').focus();
    const anew = at('b').cloneNode(true) as HTMLElement;
    anew.id = 'anew';
    at('b').replaceWith(anew);
    await settled();
    expect(focused()).toBe('anew');
  });
  it('comes back from a dialog to where it was opened, or beside that', async () => {
    put(ROWS);
    at('b').focus();
    const open = (): HTMLElement => {
      const over = document.createElement('div');
      over.setAttribute('role', 'dialog');
      over.innerHTML = '<button id="in">In</button><button id="ok">OK</button>';
      document.body.append(over);
      at('in').focus();
      at('ok').focus();
      return over;
    };
    open().remove();
    await settled();
    expect(focused()).toBe('b');
    const again = open();
    at('b').remove();
    again.remove();
    await settled();
    expect(focused()).toBe('c');
  });
  it('moves on from a control that is switched off', async () => {
    put(ROWS);
    at('b').focus();
    at('b').blur();
    (at('b') as HTMLButtonElement).disabled = true;
    await settled();
    expect(focused()).toBe('c');
  });
  it('is left alone where someone has pressed beside it', async () => {
    put(ROWS);
    at('b').focus();
    at('b').blur();
    at('a').remove();
    await settled();
    expect(document.activeElement).toBe(document.body);
  });
  it('is left alone after a touch: a keyboard on the glass would open by itself', async () => {
    put(ROWS);
    at('b').focus();
    at('b').dispatchEvent(Object.assign(new Event('pointerdown', { bubbles: true }), { pointerType: 'touch' }));
    at('b').remove();
    await settled();
    expect(document.activeElement).toBe(document.body);
    at('c').focus();
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Tab', bubbles: true }));
    at('c').remove();
    await settled();
    expect(focused()).toBe('a');
  });
});

describe('another station', () => {
  it('is begun at its heading where nothing has the focus, and leaves it where something has', async () => {
    put(ROWS);
    const told: ((s: { location: { pathname: string }; navigation: { state: string } }) => void)[] = [];
    followStations({
      state: { location: { pathname: '/job/a/body' } },
      subscribe: (to) => {
        told.push(to);
        return () => undefined;
      },
    });
    const go = async (pathname: string, state = 'idle'): Promise<void> => {
      told[0]!({ location: { pathname }, navigation: { state } });
      await settled();
    };
    await go('/job/a/body');
    await go('/job/a/size', 'loading');
    expect(document.activeElement).toBe(document.body);
    await go('/job/a/size');
    expect(focused()).toBe('h');
    at('a').focus();
    await go('/job/a/plan');
    expect(focused()).toBe('a');
  });
  it('without a heading is begun at its whole', () => {
    put('<main id="m"><p>Laying out the paper…</p></main>');
    focusWork();
    expect(focused()).toBe('m');
  });
});
