import { throughDart } from '../../kit/bust/throughDart.ts';

export const fullBustWaistDart = throughDart({
  id: 'full-bust-waist-dart',
  dart: 'waist',
  on: 'causeway-waist',
  source: 'The three-line slash with an opening in the side, let down the front and into the waist dart.',
});
