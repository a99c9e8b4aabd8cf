import { en } from '@ample/core/speech';
import { Terms } from '../shared/Terms.tsx';
import { Picture, type Pictured } from '../shared/first/Pictures.tsx';

/** What one does at each place, in two sentences. */
const HERE: Readonly<Record<Pictured, { readonly name: string; readonly does: string }>> = {
  rail: {
    name: 'The rail',
    does: 'Every job hangs here as a tag; open one, or start your own with three answers. Practice hangs beside them.',
  },
  body: {
    name: 'Body',
    does: 'Type what the tape says, from the top down, each reading twice. What this job needs comes first; the rest can wait.',
  },
  pattern: {
    name: 'Pattern',
    does: 'Choose a sample, bring in your own file, or type the size chart from the envelope. Then see that every piece is there and named.',
  },
  size: {
    name: 'Size',
    get does() {
      return en`See which size to start from, and why: the nearest high bust, or the hip for what hangs from the waist. Another can be chosen by hand.`;
    },
  },
  compare: {
    name: 'Compare',
    does: 'Read down the column of differences: what fits is quiet, what asks comes first. Type your own ease where you want more or less.',
  },
  plan: {
    name: 'Plan',
    does: 'Add what is worth altering, in the order it is done; leave what the tape cannot tell. Every amount opens into its sum.',
  },
  table: {
    name: 'Table',
    does: 'Go along the stages with Next and watch the paper move as yours will. Drag a hinge, a gap or a dart tip; the numbers follow.',
  },
  check: {
    name: 'Check',
    does: 'See that seams which are sewn to each other still meet. Press Show me beside anything that does not.',
  },
  toile: {
    get name() {
      return en`Toile`;
    },
    get does() {
      return en`Note what the toile shows, on the figure, with what you pinned; the likely causes stand beside it. On the form you see it before a stitch is sewn.`;
    },
  },
  print: {
    name: 'Print',
    does: 'Choose your paper and print; measure the square on the first page before you join the rest. Trace, and never cut your only original.',
  },
  practice: {
    name: 'Practice',
    does: 'Cut paper that costs nothing, and see what each cut comes to in millimetres. Begin with a guided lesson.',
  },
};

/** What to do at the place one is at, with a picture of it. */
export function Here({ at }: { readonly at: Pictured }) {
  const { name, does } = HERE[at];
  return (
    <section aria-labelledby="here" className="mt-4 border-t border-line pt-3">
      <h2 id="here">Here: {name}</h2>
      <p className="mt-1">
        <Terms>{does}</Terms>
      </p>
      <div className="mt-2 border border-line bg-white p-3" aria-hidden="true">
        <Picture of={at} />
      </div>
    </section>
  );
}
