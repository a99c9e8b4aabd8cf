import type { EdgeRole } from '../pattern/index.ts';
import type { Question, SizeNames, Why } from '../in/tracing/index.ts';
import { formatLength } from '../units/index.ts';
import { ROLE_WORDS } from './params.ts';
import type { Units } from '../speech/index.ts';

const listed = (roles: readonly EdgeRole[]): string =>
  roles.map((r) => (r === 'other' ? 'an edge without a name' : ROLE_WORDS[r])).join(', ');

/** A question that a piece from a file leaves open, as one sentence to answer. */
export function sayQuestion(ask: Question, units: Units): string {
  const len = (mm: number): string => formatLength(Math.abs(mm), units.unit, { fraction: units.fraction });
  switch (ask.code) {
    case 'which-part':
      return 'Which piece is this? No piece name was found on it.';
    case 'on-fold':
      return 'Is it cut on the fold, or as a pair? It is not printed, or not which edge lies on the fold.';
    case 'which-allowance':
      return 'How wide is the seam allowance? It is not printed.';
    case 'allowance-off':
      return `The allowance cannot be taken off everywhere; it is ${len(ask.data.off)} short. Are the corners and the fold right?`;
    case 'which-edges':
      return `Check its edges. Missing, or of an unlikely length: ${listed(ask.data.missing)}.`;
    case 'which-darts':
      return `Which darts belong to it? Another size does not show the same number; ${ask.data.counts[0] ?? 0} here.`;
    case 'which-sizes':
      return `Which size is this? It is drawn in ${ask.data.drawn} sizes, other pieces in ${ask.data.expected}.`;
    case 'seam-differs':
      return `Its ${ask.data.seam} seam differs by ${len(ask.data.difference)} from the piece it is sewn to. Were the edges of both read right?`;
    case 'no-outline':
      return 'Its outline does not make a usable piece. Trace it again by hand.';
  }
}

const WHY: Readonly<Record<Why, string>> = {
  'told-by-file': 'the file itself says what it is',
  'part-printed': 'its name is printed on it',
  'part-said': 'you said which piece it is',
  'fold-printed': 'the fold is printed on it',
  'fold-halved': 'it is symmetrical, so half of it was taken, on the fold',
  'cut-printed': 'how many to cut is printed on it',
  'allowance-printed': 'the allowance is printed in the file',
  'allowance-given': 'the allowance was given',
  'seam-drawn': 'the seam line is drawn in it',
  'sizes-alike': 'every size came out the same way',
  'seams-match': 'its seams match the pieces beside it',
};
/** What a reading rests on, as a part of a sentence. */
export const sayBasis = (why: Why): string => WHY[why];

/** How the sizes of a file are known. */
export const saySizesBy = (by: SizeNames['by']): string =>
  ({
    words: 'The sizes are printed in the file.',
    layers: 'The sizes are names of its layers.',
    order: 'The file does not name its sizes; they are counted from the smallest.',
  })[by];
