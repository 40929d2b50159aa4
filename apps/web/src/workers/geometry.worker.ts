import type { StackMesh } from '@fellside/core';
import { expose, transfer } from 'comlink';
import { createGeometry, type Geometry } from './geometry.js';

const geometry = createGeometry();

const meshBuffers = ({ mesh }: StackMesh) =>
  [mesh.blank, mesh.turned, mesh.blankNormals, mesh.turnedNormals, mesh.end, mesh.index].map(
    ({ buffer }) => buffer as ArrayBuffer,
  );

/** Meshes and pictures of surfaces are handed over; a wall is copied, for others may ask for the same one. */
const handing: Geometry = {
  drop: (asker) => geometry.drop(asker),
  sample: (...asked) => geometry.sample(...asked),
  async skin(...asked) {
    const skin = await geometry.skin(...asked);
    return skin && transfer(skin, [skin.pixels.buffer as ArrayBuffer]);
  },
  async meshes(...asked) {
    const meshes = await geometry.meshes(...asked);
    return meshes && transfer(meshes, meshes.flatMap(meshBuffers));
  },
};

expose(handing);
