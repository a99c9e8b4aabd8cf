// @vitest-environment jsdom
import { DEMO } from '@ample/samples';
import { beforeEach, describe, expect, it } from 'vitest';
import { clearJournal, writeJournal, type Journal } from './journal.ts';

const [job] = DEMO.jobs;
const [wearer] = DEMO.wearers;
if (!job || !wearer) throw new Error('expected a job and a wearer in the demo');
const entry: Journal = { job, wearer };
const later: Journal = { job: { ...job, notes: 'typed while the save was in flight' }, wearer };

beforeEach(() => localStorage.clear());

describe('the journal of a window', () => {
  it('goes once just what it holds was saved', () => {
    writeJournal(entry, {} as never);
    clearJournal(entry);
    expect(localStorage.length).toBe(0);
  });
  it('stays where something was changed since', () => {
    writeJournal(later, {} as never);
    clearJournal(entry);
    expect(JSON.stringify(localStorage)).toContain('in flight');
    clearJournal({ ...later, wearer: { ...wearer, name: 'Somebody else' } });
    expect(localStorage.length).toBe(1);
  });
});
