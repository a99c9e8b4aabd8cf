import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';

let server: Server;
let base = '';
beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'ample-dist-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), '<!doctype html><title>Ample Draft</title>');
  writeFileSync(join(dist, 'assets', 'a.js'), 'export {};');
  await new Promise<void>((resolve) => {
    server = createApp(dist).listen(0, '127.0.0.1', () => resolve());
  });
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

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
});
