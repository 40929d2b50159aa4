import { type Prepared, type Species, type StackMesh, shownOn } from '@fellside/core';
import { BufferAttribute, BufferGeometry, Color, Group, Mesh, MeshStandardMaterial } from 'three';
import { GLTFExporter } from 'three/addons/exporters/GLTFExporter.js';
import { STLExporter } from 'three/addons/exporters/STLExporter.js';
import { cutPieces } from './cutFaces.js';
import { placeVertices, woodMeshes } from './woodMeshes.js';

const MM = 0.001;

/** The piece as a scene, a mesh for each wood that carries its name. */
function modelOf(
  meshes: readonly StackMesh[],
  prepared: Prepared,
  palette: ReadonlyMap<string, Species>,
  turned: boolean,
): Group {
  const group = new Group();
  const woods = shownOn(prepared).map((ring) => ring.woods);
  for (const mesh of woodMeshes(meshes, woods)) {
    const geometry = new BufferGeometry();
    const [positions, normals] = [new Float32Array(mesh.blank.length), new Float32Array(mesh.blank.length)];
    placeVertices(mesh, { turned: turned ? 1 : 0, apartMm: 0 }, positions, normals);
    if (mesh.sides.length > 0) {
      const { surface, faces } = cutPieces(mesh, positions);
      const corners = new Float32Array(surface.length + faces.length);
      corners.set(surface);
      corners.set(faces, surface.length);
      const each = Uint32Array.from({ length: corners.length / 3 }, (_, i) => i);
      geometry.setAttribute('position', new BufferAttribute(corners, 3));
      geometry.setIndex(new BufferAttribute(withArea(each, corners), 1));
      geometry.computeVertexNormals();
    } else {
      geometry.setAttribute('position', new BufferAttribute(positions, 3));
      geometry.setAttribute('normal', new BufferAttribute(normals, 3));
      geometry.setIndex(new BufferAttribute(withArea(mesh.index, positions), 1));
      geometry.normalizeNormals();
    }
    const wood = palette.get(mesh.key);
    const material = new MeshStandardMaterial({
      name: wood?.name ?? mesh.key,
      color: new Color(wood?.colour ?? '#999999'),
      roughness: 0.6,
      metalness: 0,
    });
    const part = new Mesh(geometry, material);
    part.name = wood?.name ?? mesh.key;
    group.add(part);
  }
  return group;
}

/** Triangles that turning has left no area are dropped. */
function withArea(index: Uint32Array, p: Float32Array): Uint32Array {
  const kept: number[] = [];
  for (let t = 0; t < index.length; t += 3) {
    const [a, b, c] = [3 * index[t]!, 3 * index[t + 1]!, 3 * index[t + 2]!];
    const u = [p[b]! - p[a]!, p[b + 1]! - p[a + 1]!, p[b + 2]! - p[a + 2]!] as const;
    const v = [p[c]! - p[a]!, p[c + 1]! - p[a + 1]!, p[c + 2]! - p[a + 2]!] as const;
    const area = Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]);
    if (area > 1e-9) kept.push(index[t]!, index[t + 1]!, index[t + 2]!);
  }
  return Uint32Array.from(kept);
}

export type ModelFormat = 'glb' | 'stl';

/**
 * The piece as a file: GLB in metres, y up, with the colours of the woods (Khronos glTF 2.0), or binary STL in mm, z up.
 * As turned, or the blank as glued.
 */
export async function modelFile(format: ModelFormat, ...of: Parameters<typeof modelOf>): Promise<Blob> {
  const model = modelOf(...of);
  if (format === 'stl') {
    const data = new STLExporter().parse(model, { binary: true });
    return new Blob([data as unknown as BlobPart], { type: 'model/stl' });
  }
  model.scale.setScalar(MM);
  model.rotation.x = -Math.PI / 2;
  model.updateMatrixWorld(true);
  const data = await new GLTFExporter().parseAsync(model, { binary: true });
  return new Blob([data as ArrayBuffer], { type: 'model/gltf-binary' });
}
