import { samplePattern } from '@ample/core/blocks';
import { standOf, worn, type Worn } from '@ample/core/drape';
import { formMesh, formOf, type Body } from '@ample/core/form';
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
  const { positions } = formMesh(stand.figure, false);
  const out = new Float64Array(4);
  return {
    /** How far every point of the cloth lies from the body: asked of the field, and of every point of its surface. */
    contact: {
      field: () => {
        for (let i = 0; i < coarse.x.length; i += 3)
          stand.solid.at(coarse.x[i]!, coarse.x[i + 1]!, coarse.x[i + 2]!, out);
      },
      plain: () => {
        let sum = 0;
        for (let i = 0; i < coarse.x.length; i += 3) {
          let least = Infinity;
          for (let k = 0; k < positions.length; k += 3) {
            const dx = coarse.x[i]! - positions[k]! / 1000;
            const dy = coarse.x[i + 1]! - positions[k + 1]! / 1000;
            const dz = coarse.x[i + 2]! - positions[k + 2]! / 1000;
            least = Math.min(least, dx * dx + dy * dy + dz * dz);
          }
          sum += Math.sqrt(least);
        }
        return sum;
      },
    },
    form: () => formOf(body),
    field: () => standOf(stand.figure),
    coarse: () => hung('coarse'),
    fine: () => hung('fine', coarse),
    again: () => expectOk(worn(garment, other, 'calico', 'coarse', coarse), 'bench form'),
    points: { coarse: coarse.sheet.points, fine: hung('fine', coarse).sheet.points },
  };
}
