import { it } from 'vitest';
import { writeFileSync } from 'node:fs';
import { samplePattern } from '../blocks/index.ts';
import { formOf, meshOf, shapeOf } from '../form/index.ts';
import { CLOTHS, drawnAt } from '../cloth/index.ts';
import { read, standOf, worn } from './index.ts';
const T = () => performance.now();
it('x', () => {
  const id = process.env.ID ?? 'causeway';
  const sizes = (process.env.SIZES ?? '1,4,8').split(',');
  const p = samplePattern(id as any, sizes);
  const only = process.env.ONLY?.split(',');
  const rows: any[] = [];
  for (const size of sizes) {
    const body = { ...p.chart.find(r=>r.size===size)!.body, ...JSON.parse(process.env.BODY ?? '{}') } as any;
    const form = formOf(body);
    const stand = standOf(form.figure);
    const t0=T();
    const pieces = p.sizes[size]!.filter(q=>!only||only.includes(q.part));
    let r = worn({ pieces, seams: p.seams }, stand, 'calico', 'coarse');
    const t1=T();
    if (!r.ok) throw new Error(JSON.stringify(r));
    const c = r.value;
    if (process.env.FINE) { r = worn({ pieces, seams: p.seams }, stand, 'calico', 'fine', c); if (!r.ok) throw 1; }
    const w = r.value;
    rows.push({ size, ms: t1-t0, fineMs: T()-t1, pts: w.sheet.points, cs: c.steps, steps: w.steps, settled: w.settled, ...read(w), bustToWaist: form.rows.find(r=>r.key==='bustPointToWaist')!.form, rise: form.figure.bustRise });
    const mesh = meshOf(shapeOf(form.figure));
    writeFileSync('/tmp/fz/drape.json', JSON.stringify({ x: [...w.x], tri: [...w.sheet.triangles], form: { p: [...mesh.positions], t: [...mesh.triangles] }, seams: w.toile.seams.map(s=>[...s]), strain: Array.from({length:w.sheet.area.length},(_,t)=>drawnAt(w.sheet,CLOTHS.calico,w.x,t).most/2000) }));
  }
  for (const k of Object.keys(rows[0])) console.log(k.padEnd(22), rows.map(r=>typeof r[k]==='number'?r[k].toFixed(2).padStart(9):String(r[k]).padStart(9)).join(''));
}, 240000);
import { pointsAlong, placeAt, wear } from './index.ts';
it('cb', () => {
  const p = samplePattern('causeway', ['4']); const body={...p.chart[3]!.body} as any;
  const stand = standOf(formOf(body).figure); console.log(JSON.stringify(stand.figure));
  const g = wear({pieces:p.sizes['4']!,seams:p.seams}, stand, 'calico', 'coarse');
  let n=g.next(); let k=0; const out=new Float64Array(4);
  const snap=(x:Float64Array, w:any)=>0;
  const traj:any[]=[];
  while(!n.done){ if (k%10===0) traj.push([k, n.value.x.slice()]); k++; n=g.next(); }
  const w=(n.value as any).value;
  const cb=pointsAlong(w,'centreBack',['back']);
  for(const [kk,x] of traj) console.log(kk, cb.map(i=>[1,2].map(d=>(x[3*i+d]*1000).toFixed(0)).join('/')).join('  '));
  console.log(cb.map(i=>{stand.solid.at(w.x[3*i],w.x[3*i+1],w.x[3*i+2],out); return (out[0]!*1000).toFixed(1)}).join(' '));
  const nk=pointsAlong(w,'neck'); console.log(nk.map(i=>{const q=placeAt(w,i); stand.solid.at(w.x[3*i],w.x[3*i+1],w.x[3*i+2],out); return [q.x,q.y,q.z].map(v=>v.toFixed(0)).join('/')+':'+(out[0]!*1000).toFixed(1)}).join('  '));
},100000);
