import { vesselOf } from '../../form/vessel.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { courses, stackHeight } from '../../ring/stack.js';
import { MOST_RINGS, type Project, type Ring } from '../schema.js';

/** An id that no ring of the piece has. */
export function freshId(rings: readonly Ring[]): string {
  const taken = new Set(rings.map((ring) => ring.id));
  for (let n = rings.length + 1; ; n++) if (!taken.has(`r${n}`)) return `r${n}`;
}

const copyOf = (ring: Ring, id: string, turn: number): Ring => ({
  ...ring,
  woods: [...ring.woods],
  making: { ...ring.making },
  id,
  turn,
});

/** The top ring once more, set half a segment round from it. */
export function anotherOnTop(project: Project): void {
  const top = project.rings[project.rings.length - 1]!;
  project.rings.push(copyOf(top, freshId(project.rings), top.turn === 0 ? 0.5 : 0));
}

/**
 * Adds copies of the top ring until the stack reaches the form, and takes away rings that stand wholly above it.
 * Says in one sentence what it did; undefined when the stack fits already.
 */
export function fitStack(project: Project): string | undefined {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return undefined;
  const { heightMm } = vessel.value;
  const before = project.rings.length;
  const stack = courses(project.rings.map((ring) => ring.heightMm));
  const kept = stack.filter((course) => course.bottomMm < heightMm - SAME_LENGTH).length;
  project.rings.length = Math.max(1, kept);
  const reach = () => stackHeight(project.rings.map((ring) => ring.heightMm));
  while (reach() < heightMm - SAME_LENGTH && project.rings.length < MOST_RINGS) anotherOnTop(project);
  const change = project.rings.length - before;
  if (change === 0) return undefined;
  const rings = `${Math.abs(change)} ${Math.abs(change) === 1 ? 'ring' : 'rings'}`;
  return change > 0
    ? `${rings} added on top so that the stack reaches the lip.`
    : `${rings} above the lip taken away.`;
}
