import {
  type Fineness,
  type MeshFineness,
  type Prepared,
  type RingMesh,
  ringMesh,
  type SampledRing,
  type SampledWall,
  type Side,
  type Stacking,
  sampling,
  stackUp,
} from '@fellside/core';

/** A shape to work on; the same version is the same shape. */
export interface Shape {
  readonly version: number;
  readonly stacking: Stacking;
}

/** Heavy geometry, for a worker or for where there is none: the answers are the same. */
export interface Geometry {
  /** A wall sampled; null when the same asker has asked for something else meanwhile. */
  sample(asker: string, shape: Shape, side: Side, fineness: Fineness): Promise<SampledWall | null>;
  /** The mesh of every ring, null for those that cannot be made; null when no longer asked for. */
  meshes(asker: string, shape: Shape, fineness: MeshFineness): Promise<(RingMesh | null)[] | null>;
}

/** Lets messages in between two stretches of work. */
const pause = () => new Promise<void>((go) => setTimeout(go, 0));

const sampledRings = ({ rings }: Prepared): SampledRing[] =>
  rings.map(({ made, turn, course }) => ({
    made: made.ok ? made.value : null,
    turn,
    bottomMm: course.bottomMm,
    topMm: course.topMm,
  }));

export function createGeometry(): Geometry {
  const asked = new Map<string, number>();
  let last: { version: number; prepared: Prepared | null } = { version: Number.NaN, prepared: null };
  const preparedOf = ({ version, stacking }: Shape): Prepared | null => {
    if (last.version !== version) {
      const stack = stackUp(stacking);
      last = { version, prepared: stack.ok ? stack.value : null };
    }
    return last.prepared;
  };
  /** Says whether what begins now is still wanted later. */
  const begin = (asker: string): (() => boolean) => {
    const mine = (asked.get(asker) ?? 0) + 1;
    asked.set(asker, mine);
    return () => asked.get(asker) === mine;
  };
  return {
    async sample(asker, shape, side, fineness) {
      const wanted = begin(asker);
      await pause();
      const prepared = wanted() ? preparedOf(shape) : null;
      if (!prepared) return null;
      const work = sampling(prepared.vessel, sampledRings(prepared), side, fineness);
      for (let step = work.next(); ; step = work.next()) {
        if (step.done) return step.value;
        await pause();
        if (!wanted()) return null;
      }
    },
    async meshes(asker, shape, fineness) {
      const wanted = begin(asker);
      await pause();
      const prepared = wanted() ? preparedOf(shape) : null;
      if (!prepared) return null;
      const meshes: (RingMesh | null)[] = [];
      for (const { made, turn, course } of prepared.rings) {
        meshes.push(made.ok ? ringMesh(made.value, turn, course.bottomMm, prepared.vessel, fineness) : null);
        await pause();
        if (!wanted()) return null;
      }
      return meshes;
    },
  };
}
