import { wrap } from 'comlink';
import type { Geometry } from './geometry.js';

let geometry: Geometry | undefined;

/** The worker, started at the first question; null where there are no workers, and nothing sampled is drawn. */
export function geometryService(): Geometry | null {
  if (typeof Worker === 'undefined') return null;
  geometry ??= wrap<Geometry>(
    new Worker(new URL('./geometry.worker.ts', import.meta.url), { type: 'module' }),
  ) as unknown as Geometry;
  return geometry;
}
