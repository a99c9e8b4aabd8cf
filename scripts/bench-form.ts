import { samplePattern } from '@ample/core/blocks';
import { standOf, worn, type Fineness, type Worn } from '@ample/core/drape';
import { formMesh, formOf, type Body } from '@ample/core/form';
import type { Garment } from '@ample/core/sew';
import { expectOk } from '@ample/core/units';
import { withOwnSteps } from '../core/testing/ownSteps.ts';

/**
 * A dress with a full bust step on a body: how long the form takes, the cloth from nothing (coarse, and on from there), and after
 * the amount of the step is changed by 4 mm.
 */
export function formBench() {
  const pattern = samplePattern('causeway', ['4']);
  const body: Body = { ...pattern.chart.find((r) => r.size === '4')?.body, fullBust: 960 };
  const garment = withOwnSteps(pattern, '4', body).sides.left;
  const changed = withOwnSteps(pattern, '4', { ...body, fullBust: 964 }).sides.left;
  const stand = standOf(formOf(body).figure);
  const hung = (fineness: Fineness, before?: Worn, what: Garment = garment): Worn =>
    expectOk(worn(what, stand, 'calico', fineness, before), 'bench form');
  const coarse = hung('coarse');
  const fine = hung('fine', coarse);
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
    fine: () => hung('fine', hung('coarse')),
    again: () => hung('coarse', coarse, changed),
    againFine: () => hung('fine', fine, changed),
    points: { coarse: coarse.sheet.points, fine: fine.sheet.points },
  };
}
