import { extremes } from '../form/curve.js';
import { insideAt, type Vessel } from '../form/vessel.js';
import { hollowVolume, outsideVolume } from '../form/volume.js';
import { sharesOf } from '../surface/round.js';
import type { Prepared } from './prepare.js';

/** What the turned piece comes to, mm³: each wood that is left in it, by species, and the hollow. */
export interface Finished {
  readonly byWood: ReadonlyMap<string, number>;
  readonly hollowMm3: number;
}

/** Volumes of the turned piece; `woodOf` gives the species of a palette key. Rings that cannot be made hold no wood. */
export function finishedVolumes({ vessel, rings }: Prepared, woodOf: ReadonlyMap<string, string>): Finished {
  const byWood = new Map<string, number>();
  const add = (wood: string, volume: number) => byWood.set(wood, (byWood.get(wood) ?? 0) + volume);
  let hollowMm3 = 0;
  for (const { ring, course, made } of rings) {
    const top = Math.min(course.topMm, vessel.heightMm);
    const hollow = hollowVolume(vessel, course.bottomMm, top);
    hollowMm3 += hollow;
    if (!made.ok) continue;
    const volume = outsideVolume(vessel, course.bottomMm, top) - hollow;
    const present = new Set(ring.woods.map((key) => woodOf.get(key)!));
    if (present.size === 1) add([...present][0]!, volume);
    else
      for (const [place, share] of sharesOf(made.value, middleOfWall(vessel, course.bottomMm, top)))
        add(woodOf.get(ring.woods[place]!)!, volume * share);
  }
  return { byWood, hollowMm3 };
}

/** A radius that lies in the blank of the ring between two heights, whatever the slope of its wall. */
function middleOfWall(vessel: Vessel, bottom: number, top: number): number {
  const { least } = extremes(vessel.outside, bottom, top);
  return (least + Math.max(0, insideAt(vessel, top) ?? 0, insideAt(vessel, bottom) ?? 0)) / 2;
}
