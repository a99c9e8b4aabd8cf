// @vitest-environment jsdom
import { fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { draft } from '@ample/core/fitting/plan';
import { samplePattern, type SampleId } from '@ample/core/blocks';
import { JOB_VERSION, jobSchema, stepSchema } from '@ample/core/documents';
import { useJob } from '../store/job.ts';
import { AddStep, BustProposals } from '../stations/plan/Proposals.tsx';
import { DiagramView } from '../ui/DiagramView.tsx';
import { WaysOn } from './WaysOn.tsx';

const planned = (id: SampleId, alteration: string, total: number) => {
  const pattern = samplePattern(id, ['4']);
  const step = stepSchema.parse({
    id: 'bust',
    alteration,
    revision: 1,
    values: { total, whose: 'pattern' },
  });
  const job = jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'j',
    wearer: { id: 'w' },
    pattern: { id },
    size: '4',
    steps: [step],
  });
  useJob.setState({ job, wearer: null });
  return draft({ job, wearer: { sets: [], bustEase: null }, pattern });
};
const steps = () => useJob.getState().job?.steps.map((s) => s.alteration);

beforeEach(() => {
  document.body.innerHTML = '';
});

describe('ways on', () => {
  it('are not shown while one dart will do', () => {
    const { container } = render(<WaysOn step={planned('causeway', 'full-bust-side-dart', 60).steps[0]!} />);
    expect(container.textContent).toBe('');
  });

  it('put their steps on the plan with one click, and say why one cannot be gone', () => {
    render(<WaysOn step={planned('causeway-side', 'full-bust-side-dart', 84).steps[0]!} />);
    const princess = screen.getByRole('button', { name: 'A princess line' });
    expect((princess as HTMLButtonElement).disabled).toBe(true);
    expect(screen.getByText('It needs a waist dart and one other dart.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Two darts' }));
    expect(steps()).toEqual(['full-bust-side-dart', 'dart-split']);
  });
});

describe('which one is right', () => {
  it('marks the proposal, offers the others that would do, and swaps with one click, the amount kept', () => {
    const d = planned('causeway-neck', 'full-bust-neck-dart', 40);
    render(<BustProposals pieces={d.original} step="bust" current="full-bust-neck-dart" />);
    const radios = screen.getAllByRole('radio') as HTMLInputElement[];
    expect(radios.map((r) => r.checked)).toEqual([true, false, false]);
    expect(screen.getAllByText('proposed')).toHaveLength(1);
    fireEvent.click(screen.getByRole('radio', { name: /without darts/ }));
    expect(steps()).toEqual(['full-bust-no-dart']);
    expect(useJob.getState().job?.steps[0]?.values).toEqual({ total: 40 });
  });

  it('adds what these pieces allow, and no second bust', () => {
    const d = planned('ebb', 'full-bust-raglan', 40);
    const { rerender } = render(<AddStep pieces={d.original} seams={[]} hasBust />);
    expect(screen.queryByRole('button', { name: /Full bust/ })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Dart in two' })).toBeNull();
    rerender(<AddStep pieces={d.pieces} seams={[]} hasBust />);
    fireEvent.click(screen.getByRole('button', { name: 'Dart in two' }));
    expect(steps()).toEqual(['full-bust-raglan', 'dart-split']);
  });
});

describe('a drawing', () => {
  it('shows every kind of shape and says whose it is', () => {
    const line = { start: { x: 0, y: 0 }, segments: [{ kind: 'line' as const, to: { x: 10, y: 10 } }] };
    render(
      <DiagramView
        height={100}
        diagram={{
          name: 'Side front',
          box: { minX: 0, minY: 0, maxX: 50, maxY: 50 },
          shapes: [
            { kind: 'line', pen: 'slash', path: line, closed: false },
            { kind: 'pin', at: { x: 1, y: 1 } },
            { kind: 'cross', at: { x: 2, y: 2 } },
            { kind: 'label', at: { x: 3, y: 3 }, text: '1' },
            { kind: 'dimension', from: { x: 0, y: 0 }, to: { x: 5, y: 0 }, text: '2.0 cm' },
          ],
        }}
      />,
    );
    const picture = screen.getByRole('img', { name: 'Side front' });
    expect(picture.querySelectorAll('path, circle, text').length).toBe(7);
    expect(picture.textContent).toContain('2.0 cm');
  });
});
