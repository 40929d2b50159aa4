import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { Member, RingNeed } from '../../ring/need.js';

/** Left round every disc that is scribed on a board: for the kerf of the bandsaw and an unsteady hand, mm. */
export const DISC_ROOM = 5;

/** A disc that is scribed on a board: its section by number, its radius, and where its middle lies along the board. */
export interface Scribed {
  readonly section: number;
  readonly radiusMm: number;
  readonly atMm: number;
}

/** A board of strips with the discs that are scribed on it, their middles on the register strip. */
export interface DiscBoard {
  readonly lengthMm: number;
  readonly discs: readonly Scribed[];
}

/** Radius of the disc that all rings of a section come from: the farthest any of them reaches. */
export const discRadius = (members: readonly Member[]): number =>
  Math.max(...members.map(({ outerRadiusMm }) => outerRadiusMm));

/**
 * Discs side by side along boards no longer than `longestMm`, in the order of the work: a board is as long as its discs and
 * the room round each, `Σ 2r + (n + 1)·room`. One disc always goes on.
 */
export function discBoards(radiiMm: readonly number[], longestMm: number): DiscBoard[] {
  const boards: { lengthMm: number; discs: Scribed[] }[] = [];
  radiiMm.forEach((radiusMm, section) => {
    const takes = 2 * radiusMm + DISC_ROOM;
    const last = boards.at(-1);
    if (last && last.lengthMm + takes <= longestMm + SAME_LENGTH) {
      last.discs.push({ section, radiusMm, atMm: last.lengthMm + radiusMm });
      last.lengthMm += takes;
    } else
      boards.push({
        lengthMm: takes + DISC_ROOM,
        discs: [{ section, radiusMm, atMm: DISC_ROOM + radiusMm }],
      });
  });
  return boards;
}

/** The board that a section is scribed on with others, and whether its strips are counted with this section. */
export interface SharedBoard extends DiscBoard {
  /** Tells it from other boards: the section that is scribed first on it. */
  readonly name: string;
  /** Number of the section among those of its board. */
  readonly index: number;
  readonly holds: boolean;
  /** Members of every section on it, in the order of its discs. */
  readonly sections: readonly (readonly Member[])[];
}

/** The board of a section, or null where each section has one of its own. Strips are counted with the largest disc. */
export function sharedBoard(need: RingNeed, longestMm: number | undefined): SharedBoard | null {
  if (longestMm === undefined) return null;
  const members = need.body?.members ?? [need];
  const { bodies, names, index } = need.body?.board ?? { bodies: [members], names: ['alone'], index: 0 };
  const board = discBoards(bodies.map(discRadius), longestMm).find(({ discs }) =>
    discs.some(({ section }) => section === index),
  )!;
  const largest = board.discs.reduce((most, disc) => (disc.radiusMm > most.radiusMm ? disc : most));
  return {
    ...board,
    name: names[board.discs[0]!.section]!,
    index: board.discs.findIndex(({ section }) => section === index),
    holds: largest.section === index,
    sections: board.discs.map(({ section }) => bodies[section]!),
  };
}
