import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { inlineDemoJob } from '@ample/samples';
import { CATALOGUE } from '@ample/core/alterations';
import { writeDxf } from '@ample/core/out';
import { pieceSchema } from '@ample/core/pattern';
import { JOB_VERSION } from '@ample/core/documents';
import { main } from './main.ts';
import { describeMotion } from './report.ts';

let folder = '';
const file = (name: string, value: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof value === 'string' ? value : JSON.stringify(value));
  return path;
};
const ample = (...args: string[]) => main(args, '2026-11-23');
const json = async (...args: string[]): Promise<any> => {
  const done = await ample(...args);
  expect([done.err, done.code]).toEqual(['', 0]);
  return JSON.parse(done.out);
};
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'ample-'));
});

/** A front nobody here drew: other names, anticlockwise, side to the left, mouth drawn along the legs. */
const foreign = () => {
  const path = (...p: [number, number][]) => ({
    start: { x: p[0]![0], y: p[0]![1] },
    segments: p.slice(1).map(([x, y]) => ({ kind: 'line', to: { x, y } })),
  });
  return {
    format: 'ample-draft/pattern',
    version: 1,
    id: 'theirs',
    name: 'Theirs',
    chart: [{ size: 'M', body: { fullBust: 920 } }],
    sizes: {
      M: [
        {
          id: 'vorne',
          name: 'Front',
          part: 'front',
          half: true,
          edges: [
            { id: 'neckline', role: 'neck', path: path([0, 80], [-60, 10]) },
            { id: 'top', role: 'shoulder', path: path([-60, 10], [-165, 40]) },
            { id: 'arm', role: 'armhole', path: path([-165, 40], [-170, 150], [-220, 205]) },
            { id: 'upper', role: 'side', path: path([-220, 205], [-225, 255]) },
            { id: 'gape', role: 'dart', path: path([-225, 255], [-120, 261], [-228, 275]) },
            { id: 'lower', role: 'side', path: path([-228, 275], [-224, 420]) },
            { id: 'hemline', role: 'hem', path: path([-224, 420], [0, 420]) },
            { id: 'middle', role: 'centreFront', path: path([0, 420], [0, 80]) },
          ],
          darts: [{ id: 'dart', kind: 'side', mouth: 'gape', tip: { x: -120, y: 261 }, foldToward: 'end' }],
        },
      ],
    },
  };
};
const foreignJob = (values: object) => ({
  format: 'ample-draft/job',
  version: JOB_VERSION,
  id: 'j',
  wearer: { format: 'ample-draft/wearer', version: 1, id: 'w', name: 'W' },
  pattern: { file: 'theirs.json' },
  size: 'M',
  steps: [{ id: 's', alteration: 'full-bust-side-dart', revision: 1, values }],
});

