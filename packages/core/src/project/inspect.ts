import { vesselOf } from '../form/vessel.js';
import { placesOf } from '../making/registry.js';
import { sayMm } from '../measure/format.js';
import { done, type Reason, type Result, refused } from '../measure/reason.js';
import { SAME_LENGTH } from '../measure/tolerance.js';
import { courses, stackHeight } from '../ring/stack.js';
import { type Project, projectSchema } from './schema.js';
import { reasonsOf } from './sentences.js';
import { upgraded } from './upgrade.js';

/**
 * Takes anything as a project: brings old versions up to date, checks shape and limits, then whether the parts fit
 * together. All reasons are returned at once.
 */
export function readProject(given: unknown): Result<Project> {
  const current = upgraded(given);
  if (!current.ok) return current;
  const parsed = projectSchema.safeParse(current.value);
  if (!parsed.success) return refused(...reasonsOf(parsed.error));
  const reasons = inspect(parsed.data);
  return reasons.length > 0 ? refused(...reasons) : done(parsed.data);
}

/** What does not fit together in a project whose fields are each allowed. */
export const inspect = (project: Project): Reason[] => [...formReasons(project), ...woodReasons(project)];

function formReasons(project: Project): Reason[] {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return [...vessel.reasons];
  const { heightMm } = vessel.value;
  const heights = project.rings.map((ring) => ring.heightMm);
  const total = stackHeight(heights);
  if (total < heightMm - SAME_LENGTH) {
    const short = `they are ${sayMm(heightMm - total)} short`;
    return [
      {
        code: 'stack-short',
        path: 'rings',
        message: `The rings add up to ${sayMm(total)} and do not reach the form's height of ${sayMm(heightMm)}: ${short}.`,
        limits: { least: heightMm },
      },
    ];
  }
  return courses(heights)
    .filter((course) => course.bottomMm >= heightMm - SAME_LENGTH)
    .map(({ index, bottomMm }) => ({
      code: 'ring-above-form',
      path: `rings.${index}`,
      message: `Ring ${index + 1} starts at ${sayMm(bottomMm)}, above the form, which ends at ${sayMm(heightMm)}.`,
      limits: { most: heightMm },
    }));
}

function woodReasons(project: Project): Reason[] {
  const keys = project.palette.map((entry) => entry.key);
  const twice = keys.filter((key, i) => keys.indexOf(key) !== i);
  const ids = project.rings.map((ring) => ring.id);
  const reasons: Reason[] = twice.map((key) => ({
    code: 'palette-twice',
    path: 'palette',
    message: `The palette key “${key}” is there twice.`,
  }));
  project.rings.forEach((ring, i) => {
    const places = placesOf(ring.making);
    const where = `rings.${i}`;
    if (ids.indexOf(ring.id) !== i)
      reasons.push({
        code: 'ring-id-twice',
        path: `${where}.id`,
        message: `Ring ${i + 1}: the id “${ring.id}” is taken by a ring below.`,
      });
    if (ring.woods.length !== places)
      reasons.push({
        code: 'wood-count',
        path: `${where}.woods`,
        message: `Ring ${i + 1} has ${places} ${places === 1 ? 'place' : 'places'} and ${ring.woods.length} woods; it needs one wood for each place.`,
      });
    for (const key of new Set(ring.woods.filter((wood) => !keys.includes(wood))))
      reasons.push({
        code: 'wood-unknown',
        path: `${where}.woods`,
        message: `Ring ${i + 1} uses “${key}”, which is not in the palette.`,
      });
  });
  return reasons;
}
