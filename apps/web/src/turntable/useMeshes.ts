import { type StackMesh, VIEW_MESH } from '@fellside/core';
import { useEffect, useState } from 'react';
import { useApp } from '../store/store.js';
import { useShape } from '../surfaces/shownPiece.js';
import { geometryService } from '../workers/client.js';

/** Meshes, and whether the piece still has the shape that they were made of. */
export interface Meshes {
  readonly meshes: readonly StackMesh[] | null;
  readonly current: boolean;
}

/** The meshes of the open piece's rings, made anew when its shape has changed and nothing is being dragged; null at first. */
export function useMeshes(asker: string): Meshes {
  const shape = useShape();
  const dragging = useApp((state) => state.piece.preview !== null);
  const [meshes, setMeshes] = useState<{ made: readonly StackMesh[]; version: number } | null>(null);
  useEffect(() => {
    const service = geometryService();
    if (dragging || !service) return;
    let current = true;
    void service.meshes(asker, shape, VIEW_MESH).then((made) => {
      if (made && current) setMeshes({ made, version: shape.version });
    });
    return () => {
      current = false;
      void service.drop(asker);
    };
  }, [asker, shape, dragging]);
  return { meshes: meshes?.made ?? null, current: meshes?.version === shape.version };
}
