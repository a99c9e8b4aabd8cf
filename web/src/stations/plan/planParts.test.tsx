// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { draft, type Draft } from '@ample/core/fitting/plan';
import { samplePattern, type SampleId } from '@ample/core/blocks';
import { JOB_VERSION, jobSchema, stepSchema, wearerSchema, type Step } from '@ample/core/documents';
import { useDraft } from '../../store/draft.ts';
import { useJob } from '../../store/job.ts';
import { ParamField } from '../table/ParamField.tsx';
import { nextStage } from '../../shared/mat/stages.ts';
import { FindingFix } from '../../shared/FindingFix.tsx';
import { Recommended, Followers } from './Recommendations.tsx';
import { Meets, OwnAmount } from './OwnAmount.tsx';
import { AddStep } from './Proposals.tsx';
import { WorkOrder } from './WorkOrder.tsx';

const step = (id: string, alteration: string, fields: Partial<Step> = {}): Step =>
  stepSchema.parse({ id, alteration, revision: 1, ...fields });

/** Opens a job with these steps and readings, and drafts it. */
function opened(steps: readonly Step[], readings: Record<string, number[]> = {}, id: SampleId = 'causeway'): Draft {
  const pattern = samplePattern(id, ['4', '5', '6']);
  const wearer = wearerSchema.parse({
    format: 'ample-draft/wearer',
    version: 1,
    id: 'w',
    name: 'W',
    sets: [{ id: 's', date: '2026-10-01', readings }],
  });
  const job = jobSchema.parse({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'j',
    wearer: { id: 'w' },
    pattern: { id },
    size: '4',
    steps: [...steps],
  });
  useJob.setState({ job, wearer });
  const made = draft({ job, wearer, pattern });
  useDraft.setState({ jobId: 'j', draft: made, pattern, trouble: null });
  return made;
}
const planned = () => useJob.getState().job?.steps.map((s) => s.alteration);
const firstStep = () => useJob.getState().job?.steps[0];
const shown = (what: React.ReactNode) => render(<MemoryRouter>{what}</MemoryRouter>);

afterEach(cleanup);

describe('what the measurements ask for', () => {
  it('says the sum and adds the step where it belongs', () => {
    const d = opened([step('h', 'hem-sweep')], { shoulder: [112], sideWaist: [188] });
    shown(<Recommended draft={d} />);
    expect(screen.getByText('Shoulder: 11.2 cm measured − 12.2 cm on the pattern = −1.0 cm.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Narrow shoulder, slashed' }));
    fireEvent.click(screen.getByRole('button', { name: 'Shorter' }));
    expect(planned()).toEqual(['length-line', 'shoulder-slash', 'hem-sweep']);
    // Nothing is written into the step: the amount stays the sum of what is measured.
    expect(firstStep()?.values).toEqual({});
  });
  it('is silent when nothing differs', () => {
    const { container } = shown(<Recommended draft={opened([], {})} />);
    expect(container.textContent).toBe('');
  });
});

