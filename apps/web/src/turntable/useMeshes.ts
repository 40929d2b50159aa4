import { type RingMesh, VIEW_MESH } from '@fellside/core';
import { useEffect, useState } from 'react';
import { shapeOf } from '../store/shape.js';
import { useApp } from '../store/store.js';
import { geometryService } from '../workers/client.js';

/** The meshes of the open piece's rings, made anew when its shape has changed and nothing is being dragged; null at first. */
export function useMeshes(asker: string): readonly (RingMesh | null)[] | null {
  const shape = useApp(shapeOf);
  const dragging = useApp((state) => state.piece.preview !== null);
  const [meshes, setMeshes] = useState<readonly (RingMesh | null)[] | null>(null);
  useEffect(() => {
    const service = geometryService();
    if (dragging || !service) return;
    let current = true;
    void service.meshes(asker, shape, VIEW_MESH).then((made) => {
      if (made && current) setMeshes(made);
    });
    return () => {
      current = false;
    };
  }, [asker, shape, dragging]);
  return meshes;
}
