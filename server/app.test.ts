import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { request, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';

let server: Server;
let base = '';
beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'ample-dist-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), '<!doctype html><title>Ample Draft</title>');
  writeFileSync(join(dist, 'assets', 'a.js'), 'export {};');
  writeFileSync(join(dist, 'assets', 'a.js.br'), brotliCompressSync('export {};'));
  await new Promise<void>((resolve) => {
    server = createApp(dist, { names: ['sewing.test'] }).listen(0, '127.0.0.1', () => resolve());
  });
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

/** Asks with an address and a name as they are: `fetch` would put both right. */
const asked = (path: string, host: string) =>
  new Promise<{ readonly status: number; readonly text: string }>((resolve, reject) => {
    const { port } = server.address() as AddressInfo;
    request({ host: '127.0.0.1', port, path, headers: { host } }, (response) => {
      let text = '';
      response.setEncoding('utf8').on('data', (part: string) => (text += part));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text }));
    })
      .on('error', reject)
      .end();
  });

describe('the server', () => {
  it('answers every address of the app with the app, and forbids loading from elsewhere', async () => {
    const page = await fetch(`${base}/job/marit-causeway/table`);
    expect(page.status).toBe(200);
    expect(await page.text()).toContain('Ample Draft');
    const policy = page.headers.get('content-security-policy') ?? '';
    for (const part of ["default-src 'self'", "script-src 'self'", "connect-src 'self'", "object-src 'none'"])
      expect(policy).toContain(part);
    expect(policy).not.toMatch(/https?:|unsafe-eval|upgrade-insecure/);
    expect(page.headers.get('x-powered-by')).toBeNull();
  });

  it('keeps built files for long, and does not answer a missing one with the page', async () => {
    expect((await fetch(`${base}/assets/a.js`)).headers.get('cache-control')).toContain('immutable');
    expect((await fetch(`${base}/assets/gone.js`)).status).toBe(404);
    expect((await fetch(`${base}/api/nothing`)).status).toBe(404);
    expect(await (await fetch(`${base}/api/health`)).json()).toEqual({ ok: true });
  });

  it('sends what was compressed at the build, to those who read it', async () => {
    const dense = await fetch(`${base}/assets/a.js`, { headers: { 'accept-encoding': 'br' } });
    expect(dense.headers.get('content-encoding')).toBe('br');
    expect(dense.headers.get('content-type')).toMatch(/javascript/);
    expect(dense.headers.get('cache-control')).toContain('immutable');
    expect(await dense.text()).toBe('export {};');
    const plain = await fetch(`${base}/assets/a.js`, { headers: { 'accept-encoding': 'identity' } });
    expect(plain.headers.get('content-encoding')).toBeNull();
    expect(await plain.text()).toBe('export {};');
  });

  it.each(['/%', '/%E0%A4%A', '/assets/%00', '/assets/..%2f..%2fpackage.json', '/api/%'])(
    'answers %s without a word of where its files lie',
    async (path) => {
      const answer = await asked(path, 'localhost');
      expect(answer.status).toBeGreaterThanOrEqual(400);
      expect(answer.status).toBeLessThan(500);
      expect(answer.text).not.toMatch(/ample-dist|node_modules|\.ts|Error|at /);
    },
  );

  it.each([
    ['localhost:4180', 200],
    ['127.0.0.1:80', 200],
    ['192.168.1.20:4180', 200],
    ['[::1]:4180', 200],
    ['sewing.test', 200],
    ['SEWING.test:4180', 200],
    ['elsewhere.test', 421],
    ['localhost.elsewhere.test', 421],
    ['two words', 421],
  ])('under the name “%s” answers %i', async (host, status) => {
    expect((await asked('/api/health', host)).status).toBe(status);
  });
});
