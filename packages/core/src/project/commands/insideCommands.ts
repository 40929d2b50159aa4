import type { CurvePoint } from '../../form/curve.js';
import { fitPoints, type Sample, within } from '../../form/fit.js';
import type { WallAt } from '../../form/shape.js';
import { insideAt, type Vessel, vesselOf, wallAt } from '../../form/vessel.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Project } from '../schema.js';
import type { Command, Outcome } from './command.js';

/** An edit of a wall given by thickness; an inside of its own has none. */
const onWall =
  (edit: (inside: { walls: WallAt[]; floorMm: Mm }, draft: Project) => Outcome | undefined) =>
  (draft: Project): Outcome | undefined => {
    const { inside } = draft.form;
    if (inside.by === 'wall') return edit(inside, draft);
    const message = 'The inside is a curve of its own and has no wall thickness; move its points instead.';
    return { reasons: [{ code: 'no-wall', path: 'form.inside', message }] };
  };

/** One thickness everywhere. */
export const setWall = (wallMm: Mm): Command => ({
  label: 'Wall thickness',
  apply: onWall((inside) => {
    if (inside.walls.length === 1) inside.walls[0]!.wallMm = wallMm;
    else inside.walls = [{ heightMm: mm(0), wallMm }];
    return undefined;
  }),
});

/** A thickness that changes with the height: straight between the heights given. */
export const setWalls = (walls: readonly WallAt[]): Command => ({
  label: 'Wall thickness by height',
  apply: onWall((inside) => {
    inside.walls = [...walls].sort((a, b) => a.heightMm - b.heightMm).map((wall) => ({ ...wall }));
    return undefined;
  }),
});

/** Height of the floor: of the wall's inside, or of the lowest point of an inside of its own. */
export const setFloor = (floorMm: Mm): Command => ({
  label: 'Floor thickness',
  apply({ form: { inside } }) {
    if (inside.by === 'wall') inside.floorMm = floorMm;
    else inside.points[0]!.heightMm = floorMm;
    return undefined;
  },
});

/** How near an inside of its own starts to the wall that it takes over from (mm). */
const TAKEN_OVER = 0.25;
const SAMPLES = 240;

/** Makes the inside a curve of its own that starts where the wall has been. */
export const freeInside = (): Command => ({
  label: 'Inside as a curve of its own',
  apply({ form }) {
    const vessel = vesselOf(form);
    if (!vessel.ok) return { reasons: vessel.reasons };
    const points = insidePoints(vessel.value);
    if (!points) {
      const message = 'The piece is solid and has no inside; lower the floor first.';
      return { reasons: [{ code: 'solid', path: 'form.inside', message }] };
    }
    form.inside = { by: 'curve', points };
    return undefined;
  },
});

function insidePoints(vessel: Vessel): CurvePoint[] | null {
  const { hollowFromMm: from, hollowToMm: to } = vessel;
  if (!vessel.inside) return null;
  const samples = Array.from({ length: SAMPLES + 1 }, (_, i): Sample => {
    const z = i === SAMPLES ? to : from + ((to - from) * i) / SAMPLES;
    return { r: insideAt(vessel, z) ?? 0, z };
  });
  return fitPoints(samples, within(samples, TAKEN_OVER));
}

/** Makes the inside follow the outside again, at the thickness that it has half way up. */
export const followWall = (): Command => ({
  label: 'Inside by wall thickness',
  apply({ form }) {
    const vessel = vesselOf(form);
    if (!vessel.ok) return { reasons: vessel.reasons };
    const { hollowFromMm, hollowToMm } = vessel.value;
    const wallMm = mm(Math.max(0.5, wallAt(vessel.value, (hollowFromMm + hollowToMm) / 2) ?? 6));
    form.inside = { by: 'wall', walls: [{ heightMm: mm(0), wallMm }], floorMm: mm(hollowFromMm) };
    return undefined;
  },
});
