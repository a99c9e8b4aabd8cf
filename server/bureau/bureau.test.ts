import { createHash } from 'node:crypto';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import PDFDocument from 'pdfkit';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CHUNK, estimateSchema, ticketSchema, uploadSchema, type Fault } from '@ample/core/out/bureau';
import { createApp } from '../app.ts';
import { pageSizes } from './pageSizes.ts';

const MM = 72 / 25.4;
let clock = 0;
const PACE = 1000;
let server: Server;
let base = '';
beforeAll(async () => {
  await new Promise<void>((resolve) => {
    const app = createApp('/nowhere', { bureau: { now: () => clock, pace: PACE } });
    server = app.listen(0, '127.0.0.1', () => resolve());
  });
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/bureau`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

/** A PDF of some pages, mm, padded so that it takes several pieces. */
async function pdf(pages: readonly (readonly [number, number])[], padding = 2 * CHUNK): Promise<Buffer> {
  const doc = new PDFDocument({ autoFirstPage: false, compress: false });
  const chunks: Buffer[] = [];
  doc.on('data', (c: Buffer) => chunks.push(c));
  const done = new Promise<void>((resolve) => doc.on('end', () => resolve()));
  for (const [w, h] of pages)
    doc
      .addPage({ size: [w * MM, h * MM], margin: 0 })
      .rect(10, 10, 50, 50)
      .stroke();
  doc.addContent(`%${'x'.repeat(padding)}\n`);
  doc.end();
  await done;
  return Buffer.concat(chunks);
}
type Init = Omit<RequestInit, 'body'> & { readonly body?: string | Uint8Array };
const json = async (path: string, init: Init = {}) => {
  const response = await fetch(base + path, init as RequestInit);
  return {
    status: response.status,
    body: (await response.json()) as { code?: string; data?: Record<string, unknown> },
  };
};
const post = (path: string, body: unknown) =>
  json(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
const begin = async (bytes: Buffer, fault: Fault = 'none') => {
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const r = await post('/uploads', { name: 'front.pdf', bytes: bytes.length, sha256, fault });
  expect(r.status).toBe(201);
  return uploadSchema.parse(r.body);
};
const put = (id: string, bytes: Buffer, from: number) =>
  json(`/uploads/${id}?from=${from}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/octet-stream' },
    body: bytes.subarray(from, from + CHUNK),
  });
async function send(bytes: Buffer, fault: Fault = 'none'): Promise<string> {
  const { id } = await begin(bytes, fault);
  for (let from = 0; from < bytes.length; from += CHUNK) expect((await put(id, bytes, from)).status).toBe(200);
  return id;
}

