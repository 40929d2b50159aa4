import { type Vessel, vesselOf } from '../form/vessel.js';
import type { Made } from '../making/contract.js';
import { makeRing, pitchOf } from '../making/registry.js';
import { type Rad, rad } from '../measure/quantity.js';
import { done, type Result } from '../measure/reason.js';
import { type RingNeed, ringNeed } from '../ring/need.js';
import { type Course, courses } from '../ring/stack.js';
import type { Project, Ring } from './schema.js';

/** A ring with everything that drawings and counts ask of it. */
export interface PreparedRing {
  readonly ring: Ring;
  readonly course: Course;
  readonly need: RingNeed;
  readonly made: Result<Made>;
  /** Turned from the index mark, counter-clockwise from above. */
  readonly turn: Rad;
}

export interface Prepared {
  readonly vessel: Vessel;
  readonly rings: readonly PreparedRing[];
}

/** Works out the form and what each ring has to be; the project has been through `readProject` or `run`. */
export function prepare(project: Pick<Project, 'form' | 'rings' | 'allowances'>): Result<Prepared> {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return vessel;
  const stack = courses(project.rings.map((ring) => ring.heightMm));
  const rings = project.rings.map((ring, i): PreparedRing => {
    const need = ringNeed(vessel.value, stack[i]!, project.allowances);
    return {
      ring,
      course: stack[i]!,
      need,
      made: makeRing(ring.making, need),
      turn: rad(ring.turn * pitchOf(ring.making)),
    };
  });
  return done({ vessel: vessel.value, rings });
}
