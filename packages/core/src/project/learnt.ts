import { bodyOf } from '../making/registry.js';
import type { RememberedSetup } from '../settings/setups.js';
import { frameOf } from '../simulate/frame.js';
import { type PreparedRing, prepare } from './prepare.js';
import type { Ripping } from './ripping.js';
import type { Project, Ring } from './schema.js';

/** What a shop's own measurements say of one of its errors: one standard deviation about what was planned, and on how many it rests. */
export interface Learnt {
  readonly kind: 'settingDeg' | 'thicknessMm' | 'slicedMm' | 'stopMm';
  /** Degrees or mm, as the kind has it. */
  readonly spread: number;
  readonly count: number;
}

/** Fewer measurements than this say nothing of a spread. */
export const LEAST_LEARNT = 5;

/** How far measured rings came out from what was planned, over all these pieces: thicknesses, and diameters brought back to the stop; and how far off remembered set-ups were. */
export function learntFrom(
  projects: readonly Project[],
  setups: readonly RememberedSetup[] = [],
  ripping?: Ripping,
): Learnt[] {
  const off: Record<Learnt['kind'], number[]> = {
    settingDeg: setups.map(({ outByDeg }) => outByDeg),
    thicknessMm: [],
    slicedMm: [],
    stopMm: [],
  };
  for (const project of projects) {
    if (!project.rings.some(({ measured }) => measured)) continue;
    const planned = prepare({ ...project, rings: project.rings.map(unmeasured) }, ripping);
    project.rings.forEach(({ measured, heightMm, making }, i) => {
      if (measured?.heightMm !== undefined)
        off[bodyOf(making) === null ? 'thicknessMm' : 'slicedMm'].push(measured.heightMm - heightMm);
      const meant =
        planned.ok && measured?.diameterMm !== undefined ? meantStop(planned.value.rings[i]!) : null;
      if (meant) off.stopMm.push((measured!.diameterMm! - meant.diameterMm) * meant.stopPerDiameter);
    });
  }
  return (Object.keys(off) as Learnt['kind'][]).flatMap((kind) => {
    const errors = off[kind];
    if (errors.length === 0) return [];
    const squares = errors.reduce((sum, error) => sum + error * error, 0);
    return [{ kind, spread: Math.sqrt(squares / errors.length), count: errors.length }];
  });
}

const unmeasured = ({ measured: _, ...ring }: Ring): Ring => ring;

/** What a ring is to measure across its flats, and what a stop is out by for every mm of that: tan θ of segments that are all alike. */
function meantStop({ made }: PreparedRing) {
  const frame = made.ok ? frameOf(made.value) : null;
  const cut = frame?.units[0]?.cutFrom ?? 0;
  if (!made.ok || cut <= 0) return null;
  return { diameterMm: 2 * made.value.gives.outerRadiusMm, stopPerDiameter: Math.tan(cut) };
}
