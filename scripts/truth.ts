import { readFileSync, writeFileSync } from 'node:fs';
import { samplePattern } from '@ample/core/blocks';
import { compared, read, shows, standOf, worn, type Reading } from '@ample/core/drape';
import { draft, planStep } from '@ample/core/fitting/plan';
import { formOf, type Body } from '@ample/core/form';
import type { Garment } from '@ample/core/sew';
import { wearerSchema } from '@ample/core/documents';
import { READING_WORDS, sayAmount, stepName } from '@ample/core/words';
import { expectOk } from '@ample/core/units';

/** Bodies of size 4 that differ in one thing, and what that is called. */
const BODIES: readonly (readonly [string, Body])[] = [
  ['full bust +60', { fullBust: 980 }],
  ['small bust −35', { fullBust: 885 }],
  ['narrow shoulder −12', { shoulder: 110 }],
  ['broad shoulder +12', { shoulder: 134 }],
  ['sloping shoulder, 10 lower', { shoulderSlope: 49 }],
  ['square shoulder, 10 higher', { shoulderSlope: 29 }],
  ['long from underarm and nape to waist, +20', { napeToWaist: 424, sideWaist: 216 }],
  ['short from underarm and nape to waist, −20', { napeToWaist: 384, sideWaist: 176 }],
  ['hollow back, nape to waist −20', { napeToWaist: 384 }],
  ['wide waist +40', { waist: 780 }],
  ['narrow hip −40', { hip: 950 }],
  ['wide hip +50', { hip: 1040 }],
];

const UNITS = { unit: 'cm', fraction: 8 } as const;
const BEGIN = '<!-- truth: npm run truth -->';
const END = '<!-- end of truth -->';
const PAGE = 'docs/form.md';

const pattern = samplePattern('causeway');
const row: Body = pattern.chart.find((r) => r.size === '4')?.body ?? {};
const garment: Garment = { pieces: pattern.sizes['4'] ?? [], seams: pattern.seams };
const on = (what: Garment, body: Body) =>
  read(expectOk(worn(what, standOf(formOf(body).figure), 'calico', 'coarse'), 'worn'));
const control = on(garment, row);

/** The app’s own steps at its own amounts, what follows from them included. */
function planned(body: Body): { readonly names: readonly string[]; readonly garment: Garment } {
  const readings = Object.fromEntries(Object.entries(body).map(([key, value]) => [key, [value]]));
  const wearer = wearerSchema.parse({
    ...{ format: 'ample-draft/wearer', version: 1, id: 'w', name: 'W' },
    sets: [{ id: 's', date: '2026-11-01', readings }],
  });
  const job = { size: '4', sizeMethod: 'highBust' as const };
  const made = (steps: readonly ReturnType<typeof planStep>[]) =>
    draft({ job: { ...job, steps: [...steps] }, wearer, pattern });
  const steps = made([]).asks.map((a, i) => planStep(`s${i}`, a.alteration));
  const follow = made(steps).followers.map((f, i) => planStep(`f${i}`, f.alteration));
  const done = made([...steps, ...follow]);
  const names = done.steps
    .filter((s) => steps.some((x) => x.id === s.step.id))
    .map((s) => stepName(s) + (s.outcome.ok ? '' : ' (refused)'));
  return { names, garment: done.sides.left };
}

const say = (r: Reading): string => `${r.off > 0 ? '+' : ''}${sayAmount(r, r.off, UNITS)}`;

const lines = [
  '| body | with | reading | as drafted | with it | shows from |',
  '| --- | --- | --- | --- | --- | --- |',
];
for (const [name, differs] of BODIES) {
  const body = { ...row, ...differs };
  const plan = planned(body);
  const [before, after] = [compared(on(garment, body), control), compared(on(plan.garment, body), control)];
  const told = before
    .map((r, i) => [r, after[i] ?? r] as const)
    .filter(([x, y]) => shows(x) || shows(y))
    .map(([x, y]) => `${READING_WORDS[x.id].name} | ${say(x)} | ${say(y)} | ${sayAmount(x, x.threshold, UNITS)}`);
  const rows = told.length > 0 ? told : ['nothing shows | | | '];
  rows.forEach((r, i) =>
    lines.push(`| ${i === 0 ? `${name} | ${plan.names.join(', ') || 'nothing'}` : ' | '} | ${r} |`),
  );
}
const page = readFileSync(PAGE, 'utf8');
const [head, rest] = page.split(BEGIN);
const tail = rest?.split(END)[1];
if (head === undefined || tail === undefined) throw new Error(`${PAGE}: expected ${BEGIN} and ${END}`);
writeFileSync(PAGE, `${head}${BEGIN}\n\n${lines.join('\n')}\n\n${END}${tail}`);
