import { say, sayMm } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';
import { ringsSaid } from './said.js';

/** Rings thinner than this on one side of the lid line are no rings of their own (mm). */
const ON_THE_LINE = 0.05;

/** A ring that runs across the lid line: the lid is parted off between two rings, or one of them is sawn apart. */
export function lidChecks(subject: Subject): Check[] {
  const { rings, vessel, shut } = subject;
  const { lidMm, joined } = vessel;
  if (lidMm === null) return [];
  if (shut) return [SHUT_IN];
  const across = rings.flatMap(({ index, id, bottomMm, topMm, course }): Check[] => {
    if (bottomMm > lidMm - ON_THE_LINE || topMm < lidMm + ON_THE_LINE) return [];
    return [
      {
        code: 'lid-across',
        owners: [ringOwner(id)],
        message: joined
          ? say`The two halves are joined at ${sayMm(lidMm)}, which lies in ring ${index + 1}; join them between two rings.`
          : say`The lid line at ${sayMm(lidMm)} runs through ring ${index + 1}; body and lid part best between two rings.`,
        remedies: [{ does: 'split' as const, ring: index, atMm: lidMm - (bottomMm - course.bottomMm) }],
      },
    ];
  });
  return joined ? [...across, closedNote(subject, lidMm)] : across;
}

/** What is bored so that air is not shut in. */
const letAirOut = (through: string): string =>
  `Bore a hair of a hole through ${through}: air that is shut in moves with the weather.`;

/** A hollow that panels close all round. */
const SHUT_IN: Check = {
  code: 'closed-hollow',
  owners: [],
  message: say`The hollow has no mouth: panels close it as they are glued, and its inside stays as it is then. ${letAirOut('a panel, under the foot or behind an inlay')}`,
  remedies: [],
  note: true,
};

/** Where a hollow without a mouth is put together, and what closes it. */
function closedNote({ rings, vessel }: Subject, joinMm: number): Check {
  const upper = rings.find(({ bottomMm }) => bottomMm > joinMm - ON_THE_LINE);
  const solid = rings.filter(
    ({ bottomMm, topMm }) => topMm > vessel.hollowToMm + ON_THE_LINE && bottomMm < vessel.heightMm,
  );
  const under = rings.filter(({ bottomMm }) => bottomMm < vessel.hollowFromMm - ON_THE_LINE);
  const between = upper && upper.index > 0 ? say`, between rings ${upper.index} and ${upper.index + 1}` : '';
  const closes = (at: string, of: typeof rings) =>
    of.length > 0 ? say` ${ringsSaid(of)} ${of.length === 1 ? 'closes' : 'close'} it ${at}.` : '';
  return {
    code: 'closed-hollow',
    owners: [],
    message: say`The hollow has no mouth: it is turned in two halves that are joined at ${sayMm(joinMm)}${between}.${closes('below', under)}${closes('above', solid)} ${letAirOut('one end before the halves are joined')}`,
    remedies: [],
    note: true,
  };
}
