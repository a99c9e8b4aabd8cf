import { samplePattern } from '@ample/core/blocks';
import { standOf, worn, type Worn } from '@ample/core/drape';
import { formOf, type Body } from '@ample/core/form';
import { expectOk } from '@ample/core/units';

/** A dress on the body it was drafted for: how long the form takes, the cloth from nothing, and after one change. */
export function formBench() {
  const pattern = samplePattern('causeway', ['4']);
  const garment = { pieces: pattern.sizes['4'] ?? [], seams: pattern.seams };
  const body: Body = pattern.chart.find((r) => r.size === '4')?.body ?? {};
  const stand = standOf(formOf(body).figure);
  const hung = (fineness: 'coarse' | 'fine', before?: Worn): Worn =>
    expectOk(worn(garment, stand, 'calico', fineness, before), 'bench form');
  const coarse = hung('coarse');
  const other = standOf(formOf({ ...body, hip: 1000 }).figure);
  return {
    form: () => formOf(body),
    field: () => standOf(stand.figure),
    coarse: () => hung('coarse'),
    fine: () => hung('fine', coarse),
    again: () => expectOk(worn(garment, other, 'calico', 'coarse', coarse), 'bench form'),
    points: { coarse: coarse.sheet.points, fine: hung('fine', coarse).sheet.points },
  };
}
