import { say } from '../measure/said.js';
import { eachOnce } from '../ring/owner.js';
import type { Check, Subject } from './check.js';

/** Leaning pieces cut between two fences of which one hand finds no use in the piece. */
export const otherHandChecks = ({ lumber, roll }: Subject): Check[] => {
  const left = lumber.strips.flatMap(({ cuts }) => cuts.filter(({ purpose }) => purpose === 'other-hand'));
  if (left.length === 0) return [];
  const pieces = left.reduce((sum, { count }) => sum + count, 0);
  const edges = new Set(left.map(({ longEdgeMm }) => longEdgeMm));
  const owners = eachOnce(
    lumber.strips.flatMap(({ cuts }) =>
      cuts.flatMap(({ owner, longEdgeMm }) => (owner && edges.has(longEdgeMm) ? [owner] : [])),
    ),
  ).sort((a, b) => roll.indexOf(a) - roll.indexOf(b));
  const rings = owners.flatMap((owner) => (owner.of === 'ring' ? [roll.indexOf(owner)] : []));
  const message = say`${pieces} leaning pieces of the other hand come out between the two fences and are not used: plan a mirror-image piece from them (on the shelf), let the rings lean left and right in turn for a wave, or cut one hand only and waste a wedge each time.`;
  return [
    {
      code: 'other-hand',
      owners,
      message,
      remedies: [
        ...(rings.length > 1 ? [{ does: 'alternate-hands' as const, rings }] : []),
        { does: 'cut-one-hand', rings },
      ],
    },
  ];
};
