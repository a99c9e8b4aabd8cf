import { withArticle, type AlterationName } from '../../../speech/index.ts';

export const bust = (how: string, about: string): AlterationName => ({
  name: `Full bust, ${how}`,
  lapName: `Small bust, ${how}`,
  about,
  over: 'over the front',
});

export const through = (dart: string): AlterationName =>
  bust(
    `with ${withArticle(`${dart} dart`)}`,
    `Room at the bust is made through the side seam as usual, then turned into the ${dart} dart: the side seam stays without one.`,
  );
