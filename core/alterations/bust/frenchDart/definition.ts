import { throughDart } from '../../kit/bust/throughDart.ts';

export const fullBustFrenchDart = throughDart({
  id: 'full-bust-french-dart',
  dart: 'french',
  on: 'causeway-french',
  source: 'The three-line slash with an opening in the side, turned into the French dart.',
});
