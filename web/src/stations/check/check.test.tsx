// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { draft, type Draft } from '@ample/core/fitting/plan';
import { samplePattern } from '@ample/core/blocks';
import { stepSchema, wearerSchema, type Step } from '@ample/core/documents';
import { useDraft } from '../../store/draft.ts';
import { Check } from './Check.tsx';

const pattern = samplePattern('causeway', ['4']);
const step = (id: string, alteration: string, fields: Partial<Step> = {}): Step =>
  stepSchema.parse({ id, alteration, revision: 1, ...fields });

function checked(steps: readonly Step[]): Draft {
  const wearer = wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: 'w',
    name: 'W',
    sets: [{ id: 's', date: '2026-10-01', readings: { shoulder: [114], fullBust: [920] } }],
  });
  const made = draft({ job: { size: '4', sizeMethod: 'highBust', steps: [...steps] }, wearer, pattern });
  useDraft.setState({ jobId: 'j', draft: made, pattern, trouble: null });
  render(
    <MemoryRouter>
      <Check />
    </MemoryRouter>,
  );
  return made;
}
const table = (name: RegExp) => screen.getByRole('table', { name });

afterEach(cleanup);

describe('the check station', () => {
  it('walks every seam of the dress and says what is left between body and pattern', () => {
    checked([step('a', 'shoulder-slash')]);
    expect(screen.getAllByText(/they meet/)).toHaveLength(12);
    const shoulder = within(table(/Measured again/)).getByRole('row', { name: /^Shoulder/ });
    expect(shoulder.textContent).toContain('nothing');
    // Full bust 92.0 with 5.0 of ease is what size 4 was drafted for.
    expect(within(table(/Measured again/)).getByRole('row', { name: /Full bust/ }).textContent).toMatch(/nothing|0\.1/);
  });

  it('says each difference once, as the finished pieces have it, with the step that mends it', () => {
    checked([step('a', 'shoulder-redraw', { values: { by: -8 } }), step('b', 'side-add', { values: { by: 8 } })]);
    expect(screen.getAllByText(/Sleeve has to follow/)).toHaveLength(2);
    expect(screen.getAllByRole('button', { name: 'Sleeve cap follows the armhole' })).toHaveLength(2);
    const link = screen.getAllByRole('link', { name: 'Show me' })[0] as HTMLAnchorElement;
    expect(link.getAttribute('href')).toMatch(/table\?show=sleeve/);
  });

  it('lists darts, grain and the corners at the fold of altered pieces only', () => {
    checked([step('a', 'full-bust-side-dart', { values: { total: 40, whose: 'pattern' } })]);
    const rows = within(table(/Darts, grain and centre/)).getAllByRole('row');
    const text = rows.map((r) => r.textContent ?? '');
    expect(text).toHaveLength(5);
    expect(text[0]).toMatch(/Bodice front.*Side dart, both legs.*true/);
    expect(text.filter((t) => t.includes('look'))).toEqual([]);
    expect(text.some((t) => t.includes('Bodice back'))).toBe(false);
  });

  it('shows both sides where they differ', () => {
    checked([step('a', 'shoulder-slash', { side: 'right', values: { by: -6 } })]);
    expect(screen.getByRole('heading', { name: 'Left side' })).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Right side' })).toBeTruthy();
    expect(screen.getAllByText(/they meet/)).toHaveLength(24);
  });

  it('changes the seams it tells of only where they changed', () => {
    const d = checked([step('a', 'hem-sweep', { values: { by: 40 } })]);
    const changed = within(table(/Seam lines of the altered pieces/));
    expect(changed.getByRole('row', { name: /Skirt front, hem/ }).textContent).toContain('+1.0 cm');
    expect(changed.queryByRole('row', { name: /Bodice front/ })).toBeNull();
    expect(d.check.findings).toEqual([]);
  });
});
