import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { readJob, type Job } from '@ample/core/documents';
import { writeBundle } from '@ample/core/documents/bundle';
import { planStep } from '@ample/core/fitting/plan';
import { versionOf } from '@ample/core/fitting/toile';
import { DEMO_JOBS, DEMO_WEARERS, inlineDemoJob } from '@ample/samples';
import { main } from './main.ts';

let folder = '';
const file = (name: string, value: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, value instanceof Uint8Array ? value : JSON.stringify(value));
  return path;
};
const json = async (...args: string[]): Promise<any> => {
  const done = await main(args, '2026-11-24');
  expect([done.err, done.code]).toEqual(['', 0]);
  return JSON.parse(done.out);
};
const tove = (fields: Partial<Job> = {}): Job => ({ ...inlineDemoJob('tove-causeway'), ...fields });
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'ample-keep-'));
});

const ids = (report: any): readonly string[] => report.readings.map((r: any) => r.id);

describe('what the fittings say, from the terminal', () => {
  it('ranks the causes of the last fitting, with the sum of each change', async () => {
    const told = await json('causes', file('tove.json', tove()));
    expect(told.fitting.date).toBe('2026-11-14');
    expect(told.causes[0]).toMatchObject({
      cause: 'narrow-shoulder',
      grade: 'likely',
      change: {
        kind: 'add',
        alteration: 'shoulder-slash',
        does: 'Add “Narrow shoulder, slashed”',
        sum: '0.8 cm pinned → −0.8 cm',
      },
    });
    expect(told.causes[0].because[0].sentence).toContain('1.2 cm less on the body');
    expect(await json('causes', file('none.json', tove({ fittings: [] })))).toEqual({ fitting: null, causes: [] });
  });
  it('tells what changed from version to version, and since', async () => {
    const wearer = DEMO_WEARERS.find((w) => w.id === 'tove')!;
    const first = versionOf(tove({ steps: [] }), wearer, 'v1', 'Toile 1', '2026-11-01T10:00:00Z');
    const second = versionOf(tove(), wearer, 'v2', 'Toile 2', '2026-11-08T10:00:00Z');
    const steps = [...tove().steps, planStep('sh', 'shoulder-slash', { by: -8 })];
    const told = await json('versions', file('versions.json', tove({ steps, versions: [first, second] })));
    expect(told.map((v: any) => [v.name, v.since.map((d: any) => d.says)])).toEqual([
      ['Toile 1', []],
      ['Toile 2', [expect.stringMatching(/^New: Small bust.*, −1\.7 cm\.$/)]],
      ['now', ['New: Narrow shoulder, slashed, −0.8 cm.']],
    ]);
  });
  it('lays the pieces on three widths, folded or open', async () => {
    const path = file('cloth.json', inlineDemoJob('marit-causeway'));
    const folded = await json('cloth', path);
    expect(folded.wider.map((w: any) => w.piece)).toContain('front');
    expect(folded.cloth.map((c: any) => c.width)).toEqual([1150, 1400, 1500]);
    for (const c of folded.cloth) {
      expect(c.laid).toBeGreaterThan(900);
      expect(c.buy).toBeGreaterThanOrEqual(c.laid * 1.05 - 1e-6);
      expect(c.buy % 100).toBe(0);
    }
    const edges = await json('cloth', path, '--fold-depth', '350');
    const wide = edges.cloth.find((c: any) => c.width === 1500);
    expect(wide.folds).toEqual({ depth: 350, count: 1 });
    expect(wide.cut.map((c: any) => [c.name, c.how, c.says])).toContainEqual(['Bodice front', 'fold', 'on the fold']);
    expect((await main(['cloth', path, '--fold-depth', '9'], '2026-11-24')).err).toMatch(/in mm, from 50 to 750/);
    const anew = await json('cloth', path, '--fold-depth', '350,200');
    const laid = anew.cloth.find((c: any) => c.width === 1500);
    expect(laid.again).toEqual([{ depth: 200, count: 1 }]);
    expect(laid.laid).toBeLessThanOrEqual(wide.laid);
    expect(laid.stretches.reduce((n: number, s: any) => n + s.length, 0)).toBeCloseTo(laid.laid, 4);
    expect(laid.stretches[0].says).toMatch(/cm of the cloth, folded (35|20)\.0 cm deep at one edge$/);
    const open = await json('cloth', path, '--open', '--one-way');
    expect(open.cloth.every((c: any) => c.fold === false && c.oneWay)).toBe(true);
  });
  it('makes a form of the measurements, measures it back, and names what contradicts the rest', async () => {
    const out = join(folder, 'form');
    const told = await json('form', file('form.json', inlineDemoJob('marit-causeway')), '--out', out, '--half-scale');
    const measured = told.form.filter((r: any) => r.body !== null);
    expect(measured.length).toBeGreaterThan(8);
    for (const row of measured)
      if (!told.conflicts.some((c: any) => c.key === row.key))
        expect(Math.abs(row.form - row.body)).toBeLessThan(3.001);
    expect(told.form.filter((r: any) => r.body === null).every((r: any) => r.filled)).toBe(true);
    const stl = readFileSync(join(out, 'form.stl'));
    expect(stl.length).toBe(84 + 50 * stl.readUInt32LE(80));
    const job = inlineDemoJob('marit-causeway') as any;
    const [set] = job.wearer.sets;
    const tight = {
      ...job,
      wearer: {
        ...job.wearer,
        sets: [
          {
            ...set,
            readings: { ...set.readings, napeToBustPoint: [345], bustPointToWaist: [190], napeToFrontWaist: [480] },
          },
        ],
      },
    };
    const { conflicts } = await json('form', file('tight.json', tight));
    expect(conflicts.map((c: any) => c.says)).toContainEqual(
      expect.stringMatching(/^Nape to front waist: 48\.0 cm measured; the others go with about/),
    );
  });
  it('hangs a job on the wearer’s form, reads it and writes it', async () => {
    const path = file('hung.json', inlineDemoJob('marit-causeway'));
    const out = join(folder, 'drape');
    const drafted = await json('drape', path, '--quick', '--drafted', '--out', out);
    expect([drafted.settled, drafted.as]).toEqual([true, 'drafted']);
    const pull = drafted.readings.find((r: any) => r.id === 'pull-bust');
    expect(pull).toMatchObject({ unit: '%', shows: true, says: 'It pulls across the bust.' });
    // 44 mm of ease are missing over the bust, and that is what the pull counts.
    const tight = drafted.signs.find((s: any) => s.sign === 'tight-bust');
    expect(tight.from).toEqual(['pull-bust', 'ease-bust']);
    expect(tight.amount).toBeCloseTo(-drafted.readings.find((r: any) => r.id === 'ease-bust').off, 6);
    for (const r of drafted.readings) if (!r.id.startsWith('hem')) expect(r.off).toBeCloseTo(r.value - r.control, 5);
    const names = ['toile.glb', 'toile.obj', 'form.stl'].map((name) => readFileSync(join(out, name)));
    expect(names[0]!.subarray(0, 4).toString()).toBe('glTF');
    expect(names[1]!.toString()).toMatch(/^# Ample Draft, metres, y up\no form\n/);
    const unknown = await main(['drape', path, '--cloth', 'felt'], '2026-11-24');
    expect(unknown).toMatchObject({ code: 1, err: expect.stringMatching(/^form-cloth-unknown: “felt” is no cloth/) });
    expect(ids(drafted)).not.toContain('ease-upper-arm');
    const sleeved = await json('drape', path, '--quick', '--drafted', '--sleeves');
    expect(ids(sleeved)).toEqual(expect.arrayContaining(['pull-upper-arm', 'ease-upper-arm']));
  });
  it('hangs trousers on the legs of the form, and says which side is shown where the sides differ', async () => {
    const trousers = inlineDemoJob('runa-landing');
    const hung = await json('drape', file('legs.json', trousers), '--quick', '--drafted');
    const onLegs = ids(hung);
    expect(hung.leftOut.map((p: any) => p.id)).toEqual(['flyFacing', 'pocket']);
    expect(onLegs).toEqual(expect.arrayContaining(['pull-seat', 'crotch-drop', 'ease-thigh']));
    expect(onLegs).not.toContain('pull-bust');
    const narrow = { ...planStep('s', 'shoulder-slash', { by: -9 }), side: 'left' };
    const one = file('one.json', { ...inlineDemoJob('marit-causeway'), steps: [narrow] });
    expect(await json('drape', one, '--quick', '--right')).toMatchObject({ side: 'right' });
  });
  it('writes the record of a job', async () => {
    const out = join(folder, 'out');
    const told = await json('record', file('record.json', tove()), '--out', out);
    expect(told.fittings[0].heading).toBe('Toile, 2026-11-14: to be altered');
    expect(readFileSync(join(out, 'record.pdf')).subarray(0, 5).toString()).toBe('%PDF-');
    expect((await main(['record', file('r.json', tove())], '2026-11-24')).code).toBe(2);
  });
});

describe('a backup, from the terminal', () => {
  const jobs = DEMO_JOBS.map((j) => {
    const read = readJob(j);
    if (!read.ok) throw new Error(j.id);
    return read.value;
  });
  it('is read and listed', async () => {
    const bytes = writeBundle({ wearers: DEMO_WEARERS, patterns: [], jobs, photos: [] }, 'all', '2026-11-24T10:00:00Z');
    const told = await json('backup', file('all.zip', bytes));
    expect(told.wearers.map((w: any) => w.name)).toEqual([
      'Alva Skern',
      'Ines Hollow',
      'Marit Quell',
      'Pim Askel',
      'Runa Fell',
      'Tove Anselm',
    ]);
    expect(told.jobs).toHaveLength(8);
  });
  it('is refused with a sentence and code 1 where it is damaged, foreign or not there', async () => {
    const refused = async (path: string) => {
      const { code, err } = await main(['backup', path], '2026-11-24');
      return [code, err.split(':')[0]];
    };
    expect(await refused(file('words.zip', Buffer.from('these are words')))).toEqual([1, 'bundle-not-zip']);
    const bytes = writeBundle({ wearers: [], patterns: [], jobs, photos: [] }, 'all', '2026-11-24T10:00:00Z');
    expect(await refused(file('cut.zip', bytes.slice(0, 900)))).toEqual([1, 'bundle-damaged']);
    expect(await refused(join(folder, 'nowhere.zip'))).toEqual([1, 'file-not-found']);
  });
});
