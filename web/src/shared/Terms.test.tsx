// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { Terms } from './Terms.tsx';

afterEach(cleanup);
const terms = (): readonly (string | null)[] => screen.queryAllByRole('button').map((b) => b.textContent);

it('opens every term at its first mention, the longer before the shorter, in any case and number', () => {
  const { container } = render(
    <Terms>
      Slash to the bust point, leave a hinge; slashes and hinges keep the seam line. The dart ends short of it.
    </Terms>,
  );
  expect(terms()).toEqual(['Slash', 'bust point', 'hinge', 'seam line', 'dart']);
  expect(container.textContent).toBe(
    'Slash to the bust point, leave a hinge; slashes and hinges keep the seam line. The dart ends short of it.',
  );
});

it('takes no part of another word for a term', () => {
  render(<Terms>Upgraded, darting, unfold.</Terms>);
  expect(terms()).toEqual([]);
});

it('leaves everyday words alone that are terms in another sense', () => {
  render(<Terms>Hold the tape level; print at true scale, and stand easy.</Terms>);
  expect(terms()).toEqual([]);
});
