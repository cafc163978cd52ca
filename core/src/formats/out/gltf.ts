import { first, nth } from '../../lists';
import { Document, WebIO } from '@gltf-transform/core';
import { PER_INCH } from '../../length';
import { solidOf, type Part } from '../../piece';
import { facesOf, type Vec } from '../../solid';

const METRES_AN_INCH = 0.0254;

/** A point of the piece in glTF's world: metres, y up, the front towards +z. */
const world = ([x, y, z]: Vec): readonly [number, number, number] => {
  const metres = METRES_AN_INCH / PER_INCH;
  return [x * metres, z * metres, -y * metres];
};

const WOOD: readonly [number, number, number, number] = [0.86, 0.73, 0.45, 1];

/**
 * A piece as glTF 2.0 in one JSON text, its buffer inside. One node a part, named by its tag; metres.
 * Source: Khronos glTF 2.0 specification.
 */
export async function gltfOf(parts: readonly Part[], name: string): Promise<string> {
  const document = new Document();
  const buffer = document.createBuffer();
  const scene = document.createScene(name);
  const material = document
    .createMaterial('wood')
    .setBaseColorFactor([...WOOD])
    .setRoughnessFactor(0.9)
    .setMetallicFactor(0);
  for (const part of parts) {
    const positions: number[] = [];
    const normals: number[] = [];
    for (const { points, normal } of facesOf(solidOf(part)))
      for (let at = 1; at + 1 < points.length; at++)
        for (const point of [first(points), nth(points, at), nth(points, at + 1)]) {
          positions.push(...world(point));
          normals.push(normal[0], normal[2], -normal[1]);
        }
    const accessor = (values: readonly number[]) =>
      document.createAccessor().setType('VEC3').setArray(new Float32Array(values)).setBuffer(buffer);
    const primitive = document
      .createPrimitive()
      .setAttribute('POSITION', accessor(positions))
      .setAttribute('NORMAL', accessor(normals))
      .setMaterial(material);
    scene.addChild(document.createNode(part.tag).setMesh(document.createMesh(part.name).addPrimitive(primitive)));
  }
  const { json, resources } = await new WebIO().writeJSON(document, { basename: 'model' });
  // The buffer goes into the file itself, so that it is one file to keep.
  for (const own of json.buffers ?? []) {
    const bytes = own.uri ? resources[own.uri] : undefined;
    if (bytes) own.uri = `data:application/octet-stream;base64,${base64(bytes)}`;
  }
  return JSON.stringify(json);
}

const base64 = (bytes: Uint8Array): string => {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
};
