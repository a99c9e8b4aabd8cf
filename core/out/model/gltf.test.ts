import { WebIO } from '@gltf-transform/core';
import { describe, expect, it } from 'vitest';
import { writeGlb, writeObj, type Part } from './index.ts';

/** A triangle in the plane z = 2, and a square beside it. */
const PARTS: readonly Part[] = [
  {
    name: 'one corner',
    mesh: { positions: Float32Array.of(0, 0, 2, 1, 0, 2, 0, 1, 2), triangles: Uint32Array.of(0, 1, 2) },
    colour: [1, 0.5, 0.25],
    thin: true,
  },
  {
    name: 'square',
    mesh: {
      positions: Float32Array.of(0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0),
      triangles: Uint32Array.of(0, 1, 2, 0, 2, 3),
    },
    colour: [0, 0, 0],
    thin: false,
  },
];

describe('surfaces as files', () => {
  it('come back from glTF with their names, places, corners and colours', async () => {
    const document = await new WebIO().readBinary(await writeGlb(PARTS));
    const nodes = document.getRoot().listNodes();
    expect(nodes.map((n) => n.getName())).toEqual(['one corner', 'square']);
    nodes.forEach((node, i) => {
      const primitive = node.getMesh()!.listPrimitives()[0]!;
      expect(primitive.getAttribute('POSITION')!.getArray()).toEqual(PARTS[i]!.mesh.positions);
      expect(primitive.getIndices()!.getArray()).toEqual(PARTS[i]!.mesh.triangles);
      expect(primitive.getMaterial()!.getDoubleSided()).toBe(PARTS[i]!.thin);
      expect(primitive.getMaterial()!.getBaseColorFactor()).toEqual([...PARTS[i]!.colour, 1]);
    });
  });

  it('stand in OBJ one after another, corners counted through from 1', () => {
    const lines = writeObj(PARTS).split('\n');
    expect(lines.filter((l) => l.startsWith('o '))).toEqual(['o one_corner', 'o square']);
    expect(lines.filter((l) => l.startsWith('v '))).toHaveLength(7);
    expect(lines.filter((l) => l.startsWith('f '))).toEqual(['f 1 2 3', 'f 4 5 6', 'f 4 6 7']);
  });
});
