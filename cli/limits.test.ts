import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { beforeAll, describe, expect, it } from 'vitest';
import { draftSample } from '@ample/core/blocks';
import { writeSvg } from '@ample/core/out';
import { JOB_VERSION } from '@ample/core/documents';
import { main } from './main.ts';

let folder = '';
const at = (...names: string[]): string => join(folder, ...names);
const put = (name: string, data: Uint8Array | string): string => {
  writeFileSync(at(name), data);
  return at(name);
};
const ample = (...args: string[]) => main(args, '2026-11-28');
const BIN = fileURLToPath(new URL('./bin.mjs', import.meta.url));
/** A refusal is one sentence, or two, with its code, and nothing of the machine's own. */
const refusal = (code: string): RegExp => new RegExp(`^${code}: [A-Z“][^\\n]*\\.\\n$`);

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'ample-limits-'));
  mkdirSync(at('folder.svg'));
  execFileSync('mkfifo', [at('pipe.pdf')]);
  symlinkSync('/dev/zero', at('endless.dxf'));
  put('empty.svg', '');
  put('front.svg', writeSvg(draftSample('causeway', '4'), { title: 'front' }));
});

describe('what cannot be read', () => {
  it.each([
    ['folder.svg', 'file-is-folder'],
    ['pipe.pdf', 'file-not-plain'],
    ['endless.dxf', 'file-not-plain'],
    ['empty.svg', 'file-empty'],
    ['gone.svg', 'file-not-found'],
    ['front.svg/in.svg', 'file-not-found'],
  ])('%s is refused with %s', async (name, code) => {
    for (const more of [[], ['--take']]) {
      const done = await ample('bring', at(name), ...more);
      expect([done.code, done.out]).toEqual([1, '']);
      expect(done.err).toMatch(refusal(code));
    }
  });
  it.each(['size', 'alter', 'backup'])('a pipe and a folder are refused by %s too', async (command) => {
    expect((await ample(command, at('pipe.pdf'))).err).toMatch(refusal('file-not-plain'));
    expect((await ample(command, at('folder.svg'))).err).toMatch(refusal('file-is-folder'));
  });
});

describe('text in other encodings', () => {
  const utf16 = (text: string, big: boolean): Uint8Array => {
    const bytes = Buffer.from(`\uFEFF${text}`, 'utf16le');
    return big ? bytes.swap16() : bytes;
  };
  it.each([
    ['with a byte-order mark', (text: string) => Buffer.from(`\uFEFF${text}`, 'utf8')],
    ['in UTF-16', (text: string) => utf16(text, false)],
    ['in UTF-16, the other way round', (text: string) => utf16(text, true)],
  ])('%s: drawings and documents are read as ever', async (_, encode) => {
    const plain = await ample('bring', at('front.svg'));
    const svg = await ample('bring', put('coded.svg', encode(readFileSync(at('front.svg'), 'utf8'))));
    expect(JSON.parse(svg.out).pieces).toEqual(JSON.parse(plain.out).pieces);
    expect(JSON.parse(svg.out).pieces.length).toBeGreaterThan(4);
    const sample = (await ample('sample', 'causeway', '--size', '4')).out;
    const measured = await ample('measure', put('plain.json', sample), '--size', '4');
    expect((await ample('measure', put('coded.json', encode(sample)), '--size', '4')).out).toBe(measured.out);
  });
});

describe('a job that names files', () => {
  const job = (file: string): string =>
    JSON.stringify({
      format: 'ample-draft/job',
      version: JOB_VERSION,
      id: 'j',
      wearer: { file },
      pattern: { sample: 'causeway' },
      size: '4',
      steps: [],
    });
  it('reads only what lies in its own folder, and quotes nothing of it', async () => {
    mkdirSync(at('job'));
    const secret = put('secret.json', 'a word nobody else may read');
    symlinkSync(secret, at('job', 'link.json'));
    writeFileSync(at('job', 'note.json'), 'another word of mine');
    for (const [name, code] of [
      ['../secret.json', 'reference-outside'],
      [secret, 'reference-outside'],
      ['link.json', 'reference-outside'],
      ['.', 'reference-outside'],
      ['note.json', 'reference-not-read'],
      ['gone.json', 'file-not-found'],
    ] as const) {
      writeFileSync(at('job', 'j.json'), job(name));
      const done = await ample('size', at('job', 'j.json'));
      expect(done.code).toBe(1);
      expect(done.err, name).toMatch(refusal(code));
      expect(done.err).not.toContain('word');
    }
  });
});

describe('what cannot be written', () => {
  it('is said in a sentence, and nothing is left half written', async () => {
    const file = put('there', 'a file');
    for (const out of [file, join(file, 'under')]) {
      const done = await ample('bring', at('front.svg'), '--out', out);
      expect(done.err).toMatch(refusal('out-no-folder'));
    }
    expect(readFileSync(file, 'utf8')).toBe('a file');
    // A folder stands where a file should come: nothing else of the set is left under another name.
    mkdirSync(at('out', 'pieces.json'), { recursive: true });
    expect((await ample('bring', at('front.svg'), '--out', at('out'))).err).toMatch(refusal('out-no-folder'));
    expect(readdirSync(at('out')).filter((n) => n.endsWith('.part'))).toEqual([]);
  });
});

describe('the program', () => {
  it('ends a command that takes too long, in a sentence, and leaves nothing', () => {
    const done = spawnSync(process.execPath, [BIN, 'bring', at('front.svg'), '--out', at('never')], {
      encoding: 'utf8',
      env: { ...process.env, AMPLE_PATIENCE: '20' },
    });
    expect([done.status, done.stdout]).toEqual([1, '']);
    expect(done.stderr).toMatch(refusal('command-stopped'));
    expect(existsSync(at('never'))).toBe(false);
  });
  it('answers like the function, and minds no reader that stops reading', async () => {
    const done = spawnSync(process.execPath, [BIN, 'sample', 'causeway', '--size', '4'], { encoding: 'utf8' });
    expect([done.status, done.stderr]).toEqual([0, '']);
    expect(done.stdout).toBe((await ample('sample', 'causeway', '--size', '4')).out);
    const cut = spawn(process.execPath, [BIN, 'sample', 'causeway', '--size', '4']);
    cut.stdout.destroy();
    let err = '';
    cut.stderr.setEncoding('utf8').on('data', (part: string) => (err += part));
    const code = await new Promise((resolve) => cut.on('close', resolve));
    expect([code, err]).toEqual([0, '']);
  });
});
