import { throughDart } from '../../kit/bust/throughDart.ts';

export const fullBustArmholeDart = throughDart({
  id: 'full-bust-armhole-dart',
  dart: 'armhole',
  on: 'causeway-armhole',
  source: 'The three-line slash with an opening in the side, turned into the armhole dart.',
});
