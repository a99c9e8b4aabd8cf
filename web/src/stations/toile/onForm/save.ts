import type { Shown } from '@ample/core/drape';
import { meshOf, shapeOf, type Figure } from '@ample/core/form';
import { download } from '../../../store/export.ts';

/** Saves a form in its cloth as a binary glTF file; the writer comes with the first one. */
export async function saveModel(name: string, figure: Figure, shown: Shown): Promise<void> {
  const { writeGlb } = await import('@ample/core/out/model');
  const form = meshOf(shapeOf(figure));
  const bytes = await writeGlb([
    {
      ...{ name: 'form', colour: [0.55, 0.53, 0.5], thin: false },
      mesh: { ...form, positions: form.positions.map((v) => v / 1000) },
    },
    { name: 'cloth', mesh: shown.mesh, colour: [0.95, 0.93, 0.87], thin: true },
  ]);
  download(`${name}.glb`, bytes as BlobPart, 'model/gltf-binary');
}
