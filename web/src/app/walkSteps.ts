import { en } from '@ample/core/speech';

/** The job of the demo that one is led through. */
const JOB = 'marit-causeway';

/** One instruction at a time, each on the screen it belongs to. */
export const WALK: readonly { readonly at: string; readonly says: string }[] = [
  { at: '/', says: 'Jobs hang on the rail as tags. We go through Marit’s concert bodice; press Go on.' },
  {
    at: `/job/${JOB}/body`,
    get says() {
      return en`Her measurements, each taken twice. Press on Full bust: the figure shows where the tape lies.`;
    },
  },
  {
    at: `/job/${JOB}/size`,
    says: 'The size to start from is the one whose high bust is nearest. The line shows where she leaves it: there the pattern is graded or altered.',
  },
  {
    at: `/job/${JOB}/compare`,
    says: 'Body and ease against the pattern. Quiet rows fit; a row with a sign asks for something.',
  },
  {
    at: `/job/${JOB}/plan`,
    says: 'What is worth altering, in the order it is done. Every amount stands with the sum it comes from.',
  },
  {
    at: `/job/${JOB}/table`,
    says: 'The cutting table. Press Next under the mat, or the key N, and watch the paper open at its hinge.',
  },
  { at: `/job/${JOB}/check`, says: 'Seams that are sewn to each other, side by side: they must still meet.' },
  {
    at: `/job/${JOB}/toile`,
    get says() {
      return en`After a fitting one notes here what the toile shows, and the likely causes stand beside it.`;
    },
  },
  {
    at: `/job/${JOB}/print`,
    says: 'Choose your paper and press PDF: the pages at true scale, with a square to measure. That is all; the rest is your own.',
  },
];
