import {
  type Fineness,
  type Prepared,
  type SampledWall,
  type Side,
  sampledCuts,
  sampledRings,
  sampling,
} from '@fellside/core';
import { finished } from './stretches.js';

/** A wall that is being sampled, or was: for all who ask for the same. */
interface Run {
  readonly version: number;
  readonly wanted: Set<() => boolean>;
  readonly wall: Promise<SampledWall | null>;
}

/** Walls of one shape that are kept: two sides, coarse and fine. */
const MOST = 4;

/**
 * Samples every wall once for its shape, side and fineness, whoever asks for it and however often; goes on as long as anybody still
 * wants it.
 */
export function createWalls(pause: () => Promise<void>) {
  const runs = new Map<string, Run>();
  async function run(
    key: string,
    wanted: ReadonlySet<() => boolean>,
    prepared: Prepared | null,
    side: Side,
    fineness: Fineness,
  ): Promise<SampledWall | null> {
    if (!prepared) return null;
    const work = sampling(prepared.vessel, sampledRings(prepared), side, fineness, sampledCuts(prepared));
    const wall = await finished(work, () => [...wanted].some((wants) => wants()), pause);
    if (!wall) runs.delete(key);
    return wall;
  }
  return {
    ask(
      version: number,
      side: Side,
      fineness: Fineness,
      wants: () => boolean,
      prepared: () => Prepared | null,
    ): Promise<SampledWall | null> {
      for (const [key, of] of runs) if (of.version !== version) runs.delete(key);
      const { columns, rows, arc } = fineness;
      const key = [version, side, columns, rows, arc?.from, arc?.to].join(' ');
      const known = runs.get(key);
      if (known) {
        known.wanted.add(wants);
        return known.wall;
      }
      const wanted = new Set([wants]);
      const wall = run(key, wanted, prepared(), side, fineness);
      runs.set(key, { version, wanted, wall });
      const [oldest] = runs.keys();
      if (runs.size > MOST && oldest !== undefined) runs.delete(oldest);
      return wall;
    },
  };
}
