import { Picture } from './Pictures.tsx';

export type Shown = 'size' | 'compare' | 'plan' | 'table' | 'check' | 'toile' | 'print';

/** What a station will show, faintly, with the words that say so. */
export function Example({ of }: { readonly of: Shown }) {
  return (
    <figure className="mt-5">
      <figcaption className="mb-2 text-quiet">{EXAMPLE_WORDS[of]}</figcaption>
      <div
        className="pointer-events-none max-w-[660px] border border-line bg-white p-4 opacity-45 select-none"
        aria-hidden="true"
      >
        <Picture of={of} />
      </div>
    </figure>
  );
}

/** What each example is said to be. */
const EXAMPLE_WORDS: Readonly<Record<Shown, string>> = {
  size: 'This is how it will look: every measurement as a rule, the pattern’s sizes on it, and the wearer between them.',
  compare: 'This is how it will look: body, ease and pattern beside each other, and what they differ by.',
  plan: 'This is how it will look: the alterations worth making, in their order, with their amounts.',
  table: 'This is how it will look: your pieces on the cutting mat, and each alteration carried out stage by stage.',
  check: 'This is how it will look: seams that are sewn to each other, laid side by side.',
  toile: 'This is how it will look: the garment on a form of the wearer’s own measure, and what it shows.',
  print: 'This is how it will look: the pieces on pages at true scale, with a square to measure on the first.',
};
