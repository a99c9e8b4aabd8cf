import type { Folds, Stretches } from '@ample/core/out/layout';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { PaperId } from '@ample/core/out';
import { USUAL_LINES, type PdfLayer } from '@ample/core/out/pdf';
import { ENGLISHES, englishOf, speakEnglish, type English } from '@ample/core/speech';
import type { Units } from '@ample/core/words';

interface Prefs {
  readonly english: English;
  readonly units: Units;
  readonly paper: PaperId;
  /** Pieces may be turned a quarter on the paper. */
  readonly turn: boolean;
  /** Every piece on pages of its own. */
  readonly apart: boolean;
  /** Kinds of line that are printed. */
  readonly lines: readonly PdfLayer[];
  /** Whole pieces, or only what changed, as patches to tape onto the tissue. */
  readonly printed: 'pieces' | 'patches';
  /** Print the hand sheets after the pages. */
  readonly withSheet: boolean;
  readonly cloth: ClothPrefs;
  /** It was said, once, where body measurements are kept. */
  readonly toldPrivacy: boolean;
  /** How far one has come on the first time through; null where one is not on it. */
  readonly walk: number | null;
}

/** How cloth is bought and laid. */
export interface ClothPrefs {
  readonly fold: boolean;
  /** Folded at one edge or at both, only so deep, mm; left out, in half. */
  readonly folds?: Folds | undefined;
  /** Folded anew farther along, once or several times. */
  readonly again?: readonly Folds[] | undefined;
  readonly oneWay: boolean;
  /** Which way a knit gives most; left out, across. */
  readonly stretches?: Stretches | undefined;
  /** Show where stripes of pieces sewn together at the side meet. */
  readonly stripes?: boolean | undefined;
  /** Share it may shrink by, 0 to 1. */
  readonly shrink: number;
}

/** Where a tape measure counts in inches. */
const INCHES: readonly string[] = ['US', 'LR', 'MM'];
/** The unit one starts in, by the region of the browser's language; centimetres where it names none. */
export function usualUnit(language = globalThis.navigator?.language ?? ''): 'cm' | 'in' {
  try {
    return INCHES.includes(new Intl.Locale(language).region ?? '') ? 'in' : 'cm';
  } catch {
    return 'cm';
  }
}

/** How this person likes to see things; kept in the browser, not in a job. */
export const usePrefs = create<Prefs>()(
  persist(
    (): Prefs => ({
      english: englishOf(globalThis.navigator?.language ?? ''),
      units: { unit: usualUnit(), fraction: 8 },
      paper: 'a4',
      turn: false,
      apart: false,
      lines: USUAL_LINES,
      printed: 'pieces',
      withSheet: true,
      cloth: { fold: true, oneWay: false, shrink: 0.05 },
      toldPrivacy: false,
      walk: null,
    }),
    { name: 'ample-draft.prefs' },
  ),
);

// The page speaks the English chosen last; choosing another reloads it.
const { english } = usePrefs.getState();
speakEnglish(Object.hasOwn(ENGLISHES, english) ? english : 'british');

export const useUnits = (): Units => usePrefs((s) => s.units);
export const switchUnits = (): void => {
  usePrefs.setState((s) => ({ units: { ...s.units, unit: s.units.unit === 'cm' ? 'in' : 'cm' } }));
};
