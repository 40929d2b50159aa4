import type { Fineness, SampledWall, Side } from '@fellside/core';
import { useEffect, useState } from 'react';
import { useApp } from '../store/store.js';
import { geometryService } from '../workers/client.js';
import { useShape } from './shownPiece.js';

/** While something is dragged. */
export const COARSE: Fineness = { columns: 512, rows: 192 };
/** When it is still. */
const FINE = { columns: 2048, leastRows: 320, mostRows: 1600 };

/** A sampled wall, and whether the piece still has the shape that it was sampled from. */
export interface Sampled {
  readonly wall: SampledWall | null;
  readonly current: boolean;
}

/** A wall of the open piece as sampled last: coarse while it is being dragged and where it is small, fine when still; null before the first. */
export function useSampledWall(asker: string, side: Side, rows: number, small = false): Sampled {
  const shape = useShape();
  const dragging = useApp((state) => state.piece.preview !== null);
  const [wall, setWall] = useState<{ wall: SampledWall; version: number } | null>(null);
  const fine = Math.min(FINE.mostRows, Math.max(FINE.leastRows, 64 * Math.ceil(rows / 64)));
  useEffect(() => {
    const service = geometryService();
    if (!service) return;
    let current = true;
    const ask = async (fineness: Fineness) => {
      const sampled = await service.sample(asker, shape, side, fineness);
      if (sampled && current) setWall({ wall: sampled, version: shape.version });
      return current;
    };
    const both = async () => {
      if ((await ask(COARSE)) && !dragging && !small) await ask({ columns: FINE.columns, rows: fine });
    };
    void both();
    return () => {
      current = false;
      void service.drop(asker);
    };
  }, [asker, shape, side, dragging, fine, small]);
  return {
    wall: wall?.wall.side === side ? wall.wall : null,
    current: wall?.version === shape.version,
  };
}