describe('ample', () => {
  it('writes samples that it can measure', async () => {
    const sample = file('causeway.json', (await ample('sample', 'causeway', '--size', '4')).out);
    const measured = await json('measure', sample, '--size', '4');
    expect(measured.edges.front.sideUpper + measured.edges.front.sideLower).toBeCloseTo(measured.edges.back.side, 4);
    expect(measured.flat.waist).toBeCloseTo(770, 3);
  });

  it('chooses a size and the amounts from one file', async () => {
    const job = file('job.json', inlineDemoJob('marit-causeway'));
    expect(await json('size', job)).toMatchObject({ size: '4', smaller: { size: '3' }, larger: { size: '5' } });
    const amounts = await json('amounts', job);
    expect(amounts.chosen).toBe('finished');
    expect(amounts.schools.map((s: any) => s.school)).toEqual(['finished', 'chart', 'cup', 'whole']);
    for (const s of amounts.schools) expect(s.perHalf).toBeCloseTo(s.total / 2, 5);
  });

  it('alters a pattern nobody here drew, mirrored and the other way round', async () => {
    file('theirs.json', foreign());
    const report = await json(
      'alter',
      file(
        'foreign.json',
        foreignJob({ total: 40, bustPoint: { x: -95, y: 260 }, hingePoint: { x: -170, y: 150 }, waistWidth: 'keep' }),
      ),
    );
    const [step] = report.steps;
    const upper = step.panels.find((p: any) => p.id === 'upperSide');
    expect(Math.abs(upper.turnDegrees)).toBeCloseTo(9.886, 3);
    expect(upper.about.x).toBeCloseTo(-170, 3);
    expect(step.darts[0].legEnds.map((p: any) => p.x).sort((a: number, b: number) => a - b)).toEqual([
      expect.closeTo(-248, 3),
      expect.closeTo(-242.211, 3),
    ]);
    expect(step.edges.arm.after).toBeCloseTo(step.edges.arm.before, 3);
    expect(step.insertArea).toBeGreaterThan(0);
    expect(step.overlapArea).toBe(0);
  });

  it('carries out the example of the documentation, to the numbers it states', async () => {
    const doc = readFileSync(new URL('../docs/cli.md', import.meta.url), 'utf8');
    const example = /<!-- example -->\s*```json\n([\s\S]*?)```/.exec(doc)?.[1] ?? '';
    const [step] = (await json('alter', file('example.json', example))).steps;
    const panel = (id: string) => step.panels.find((p: any) => p.id === id);
    expect(Math.abs(panel('upperSide').turnDegrees)).toBeCloseTo(9.886, 3);
    expect(panel('lowerSide').shift.x).toBeCloseTo(20, 3);
    expect(panel('lowerSide').shift.y).toBeCloseTo(11.244, 3);
    expect(step.darts[0].legEnds[0].x).toBeCloseTo(242.211, 3);
    expect(step.darts[0].legEnds[1].y).toBeCloseTo(286.244, 3);
  });

  it('writes DXF and the worksheet, and reads pages, exchange file and drawing back as the same pieces', async () => {
    const out = join(folder, 'there');
    const report = await json(
      'alter',
      file('job3.json', inlineDemoJob('marit-causeway')),
      '--out',
      out,
      '--formats',
      'pdf,svg,dxf,csv',
    );
    expect(report.files).toEqual(['pattern.svg', 'pattern.dxf', 'worksheet.csv', 'pattern.pdf']);
    expect(readFileSync(join(out, 'worksheet.csv'), 'utf8')).toMatch(/^\uFEFFMeasurement,"Body, cm",/);
    const pdf = await json('bring', join(out, 'pattern.pdf'));
    expect(pdf.squares.map((s: { side: number }) => s.side)).toEqual([101.6, 100]);
    const dxf = await json('bring', join(out, 'pattern.dxf'), '--out', join(folder, 'back'));
    const svg = await json('bring', join(out, 'pattern.svg'));
    const names = ['Bodice front', 'Bodice back', 'Sleeve', 'Skirt front'];
    for (const read of [dxf, svg]) {
      expect(read.pieces.map((p: { name: string }) => p.name)).toEqual(expect.arrayContaining(names));
      expect(read.pieces.flatMap((p: { problems: string[] }) => p.problems)).toEqual([]);
    }
    for (const s of dxf.seams) expect(Math.abs(s.difference), s.id).toBeLessThan(0.6);
    expect(JSON.parse(readFileSync(join(folder, 'back', 'pieces.json'), 'utf8'))).toHaveLength(dxf.pieces.length);
  });

  it('writes PDF and SVG and says which', async () => {
    const out = join(folder, 'out');
    const report = await json(
      'alter',
      file('job2.json', inlineDemoJob('tove-causeway')),
      '--out',
      out,
      '--formats',
      'pdf,svg',
      '--paper',
      'letter',
    );
    expect(report.files).toEqual(['pattern.svg', 'pattern.pdf']);
    expect(readFileSync(join(out, 'pattern.pdf')).subarray(0, 8).toString()).toBe('%PDF-1.7');
    expect(report.steps[0].overlapArea).toBeGreaterThan(0);
  });

  it.each([
    ['file-not-found', () => ample('size', join(folder, 'nowhere.json'))],
    ['file-kind-unknown', () => ample('bring', file('notes.txt', 'hello'))],
    ['file-not-found', () => ample('bring', join(folder, 'nowhere.pdf'))],
    ['pdf-broken', () => ample('bring', file('broken.pdf', '%PDF-1.7'))],
    ['document-not-json', () => ample('size', file('torn.json', '{"a":'))],
    ['document-wrong-format', () => ample('amounts', file('other.json', { a: 1 }))],
    ['size-unknown', () => ample('sample', 'causeway', '--size', '12')],
    [
      'overlap-larger-than-dart',
      () => ample('alter', file('lap.json', foreignJob({ total: -80, bustPoint: { x: -95, y: 260 } }))),
    ],
    [
      'spread-beyond-reach',
      () => ample('alter', file('far.json', foreignJob({ total: 290, bustPoint: { x: -95, y: 260 } }))),
    ],
    ['size-has-no-pieces', () => ample('alter', file('none.json', { ...foreignJob({ total: 20 }), size: 'XL' }))],
    [
      'paper-unknown',
      () =>
        ample(
          'alter',
          file('job3.json', inlineDemoJob('marit-causeway')),
          '--out',
          join(folder, 'o'),
          '--paper',
          'napkin',
        ),
    ],
    [
      'pattern-invalid',
      () => {
        const bad = foreign();
        bad.sizes.M[0]!.edges[0]!.path.segments[0]!.to.x = -50;
        file('theirs.json', bad);
        return ample('alter', file('bad.json', foreignJob({ total: 20 })));
      },
    ],
  ])('exits 1 with %s and a sentence', async (code, call) => {
    const done = await call();
    expect(done.code).toBe(1);
    expect(done.out).toBe('');
    expect(done.err).toMatch(new RegExp(`^${code}: [A-Z].*\\.\\n$`));
    expect(done.err).not.toContain('undefined');
  });

  it.each([
    [[]],
    [['fly']],
    [['alter']],
    [['sample', 'other']],
    [['measure', 'x.json']],
    [['schema', 'cat']],
    [['size', 'a', 'b']],
    [['size', '--colour', 'red', 'x']],
    [['alter', 'x', '--formats', 'gif']],
  ])('exits 2 with the usage for %j', async (args) => {
    const done = await ample(...args);
    expect(done.code).toBe(2);
    expect(done.err).toContain('usage:');
  });

  it('runs every alteration on every one of its examples from JSON', async () => {
    const listed = (await json('alterations')) as { id: string; revision: number; examples: any[] }[];
    expect(listed).toHaveLength(CATALOGUE.length);
    for (const { id, revision, examples } of listed)
      for (const { name, on, values, after = [] } of examples) {
        const job = {
          ...foreignJob({}),
          pattern: { sample: on },
          size: '5',
          steps: [
            ...after.map((a: any, i: number) => ({ id: `a${i}`, revision: 1, ...a })),
            { id: 's', alteration: id, revision, values },
          ],
        };
        const report = await json('alter', file('one.json', job));
        const done = report.steps.at(-1);
        expect(done.stages.length, `${id} ${name}`).toBe(7);
        expect(
          report.findings.filter((f: any) => f.grade === 'fault'),
          `${id} ${name}`,
        ).toEqual([]);
        expect(
          done.findings.filter((f: any) => f.grade === 'fault'),
          `${id} ${name}`,
        ).toEqual([]);
      }
  }, 180_000);

  it('tells what is asked, what must follow and what is left, and carries out a step for one side', async () => {
    const job = {
      ...foreignJob({}),
      wearer: {
        format: 'ample-draft/wearer',
        version: 1,
        id: 'w',
        name: 'W',
        sets: [
          {
            id: 's',
            date: '2026-10-24',
            readings: { highBust: [870], fullBust: [920], shoulder: [114], waist: [782] },
          },
        ],
      },
      pattern: { sample: 'causeway' },
      size: '4',
      steps: [
        { id: 'a', alteration: 'shoulder-redraw', revision: 1 },
        { id: 'b', alteration: 'shoulder-slope', revision: 1, side: 'left', values: { by: 6, underarm: 'stay' } },
      ],
    };
    const report = await json('alter', file('asked.json', job));
    // 114 measured, 122 drafted.
    expect(report.steps[0].asked).toMatchObject({ values: { by: -8 } });
    expect(report.steps[0].asked.says).toContain('= −0.8 cm');
    expect(report.steps[1].side).toBe('left');
    expect(Object.keys(report.pieces)).toEqual(
      expect.arrayContaining(['front whole', 'back left', 'back right', 'sleeve']),
    );
    expect(report.follow).toEqual([{ alteration: 'cap-follows', pieces: ['sleeve'] }]);
    expect(report.asks.map((a: any) => a.alteration)).toEqual(['grade-between-sizes']);
    const left = Object.fromEntries(report.left.map((r: any) => [r.key, r.left]));
    expect(Math.abs(left.shoulder)).toBeLessThan(0.2);
    expect(left.waist).toBeGreaterThan(35);
  });

  it('lists every family of alterations that a pattern allows', async () => {
    const suits = await json(
      'suits',
      file('dress.json', { ...foreignJob({}), pattern: { sample: 'causeway' }, size: '4' }),
    );
    for (const family of ['length', 'shoulder', 'back', 'bust', 'darts', 'width', 'neck', 'follow'])
      expect(suits[family].length, family).toBeGreaterThan(0);
    const band = suits.follow.find((p: any) => p.alteration === 'band-follows');
    expect(band).toMatchObject({ grade: 'no' });
    expect(band.why.says).toMatch(/nothing that would have to follow/);
  });

  it('says what suits a pattern, the best first, and offers ways on past 38 mm', async () => {
    const on = (sample: string, total: number, alteration: string) =>
      file('suits.json', {
        ...foreignJob({}),
        pattern: { sample },
        size: '4',
        steps: [{ id: 's', alteration, revision: 1, values: { total } }],
      });
    const suits = await json('suits', on('skerry-shoulder', 20, 'full-bust-princess-shoulder'));
    expect(suits.bust[0]).toMatchObject({ alteration: 'full-bust-princess-shoulder', grade: 'best' });
    expect(suits.bust[0].why.says).toMatch(/two panels/);
    const report = await json('alter', on('causeway', 90, 'full-bust-side-dart'));
    expect(report.steps[0].waysOn.map((w: any) => w.code)).toEqual(['split', 'cutAway', 'twoSteps', 'princess']);
    expect((await ample('alter', on('nobody', 20, 'full-bust-side-dart'))).err).toMatch(/^sample-unknown: /);
  });

  it('publishes schemas', async () => {
    expect((await json('schema', 'job')).properties).toHaveProperty('steps');
  });

  it('describes a motion by its fixed point', () => {
    const m = describeMotion({ angle: Math.PI / 2, x: 10, y: 0 });
    expect(m.about?.x).toBeCloseTo(5, 9);
    expect(m.about?.y).toBeCloseTo(5, 9);
  });
});

