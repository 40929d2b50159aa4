import { type Said, say } from '../../measure/said.js';
import type { Workshop } from '../../settings/workshop.js';
import type { Job, Need } from './job.js';
import type { RingJoining } from './joining.js';
import { gluing, handwork } from './takes.js';

/**
 * The gluing of a ring as its school has it, in place of the one step `glue`. The last of the jobs keeps that step's id: once it is done
 * the ring is glued, whichever way.
 */
export function joiningJobs(glue: Job, joints: number, joining: RingJoining, workshop: Workshop): Job[] {
  const { by, because } = joining;
  const part = (
    name: string,
    title: Said,
    says: Said,
    needs: readonly Need[],
    chores: number,
    clamped = true,
  ): Job => ({
    ...glue,
    id: `${glue.id}-${name}`,
    title: say`${glue.title}, ${title}`,
    says: [says],
    because: null,
    needs,
    takes: clamped
      ? gluing(workshop, { joint: chores }, by === 'opposite' || name === 'pairs' ? null : 'bands')
      : handwork(workshop, { step: 1 }),
    tool: clamped ? 'clamps' : 'sander',
    cautions: clamped ? glue.cautions : ['dust'],
    makes: null,
  });
  const after = ({ id }: Job): Need[] => [{ id, after: 'clamps' }];
  const last = (says: readonly Said[], needs: readonly Need[], chores: number): Job => ({
    ...glue,
    says: [...says, ...glue.says],
    because,
    needs,
    takes: gluing(workshop, { joint: chores }, by === 'opposite' ? null : 'bands'),
  });
  if (by === 'halves') {
    const pairs = part(
      'pairs',
      'pairs',
      say`Rub ${Math.floor(joints / 2)} pairs together with glue on both faces, end grain drinks, and let them set on a flat board.`,
      glue.needs,
      Math.floor(joints / 2),
    );
    const halves = part(
      'halves',
      'two halves',
      'Glue pairs into pairs of pairs and these into two halves, the two joints between the halves dry, with a dowel or a strip of film in each.',
      after(pairs),
      Math.max(1, joints - Math.floor(joints / 2) - 2),
    );
    const trued = part(
      'true',
      'true the halves',
      'Sand the two ends of each half straight and square on a flat board, both at once, until the halves meet without light.',
      after(halves),
      0,
      false,
    );
    return [pairs, halves, trued, last(['Glue the two halves together.'], after(trued), 2)];
  }
  if (by === 'quadrants') {
    const quarters = part(
      'quarters',
      'quarters',
      'Glue the segments of each quarter with the spacers between them, the ring laid out dry round them.',
      glue.needs,
      Math.max(1, joints - 4),
    );
    return [quarters, last(['Glue the four quarters together round the last spacers.'], after(quarters), 4)];
  }
  if (by === 'opposite') {
    // The first rounds are rubbed together; the last ones meet all round.
    const first = part(
      'first',
      'first joints',
      say`Glue opposite joints, two at a time, the other segments laid dry between them so that nothing slides: ${Math.max(1, Math.floor(joints / 2) - 1)} rounds.`,
      glue.needs,
      Math.max(1, joints - 2),
    );
    return [first, last(['Glue the last two joints.'], after(first), 2)];
  }
  return [last(['Spread glue on both faces of every joint: end grain drinks.'], glue.needs, joints)];
}
