import { throughDart } from '../../kit/bust/throughDart.ts';

export const fullBustNeckDart = throughDart({
  id: 'full-bust-neck-dart',
  dart: 'neck',
  on: 'causeway-neck',
  source: 'The three-line slash with an opening in the side, turned into the neck dart.',
});
