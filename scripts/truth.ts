import { readFileSync, writeFileSync } from 'node:fs';
import { SAMPLE_IDS, samplePattern, type SampleId } from '@ample/core/blocks';
import { compared, formUnder, read, shows, standOf, worn, type Reading, type Readings } from '@ample/core/drape';
import type { Values } from '@ample/core/alterations';
import type { Draft } from '@ample/core/fitting/plan';
import type { Body } from '@ample/core/form';
import type { Garment } from '@ample/core/sew';
import { READING_WORDS, sayAmount, stepName } from '@ample/core/words';
import { expectOk } from '@ample/core/units';
import { withOwnSteps } from '../core/testing/ownSteps.ts';

/** Bodies of size 4 that differ in one thing, and what that is called. */
type Bodies = readonly (readonly [name: string, differs: Body, step?: readonly [id: string, values: Values]])[];
const BODIES: Readonly<Partial<Record<SampleId, Bodies>>> = {
  causeway: [
    ['full bust +60', { fullBust: 980 }],
    ['small bust −35', { fullBust: 885 }],
    ['narrow shoulder −12', { shoulder: 110 }],
    ['broad shoulder +12', { shoulder: 134 }],
    ['sloping shoulder, 10 lower', { shoulderSlope: 51 }],
    ['sloping shoulder, 25 lower', { shoulderSlope: 66 }],
    ['square shoulder, 10 higher', { shoulderSlope: 31 }],
    ['square shoulder, 25 higher', { shoulderSlope: 16 }],
    ['long from underarm and nape to waist, +20', { napeToWaist: 424, sideWaist: 216 }],
    ['short from underarm and nape to waist, −20', { napeToWaist: 384, sideWaist: 176 }],
    ['hollow back, nape to waist −20', { napeToWaist: 384 }],
    ['round back, nape to waist +20', { napeToWaist: 424 }, ['round-back', { by: 20 }]],
    ['narrow chest, cross front −14', { crossFront: 319 }],
    ['narrow back, cross back −16', { crossBack: 339 }],
    ['thin neck −20', { neck: 344 }],
    ['wide waist +40', { waist: 780 }],
    ['narrow hip −40', { hip: 950 }],
    ['wide hip +50', { hip: 1040 }],
  ],
  'causeway-shirt': [
    ['hollow back, nape to waist −20', { napeToWaist: 384 }],
    ['round back, nape to waist +20', { napeToWaist: 424 }, ['round-back', { by: 20 }]],
  ],
  jetty: [['hollow back, nape to waist −20', { napeToWaist: 384 }]],
  'skerry-shoulder': [
    ['full bust +60', { fullBust: 980 }],
    ['small bust −35', { fullBust: 885 }],
  ],
  landing: [
    ['full seat, crotch length +40', { crotchLength: 701 }],
    ['flat seat, crotch length −30', { crotchLength: 631 }],
    ['deep crotch +25', { crotchDepth: 289, crotchLength: 701 }],
    ['shallow crotch −20', { crotchDepth: 244, crotchLength: 629 }],
    ['full thigh +50', { thigh: 621 }],
    ['wide waist +40', { waist: 780 }],
    ['wide hip +50', { hip: 1040, crotchLength: 676 }],
    ['narrow hip −40', { hip: 950, crotchLength: 648 }],
  ],
};

const UNITS = { unit: 'cm', fraction: 8 } as const;
const BEGIN = '<!-- truth: npm run truth -->';
const END = '<!-- end of truth -->';
const PAGE = 'docs/form.md';

const SIZE = '4';
const ONLY = process.argv[2];

const on = (what: Garment, body: Body): Readings =>
  read(expectOk(worn(what, standOf(formUnder(what, body).figure), 'calico', 'coarse'), 'worn'));

/** The steps of a plan by name, but for what only follows from others. */
const namesOf = (plan: Draft): string =>
  plan.steps
    .filter((s) => !s.step.id.startsWith('f'))
    .map((s) => stepName(s) + (s.outcome.ok ? '' : ' (refused)'))
    .join(', ') || 'nothing';

const say = (r: Reading): string => `${r.off > 0 ? '+' : ''}${sayAmount(r, r.off, UNITS)}`;

/** The rows of one sample: what shows on each of its bodies. */
function rowsOf(id: SampleId, bodies: Bodies): readonly string[] {
  const pattern = samplePattern(id);
  const row: Body = pattern.chart.find((r) => r.size === SIZE)?.body ?? {};
  const garment: Garment = { pieces: pattern.sizes[SIZE] ?? [], seams: pattern.seams };
  const control = on(garment, row);
  return bodies.flatMap(([name, differs, step]) => {
    const body = { ...row, ...differs };
    const plan = withOwnSteps(pattern, SIZE, body, step);
    const [before, after] = [compared(on(garment, body), control), compared(on(plan.sides.left, body), control)];
    const told = before
      .map((r, i) => [r, after[i] ?? r] as const)
      .filter(([x, y]) => shows(x) || shows(y))
      .map(([x, y]) => `${READING_WORDS[x.id].name} | ${say(x)} | ${say(y)} | ${sayAmount(x, x.threshold, UNITS)}`);
    const rows = told.length > 0 ? told : ['nothing shows | | | '];
    return rows.map((r, i) => `| ${i === 0 ? `${name} | ${namesOf(plan)}` : ' | '} | ${r} |`);
  });
}

const HEAD = ['| body | with | reading | as drafted | with it | shows from |', '| --- | --- | --- | --- | --- | --- |'];
const tables = SAMPLE_IDS.flatMap((id) => {
  const bodies = BODIES[id];
  if (!bodies || (ONLY && ONLY !== id)) return [];
  return [`${samplePattern(id).name}:`, [...HEAD, ...rowsOf(id, bodies)].join('\n')];
});
if (ONLY) {
  process.stdout.write(`${tables.join('\n\n')}\n`);
  process.exit();
}
const page = readFileSync(PAGE, 'utf8');
const [head, rest] = page.split(BEGIN);
const tail = rest?.split(END)[1];
if (head === undefined || tail === undefined) throw new Error(`${PAGE}: expected ${BEGIN} and ${END}`);
writeFileSync(PAGE, `${head}${BEGIN}\n\n${tables.join('\n\n')}\n\n${END}${tail}`);
