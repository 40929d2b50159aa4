import type { Form } from '../../form/shape.js';
import { type Vessel, vesselOf } from '../../form/vessel.js';
import { done, type Result } from '../../measure/reason.js';

/** A form with its lid and recess as far as they go with it. */
export interface Parts {
  readonly form: Form;
  readonly vessel: Vessel;
  readonly without: readonly string[];
}

/** Keeps lid and foot recess where they fit the new curve, and leaves out what does not. */
export function withParts(form: Form): Result<Parts> {
  const tries: readonly (readonly [string[], Partial<Form>])[] = [
    [[], {}],
    [['foot recess'], { recess: null }],
    [['lid'], { lid: null }],
    [['lid', 'foot recess'], { lid: null, recess: null }],
  ];
  for (const [without, change] of tries) {
    const kept = { ...form, ...change };
    const vessel = vesselOf(kept);
    if (vessel.ok) return done({ form: kept, vessel: vessel.value, without });
    if (without.length === 2) return vessel;
  }
  throw new Error('no try was the last');
}
