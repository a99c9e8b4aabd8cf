import type { NextAction } from '../fitting/toile/index.ts';
import { inWords } from '../speech/index.ts';

/** What comes next in a job. By itself, so that the rail need not load every other sentence. */
export const NEXT_WORDS: Readonly<Record<NextAction['code'], string>> = inWords({
  'next.measure': 'Measure the body',
  'next.size': 'See the size, plan the changes',
  'next.table': 'Carry out the plan, sew a toile',
  'next.note': 'Note what the fitting shows',
  'next.decide': 'Decide what the fitting changes',
  'next.toile': 'Print again, sew the next toile',
  'next.cut': 'Print and cut the good cloth',
  'next.again': 'Finished: make it again',
  'next.master': 'Look over what to check again',
});
