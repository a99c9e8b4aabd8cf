// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Ticket } from '@ample/core/out/bureau';
import {
  followTicket,
  forgetTicket,
  goOn,
  leaveOffer,
  order,
  send,
  stopSending,
  takeOrderBack,
  useBureau,
} from './session.ts';

const ESTIMATE = { upload: 'u', pages: [{ width: 914.4, height: 900 }], roll: 900, sheets: 0, cents: 628 };
const TICKET: Ticket = {
  number: 'B-0003',
  name: 'a.pdf',
  copies: 1,
  cents: 628,
  state: 'waiting',
  ahead: 2,
  placed: 0,
  reason: null,
};
const reply = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status });
const BYTES = new Uint8Array(1000).fill(7);

/** Answers by method and path; a path without an answer is a lost connection. */
function bureau(answers: Readonly<Record<string, (n: number) => Response>>): { readonly asked: string[] } {
  const asked: string[] = [];
  const count = new Map<string, number>();
  vi.stubGlobal('fetch', async (url: string, init: RequestInit = {}) => {
    const key = `${init.method ?? 'GET'} ${url.replace('/api/bureau', '').replace(/\?.*/, '')}`;
    asked.push(key);
    const n = count.get(key) ?? 0;
    count.set(key, n + 1);
    const answer = answers[key];
    if (!answer) throw new TypeError('network');
    return answer(n);
  });
  return { asked };
}
const GOOD = {
  'POST /uploads': () => reply({ id: 'u', bytes: 1000, received: 0 }, 201),
  'PUT /uploads/u': () => reply({ id: 'u', bytes: 1000, received: 1000 }),
  'POST /uploads/u/estimate': () => reply(ESTIMATE),
  'POST /tickets': () => reply(TICKET, 201),
};
const stage = () => useBureau.getState().stage;

beforeEach(() => useBureau.setState({ job: null, stage: { kind: 'idle' }, tickets: {}, silent: null }));
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('a file for the bureau', () => {
  it('is made, sent, priced and ordered; the ticket is the job’s', async () => {
    bureau(GOOD);
    const kinds: string[] = [];
    const stop = useBureau.subscribe((s) => kinds.push(s.stage.kind));
    await send('job', 'a.pdf', 'none', async () => BYTES);
    expect(stage()).toMatchObject({ kind: 'offered', estimate: { cents: 628 }, error: null });
    await order(1);
    stop();
    expect(kinds.filter((k, i) => k !== kinds[i - 1])).toEqual(['making', 'sending', 'offered', 'ordering', 'idle']);
    expect(useBureau.getState().tickets).toEqual({ job: TICKET });
  });

  it('that cannot be made says so, and there is nothing to go on with', async () => {
    bureau(GOOD);
    await send('job', 'a.pdf', 'none', async () => {
      throw new Error('no fonts');
    });
    expect(stage()).toEqual({ kind: 'stopped', error: { code: 'bureau-pages-failed', data: { detail: 'no fonts' } } });
    leaveOffer();
    expect(stage()).toEqual({ kind: 'idle' });
    await goOn();
    expect(stage()).toEqual({ kind: 'idle' });
  });

  it('stopped by hand stays stopped, and goes on with the same bytes', async () => {
    let let_go: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (let_go = resolve));
    const made = vi.fn(async () => BYTES);
    const slow = { ...GOOD, 'PUT /uploads/u': GOOD['PUT /uploads/u'] };
    bureau(slow);
    const real = globalThis.fetch;
    vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
      if (init.method === 'PUT') await held;
      return real(url, init);
    });
    const sending = send('job', 'a.pdf', 'none', made);
    await vi.waitFor(() => expect(stage().kind).toBe('sending'));
    stopSending();
    let_go();
    await sending;
    expect(stage()).toEqual({ kind: 'stopped', error: null });
    await goOn();
    expect(stage().kind).toBe('offered');
    expect(made).toHaveBeenCalledTimes(1);
  });

  it('an order that is refused leaves the offer, with the reason', async () => {
    bureau({ ...GOOD, 'POST /tickets': () => reply({ code: 'bureau-unknown-upload', data: {} }, 404) });
    await send('job', 'a.pdf', 'none', async () => BYTES);
    await order(2);
    expect(stage()).toMatchObject({ kind: 'offered', error: { code: 'bureau-unknown-upload' } });
  });
});

describe('a ticket', () => {
  it('is asked after until it is over, and a silent bureau keeps what was last known', async () => {
    vi.useFakeTimers();
    useBureau.setState({ tickets: { job: TICKET } });
    const { asked } = bureau({
      'GET /tickets/B-0003': (n) => {
        if (n === 1) throw new TypeError('network');
        return reply({ ...TICKET, state: n === 0 ? 'printing' : 'ready', ahead: 0 });
      },
    });
    const stop = followTicket('job', 100);
    await vi.advanceTimersByTimeAsync(50);
    expect(useBureau.getState().tickets['job']?.state).toBe('printing');
    await vi.advanceTimersByTimeAsync(100);
    expect(useBureau.getState().silent?.code).toBe('bureau-lost');
    expect(useBureau.getState().tickets['job']?.state).toBe('printing');
    await vi.advanceTimersByTimeAsync(100);
    expect(useBureau.getState()).toMatchObject({ silent: null, tickets: { job: { state: 'ready' } } });
    const before = asked.length;
    await vi.advanceTimersByTimeAsync(1000);
    expect(asked.length).toBe(before);
    stop();
    forgetTicket('job');
    expect(useBureau.getState().tickets).toEqual({});
  });

  it('is taken back, or says that it is too late', async () => {
    useBureau.setState({ tickets: { job: TICKET } });
    bureau({ 'DELETE /tickets/B-0003': () => reply({ ...TICKET, state: 'cancelled' }) });
    await takeOrderBack('job');
    expect(useBureau.getState().tickets['job']?.state).toBe('cancelled');
    useBureau.setState({ tickets: { job: TICKET } });
    bureau({ 'DELETE /tickets/B-0003': () => reply({ code: 'bureau-too-late', data: {} }, 409) });
    await takeOrderBack('job');
    expect(useBureau.getState()).toMatchObject({
      silent: { code: 'bureau-too-late' },
      tickets: { job: { state: 'waiting' } },
    });
  });
});
