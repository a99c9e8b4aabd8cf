import { describe, expect, it } from 'vitest';
import { sampleSpeaker, speakEnglish, type Sentence } from '../speech/index.ts';
import * as words from './index.ts';

/** Every sentence of every table the words export, with the name of the table and its code. */
function sentences(): readonly (readonly [string, Sentence])[] {
  return Object.entries(words).flatMap(([table, value]) =>
    typeof value === 'object'
      ? Object.entries(value as object).flatMap(([code, say]): (readonly [string, Sentence])[] =>
          typeof say === 'function' ? [[`${table} ${code}`, say as Sentence]] : [],
        )
      : [],
  );
}
/** Names and descriptions, which need no data. */
const plain = (value: unknown, path: string): readonly (readonly [string, string])[] =>
  typeof value === 'string'
    ? [[path, value]]
    : value !== null && typeof value === 'object'
      ? Object.entries(value).flatMap(([k, v]) => plain(v, `${path} ${k}`))
      : [];

const FAULTS: readonly (readonly [string, RegExp])[] = [
  ['says a value that is none', /NaN|undefined|\[object|Infinity/],
  ['has two spaces', / {2}/],
  ['has a space before a stop', / [.,;:!?](?:\s|$)/],
  ['says a where an is needed', /\b[Aa] [aeio]/],
  ['says an where a is needed', /\b[Aa]n [bcdfgjklmnpqrstvwxyz]/],
  ['raises its voice', /[a-z]!/],
  ['quotes nothing', /“”/],
  ['says one of many', /\b1 (?:pieces|panels|lines|pages|sizes|jobs|pictures|files|notches|darts|steps|times)\b/],
];

describe('every sentence', () => {
  const found = sentences();
  it('is there to be walked', () => expect(found.length).toBeGreaterThan(400));

  const moods = [
    { length: 20, count: 2 },
    { length: -12.5, count: 1 },
    { length: 0, count: 5 },
  ];
  it.each(FAULTS)('never %s', (_name, fault) => {
    const faulty = (['cm', 'in'] as const).flatMap((unit) =>
      moods.flatMap((mood) =>
        found.flatMap(([name, say]) => {
          const text = say(sampleSpeaker({ unit, fraction: 8 }, mood));
          return fault.test(text) ? [`${name}: ${text}`] : [];
        }),
      ),
    );
    const named = Object.entries(words)
      .flatMap(([table, value]) => plain(value, table))
      .flatMap(([path, text]) => (fault.test(text) ? [`${path}: ${text}`] : []));
    expect([...new Set([...faulty, ...named])]).toEqual([]);
  });

  it('is said in American without a British word', () => {
    const british = /\b(?:toile|centre|metre|centimetre|millimetre|colour|grey|neighbour|towards|levelled)s?\b/i;
    // Codes before the colon are no words of a sentence.
    const isBritish = (line: string): boolean => british.test(line.slice(line.indexOf(': ')));
    const all = (): readonly string[] => [
      ...found.map(([name, say]) => `${name}: ${say(sampleSpeaker({ unit: 'in', fraction: 8 }))}`),
      ...Object.entries(words)
        .filter(([table]) => table !== 'ENGLISHES')
        .flatMap(([table, value]) => plain(value, table))
        .map(([path, text]) => `${path.split(' ')[0]}: ${text}`),
    ];
    try {
      expect(all().filter(isBritish).length).toBeGreaterThan(50);
      speakEnglish('american');
      expect(all().filter(isBritish)).toEqual([]);
    } finally {
      speakEnglish('british');
    }
  });

  it('is a sentence: it begins with a capital, a figure or a quotation, and ends with a stop', () => {
    // What follows a colon in this one is a part of a sentence of its own.
    const spoken = found.filter(
      ([name]) =>
        name !== 'FILE_WORDS piece-not-right' && /^(?:STEP|WHY|ERROR|FILE|BUREAU|CALIBRATE|FINDING)_WORDS /.test(name),
    );
    expect(spoken.length).toBeGreaterThan(300);
    expect(
      spoken
        .map(([name, say]) => [name, say(sampleSpeaker({ unit: 'cm', fraction: 8 }))] as const)
        .filter(([, text]) => !/^[A-Z“0-9−+].*[.?]$/s.test(text))
        .map(([name, text]) => `${name}: ${text}`),
    ).toEqual([]);
  });
});
