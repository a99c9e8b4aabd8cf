import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { PaperId } from '@ample/core/formats';
import type { Units } from '@ample/core/words';

interface Prefs {
  readonly units: Units;
  readonly paper: PaperId;
  readonly withOriginal: boolean;
  /** Print the hand sheets after the pages. */
  readonly withSheet: boolean;
}

/** How this person likes to see things; kept in the browser, not in a job. */
export const usePrefs = create<Prefs>()(
  persist((): Prefs => ({ units: { unit: 'cm', fraction: 8 }, paper: 'a4', withOriginal: true, withSheet: true }), {
    name: 'ample-draft.prefs',
  }),
);

export const useUnits = (): Units => usePrefs((s) => s.units);
export const switchUnits = (): void => {
  usePrefs.setState((s) => ({ units: { ...s.units, unit: s.units.unit === 'cm' ? 'in' : 'cm' } }));
};
