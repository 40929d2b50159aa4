import { type Vessel, vesselOf } from '../form/vessel.js';
import type { Made } from '../making/contract.js';
import { makeRing, pitchOf, ringAsMeasured } from '../making/registry.js';
import { sayMm } from '../measure/format.js';
import { mm, type Rad, rad } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { needOf, type RingNeed, wallBand } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import { type Course, courses } from '../ring/stack.js';
import type { Project, Ring } from './schema.js';

/** A ring with everything that drawings and counts ask of it. */
export interface PreparedRing {
  readonly ring: Ring;
  readonly course: Course;
  /** The turned wall in this ring, without allowance. */
  readonly wall: Band;
  /** What the form asks of the ring, allowances included. */
  readonly need: RingNeed;
  /** The ring as it is planned, or as it was made. */
  readonly made: Result<Made>;
  /** Turned from the index mark, counter-clockwise from above. */
  readonly turn: Rad;
}

export interface Prepared {
  readonly vessel: Vessel;
  readonly rings: readonly PreparedRing[];
}

/** A ring's height as it stands in the stack: as measured, else as planned (mm). */
export const heightOf = (ring: Ring) => ring.measured?.heightMm ?? ring.heightMm;

/** Works out the form and what each ring has to be; the project has been through `readProject` or `run`. */
export function prepare(project: Pick<Project, 'form' | 'rings' | 'allowances'>): Result<Prepared> {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return vessel;
  const stack = courses(project.rings.map(heightOf));
  const rings = project.rings.map((ring, i) =>
    prepareRing(ring, stack[i]!, vessel.value, project.allowances),
  );
  return done({ vessel: vessel.value, rings });
}

const NO_BAND: Band = { outerMm: 0, innerMm: 0 };

function prepareRing(
  ring: Ring,
  course: Course,
  vessel: Vessel,
  allowances: Project['allowances'],
): PreparedRing {
  const turn = rad(ring.turn * pitchOf(ring.making));
  if (course.bottomMm >= vessel.heightMm - SAME_LENGTH) {
    const above = `It starts at ${sayMm(course.bottomMm)}, above the form, which ends at ${sayMm(vessel.heightMm)}.`;
    const need = { outerMm: mm(0), innerMm: mm(0), heightMm: heightOf(ring) };
    return { ring, course, wall: NO_BAND, need, made: refuse('ring-above-form', '', above), turn };
  }
  const wall = wallBand(vessel, course);
  const need = needOf(wall, course, allowances);
  return { ring, course, wall, need, made: makeRing(ring.making, sizeOf(ring, need)), turn };
}

/** The size a ring is made to: as measured, else as fixed, else what the form asks for. */
function sizeOf({ fixed, measured, making }: Ring, need: RingNeed): RingNeed {
  const planned = fixed ? { ...need, ...fixed } : need;
  return measured?.diameterMm === undefined
    ? planned
    : ringAsMeasured(making, planned, mm(measured.diameterMm / 2));
}
