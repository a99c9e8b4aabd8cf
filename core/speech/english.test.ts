import { afterEach, describe, expect, it } from 'vitest';
import { en, englishOf, inEnglish, inWords, speakEnglish } from './index.ts';

afterEach(() => speakEnglish('british'));

describe('the two Englishes', () => {
  it('say what we wrote, each in its own words and case', () => {
    const text = 'Toile: mark the centre line, two centimetres towards the side. TOILES';
    expect(inEnglish(text)).toBe(text);
    speakEnglish('american');
    expect(inEnglish(text)).toBe('Muslin: mark the center line, two centimeters toward the side. MUSLINS');
  });

  it('leave alone what merely contains such a word, and whatever is put into a sentence', () => {
    speakEnglish('american');
    expect(inEnglish('centred, perimetre')).toBe('centred, perimetre');
    expect(en`The toile of “${'Centre toile'}” is ${3} metres long`).toBe(
      'The muslin of “Centre toile” is 3 meters long',
    );
  });

  it('are chosen after the tables are made', () => {
    const words = inWords({ toile: { name: 'Toile', say: (n: number) => en`${n} toiles` }, list: ['centre'] });
    expect(words.toile.name).toBe('Toile');
    speakEnglish('american');
    expect(words.toile.name).toBe('Muslin');
    expect(words.toile.say(2)).toBe('2 muslins');
    expect(Object.values(words.toile)[0]).toBe('Muslin');
    expect([...words.list]).toEqual(['center']);
    expect(Object.keys(words)).toEqual(['toile', 'list']);
  });

  it('follow the language of the browser', () => {
    expect(['en-US', 'en-GB', 'en', 'de-DE', 'es-US', ''].map(englishOf)).toEqual([
      'american',
      'british',
      'british',
      'british',
      'british',
      'british',
    ]);
  });
});
