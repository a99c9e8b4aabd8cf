import { create } from 'zustand';

/** A newer version that waits; null while there is none, or it was put off. */
export const useUpdate = create<{ readonly take: (() => void) | null }>(() => ({ take: null }));

/**
 * Whether the whole app is kept in this browser, so that it works without a connection: under way, done, or not to be had
 * at this address, since a browser keeps an app only over https or on its own machine.
 */
export type Offline = 'coming' | 'ready' | 'never';
export const useOffline = create<{ readonly state: Offline }>(() => ({
  state: !('serviceWorker' in navigator) ? 'never' : navigator.serviceWorker.controller ? 'ready' : 'coming',
}));