describe('what must follow', () => {
  it('is offered by piece, once for all that asks for it', () => {
    const d = opened([step('a', 'dart-waist-width', { values: { by: 24 } })]);
    shown(<Followers draft={d} />);
    expect(screen.getAllByText(/has to follow:/)).toHaveLength(2);
    fireEvent.click(screen.getByRole('button', { name: 'Skirt follows the bodice' }));
    expect(planned()).toEqual(['dart-waist-width', 'skirt-follows']);
  });
  it('is offered beside the finding, and only while it is needed', () => {
    const d = opened([step('a', 'shoulder-redraw', { values: { by: -10 } })]);
    const finding = d.check.findings.find((f) => f.code === 'piece-must-follow');
    if (!finding) throw new Error('expected a finding');
    const { rerender } = render(<FindingFix finding={finding} draft={d} />);
    expect(screen.getByRole('button', { name: 'Sleeve cap follows the armhole' })).toBeTruthy();
    const done = opened([step('a', 'shoulder-redraw', { values: { by: -10 } }), step('b', 'cap-follows')]);
    rerender(<FindingFix finding={finding} draft={done} />);
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('an amount of one’s own', () => {
  it('stands beside the sum, and goes back to it', () => {
    const d = opened([step('a', 'shoulder-slash', { values: { by: -4 } })], { shoulder: [114] });
    shown(<OwnAmount whole={d.steps[0]!} step={firstStep() as Step} />);
    const field = screen.getByRole('textbox', { name: 'By how much' }) as HTMLInputElement;
    expect(field.value).toBe('−0.4');
    expect(screen.getByText(/= −0.8 cm\./)).toBeTruthy();
    fireEvent.change(field, { target: { value: '-6 mm' } });
    fireEvent.blur(field);
    expect(firstStep()?.values['by']).toBeCloseTo(-6, 9);
    fireEvent.click(screen.getByRole('button', { name: 'take the computed amount' }));
    expect(firstStep()?.values).toEqual({});
  });
  it('says so when nothing is measured that would ask', () => {
    const d = opened([step('a', 'swayback-waist-seam')]);
    shown(<OwnAmount whole={d.steps[0]!} step={firstStep() as Step} />);
    expect(screen.getByText(/Nothing measured calls for this/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'take the computed amount' })).toBeNull();
  });
  it('may be for one side', () => {
    const d = opened([step('a', 'shoulder-slash')]);
    shown(<OwnAmount whole={d.steps[0]!} step={firstStep() as Step} />);
    fireEvent.change(screen.getByLabelText('For'), { target: { value: 'left' } });
    expect(firstStep()?.side).toBe('left');
  });
});

describe('the order of work', () => {
  it('puts the plan in order with one press, or with the bust first', () => {
    const d = opened([step('a', 'side-add'), step('b', 'full-bust-side-dart'), step('c', 'length-line')]);
    const { rerender } = shown(<WorkOrder draft={d} />);
    fireEvent.click(screen.getByRole('button', { name: 'Put the plan in this order' }));
    expect(planned()).toEqual(['length-line', 'full-bust-side-dart', 'side-add']);
    fireEvent.change(screen.getByRole('combobox'), { target: { value: 'bustFirst' } });
    expect(planned()).toEqual(['full-bust-side-dart', 'length-line', 'side-add']);
    rerender(
      <MemoryRouter>
        <WorkOrder draft={opened([step('a', 'side-add')])} />
      </MemoryRouter>,
    );
    expect(screen.queryByRole('combobox')).toBeNull();
  });
  it('says which steps meet, and which stand too early', () => {
    const steps = [
      step('a', 'armhole-depth', { values: { by: 6 } }),
      step('b', 'shoulder-redraw', { values: { by: -8 } }),
    ];
    const d = opened(steps);
    shown(<Meets step="b" draft={d} />);
    expect(screen.getByText(/Usually done before “Underarm higher”/)).toBeTruthy();
    expect(screen.getByText(/Changes the same as “Underarm higher” \(armhole of bodice front/)).toBeTruthy();
  });
});

describe('adding to the plan', () => {
  it('offers family by family what these pieces allow', () => {
    const d = opened([], {}, 'ebb');
    shown(<AddStep pieces={d.original} seams={d.seams} hasBust={false} />);
    const all = screen.getByRole('region', { name: 'Add to the plan' });
    expect(within(all).getByText('Lengths')).toBeTruthy();
    expect(within(all).queryByRole('button', { name: /Narrow shoulder/ })).toBeNull();
    fireEvent.click(within(all).getByRole('button', { name: 'Swayback, folded at the waist' }));
    expect(planned()).toEqual(['swayback-fold']);
  });
});

describe('at the table', () => {
  it('passes over the stages at which there is nothing to do', () => {
    const d = opened([step('a', 'shoulder-redraw', { values: { by: -6 } })]);
    const outcome = d.steps[0]!.outcome;
    if (!outcome.ok) throw new Error('expected the step to run');
    expect(nextStage(outcome.value, 'mark', 1)).toBe('true');
    expect(nextStage(outcome.value, 'true', -1)).toBe('mark');
    expect(nextStage(outcome.value, 'match', 1)).toBe('match');
    expect(nextStage(null, 'open', 1)).toBe('level');
  });
  it('lets a size of the pattern be chosen', () => {
    const d = opened([step('a', 'grade-between-sizes', { values: { waistSize: '5' } })]);
    render(
      <ParamField param={{ kind: 'size', key: 'hipSize', initial: null }} step={d.steps[0]!} value={null} draft={d} />,
    );
    const select = screen.getByLabelText('Size at the hip') as HTMLSelectElement;
    expect([...select.options].map((o) => o.value)).toEqual(['4', '5', '6']);
    fireEvent.change(select, { target: { value: '6' } });
    expect(firstStep()?.values).toEqual({ waistSize: '5', hipSize: '6' });
  });
});
