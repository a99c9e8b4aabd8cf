/** What a count is called, by the plural rules of the language. */
const RULES = new Intl.PluralRules('en');

/** "1 piece", "3 pieces": the count with its noun; `other` where the plural is not the noun with an s. */
export const counted = (count: number, one: string, other = `${one}s`): string => `${count} ${noun(count, one, other)}`;

/** The noun, or any other word, that goes with a count. */
export const noun = (count: number, one: string, other = `${one}s`): string =>
  RULES.select(count) === 'one' ? one : other;

/** "a side dart", "an armhole dart": the words with their article, by the letter they begin with. */
export const withArticle = (words: string): string => `${/^(?:[aeio]|un(?!i))/i.test(words) ? 'an' : 'a'} ${words}`;