describe('compare, plan and solve', () => {
  const tove = () => file('tove.job.json', inlineDemoJob('tove-causeway'));

  it('compare writes the worksheet with its sums', async () => {
    const { size, rows } = await json('compare', tove());
    const shoulder = rows.find((r: { key: string }) => r.key === 'shoulder');
    expect(size).toBe('5');
    // Size 5 is drafted for a shoulder of 124; hers is 112.
    expect(shoulder).toMatchObject({ body: 112, pattern: 124, from: 'pieces', difference: -12, left: -12 });
    expect(shoulder.says).toBe('11.2 cm − 12.4 cm on the pieces = -1.2 cm'.replace('-', '−'));
  });

  it('plan lists the steps, what is proposed, and what each difference comes to', async () => {
    const { steps, proposed, left } = await json('plan', tove());
    expect(steps.length).toBeGreaterThan(0);
    expect(proposed.map((p: { alteration: string }) => p.alteration)).toContain('shoulder-slash');
    expect(proposed.every((p: { says: string }) => p.says.length > 20)).toBe(true);
    expect(left.find((l: { key: string }) => l.key === 'shoulder')).toEqual({
      key: 'shoulder',
      before: -12,
      left: -12,
    });
  });

  it('solve finds the amounts and says what is left', async () => {
    const job = inlineDemoJob('tove-causeway');
    const step = { id: 'x', alteration: 'shoulder-slash', revision: 1, values: { by: -3 } };
    const { amounts, rows, says } = await json('solve', file('solve.job.json', { ...job, steps: [step] }));
    expect(amounts).toEqual([{ step: 'x', key: 'by', from: -3, to: -12 }]);
    expect(Math.abs(rows.find((r: { key: string }) => r.key === 'shoulder').after)).toBeLessThan(0.1);
    expect(says).toBe('1 amount changed: one difference was open, none is left.');
  });

  it('solve refuses in a sentence what cannot be solved', async () => {
    const done = await ample('solve', file('none.job.json', { ...inlineDemoJob('tove-causeway'), steps: [] }));
    expect(done.code).toBe(1);
    expect(done.err).toMatch(/^solve-no-steps: No step of the plan has an amount/);
  });

  it('paper only: the amounts, and a PDF of hand sheets without any piece', async () => {
    const out = join(folder, 'paper');
    const pattern = {
      format: 'ample-draft/pattern',
      version: 1,
      id: 'envelope',
      name: 'Envelope',
      chart: [{ size: '12', body: { highBust: 860, fullBust: 910, shoulder: 118 } }],
      sizes: {},
    };
    const job = { ...inlineDemoJob('tove-causeway'), pattern, size: '12' };
    const done = await json('alter', file('paper.job.json', job), '--out', out);
    expect(done.files).toEqual(['pattern.pdf']);
    expect(readFileSync(join(out, 'pattern.pdf')).subarray(0, 5).toString()).toBe('%PDF-');
    expect((await json('compare', file('paper.job.json', job))).paper).toMatchObject({ sample: 'causeway' });
  });
});

