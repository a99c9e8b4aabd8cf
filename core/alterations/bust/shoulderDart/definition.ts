import { throughDart } from '../../kit/bust/throughDart.ts';

export const fullBustShoulderDart = throughDart({
  id: 'full-bust-shoulder-dart',
  dart: 'shoulder',
  on: 'causeway-shoulder',
  source: 'The three-line slash with an opening in the side, turned into the shoulder dart.',
});
