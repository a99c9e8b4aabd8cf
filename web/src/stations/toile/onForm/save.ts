import type { Shown } from '@ample/core/drape';
import type { Part } from '@ample/core/out/model';
import { formMesh, type Figure } from '@ample/core/form';
import { download } from '../../../store/export.ts';

export type ModelKind = 'glb' | 'obj';

/** Saves a form in its cloth as a binary glTF or an OBJ file; the writers come with the first one. */
export async function saveModel(name: string, figure: Figure, shown: Shown, kind: ModelKind): Promise<void> {
  const { writeGlb, writeObj } = await import('@ample/core/out/model');
  const form = formMesh(figure, shown.arms);
  const parts: readonly Part[] = [
    {
      ...{ name: 'form', colour: [0.55, 0.53, 0.5], thin: false },
      mesh: { ...form, positions: form.positions.map((v) => v / 1000) },
    },
    { name: 'cloth', mesh: shown.mesh, colour: [0.95, 0.93, 0.87], thin: true },
  ];
  if (kind === 'obj') download(`${name}.obj`, writeObj(parts), 'text/plain');
  else download(`${name}.glb`, (await writeGlb(parts)) as BlobPart, 'model/gltf-binary');
}