describe('a piece that must not be cut', () => {
  /** The foreign front with a second dart laid across the first: it came wrong, no step made it so. */
  const crossed = () => {
    const pattern = foreign();
    const [front] = pattern.sizes.M as unknown as [
      { edges: { id: string; role: string; path: unknown }[]; darts: Record<string, unknown>[] },
    ];
    const waist = front.edges.findIndex((e) => e.id === 'hemline');
    const path = (...p: [number, number][]) => ({
      start: { x: p[0]![0], y: p[0]![1] },
      segments: p.slice(1).map(([x, y]) => ({ kind: 'line', to: { x, y } })),
    });
    front.edges.splice(
      waist,
      1,
      { id: 'hemSide', role: 'hem', path: path([-224, 420], [-130, 420]) },
      { id: 'gap', role: 'dart', path: path([-130, 420], [-110, 420]) },
      { id: 'hemMiddle', role: 'hem', path: path([-110, 420], [0, 420]) },
    );
    front.darts.push({ id: 'waist', kind: 'waist', mouth: 'gap', tip: { x: -150, y: 200 }, foldToward: 'end' });
    return pattern;
  };
  const job = () => ({
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'j',
    size: 'M',
    wearer: { format: 'ample-draft/wearer', version: 1, id: 'w', name: 'W', sets: [] },
    pattern: crossed(),
    steps: [],
  });

  it('is told, left out of the files, and makes the command fail', async () => {
    const out = mkdtempSync(join(tmpdir(), 'ample-out-'));
    const done = await ample('alter', file('crossed.job.json', job()), '--out', out, '--formats', 'json,svg');
    expect(done.code).toBe(1);
    expect(done.err).toMatch(/^pieces-not-fit: Front would be cut wrong/);
    expect(done.err).toMatch(/the side dart and the waist dart cross each other/);
    expect(JSON.parse(done.out).faults).toHaveLength(1);
    expect(JSON.parse(readFileSync(join(out, 'pieces.json'), 'utf8'))).toEqual([]);
  });

  it('is told and left out when it comes in a file', async () => {
    const out = mkdtempSync(join(tmpdir(), 'ample-out-'));
    const front = pieceSchema.parse(crossed().sizes.M[0]);
    const drawing = file('crossed.dxf', writeDxf([{ size: 'M', pieces: [front] }]));
    const done = await ample('bring', drawing, '--out', out);
    expect(done.code).toBe(1);
    expect(done.err).toMatch(/^pieces-not-fit: Front would be cut wrong/);
    expect(JSON.parse(done.out).pieces).toHaveLength(1);
    expect(JSON.parse(readFileSync(join(out, 'pieces.json'), 'utf8'))).toEqual([]);
    expect((await ample('bring', drawing, '--out', out, '--despite-faults')).code).toBe(0);
    expect(JSON.parse(readFileSync(join(out, 'pieces.json'), 'utf8'))).toHaveLength(1);
  });

  it('is written when one says so', async () => {
    const out = mkdtempSync(join(tmpdir(), 'ample-out-'));
    const args = ['alter', file('crossed.job.json', job()), '--out', out, '--formats', 'json', '--despite-faults'];
    const done = await ample(...args);
    expect([done.code, done.err]).toEqual([0, '']);
    const [front] = JSON.parse(readFileSync(join(out, 'pieces.json'), 'utf8'));
    expect(front.darts).toHaveLength(2);
  });
});

