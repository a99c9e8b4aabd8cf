/** The two Englishes the app speaks. Sentences are written in British; what American calls otherwise stands below. */
export const ENGLISHES = {
  british: { name: 'British English (toile, centre)', locale: 'en-GB' },
  american: { name: 'American English (muslin, center)', locale: 'en-US' },
} as const;

export type English = keyof typeof ENGLISHES;

const AMERICAN: Readonly<Record<string, string>> = {
  toile: 'muslin',
  centre: 'center',
  centimetre: 'centimeter',
  millimetre: 'millimeter',
  metre: 'meter',
  colour: 'color',
  grey: 'gray',
  neighbour: 'neighbor',
  levelled: 'leveled',
  labelled: 'labeled',
  towards: 'toward',
  waistcoat: 'vest',
};
const DIFFERS = new RegExp(`\\b(${Object.keys(AMERICAN).join('|')})(s?)\\b`, 'gi');

let spoken: English = 'british';

/** Sets the English for all text from now on. Called once, when a page, a worker or a command starts. */
export function speakEnglish(english: English): void {
  spoken = english;
}

export const spokenEnglish = (): English => spoken;

/** The locale for dates and times. */
export const spokenLocale = (): string => ENGLISHES[spoken].locale;

/** The English of a reader by the language of the browser, `en-US` and the like. */
export const englishOf = (language: string): English =>
  /^en-(US|PR|GU|VI|AS|MP)\b/i.test(language) ? 'american' : 'british';

const inCase = (word: string, like: string): string =>
  like === like.toUpperCase() && like.length > 1
    ? word.toUpperCase()
    : like[0] === like[0]?.toUpperCase()
      ? `${word[0]?.toUpperCase()}${word.slice(1)}`
      : word;

/** Translates our own text into the English in use. Never pass it text the user typed. */
export const inEnglish = (text: string): string =>
  spoken === 'british'
    ? text
    : text.replace(
        DIFFERS,
        (_, word: string, s: string) => `${inCase(AMERICAN[word.toLowerCase()] ?? word, word)}${s}`,
      );

/** Translates the fixed parts of a sentence; interpolated values stay as they are, since they may be the user's. */
export const en = (texts: TemplateStringsArray, ...holes: readonly (string | number)[]): string =>
  texts.map((text, i) => `${inEnglish(text)}${i < holes.length ? holes[i] : ''}`).join('');

/** Wraps a table of words so that its texts are translated when read, since tables are built before the choice is known. */
export function inWords<const T extends object>(table: T): T {
  return new Proxy(table, {
    get(target, key, receiver) {
      const value: unknown = Reflect.get(target, key, receiver);
      if (typeof value === 'string' && typeof key === 'string') return inEnglish(value);
      return typeof value === 'object' && value !== null ? inWords(value) : value;
    },
  });
}
