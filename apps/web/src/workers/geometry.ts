import {
  asBuilt,
  type Dress,
  type Errors,
  type Fineness,
  type MeshFineness,
  type Method,
  meshesOf,
  type Prepared,
  type Ripping,
  type SampledWall,
  type Side,
  type Stacking,
  type StackMesh,
  stackUp,
} from '@fellside/core';
import { createSkins, type DrawnSkin } from './skins.js';
import { createWalls } from './walls.js';

/** A shape to work on; the same version is the same shape. */
export interface Shape {
  readonly version: number;
  readonly stacking: Stacking;
  readonly ripping: Ripping;
  /** As one build of it comes out; left out where it is as drawn. */
  readonly build?: { readonly errors: Errors; readonly method: Method; readonly seed: number };
}

/** Heavy geometry, for a worker or for where there is none: the answers are the same. */
export interface Geometry {
  /** A wall sampled; null when the same asker has asked for something else meanwhile. */
  sample(asker: string, shape: Shape, side: Side, fineness: Fineness): Promise<SampledWall | null>;
  /** The whole surface of the turned piece in its woods, so many points round; null when no longer asked for. */
  skin(asker: string, shape: Shape, columns: number, dress: Dress): Promise<DrawnSkin | null>;
  /** The meshes of all rings and bands that can be made; null when no longer asked for. */
  meshes(asker: string, shape: Shape, fineness: MeshFineness): Promise<StackMesh[] | null>;
  /** What this asker asked for is wanted no longer: it is left where it is. */
  drop(asker: string): Promise<void>;
}

/** Lets messages in between two stretches of work. */
const pause = () =>
  new Promise<void>((go) => {
    // Timers that follow one another wait four milliseconds each; messages do not.
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      go();
    };
    port2.postMessage(null);
  });

export function createGeometry(): Geometry {
  const asked = new Map<string, number>();
  let last: { version: number; prepared: Prepared | null } = { version: Number.NaN, prepared: null };
  const preparedOf = ({ version, stacking, ripping, build }: Shape): Prepared | null => {
    if (last.version !== version) {
      const stack = stackUp(stacking, ripping);
      const shown = stack.ok && build ? asBuilt(stack.value, build.errors, build.method, build.seed) : stack;
      last = { version, prepared: shown.ok ? shown.value : null };
    }
    return last.prepared;
  };
  /** Says whether what begins now is still wanted later. */
  const begin = (asker: string): (() => boolean) => {
    const mine = (asked.get(asker) ?? 0) + 1;
    asked.set(asker, mine);
    return () => asked.get(asker) === mine;
  };
  const walls = createWalls(pause);
  const skins = createSkins(pause);
  return {
    async drop(asker) {
      begin(asker);
    },
    async sample(asker, shape, side, fineness) {
      const wanted = begin(asker);
      await pause();
      if (!wanted()) return null;
      const wall = await walls.ask(shape.version, side, fineness, wanted, () => preparedOf(shape));
      return wanted() ? wall : null;
    },
    async skin(asker, shape, columns, dress) {
      const wanted = begin(asker);
      await pause();
      const prepared = wanted() ? preparedOf(shape) : null;
      return prepared && skins.ask(shape.version, columns, dress, wanted, prepared);
    },
    async meshes(asker, shape, fineness) {
      const wanted = begin(asker);
      await pause();
      const prepared = wanted() ? preparedOf(shape) : null;
      if (!prepared) return null;
      const meshes: StackMesh[] = [];
      for (const mesh of meshesOf(prepared, fineness)) {
        meshes.push(mesh);
        await pause();
        if (!wanted()) return null;
      }
      return meshes;
    },
  };
}
