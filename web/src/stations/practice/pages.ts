/** What there is to practise besides cutting. */
export const PRACTICE_PAGES = [
  {
    to: '/practice/sums',
    name: 'Sums',
    about: 'Starting size, halves and quarters, dart legs, ease: with new numbers each time.',
  },
  {
    to: '/practice/wrinkles',
    name: 'Read the wrinkles',
    about: 'Signs on a figure: choose the cause, and see the test for it.',
  },
  {
    to: '/practice/toiles',
    name: 'Read a toile',
    about: 'A sample hung by computation on a body it was not drafted for: turn it, and say what differs.',
  },
  {
    to: '/practice/methods',
    name: 'Three methods',
    about: 'Slash, pivot or slide, at the seam: one amount, side by side.',
  },
  { to: '/practice/rescue', name: 'Rescue', about: 'A torn hinge, the wrong half cut: what one does now.' },
] as const;
