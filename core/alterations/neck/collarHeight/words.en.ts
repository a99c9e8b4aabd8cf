import { en, inWords, type Words } from '../../../speech/index.ts';
import { both } from '../../kit/phrases/names.ts';

export const words = inWords({
  names: {
    'collar-height': both(
      'Collar or stand higher',
      'Collar or stand lower',
      'The outer edge is drawn higher or lower, behind and in front each by its own amount. The seam it is sewn by stays as it is. A short neck wants a lower stand.',
      'at the centre back',
    ),
  },
  why: {
    'why.collar-height': () => 'There is a collar or a stand.',
  },
  steps: {
    'collarHeight.mark': (s) =>
      en`On “${s.text('name')}” measure ${s.signed('by')} from the outer edge at the centre back and ${s.signed('inFront')} at its front end${s.text('behind') ? `: it is then ${s.len('behind')} high behind and ${s.len('front')} in front` : ''}. + is away from the seam.`,
    'collarHeight.draw': () =>
      en`Draw the outer edge through both marks in its old shape, square to the centre back, and its front end to it.`,
    'collarHeight.match': () =>
      'The seam to the neckline is as it was. Walk the collar along the stand: where the edge between them has changed, the collar follows.',
  },
} satisfies Words);
