import type { Dress } from '@fellside/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { paletteOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { inksOf } from '../surfaces/inks.js';
import { usePrepared, useShape } from '../surfaces/shownPiece.js';
import { geometryService } from '../workers/client.js';
import type { DrawnSkin } from '../workers/skins.js';

/** Points round the piece: at first, and when that has come, by where it is drawn. */
const FIRST = 384;
export const COLUMNS = { inset: 384, panel: 1024, large: 2048, still: 4096 } as const;

/** The dress of the open piece, or of the one that is shown in its place. */
export function useDress(glue: boolean): Dress | null {
  const prepared = usePrepared();
  const palette = useApp(paletteOf);
  return useMemo(() => {
    if (!prepared.ok) return null;
    const { inks, ofPlace, joined } = inksOf(prepared.value, palette);
    return { inks, ofPlace, joined, glue };
  }, [prepared, palette, glue]);
}

/** A surface, and whether the piece still has the shape that it is of. */
export interface Skinned {
  readonly skin: DrawnSkin;
  readonly current: boolean;
}

interface Drawn {
  readonly skin: DrawnSkin;
  readonly version: number;
  readonly dress: Dress;
}

/** The surface of the open piece in its woods: a coarse one soon, then a fine one; null at first. The old one stays until that of a new shape has come. */
export function useSkin(asker: string, columns: number, dress: Dress | null): Skinned | null {
  const shape = useShape();
  const dragging = useApp((state) => state.piece.preview !== null);
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const known = useRef<Drawn | null>(null);
  known.current = drawn;
  useEffect(() => {
    const service = geometryService();
    if (dragging || !service || !dress) return;
    let current = true;
    const ask = async (round: number) => {
      const skin = await service.skin(asker, shape, round, dress);
      if (skin && current) setDrawn({ skin, version: shape.version, dress });
      return current;
    };
    void (async () => {
      const { version, dress: worn } = known.current ?? {};
      const soon = version !== shape.version || worn !== dress;
      if (!soon || ((await ask(Math.min(FIRST, columns))) && columns > FIRST)) await ask(columns);
    })();
    return () => {
      current = false;
      void service.drop(asker);
    };
  }, [asker, shape, columns, dress, dragging]);
  return drawn && { skin: drawn.skin, current: drawn.version === shape.version };
}
