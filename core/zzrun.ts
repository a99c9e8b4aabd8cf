import { samplePattern } from './blocks/index.ts';
import { formOf } from './form/index.ts';
import { read, standOf, worn } from './drape/index.ts';
const env = (globalThis as any).process.env;
const size = env.SIZE ?? '4';
const p = samplePattern((env.ID ?? 'causeway') as any, [size]);
const body = { ...p.chart.find((r) => r.size === size)!.body, ...JSON.parse(env.BODY ?? '{}') } as any;
const t0 = performance.now();
const form = formOf(body);
const t1 = performance.now();
const stand = standOf(form.figure);
const t2 = performance.now();
const r = worn({ pieces: p.sizes[size]!.filter((q) => !env.ONLY || env.ONLY.split(",").includes(q.part)), seams: p.seams }, stand, 'calico', 'coarse');
const t3 = performance.now();
if (!r.ok) throw new Error(JSON.stringify(r));
console.log(JSON.stringify({ form: t1 - t0, field: t2 - t1, ms: t3 - t2, steps: r.value.steps, settled: r.value.settled, points: r.value.sheet.points, ...read(r.value), b2w: form.rows.find((r) => r.key === 'bustPointToWaist')!.form }));
if (env.FORCE) {
  const w = r.value; const out = new Float64Array(4); const bands = new Map<string, number[]>();
  for (let i = 0; i < w.sheet.points; i++) { w.solid.at(w.x[3*i]!, w.x[3*i+1]!, w.x[3*i+2]!, out); const into = 0.0015 - out[0]!; if (into <= 0) continue; const N = 300*into; const y = w.x[3*i+1]!*1000; const key = (y > 1340 ? 'shoulder' : y > 1260 ? 'chest' : y > 1180 ? 'bust' : y>1090 ? 'ribs' : y > 1020 ? 'waist' : 'hip') + (w.x[3*i+2]!>0?' front':' back'); const b = bands.get(key) ?? [0,0,0]; b[0]!++; b[1]! += N; b[2]! += N*out[2]!; bands.set(key,b); }
  let weight = 0; for (let i=0;i<w.sheet.points;i++) weight += 9.81*0.15*w.sheet.share[i]!;
  console.log('weight', weight.toFixed(3)); for (const [k,b] of [...bands].sort()) console.log(k.padEnd(16), b[0], 'N', b[1]!.toFixed(3), 'up', b[2]!.toFixed(3));
}
