import { samplePattern } from './blocks/index.ts';
import { formOf } from './form/index.ts';
import { read, standOf, worn, READINGS } from './drape/index.ts';
import { draft, planStep } from './fitting/plan/index.ts';
import { wearerWith } from './testing/wearers.ts';
const env = (globalThis as any).process.env;
const CASES: Record<string, any> = { fuller: { fullBust: 980 }, smaller: { fullBust: 885 }, hollow: { napeToWaist: 384 }, narrow: { shoulder: 110 }, broad: { shoulder: 134 }, long: { napeToWaist: 424, sideWaist: 216 }, short: { napeToWaist: 384, sideWaist: 176 }, hip: { hip: 950 }, slope: { shoulderSlope: 55 }, square: { shoulderSlope: 28 } };
const size = '4';
const pattern = samplePattern((env.ID ?? 'causeway') as any, [size]);
const row = pattern.chart.find((r) => r.size === size)!.body as any;
const fineness = env.FINE ? 'fine' : 'coarse';
const run = (body: any, pieces: any, seams: any, before?: any) => {
  const r = worn({ pieces, seams }, standOf(formOf(body).figure), 'calico', fineness as any, before);
  if (!r.ok) throw new Error(JSON.stringify(r));
  return r.value;
};
const control = run(row, pattern.sizes[size]!, pattern.seams);
const c = read(control);
for (const name of (env.CASES ?? Object.keys(CASES).join(',')).split(',')) {
  const body = { ...row, ...CASES[name] };
  const job = { size, sizeMethod: 'highBust' as const, steps: [] as any[] };
  const d0 = draft({ job, wearer: wearerWith(body), pattern });
  const steps: any[] = d0.asks.map((a, i) => planStep(`s${i}`, a.alteration));
  let d1 = draft({ job: { ...job, steps }, wearer: wearerWith(body), pattern });
  for (let k = 0; k < 4 && d1.followers.length; k++) { for (const f of d1.followers) steps.push(planStep(`f${steps.length}`, (f as any).alteration, (f as any).values ?? {})); d1 = draft({ job: { ...job, steps }, wearer: wearerWith(body), pattern }); }
  const un = run(body, pattern.sizes[size]!, pattern.seams);
  const al = run(body, d1.sides.left.pieces, d1.seams);
  if (env.DUMP) { const { meshOf, shapeOf } = await import('./form/index.ts'); const { writeFileSync } = await import('node:fs'); const { drawnAt, CLOTHS } = await import('./cloth/index.ts'); for (const [k, w] of [['un', un], ['al', al]] as const) { const m = meshOf(shapeOf(w.figure)); writeFileSync('/tmp/fz/' + name + '-' + k + '.json', JSON.stringify({ x: [...w.x], tri: [...w.sheet.triangles], form: { p: [...m.positions], t: [...m.triangles] }, strain: Array.from({ length: w.sheet.area.length }, (_, t) => drawnAt(w.sheet, CLOTHS.calico, w.x, t).most / 2000) })); } }
  const [u, a] = [read(un), read(al)];
  console.log(`== ${name} ${JSON.stringify(CASES[name])} steps ${d1.steps.map((s) => s.step.alteration + ':' + s.outcome.ok).join(', ')} settled ${un.settled} ${al.settled} ${un.steps} ${al.steps}`);
  for (const id of READINGS) { const f = (v: any) => v === null ? '   -  ' : v.toFixed(2).padStart(8); const [x, y, z] = [c[id], u[id], a[id]]; if (x === null || y === null || z === null) continue; console.log(id.padEnd(20), f(x), f(y - x), f(z - x)); }
}
