import { inWords } from '../speech/index.ts';

/** One word, one meaning: what the app, the paper, the terminal and the code call things. */
export interface Term {
  readonly term: string;
  readonly meaning: string;
  /** Also an everyday word: opened in the glossary, not in a sentence, where it may mean something else. */
  readonly everyday?: true;
}

export const GLOSSARY: readonly Term[] = inWords([
  { term: 'allowance', meaning: 'Paper and cloth beyond the seam line, to sew and to let out by.' },
  { term: 'alteration', meaning: 'A change to the paper pattern that makes it fit one body; a step of the plan.' },
  { term: 'apex', meaning: 'The fullest place of a princess seam; on a front without one it is the bust point.' },
  { term: 'bust point', meaning: 'Where the bust is fullest; darts aim at it and end short of it.' },
  {
    term: 'crotch line',
    meaning: 'Where trousers are widest, square to the grain; crotch depth is measured down to it.',
  },
  {
    term: 'cup',
    meaning: 'Full bust less high bust of the body a pattern was drafted for; not a bra size.',
  },
  { term: 'cutting line', meaning: 'Where the paper is cut: the seam line and its allowance.' },
  {
    term: 'dart',
    meaning: 'A wedge folded out of the cloth. Legs run from the seam to the tip; the intake is the width at the seam.',
  },
  {
    term: 'double-pointed dart',
    meaning:
      'A dart inside a piece, with a tip at either end and its widest line between them; it shapes the waist of a garment in one.',
  },
  { term: 'ease', meaning: 'What the garment measures more than the body: for moving, and for the look.' },
  { term: 'fold', everyday: true, meaning: 'The centre line of a piece that is cut once on folded cloth.' },
  { term: 'grade', everyday: true, meaning: 'To run from one size to another, at one edge or all.' },
  { term: 'grain', meaning: 'The direction of the threads; the grainline lies along it.' },
  { term: 'hand sheet', meaning: 'The steps of the plan to carry out by hand, one page or more.' },
  {
    term: 'high bust',
    meaning: 'Around the body above the bust, under the arms: the measurement the size starts from.',
  },
  { term: 'hinge', meaning: 'The point about which a piece of paper turns when a slash is opened or lapped.' },
  { term: 'inseam', meaning: 'The inner seam of a trouser leg, from the crotch seam down to the hem.' },
  { term: 'lap', meaning: 'To slide paper over paper, so that the piece becomes smaller.' },
  { term: 'level', everyday: true, meaning: 'A height on the piece that runs straight across: bust, waist, hip.' },
  { term: 'notch', meaning: 'A mark on the cutting line that meets its partner when two pieces are sewn.' },
  {
    term: 'panel',
    meaning: 'One of several pieces that make up a front or a back; also a part of a slashed piece that moves as one.',
  },
  { term: 'plan', everyday: true, meaning: 'The alterations of a job, in the order in which they are carried out.' },
  { term: 'rail', everyday: true, meaning: 'The list of jobs, each hanging there with its tag.' },
  { term: 'seam line', meaning: 'Where the cloth is sewn. All measuring is done on it.' },
  { term: 'setback', meaning: 'How far the tip of a dart ends before the bust point.' },
  { term: 'slash', meaning: 'To cut into paper as far as a hinge, so that it can be opened or lapped.' },
  { term: 'spread', meaning: 'To open paper along a cut, so that the piece becomes larger.' },
  {
    term: 'stand',
    everyday: true,
    meaning:
      'The band between neckline and collar that lets the collar stand up. (A button stand is the extension beyond the centre front.)',
  },
  { term: 'symptom', meaning: 'What a fitting shows: a fold, a pull, a hollow, a seam that hangs.' },
  { term: 'tissue-fit', meaning: 'The paper pieces pinned to the body, before any cloth is cut.' },
  { term: 'toile', meaning: 'A trial garment sewn in cheap cloth of the same weight.' },
  {
    term: 'true',
    everyday: true,
    meaning: 'To redraw lines after paper has moved, so that seams match and curves run on.',
  },
  {
    term: 'view',
    everyday: true,
    meaning: 'One of the garments a pattern may be made up as, with its own choice of the pieces.',
  },
  {
    term: 'walk',
    everyday: true,
    meaning: 'To lay one seam line along another, a little at a time, to see whether they match.',
  },
  { term: 'worksheet', meaning: 'Body and ease against the pattern, measurement by measurement, with the difference.' },
  {
    term: 'yoke',
    meaning:
      'The piece over the shoulders that the back is sewn to. It is pinned to the back while both are altered, and cut apart afterwards.',
  },
]);
