import type { Words } from '../../../speech/index.ts';
import { same } from '../../kit/phrases/names.ts';
import { en } from '../../../speech/index.ts';

export const words = {
  names: {
    'fit-allowance': same(
      'Allowance to fit by',
      'Leaves more paper and cloth beyond the seam where an amount is not yet sure. The seam line does not move.',
      'beyond the seam',
    ),
  },
  why: {
    'why.fit-allowance': () => 'The pieces have side seams.',
  },
  steps: {
    'spare.mark': () => 'Leave the seam line where it is.',
    'spare.match': () => en`Sew on the seam line as always; trim what is left over once the toile has told.`,
    'spare.true': (s) => `Cut ${s.both('by')} farther out there, and write on the piece that this is to fit by.`,
  },
} satisfies Words;
