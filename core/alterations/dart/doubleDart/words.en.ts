import { en, type Speaker, type Words } from '../../../speech/index.ts';

/** Which way, said only where something moves: “5 mm towards the side”. */
const way = (s: Speaker, key: string, [more, less]: readonly [string, string]): string => {
  const goes = s.text(`${key}Way`);
  return goes === 'none' ? '' : `${s.both(key)} ${goes === 'more' ? more : less}`;
};
const joined = (...parts: readonly string[]): string => parts.filter((p) => p !== '').join(' and ');

export const words = {
  names: {
    'double-dart': {
      name: 'Double-pointed darts: waist wider',
      lapName: 'Double-pointed darts: waist narrower',
      about:
        'The waist of a garment in one is changed in its double-pointed darts, shared over all of them. They can be moved, made longer, given curved legs, or sewn as two.',
      over: 'around the waist',
    },
  },
  why: {
    'why.double-dart': () => 'Double-pointed darts shape the waist.',
  },
  steps: {
    'doubleDart.mark': (s) =>
      s.text('byWay') === 'none'
        ? 'Draw the line from tip to tip of each double-pointed dart, and its widest line square to it.'
        : `Of ${s.signed('by')} around the whole waist, ${s.noun('darts', 'the dart', `each of ${s.num('darts')} darts`)} takes ${s.both('each')}.`,
    'doubleDart.narrower': (s) =>
      `Make each double-pointed dart narrower by ${s.both('each')}: bring each leg in by ${s.len('leg')} at the widest line and draw it to the two tips.`,
    'doubleDart.wider': (s) =>
      `Make each double-pointed dart wider by ${s.both('each')}: take each leg out by ${s.len('leg')} at the widest line and draw it to the two tips.`,
    'doubleDart.move': (s) =>
      en`Trace the dart and lay it down again ${joined(way(s, 'out', ['towards the side', en`towards the centre`]), way(s, 'down', ['lower', 'higher']))}, upright as before.`,
    'doubleDart.tips': (s) =>
      `Move the tips along the dart: ${joined(way(s, 'above', ['farther at the upper tip', 'nearer at the upper tip']), way(s, 'below', ['farther at the lower tip', 'nearer at the lower tip']))}. Draw the legs again from the widest line.`,
    'doubleDart.bow': (s) => {
      const where = way(s, 'bow', ['outside', 'inside']);
      return where === ''
        ? 'Draw the legs straight, from the widest line to the tips.'
        : `Draw each leg in one curve that lies ${where} the straight line half-way between tip and widest line.`;
    },
    'doubleDart.split': (s) =>
      `Draw two darts of half the width, ${s.both('apart')} from middle to middle; the tips of the one nearer the side end a little short of the other’s.`,
    'doubleDart.match': () =>
      'Fold the darts shut and measure the waist again. Snip a pressed dart at its widest, or it pulls.',
  },
} satisfies Words;
