import type { Chore, Equipment, Workshop } from '../../settings/workshop.js';
import type { Takes } from './job.js';

/** Glue takes the time of its label down to this (°C), and twice as long for every so many degrees less: a working rule, from memory. */
const AS_LABELLED = 18;
const TWICE_EACH = 10;

/** How many times as long glue takes in a shop as its label says. */
export const slowerBy = ({ shopCelsius }: Pick<Workshop['glue'], 'shopCelsius'>): number =>
  2 ** (Math.max(0, AS_LABELLED - shopCelsius) / TWICE_EACH);

/** Whether glue does not cure at all in a shop as cold. */
export const tooCold = ({ leastCelsius, shopCelsius }: Workshop['glue']): boolean =>
  shopCelsius < leastCelsius;

/** Hands alone, for so many of each chore. */
export function handwork(
  { minutes }: Pick<Workshop, 'minutes'>,
  chores: Partial<Record<Chore, number>>,
  on: Equipment | null = null,
): Takes {
  const hands = (Object.keys(chores) as Chore[]).reduce(
    (sum, chore) => sum + minutes[chore] * chores[chore]!,
    0,
  );
  return { hands, on, clamp: 0, cure: 0, breaks: true };
}

/** Hands, then clamps, then until it may be turned. */
export function gluing(
  workshop: Workshop,
  chores: Partial<Record<Chore, number>>,
  on: Equipment | null,
): Takes {
  const { glue } = workshop;
  const slower = slowerBy(glue);
  const clamp = glue.clampMinutes * slower;
  const cure = Math.max(0, glue.cureHours * 60 * slower - clamp);
  return { ...handwork(workshop, chores, on), clamp, cure, breaks: false };
}
