import {
  type Dress,
  dressing,
  type Prepared,
  type SampledSkin,
  sampledCuts,
  sampledRings,
  skinning,
} from '@fellside/core';
import { finished } from './stretches.js';

/** The surface of a turned piece in its woods: four bytes a point, and what is at each. */
export interface DrawnSkin
  extends Pick<SampledSkin, 'columns' | 'rows' | 'line' | 'ring' | 'place' | 'whole'> {
  readonly pixels: Uint8Array;
}

/** Surfaces that are kept: coarse and fine, and a still's. */
const MOST = 3;

/** Surfaces of one shape: sampled once for their fineness, and dressed in woods as often as these change. */
export function createSkins(pause: () => Promise<void>) {
  const kept = new Map<string, { readonly version: number; readonly skin: SampledSkin }>();
  async function sampled(
    version: number,
    columns: number,
    wanted: () => boolean,
    prepared: Prepared,
  ): Promise<SampledSkin | null> {
    for (const [key, of] of kept) if (of.version !== version) kept.delete(key);
    const key = `${version} ${columns}`;
    const known = kept.get(key);
    if (known) return known.skin;
    const work = skinning(prepared.turned, sampledRings(prepared), columns, sampledCuts(prepared));
    const skin = await finished(work, wanted, pause);
    if (!skin) return null;
    kept.set(key, { version, skin });
    const [oldest] = kept.keys();
    if (kept.size > MOST && oldest !== undefined) kept.delete(oldest);
    return skin;
  }
  return {
    async ask(
      version: number,
      columns: number,
      dress: Dress,
      wanted: () => boolean,
      prepared: Prepared,
    ): Promise<DrawnSkin | null> {
      const skin = await sampled(version, columns, wanted, prepared);
      if (!skin) return null;
      const standing = [...sampledRings(prepared), ...sampledCuts(prepared).bands];
      const pixels = await finished(dressing(skin, standing, dress), wanted, pause);
      const { rows, line, ring, place, whole } = skin;
      return pixels && { columns, rows, line, ring, place, whole, pixels };
    },
  };
}
