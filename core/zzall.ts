import { samplePattern, SAMPLE_IDS } from './blocks/index.ts';
import { formOf } from './form/index.ts';
import { read, standOf, worn } from './drape/index.ts';
for (const id of SAMPLE_IDS) for (const size of ((globalThis as any).process.env.SIZES ?? '4').split(',')) {
  try {
  const p = samplePattern(id, [size]); const row = p.chart.find((r) => r.size === size)!;
  const view = p.views[0]?.pieces; const named = new Set(p.views.flatMap(v=>v.pieces));
  const pieces = p.sizes[size]!.filter(q => !view || view.includes(q.id) || !named.has(q.id));
  const t = performance.now();
  const r = worn({ pieces, seams: p.seams }, standOf(formOf(row.body as any).figure), 'calico', 'coarse');
  if (!r.ok) { console.log(id, size, r.error.code, JSON.stringify(r.error.data)); continue; }
  const q = read(r.value);
  console.log(id.padEnd(18), size, r.value.settled, r.value.steps, (performance.now()-t).toFixed(0), Object.entries(q).map(([k,v])=>k.split('-').map(w=>w.slice(0,3)).join('')+':'+(v===null?'-':v.toFixed(k.startsWith('pull')?2:0))).join(' '));
  } catch (e) { console.log(id, size, 'THROW', String(e).slice(0,200)); }
}
