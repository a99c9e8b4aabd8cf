// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { draft, type Draft } from '@ample/core/fitting/plan';
import { samplePattern } from '@ample/core/blocks';
import type { Pattern } from '@ample/core/pattern';
import { useDraft } from '../store/draft.ts';
import { usePrintable } from '../store/unfit.ts';
import { UnfitNotice } from './UnfitNotice.tsx';

/** A dress whose front came with its two darts across one another. */
function crossed(by = 60): Draft {
  const sample = samplePattern('causeway', ['4']);
  const pieces = (sample.sizes['4'] ?? []).map((p) =>
    p.id === 'front'
      ? {
          ...p,
          darts: p.darts.map((d) => (d.kind === 'waist' ? { ...d, tip: { x: d.tip.x + by, y: d.tip.y - 40 } } : d)),
        }
      : p,
  );
  const pattern: Pattern = { ...sample, sizes: { '4': pieces } };
  const made = draft({
    job: { size: '4', sizeMethod: 'highBust', steps: [] },
    wearer: { sets: [], bustEase: null },
    pattern,
  });
  useDraft.setState({ jobId: 'j', draft: made, pattern, trouble: null });
  return made;
}
function Shown({ of }: { readonly of: Draft }) {
  const printable = usePrintable(of);
  return (
    <>
      <UnfitNotice printable={printable} />
      <output>{printable.pieces.map((p) => p.id).join(' ')}</output>
    </>
  );
}
const show = (of: Draft) =>
  render(
    <MemoryRouter>
      <Shown of={of} />
    </MemoryRouter>,
  );
const pieces = () => screen.getByRole('status').textContent.split(' ');
const box = () => screen.getByRole('checkbox', { name: 'Print anyway' });
afterEach(cleanup);

describe('a piece that must not be cut', () => {
  it('is held back with what is wrong and where to mend it; the others are printed', () => {
    show(crossed());
    const alert = screen.getByRole('alert').textContent;
    expect(alert).toContain('Not printed: Bodice front');
    expect(alert).toMatch(/side dart.*waist dart.*cross|waist dart.*side dart.*cross/);
    expect(screen.getByRole('link', { name: 'See it on Check' })).toBeTruthy();
    expect(pieces()).not.toContain('front');
    expect(pieces()).toContain('back');
  });

  it('is printed once one says so, until something else is wrong with it', () => {
    const first = crossed();
    const { unmount } = show(first);
    fireEvent.click(box());
    expect(screen.getByRole('alert').textContent).toContain('Printed despite faults');
    expect(pieces()).toContain('front');
    unmount();
    const other = { ...first, faults: first.faults.map((f) => ({ ...f, data: { ...f.data, first: 'neck' } })) };
    show(other);
    expect(pieces()).not.toContain('front');
  });

  it('is not spoken of where every piece is sound', () => {
    show({ ...crossed(), faults: [] });
    expect(screen.queryByRole('alert')).toBeNull();
    expect(pieces()).toContain('front');
  });
});
