import type { Draft } from '../fitting/plan/index.ts';
import { sampleName } from '../blocks/index.ts';

/** What to know of drawings that are not of one's own pieces; empty where the pieces are here. */
export const sayPaper = ({ paper }: Pick<Draft, 'paper'>): string =>
  paper === null
    ? ''
    : `Drawn on ${sampleName(paper.sample)} in size ${paper.size}, a piece like yours: take the amounts, the lines and the order, and draw them on a tracing of your own paper.`;
