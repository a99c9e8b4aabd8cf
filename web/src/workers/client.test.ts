// @vitest-environment jsdom
import { describe, expect, it, vi } from 'vitest';
import type { ResolvedJob } from '@ample/core/fitting/plan';
import { draftClient } from './client.ts';
import { PROTOCOL, type Request } from './protocol.ts';

/** A worker whose behaviour a test decides. */
class FakeWorker {
  static made: FakeWorker[] = [];
  onmessage: ((e: { data: unknown }) => void) | null = null;
  onerror: ((e: { preventDefault: () => void }) => void) | null = null;
  got: Request[] = [];
  ended = false;
  constructor() {
    FakeWorker.made.push(this);
  }
  postMessage(r: Request) {
    this.got.push(r);
  }
  terminate() {
    this.ended = true;
  }
  answer(value: unknown, i = this.got.length - 1) {
    this.onmessage?.({ data: { v: PROTOCOL, id: this.got[i]!.id, ok: true, value } });
  }
  crash() {
    this.onerror?.({ preventDefault: () => undefined });
  }
}

const pattern = { id: 'p' } as unknown as ResolvedJob['pattern'];
const job = (n: number): ResolvedJob => ({
  job: { size: String(n), sizeMethod: 'highBust', steps: [] },
  wearer: { sets: [], bustEase: null },
  pattern,
});
function setup(patience?: number) {
  FakeWorker.made = [];
  const drafts: unknown[] = [];
  const troubles: (string | null)[] = [];
  const client = draftClient(
    () => new FakeWorker() as unknown as Worker,
    (d) => drafts.push(d),
    (t) => troubles.push(t?.code ?? null),
    patience,
  );
  return { client, drafts, troubles, made: FakeWorker.made };
}

describe('the drafting worker', () => {
  it('works on the newest job only, and sends the pattern once', () => {
    const { client, drafts, made } = setup();
    client.ask(job(1));
    client.ask(job(2));
    client.ask(job(3));
    expect(made[0]!.got.map((r) => r.kind === 'draft' && r.input.job.size)).toEqual(['1']);
    made[0]!.answer('one');
    expect(made[0]!.got.map((r) => r.kind === 'draft' && r.input.job.size)).toEqual(['1', '3']);
    expect(made[0]!.got.map((r) => r.kind === 'draft' && r.input.pattern !== null)).toEqual([true, false]);
    made[0]!.answer('three');
    expect(drafts).toEqual(['one', 'three']);
  });

  it('drops a stale or foreign reply', () => {
    const { client, drafts, made } = setup();
    client.ask(job(1));
    made[0]!.onmessage?.({ data: { v: PROTOCOL, id: 999, ok: true, value: 'stale' } });
    made[0]!.onmessage?.({ data: { v: 0, id: 1, ok: true, value: 'foreign' } });
    expect(drafts).toEqual([]);
  });

  it('after a crash starts another and tries once more; the second crash is reported and waits', () => {
    const { client, drafts, troubles, made } = setup();
    client.ask(job(1));
    made[0]!.crash();
    expect(made).toHaveLength(2);
    expect(made[0]!.ended).toBe(true);
    expect(made[1]!.got[0]).toMatchObject({ input: { pattern: { id: 'p' } } });
    made[1]!.crash();
    expect(made).toHaveLength(2);
    expect(troubles).toEqual(['worker-crashed', 'worker-crashed']);
    client.ask(job(2));
    made[2]!.answer('two');
    expect(drafts).toEqual(['two']);
    expect(troubles.at(-1)).toBeNull();
  });

  it('ends a worker that hangs, once it has shown that it can answer', () => {
    vi.useFakeTimers();
    const { client, troubles, made } = setup(100);
    client.ask(job(1));
    made[0]!.answer('one');
    client.ask(job(2));
    vi.advanceTimersByTime(90);
    expect(made[0]!.ended).toBe(false);
    vi.advanceTimersByTime(20);
    expect(made[0]!.ended).toBe(true);
    expect(troubles).toEqual([null, 'worker-slow']);
    vi.useRealTimers();
  });

  it('gives a new worker on a busy machine longer for its first answer, and then ends it too', () => {
    vi.useFakeTimers();
    const { client, drafts, troubles, made } = setup(100);
    client.ask(job(1));
    vi.advanceTimersByTime(300);
    expect(made[0]!.ended).toBe(false);
    made[0]!.answer('late');
    expect(drafts).toEqual(['late']);
    client.stop();
    client.ask(job(2));
    vi.advanceTimersByTime(450);
    expect(made[1]!.ended).toBe(true);
    expect(troubles.at(-1)).toBe('worker-slow');
    vi.useRealTimers();
  });
});
