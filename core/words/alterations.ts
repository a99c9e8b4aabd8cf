import type { Family } from '../alterations/index.ts';
import { NAMES, WHY } from '../alterations/words.ts';
import type { AlterationName } from '../speech/index.ts';
import { inWords } from '../speech/index.ts';

/** Names of all alterations, by id. */
export const ALTERATION_WORDS: Readonly<Record<string, AlterationName>> = NAMES;
export { WHY as WHY_WORDS };

/** What alterations are about, as they are offered. */
export const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  length: 'Lengths',
  shoulder: 'Shoulders',
  back: 'Back, and across the body',
  bust: 'Bust',
  dart: 'Darts',
  width: 'Widths',
  neck: 'Neck, armhole and bands',
  sleeve: 'Sleeve',
  trouser: 'Trousers',
  follow: 'What has to follow',
};

/** The ways on when one dart would take too much. */
export const WAY_WORDS: Readonly<
  Record<string, { readonly name: string; readonly about: string; readonly cannot: string }>
> = inWords({
  split: {
    name: 'Two darts',
    about: 'Half of the dart is turned to a place beside it.',
    cannot: '',
  },
  cutAway: {
    name: 'A dart cut away',
    about: 'The dart is cut open and sewn like a seam.',
    cannot: '',
  },
  twoSteps: {
    name: 'In two steps',
    about: 'Half the amount, levelled and trued, then the other half on what came of it.',
    cannot: '',
  },
  princess: {
    name: 'A princess line',
    about: 'The front is cut in two over the bust first; the panels take any amount.',
    cannot: 'It needs a waist dart and one other dart.',
  },
  restWaist: {
    name: 'The rest at the waist dart',
    about: 'The dart is closed, what is left of it eased in, and the rest lapped into the waist dart.',
    cannot: 'It needs a waist dart besides, wide enough for the rest.',
  },
  restSide: {
    name: 'The rest at the side',
    about: 'The dart is closed and the side seams are taken in by the rest, a quarter at each edge.',
    cannot: '',
  },
  restEase: {
    name: 'The rest as ease',
    about: 'The dart is closed as far as it goes; what is left over stays as ease.',
    cannot: '',
  },
});

/** What an alteration is called, with the direction of its amount where it has one. */
export const alterationName = (id: string, amount: unknown = null): string =>
  (typeof amount === 'number' && amount < 0 ? ALTERATION_WORDS[id]?.lapName : ALTERATION_WORDS[id]?.name) ?? id;