describe('an upload', () => {
  it('is taken in pieces, measured and priced by its pages', async () => {
    const bytes = await pdf([
      [210, 297],
      [914.4, 1500],
    ]);
    expect(bytes.length).toBeGreaterThan(2 * CHUNK);
    const id = await send(bytes);
    const estimate = estimateSchema.parse((await post(`/uploads/${id}/estimate`, {})).body);
    expect(estimate.pages[1]?.width).toBeCloseTo(914.4, 3);
    expect(estimate.roll).toBeCloseTo(1500, 3);
    // 2.50 + 1.5 m at 4.20 + one sheet at 0.30.
    expect(estimate.cents).toBe(250 + 630 + 30);
  });

  it('goes on where it stopped, and takes no piece out of turn', async () => {
    const bytes = await pdf([[600, 800]]);
    const { id } = await begin(bytes);
    expect((await put(id, bytes, 0)).body).toMatchObject({ received: CHUNK });
    expect(await put(id, bytes, 2 * CHUNK)).toMatchObject({
      status: 409,
      body: { code: 'bureau-wrong-place', data: { received: CHUNK } },
    });
    expect((await post(`/uploads/${id}/estimate`, {})).body).toMatchObject({ code: 'bureau-incomplete' });
    // Begun again, as after the page was closed: the bureau knows what it has.
    expect((await begin(bytes)).received).toBe(CHUNK);
    for (let from = CHUNK; from < bytes.length; from += CHUNK) await put(id, bytes, from);
    expect((await post(`/uploads/${id}/estimate`, {})).status).toBe(200);
    // Measured once; the same file sent again is known, and asks nothing more of the line.
    expect((await begin(bytes)).received).toBe(bytes.length);
    expect(estimateSchema.parse((await post(`/uploads/${id}/estimate`, {})).body).pages).toHaveLength(1);
  });

  it.each([
    ['no PDF', Buffer.from('these are words, not pages'), 'bureau-no-pdf'],
    ['a damaged PDF', Buffer.from('%PDF-1.7\n1 0 obj\n<< /Type /Catalog >>'), 'bureau-no-pdf'],
  ])('of %s is refused', async (_, bytes, code) => {
    const id = await send(bytes);
    expect(await post(`/uploads/${id}/estimate`, {})).toMatchObject({ status: 422, body: { code } });
  });

  it('of a page wider than the roll is refused, with the page', async () => {
    const id = await send(await pdf([[1200, 1300]], 10));
    expect((await post(`/uploads/${id}/estimate`, {})).body).toMatchObject({
      code: 'bureau-too-wide',
      data: { page: 1 },
    });
  });

  it('that is none is refused in words of the bureau, however it is wrong', async () => {
    expect((await post('/uploads', { name: 'x' })).body.code).toBe('bureau-not-so');
    const broken = await json('/uploads', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"name":',
    });
    expect(broken.body.code).toBe('bureau-not-so');
    expect((await json('/uploads/none')).status).toBe(404);
    const bytes = await pdf([[600, 800]], 4 * CHUNK);
    const { id } = await begin(bytes);
    const long = await json(`/uploads/${id}?from=0`, { method: 'PUT', body: bytes.subarray(0, CHUNK + 1) });
    expect(long.body.code).toBe('bureau-not-so');
  });

  it('is not begun again by a piece that does not say where it belongs', async () => {
    const bytes = await pdf([[600, 800]], 10);
    const { id } = await begin(bytes);
    for (const from of ['', ' ', '0x0', '1e1', '-0'])
      expect(
        (await json(`/uploads/${id}?from=${encodeURIComponent(from)}`, { method: 'PUT', body: bytes })).body,
      ).toMatchObject({
        code: 'bureau-wrong-place',
        data: { received: 0 },
      });
    expect((await put(id, bytes, 0)).status).toBe(200);
  });

  it('in the middle of being sent is not pushed out by many small ones', async () => {
    const bytes = await pdf([[610, 810]]);
    const { id } = await begin(bytes);
    await put(id, bytes, 0);
    const answers = [];
    for (let i = 0; i < 40; i++) {
      const sha256 = createHash('sha256').update(`small ${i}`).digest('hex');
      answers.push((await post('/uploads', { name: 'small.pdf', bytes: 10, sha256, fault: 'none' })).status);
    }
    expect(answers).toContain(507);
    expect((await json(`/uploads/${id}`)).body).toMatchObject({ received: CHUNK });
    // Left lying, they make room.
    clock += 11 * 60_000;
    expect((await begin(await pdf([[620, 820]], 10))).received).toBe(0);
  });
});

describe('what can go wrong', () => {
  it('loses the connection once, and keeps what it had', async () => {
    const bytes = await pdf([[600, 800]]);
    const { id } = await begin(bytes, 'drops');
    let lost = 0;
    let from = 0;
    while (from < bytes.length) {
      try {
        await put(id, bytes, from);
      } catch {
        lost++;
      }
      from = uploadSchema.parse((await json(`/uploads/${id}`)).body).received;
      expect(lost).toBeLessThan(3);
    }
    expect(lost).toBe(1);
    expect((await post(`/uploads/${id}/estimate`, {})).status).toBe(200);
  });

  it('is busy twice, then takes it', async () => {
    const bytes = await pdf([[600, 800]], 10);
    const { id } = await begin(bytes, 'busy');
    const answers = [];
    for (let i = 0; i < 3; i++) answers.push((await put(id, bytes, 0)).status);
    expect(answers).toEqual([503, 503, 200]);
  });

  it('notices a damaged file by its checksum, and takes it anew', async () => {
    const bytes = await pdf([[600, 800]]);
    const id = await send(bytes, 'damages');
    expect((await post(`/uploads/${id}/estimate`, {})).body.code).toBe('bureau-damaged');
    expect(uploadSchema.parse((await json(`/uploads/${id}`)).body).received).toBe(0);
    expect(await send(bytes, 'damages')).toBe(id);
    expect((await post(`/uploads/${id}/estimate`, {})).status).toBe(200);
  });

  it('does not answer at all', async () => {
    const bytes = await pdf([[600, 800]], 10);
    const { id } = await begin(bytes, 'down');
    expect(await put(id, bytes, 0)).toMatchObject({ status: 503, body: { code: 'bureau-down' } });
  });
});

it('does not wait for a file that takes longer to open than a pattern does', async () => {
  const bytes = await pdf([[600, 800]], 10);
  expect(await pageSizes(Uint8Array.from(bytes), 0)).toMatchObject({ ok: false, error: { code: 'bureau-too-long' } });
  const read = await pageSizes(Uint8Array.from(bytes));
  expect(read.ok && read.value[0]?.width).toBeCloseTo(600, 3);
});

