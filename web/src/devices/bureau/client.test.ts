import { createHash } from 'node:crypto';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { CHUNK } from '@ample/core/out/bureau';
import { placeOrder, sendFile, type Patience, type Progress } from './client.ts';

const BYTES = Uint8Array.from({ length: Math.floor(2.5 * CHUNK) }, (_, i) => i % 251);
const ESTIMATE = { upload: 'u', pages: [{ width: 914.4, height: 900 }], roll: 900, sheets: 0, cents: 628 };
const reply = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status });
const busy = (code = 'bureau-busy'): Response => reply({ code, data: {} }, 503);

/** A bureau that keeps what it is sent; `before` may answer first, or throw as a lost connection does. */
function bureau(before: (path: string, n: number) => Response | undefined) {
  let got = new Uint8Array();
  let n = 0;
  const sent: { path: string; from: number; size: number }[] = [];
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    const path = url.replace('/api/bureau', '');
    const first = before(path, n++);
    if (first) return first;
    if (path === '/uploads') return reply({ id: 'u', bytes: BYTES.length, received: got.length }, 201);
    if (path.endsWith('/estimate')) return reply(ESTIMATE);
    const piece = init.body as Uint8Array;
    const from = Number(/from=(\d+)/.exec(path)?.[1]);
    sent.push({ path, from, size: piece.length });
    if (from !== got.length) return reply({ code: 'bureau-wrong-place', data: { received: got.length } }, 409);
    got = Uint8Array.from([...got, ...piece]);
    return reply({ id: 'u', bytes: BYTES.length, received: got.length });
  });
  return { sent, got: () => got, forget: () => (got = new Uint8Array()) };
}
const waits: number[] = [];
const PATIENCE: Patience = {
  pauses: [1, 2, 4],
  tries: 4,
  wait: async (s) => void waits.push(s),
};
const send = async (signal = new AbortController().signal) => {
  const told: Progress[] = [];
  waits.length = 0;
  const result = await sendFile({ bytes: BYTES, name: 'a.pdf', fault: 'none' }, (p) => told.push(p), signal, PATIENCE);
  return { result, told };
};
afterEach(() => vi.unstubAllGlobals());
const hash = (b: Uint8Array): string => createHash('sha256').update(b).digest('hex');

describe('sendFile', () => {
  it('sends everything once, in order, and ends with the price', async () => {
    const b = bureau(() => undefined);
    const { result, told } = await send();
    expect(result).toEqual({ ok: true, value: ESTIMATE });
    expect(b.sent.map((s) => [s.from, s.size])).toEqual([
      [0, CHUNK],
      [CHUNK, CHUNK],
      [2 * CHUNK, BYTES.length - 2 * CHUNK],
    ]);
    expect(hash(b.got())).toBe(hash(BYTES));
    expect(told.map((t) => t.share)).toEqual([0, CHUNK / BYTES.length, (2 * CHUNK) / BYTES.length, 1]);
  });

  it('goes on after a lost connection where the bureau is, with growing pauses', async () => {
    const b = bureau((path, n) => {
      if (path.includes('from=') && n >= 2 && n <= 4) throw new TypeError('network');
      return undefined;
    });
    const { result, told } = await send();
    expect(result.ok).toBe(true);
    expect(waits.slice(0, 2)).toEqual([1, 2]);
    expect(told.some((t) => t.kind === 'waiting' && t.why === 'lost')).toBe(true);
    // Nothing that had arrived was sent again.
    expect(b.sent.map((s) => s.from)).toEqual([0, CHUNK, 2 * CHUNK]);
  });

  it('gives up after so many tries in a row that brought nothing, though the door opens each time', async () => {
    bureau((path) => (path === '/uploads' ? undefined : busy('bureau-down')));
    const { result } = await send();
    expect(result).toEqual({ ok: false, error: { code: 'bureau-down', data: {} } });
    expect(waits).toEqual([1, 2, 4]);
  });

  it('sends a damaged file anew once, not twice', async () => {
    let damaged = 0;
    const b = bureau((path) => {
      if (!path.endsWith('/estimate') || damaged >= 1) return undefined;
      damaged++;
      b.forget();
      return reply({ code: 'bureau-damaged' }, 422);
    });
    const { result, told } = await send();
    expect(result.ok).toBe(true);
    expect(told.filter((t) => t.kind === 'again')).toHaveLength(1);
    expect(b.sent).toHaveLength(6);

    const c = bureau((path) => {
      if (!path.endsWith('/estimate')) return undefined;
      c.forget();
      return reply({ code: 'bureau-damaged' }, 422);
    });
    const twice = (await send()).result;
    expect(twice.ok ? '' : twice.error.code).toBe('bureau-damaged');
  });

  it('takes no answer that cannot be read for one', async () => {
    bureau(() => new Response('<html>proxy</html>', { status: 200 }));
    const { result } = await send();
    expect(result.ok ? '' : result.error.code).toBe('bureau-strange');
  });

  it('does not try again what will not change, and stops when told to', async () => {
    bureau((path) => (path.endsWith('/estimate') ? reply({ code: 'bureau-no-pdf' }, 422) : undefined));
    const refused = (await send()).result;
    expect(refused.ok ? '' : refused.error.code).toBe('bureau-no-pdf');
    expect(waits).toEqual([]);
    const stop = new AbortController();
    bureau((_, n) => {
      if (n === 2) stop.abort();
      return undefined;
    });
    const stopped = (await send(stop.signal)).result;
    expect(stopped.ok ? '' : stopped.error.code).toBe('stopped');
  });
});

it('an order whose answer is lost is sent again with the same key', async () => {
  const keys: string[] = [];
  vi.stubGlobal('fetch', async (_url: string, init: RequestInit) => {
    keys.push((JSON.parse(String(init.body)) as { key: string }).key);
    if (keys.length < 3) throw new TypeError('network');
    return reply({
      number: 'B-0001',
      name: 'a',
      copies: 1,
      cents: 1,
      state: 'waiting',
      ahead: 2,
      placed: 0,
      reason: null,
    });
  });
  const order = { upload: 'u', copies: 1, key: 'the same key' };
  const placed = await placeOrder(order, new AbortController().signal, PATIENCE);
  expect(placed.ok).toBe(true);
  expect(new Set(keys)).toEqual(new Set(['the same key']));
});
