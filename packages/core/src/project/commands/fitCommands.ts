import { type Fit, fitCorridor, type Gate } from '../../form/corridor.js';
import { extremes } from '../../form/curve.js';
import type { Vessel } from '../../form/vessel.js';
import { mm } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayList, sayMm } from '../../measure/said.js';
import { SAME_SETTING } from '../../measure/tolerance.js';
import { type PreparedRing, prepare } from '../prepare.js';
import type { Project } from '../schema.js';
import type { Command } from './command.js';
import { type Parts, withParts } from './parts.js';

/** The hollow is never drawn narrower than this (mm). */
const LEAST_HOLLOW = 2;
/** Times at most that the corridor is made narrower where the wall, square to the slope, came too far in. */
const ROUNDS = 12;

/**
 * Fits the outside into what the rings give, less the allowances: the form takes the height of the stack, its wall and
 * its floor stay, the floor at most as high as the first ring with a hole.
 */
export const fitForm = (fit: Fit): Command => ({
  label: fit === 'tightest' ? 'Tightest curve in the rings' : 'Smoothest curve in the rings',
  apply(draft) {
    const fitted = fittedForm(draft, fit);
    if (!fitted.ok) return { reasons: fitted.reasons };
    draft.form = fitted.value.form;
    const { takenMm, without } = fitted.value;
    const notes = [
      takenMm > SAME_SETTING && say`The wall takes up to ${sayMm(takenMm)} of what is left on inside.`,
      without.length > 0 &&
        `The ${without.join(' and the ')} did not go with the new curve and was left out.`,
    ].filter((note) => note !== false);
    return notes.length > 0 ? { note: sayList(notes, ' ') } : undefined;
  },
});

function fittedForm(draft: Project, fit: Fit): Result<Fitted> {
  const { inside } = draft.form;
  if (inside.by === 'curve')
    return refuse(
      'own-inside',
      'form.inside',
      'The inside is a curve of its own; set a wall thickness first, then the form can be fitted to the rings.',
    );
  // A form no lower than any ring, so that every ring says what it gives.
  const rings = withoutForm(draft);
  if (!rings.ok) return rings;
  const holed = rings.value.find(({ made }) => made.ok && made.value.gives.innerRadiusMm > 0);
  if (holed?.course.index === 0)
    return refuse(
      'no-floor',
      'rings.0',
      'The lowest ring has a hole; put a solid ring under it, or the piece has no floor.',
    );
  const floorMm = mm(Math.min(inside.floorMm, holed?.course.bottomMm ?? inside.floorMm));
  const wall = Math.max(...inside.walls.map(({ wallMm }) => wallMm));
  const asked = rings.value.map((ring) => gateOf(ring, draft, wall, floorMm));
  const shut = asked.find((gate) => !gate.ok);
  if (shut && !shut.ok) return shut;
  let gates = asked.flatMap((gate) => (gate.ok ? [gate.value] : []));
  let best: Fitted | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    const points = fitCorridor(gates, fit);
    if (!points.ok && !best) return points;
    if (!points.ok) break;
    const made = withParts({ ...draft.form, points: points.value, inside: { ...inside, floorMm } });
    if (!made.ok) return made;
    const deficits = rings.value.map((ring) => deficit(ring, made.value.vessel, draft));
    const takenMm = Math.max(...deficits);
    if (!best || takenMm < best.takenMm) best = { ...made.value, takenMm };
    if (takenMm <= SAME_SETTING) break;
    gates = gates.map((gate, i) => ({ ...gate, least: gate.least + deficits[i]! }));
  }
  return best!.takenMm <= draft.allowances.insideMm
    ? done(best!)
    : refuse(
        'no-room-inside',
        'rings',
        say`No curve found leaves the wall in the rings: the inside would come ${sayMm(best!.takenMm - draft.allowances.insideMm)} too near the axis. Use wider rings or a thinner wall.`,
      );
}

/** A form that lies in its rings, and how much of the inside allowance its wall takes at worst (mm). */
interface Fitted extends Parts {
  readonly takenMm: number;
}

/** Rings at the size they have by themselves; those that follow the form keep the size they have now. */
function withoutForm(draft: Project): Result<readonly PreparedRing[]> {
  const now = prepare(draft);
  if (!now.ok) return now;
  const above = now.value.rings.filter(({ made }) => !made.ok);
  const odd = above.find(({ ring }) => !ring.fixed);
  if (odd)
    return refuse(
      'no-size',
      `rings.${odd.course.index}`,
      say`Ring ${odd.course.index + 1} follows the form and has no size of its own yet; fix its size or take it away first.`,
    );
  if (above.length === 0) return done(now.value.rings);
  const top = now.value.rings.at(-1)!.course.topMm;
  const points = draft.form.points.map((point) => ({ ...point }));
  points[points.length - 1]!.heightMm = top;
  return prepareRings({ ...draft, form: { ...draft.form, points, lid: null } });
}

function prepareRings(project: Project) {
  const prepared = prepare(project);
  return prepared.ok ? done(prepared.value.rings) : prepared;
}

/** Radii that the outside may have in a ring so that the wall lies in its wood. */
function gateOf({ made, course }: PreparedRing, draft: Project, wall: number, floorMm: number): Result<Gate> {
  if (!made.ok) return made;
  const { outerRadiusMm, innerRadiusMm } = made.value.gives;
  const { outsideMm, insideMm } = draft.allowances;
  const hollow = course.topMm > floorMm ? LEAST_HOLLOW : 1 - wall;
  const least = wall + (innerRadiusMm > 0 ? Math.max(hollow, innerRadiusMm + insideMm) : hollow);
  return done({ z0: course.bottomMm, z1: course.topMm, least, most: outerRadiusMm - outsideMm });
}

/** By how much the inside comes closer to the axis than a ring's hole and its allowance (mm). */
function deficit({ made, course }: PreparedRing, vessel: Vessel, { allowances }: Project): number {
  if (!made.ok || made.value.gives.innerRadiusMm === 0 || !vessel.inside) return 0;
  const { least } = extremes(vessel.inside, course.bottomMm, course.topMm);
  return Math.max(0, made.value.gives.innerRadiusMm + allowances.insideMm - least);
}
