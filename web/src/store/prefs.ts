import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { PaperId } from '@ample/core/formats';
import type { Units } from '@ample/core/words';

interface Prefs {
  readonly units: Units;
  readonly paper: PaperId;
  /** Pieces may be turned a quarter on the paper. */
  readonly turn: boolean;
  readonly withOriginal: boolean;
  /** Print the hand sheets after the pages. */
  readonly withSheet: boolean;
  readonly cloth: ClothPrefs;
  /** It was said, once, where body measurements are kept. */
  readonly toldPrivacy: boolean;
}

/** How cloth is bought and laid. */
export interface ClothPrefs {
  readonly fold: boolean;
  readonly oneWay: boolean;
  /** Share it may shrink by, 0 to 1. */
  readonly shrink: number;
}

/** How this person likes to see things; kept in the browser, not in a job. */
export const usePrefs = create<Prefs>()(
  persist(
    (): Prefs => ({
      units: { unit: 'cm', fraction: 8 },
      paper: 'a4',
      turn: false,
      withOriginal: true,
      withSheet: true,
      cloth: { fold: true, oneWay: false, shrink: 0.05 },
      toldPrivacy: false,
    }),
    { name: 'ample-draft.prefs' },
  ),
);

export const useUnits = (): Units => usePrefs((s) => s.units);
export const switchUnits = (): void => {
  usePrefs.setState((s) => ({ units: { ...s.units, unit: s.units.unit === 'cm' ? 'in' : 'cm' } }));
};
