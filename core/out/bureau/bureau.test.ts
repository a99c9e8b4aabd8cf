import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { expectOk } from '../../units/index.ts';
import { isOver, orderSchema, priceOf, ticketAt, TICKET_STATES, uploadAskSchema, type Kept } from './index.ts';

const A4 = { width: 210, height: 297 };
const ROLL = { width: 914.4, height: 2350 };

describe('priceOf', () => {
  it('counts sheets and measures the roll', () => {
    // By hand: 2.50 handling, 2.35 m at 4.20 = 9.87, one sheet at 0.30.
    expect(expectOk(priceOf([A4, ROLL]), 'price')).toEqual({ roll: 2350, sheets: 1, cents: 250 + 987 + 30 });
    expect(expectOk(priceOf([A4, ROLL], 2), 'price').cents).toBe(250 + 2 * (987 + 30));
  });

  it('lays a page lengthwise, or across where that takes less of the roll', () => {
    expect(expectOk(priceOf([{ width: 841, height: 1189 }]), 'price').roll).toBe(1189);
    expect(expectOk(priceOf([{ width: 2000, height: 600 }]), 'price').roll).toBe(2000);
    expect(expectOk(priceOf([{ width: 500, height: 800 }]), 'price').roll).toBe(500);
  });

  it('refuses what is wider than the roll both ways, and says which page', () => {
    const r = priceOf([A4, { width: 1000, height: 1200 }]);
    expect(r).toEqual({ ok: false, error: { code: 'bureau-too-wide', data: { page: 2, width: 1000, most: 914.4 } } });
    // The rounding of a point does not count.
    expect(priceOf([{ width: 914.6, height: 3000 }]).ok).toBe(true);
  });
});

describe('ticketAt', () => {
  const kept: Kept = {
    number: 'B-0001',
    name: 'front.pdf',
    copies: 1,
    cents: 1267,
    placed: 1_000,
    ahead: 2,
    fault: 'none',
    cancelled: false,
  };

  it('waits for those ahead, prints and is ready', () => {
    const at = (now: number) => ticketAt(kept, now, 100);
    expect([at(1_000).state, at(1_000).ahead]).toEqual(['waiting', 2]);
    expect([at(1_150).state, at(1_150).ahead]).toEqual(['waiting', 1]);
    expect([at(1_250).state, at(1_250).ahead]).toEqual(['printing', 0]);
    expect(at(1_301).state).toBe('ready');
    expect(ticketAt({ ...kept, fault: 'refuses' }, 1_250, 100)).toMatchObject({
      state: 'refused',
      reason: 'roll-ran-out',
    });
    expect(ticketAt({ ...kept, cancelled: true }, 9_999, 100).state).toBe('cancelled');
  });

  it('never goes back, and stays over once it is over', () => {
    const order = TICKET_STATES.slice(0, 3);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9 }), fc.array(fc.integer({ min: 0, max: 3000 })), (ahead, times) => {
        const seen = [...times].sort((a, b) => a - b).map((t) => ticketAt({ ...kept, ahead }, 1_000 + t, 100));
        seen.forEach((t, i) => {
          const before = seen[i - 1];
          if (!before) return;
          expect(order.indexOf(t.state as never)).toBeGreaterThanOrEqual(order.indexOf(before.state as never));
          expect(t.ahead).toBeLessThanOrEqual(before.ahead);
          if (isOver(before)) expect(t.state).toBe(before.state);
        });
      }),
      { seed: 3, numRuns: 60 },
    );
  });
});

it('takes no upload or order that is not one', () => {
  const good = { name: 'a.pdf', bytes: 10, sha256: 'a'.repeat(64) };
  expect(uploadAskSchema.parse(good).fault).toBe('none');
  for (const wrong of [{ bytes: 0 }, { bytes: 1e12 }, { sha256: 'xyz' }, { name: '' }, { fault: 'explodes' }])
    expect(uploadAskSchema.safeParse({ ...good, ...wrong }).success).toBe(false);
  expect(orderSchema.safeParse({ upload: 'u', copies: 0, key: 'k'.repeat(10) }).success).toBe(false);
});