describe('a ticket', () => {
  const ordered = async (fault: Fault = 'none', key = `key ${Math.floor(clock)} ${fault} ${performance.now()}`) => {
    const bytes = await pdf([[700, 1000]], 10);
    const id = await send(bytes, fault);
    expect((await post('/tickets', { upload: id, copies: 1, key })).body.code).toBe('bureau-unknown-upload');
    await post(`/uploads/${id}/estimate`, {});
    return { id, key, ticket: ticketSchema.parse((await post('/tickets', { upload: id, copies: 2, key })).body) };
  };

  it('is given once for one order, and goes through the queue', async () => {
    const { id, key, ticket } = await ordered();
    expect(ticket).toMatchObject({ state: 'waiting', copies: 2, cents: 250 + 2 * 420 });
    expect((await post('/tickets', { upload: id, copies: 2, key })).body).toMatchObject({ number: ticket.number });
    const at = async () => ticketSchema.parse((await json(`/tickets/${ticket.number}`)).body).state;
    clock += ticket.ahead * PACE;
    expect(await at()).toBe('printing');
    expect((await json(`/tickets/${ticket.number}`, { method: 'DELETE' })).body.code).toBe('bureau-too-late');
    clock += PACE;
    expect(await at()).toBe('ready');
    expect((await json('/tickets/B-9999')).body.code).toBe('bureau-unknown-ticket');
    // No number tells another.
    const other = await ordered();
    expect(other.ticket.number).toMatch(/^B-[2-9A-Z]{8}$/);
    expect(other.ticket.number.slice(0, 5)).not.toBe(ticket.number.slice(0, 5));
  });

  it('can be taken back while it waits', async () => {
    const { ticket } = await ordered();
    expect((await json(`/tickets/${ticket.number}`, { method: 'DELETE' })).body).toMatchObject({ state: 'cancelled' });
    clock += 100 * PACE;
    expect((await json(`/tickets/${ticket.number}`)).body).toMatchObject({ state: 'cancelled' });
  });

  it('may come to nothing, with the reason', async () => {
    const { ticket } = await ordered('refuses');
    clock += ticket.ahead * PACE + 1;
    expect((await json(`/tickets/${ticket.number}`)).body).toMatchObject({ state: 'refused', reason: 'roll-ran-out' });
  });
});

describe('many at once, and slow ones', () => {
  it('twelve files sent at the same time each get a price and a ticket of their own', async () => {
    const bytes = await pdf([[200, 300]], 0);
    const one = async (i: number) => {
      const mine = Buffer.concat([bytes, Buffer.from(`%${i}\n`)]);
      const { id } = await begin(mine);
      for (let from = 0; from < mine.length; from += CHUNK) expect((await put(id, mine, from)).status).toBe(200);
      const estimate = estimateSchema.parse((await post(`/uploads/${id}/estimate`, {})).body);
      const order = { upload: estimate.upload, copies: 1, key: `at once ${i}` };
      // The same order, sent again in the same moment by a client that lost the answer, is one order.
      const twice = await Promise.all([post('/tickets', order), post('/tickets', order)]);
      const ids = twice.map((t) => ticketSchema.parse(t.body).number);
      expect(new Set(ids).size).toBe(1);
      return ids[0];
    };
    clock += 11 * 60_000;
    const tickets = await Promise.all(Array.from({ length: 12 }, (_, i) => one(i)));
    expect(new Set(tickets).size).toBe(12);
  });

  it('a body that does not come leaves the others served, and the upload as it was', async () => {
    const bytes = await pdf([[200, 300]], 0);
    clock += 11 * 60_000;
    const { id } = await begin(Buffer.concat([bytes, Buffer.from('%slow\n')]));
    const { port } = server.address() as AddressInfo;
    const slow = request({
      port,
      host: '127.0.0.1',
      method: 'PUT',
      path: `/api/bureau/uploads/${id}?from=0`,
      headers: { 'content-type': 'application/octet-stream', 'content-length': 1000 },
    });
    slow.on('error', () => undefined);
    slow.write(Buffer.alloc(10));
    const begun = performance.now();
    expect((await json(`/uploads/${id}`)).body).toMatchObject({ id, received: 0 });
    expect(performance.now() - begun).toBeLessThan(5000);
    slow.destroy();
    expect((await json(`/uploads/${id}`)).body).toMatchObject({ id, received: 0 });
  });
});
