import type { Arc, Fineness, SampledWall, Side } from '@fellside/core';
import { useEffect, useMemo, useState } from 'react';
import { useApp } from '../store/store.js';
import { geometryService } from '../workers/client.js';
import { following } from './following.js';
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

interface Shown {
  /** It is so small that it is never sampled finely. */
  readonly small?: boolean;
  /** All that is seen of it while something is dragged; all round where it is left out. */
  readonly arc?: Arc | undefined;
}

/** A wall of the open piece as sampled last: coarse while it is being dragged and where it is small, fine when still; null before the first. */
export function useSampledWall(
  asker: string,
  side: Side,
  rows: number,
  { small = false, arc }: Shown = {},
): Sampled {
  const shape = useShape();
  const dragging = useApp((state) => state.piece.preview !== null);
  const [wall, setWall] = useState<{ wall: SampledWall; version: number } | null>(null);
  const fine = Math.min(FINE.mostRows, Math.max(FINE.leastRows, 64 * Math.ceil(rows / 64)));
  const follower = useMemo(() => {
    const service = geometryService();
    return (
      service && following(service, asker, (sampled, { version }) => setWall({ wall: sampled, version }))
    );
  }, [asker]);
  useEffect(() => () => follower?.end(), [follower]);
  useEffect(() => {
    follower?.want({
      shape,
      side,
      atOnce: dragging && arc ? { ...COARSE, arc } : COARSE,
      better: dragging || small ? null : { columns: FINE.columns, rows: fine },
    });
  }, [follower, shape, side, dragging, fine, small, arc]);
  return {
    wall: wall?.wall.side === side ? wall.wall : null,
    current: wall?.version === shape.version,
  };
}
