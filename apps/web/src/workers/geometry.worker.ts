import type { SampledWall, StackMesh } from '@fellside/core';
import { expose, transfer } from 'comlink';
import { createGeometry, type Geometry } from './geometry.js';

const geometry = createGeometry();

const wallBuffers = ({ ring, radius, place, end }: SampledWall) =>
  [ring, radius, place, end].map(({ buffer }) => buffer as ArrayBuffer);
const meshBuffers = ({ mesh }: StackMesh) =>
  [mesh.blank, mesh.turned, mesh.blankNormals, mesh.turnedNormals, mesh.end, mesh.index].map(
    ({ buffer }) => buffer as ArrayBuffer,
  );

/** Hands large arrays over instead of copying them. */
const handing: Geometry = {
  drop: (asker) => geometry.drop(asker),
  async sample(...asked) {
    const wall = await geometry.sample(...asked);
    return wall && transfer(wall, wallBuffers(wall));
  },
  async meshes(...asked) {
    const meshes = await geometry.meshes(...asked);
    return meshes && transfer(meshes, meshes.flatMap(meshBuffers));
  },
};

expose(handing);
