import { describe, expect, it } from 'vitest';
import { FAULTS, TICKET_STATES, type Ticket } from '../out/bureau/index.ts';
import { sampleIn } from '../testing/samples.ts';
import { FAULT_WORDS, sayMoney, sayPatches, sayStand, sayTicket } from './index.ts';

const [front, back, sleeve] = sampleIn('causeway', '5').pieces as never as readonly { name: string }[];

describe('the words of what goes out', () => {
  it('say how patches go on, what is printed whole and why, and what stays', () => {
    const said = sayPatches({
      patches: [{ piece: front }] as never,
      whole: [
        { piece: back, why: 'mostly' },
        { piece: sleeve, why: 'new' },
      ] as never,
      asIs: [],
    });
    expect(said).toHaveLength(3);
    expect(said[0]).toMatch(/lay its thin dashed lines on the same lines of the tissue.*never cut the only original/);
    expect(said[1]).toBe('Printed whole, because most of it changed: Bodice back.');
    expect(said[2]).toBe('Printed whole, because it is new: Sleeve.');
    expect(sayPatches({ patches: [], whole: [], asIs: [front, back] as never })).toEqual([
      'Nothing to tape on: Bodice front and Bodice back.',
    ]);
  });

  it('say where a ticket stands', () => {
    const ticket: Ticket = {
      number: 'B-0007',
      name: 'a.pdf',
      copies: 1,
      cents: 1267,
      state: 'waiting',
      ahead: 1,
      placed: 0,
      reason: null,
    };
    expect(sayTicket(ticket)).toBe('Ticket B-0007 waits: one job is before it.');
    expect(sayTicket({ ...ticket, ahead: 3 })).toContain('3 jobs are before it');
    expect(new Set(TICKET_STATES.map((state) => sayTicket({ ...ticket, state }))).size).toBe(TICKET_STATES.length);
    expect(sayMoney(1267)).toBe('€ 12.67');
    for (const f of FAULTS) expect(FAULT_WORDS[f]).not.toBe('');
  });

  it('say how far a leaning picture would be out', () => {
    const stand = { calibration: { across: 1, down: 1 }, stretch: 0, skew: 1, contradiction: 0 };
    // By hand: a degree is 17.5 mm on a metre.
    expect(sayStand(stand)[0]).toMatch(/leans 1\.0° .* 17 mm out on a metre/);
    expect(sayStand({ ...stand, skew: 0.1 })).toEqual([]);
    expect(sayStand({ ...stand, contradiction: 9 })[0]).toContain('9 mm apart');
    expect(sayStand({ ...stand, skew: null, contradiction: null })).toEqual([]);
  });
});