it('writes the altered pieces as documents that can be read again', async () => {
  const out = mkdtempSync(join(tmpdir(), 'ample-out-'));
  const report = await json(
    'alter',
    file('demo.job.json', inlineDemoJob('marit-causeway')),
    '--out',
    out,
    '--formats',
    'json',
  );
  expect(report.files).toEqual(['pieces.json']);
  const pieces = JSON.parse(readFileSync(join(out, 'pieces.json'), 'utf8'));
  expect(pieces.map((p: { id: string }) => p.id)).toEqual(Object.keys(report.pieces));
  for (const piece of pieces) expect(pieceSchema.safeParse(piece).success).toBe(true);
});

it('turns seams round with an outline that is drawn against the clock', async () => {
  // Front clockwise, back against the clock: both are walked from the neck outwards.
  const line = (...p: [number, number][]) => ({
    start: { x: p[0]![0], y: p[0]![1] },
    segments: p.slice(1).map(([x, y]) => ({ kind: 'line', to: { x, y } })),
  });
  const half = (part: 'front' | 'back') => [
    { id: `${part} n`, role: 'neck', path: line([0, 60], [60, 0]) },
    { id: `${part} s`, role: 'shoulder', path: line([60, 0], [160, 20]) },
    { id: `${part} a`, role: 'armhole', path: line([160, 20], [160, 120], [200, 160]) },
    { id: `${part} u`, role: 'side', path: line([200, 160], [200, 360]) },
    { id: `${part} w`, role: 'waist', path: line([200, 360], [0, 360]) },
    { id: `${part} c`, role: part === 'front' ? 'centreFront' : 'centreBack', path: line([0, 360], [0, 60]) },
  ];
  const backwards = (edges: ReturnType<typeof half>) =>
    [...edges].reverse().map((e) => {
      const points = [e.path.start, ...e.path.segments.map((s) => s.to)].reverse();
      return { ...e, path: { start: points[0]!, segments: points.slice(1).map((to) => ({ kind: 'line', to })) } };
    });
  const notch = (edge: string, at: number) => ({ kind: 'notch', id: 'arm', edge, at, count: 1 });
  const armhole = 100 + Math.hypot(40, 40);
  const pattern = {
    format: 'ample-draft/pattern',
    version: 1,
    id: 'turned',
    name: 'Turned',
    chart: [{ size: 'M', body: { fullBust: 920 } }],
    seams: [
      {
        id: 'shoulder',
        kind: 'shoulder',
        first: { piece: 'front', edges: ['front s'] },
        second: { piece: 'back', edges: ['back s'], reversed: true },
      },
    ],
    sizes: {
      M: [
        {
          id: 'front',
          name: 'Front',
          part: 'front',
          fold: 'front c',
          edges: half('front'),
          marks: [notch('front a', 80)],
        },
        {
          id: 'back',
          name: 'Back',
          part: 'back',
          fold: 'back c',
          edges: backwards(half('back')),
          marks: [notch('back a', armhole - 80)],
        },
      ],
    },
  };
  const turnedJob = {
    format: 'ample-draft/job',
    version: JOB_VERSION,
    id: 'j',
    size: 'M',
    wearer: { format: 'ample-draft/wearer', version: 1, id: 'w', name: 'W', sets: [] },
    pattern,
    steps: [{ id: 's', alteration: 'shoulder-slash', revision: 1, values: { by: -8 } }],
  };
  const report = await json('alter', file('turned.job.json', turnedJob));
  expect(report.seams[0].difference).toBeCloseTo(0, 3);
  expect(report.seams[0].first).toBeCloseTo(Math.hypot(100, 20) - 8, 2);
});
