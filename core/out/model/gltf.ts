import { Document, WebIO, type Buffer } from '@gltf-transform/core';
import type { Mesh } from '../../form/index.ts';

/** A surface to be written: m, y up. */
export interface Part {
  readonly name: string;
  readonly mesh: Mesh;
  /** Red, green, blue, 0 to 1. */
  readonly colour: readonly [number, number, number];
  /** Seen from both sides, as cloth is. */
  readonly thin: boolean;
}

/** Surfaces as a binary glTF file, in metres, y up, each a mesh of its own name. */
export async function writeGlb(parts: readonly Part[]): Promise<Uint8Array> {
  const document = new Document();
  const buffer = document.createBuffer();
  const scene = document.createScene('Ample Draft');
  for (const part of parts) scene.addChild(nodeOf(document, buffer, part));
  return new WebIO().writeBinary(document);
}

function nodeOf(document: Document, buffer: Buffer, { name, mesh, colour, thin }: Part) {
  const place = document.createAccessor().setType('VEC3').setArray(mesh.positions.slice()).setBuffer(buffer);
  const corners = document.createAccessor().setType('SCALAR').setArray(mesh.triangles.slice()).setBuffer(buffer);
  const material = document
    .createMaterial(name)
    .setBaseColorFactor([...colour, 1])
    .setRoughnessFactor(1)
    .setMetallicFactor(0)
    .setDoubleSided(thin);
  const primitive = document
    .createPrimitive()
    .setAttribute('POSITION', place)
    .setIndices(corners)
    .setMaterial(material);
  return document.createNode(name).setMesh(document.createMesh(name).addPrimitive(primitive));
}

/** Surfaces as an OBJ file, in metres, y up, each an object of its own name. */
export function writeObj(parts: readonly Pick<Part, 'name' | 'mesh'>[]): string {
  const lines = ['# Ample Draft, metres, y up'];
  let first = 1;
  for (const { name, mesh } of parts) {
    lines.push(`o ${name.replaceAll(/\s+/g, '_')}`);
    for (let i = 0; i < mesh.positions.length; i += 3)
      lines.push(`v ${[0, 1, 2].map((d) => mesh.positions[i + d]?.toFixed(5)).join(' ')}`);
    for (let t = 0; t < mesh.triangles.length; t += 3)
      lines.push(`f ${[0, 1, 2].map((k) => (mesh.triangles[t + k] ?? 0) + first).join(' ')}`);
    first += mesh.positions.length / 3;
  }
  return `${lines.join('\n')}\n`;
}
