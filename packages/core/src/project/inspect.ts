import { vesselOf } from '../form/vessel.js';
import { placesOf } from '../making/registry.js';
import { done, type Reason, type Result, refused } from '../measure/reason.js';
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
export function inspect(project: Project): Reason[] {
  const vessel = vesselOf(project.form);
  return vessel.ok ? woodReasons(project) : [...vessel.reasons, ...woodReasons(project)];
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
