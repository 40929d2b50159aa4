import type { Cutting, Hand } from '../making/stock.js';
import { type Mm, mm, type Rad, rad } from '../measure/quantity.js';
import { type Said, say, sayMm, sayRad } from '../measure/said.js';
import { SAME_ANGLE, SAME_LENGTH } from '../measure/tolerance.js';
import { eachOnce, type Owner, type Roll } from '../ring/owner.js';
import type { Lumber, StripListEntry } from './lumber.js';

/** Pieces of one length at one setting of the saw: where the stop stands. */
export interface Stop {
  /** Long edge: what the stop is set to, and what the first test piece has to measure. */
  readonly edgeMm: Mm;
  readonly wood: string;
  readonly hand: Hand | null;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  readonly pieces: number;
  readonly spares: number;
  /** What its pieces go to. */
  readonly owners: readonly Owner[];
}

/** One setting of the saw: angle, tilt and how the strip goes; all stops that it serves, the longest first. */
export interface Setup {
  readonly cutAngle: Rad;
  readonly bladeTilt: Rad;
  readonly cutting: Cutting;
  /** Included angle of a wedge that sets the fence, or both fences. */
  readonly wedge: Rad;
  readonly stops: readonly Stop[];
  readonly cuts: number;
}

/**
 * The settings of the saw in the order that changes it least: the blade's tilt last changed, then the angle, then how the strip
 * goes, then the stop, longest edge first.
 */
export function setupsOf({ strips }: Pick<Lumber, 'strips'>): Setup[] {
  const groups: StripListEntry[][] = [];
  for (const list of strips) {
    const same = groups.find(([first]) => sameSetting(first!, list));
    if (same) same.push(list);
    else groups.push([list]);
  }
  return groups
    .map((lists): Setup => {
      const { cutAngle, bladeTilt, cutting } = lists[0]!;
      const stops = lists
        .flatMap(stopsOf)
        .sort((a, b) => b.edgeMm - a.edgeMm || a.wood.localeCompare(b.wood));
      return {
        cutAngle,
        bladeTilt,
        cutting,
        wedge: rad(2 * cutAngle),
        stops,
        cuts: stops.reduce((sum, { pieces, spares }) => sum + pieces + spares, 0),
      };
    })
    .sort(
      (a, b) => a.bladeTilt - b.bladeTilt || a.cutAngle - b.cutAngle || a.cutting.localeCompare(b.cutting),
    );
}

/** How often fewer the saw is set anew than when strips are cut ring by ring, in the order of the roll. */
export function changesSaved({ strips }: Pick<Lumber, 'strips'>, roll: Roll): number {
  const byOwner = strips
    .flatMap((list) => list.cuts.flatMap(({ owner }) => (owner ? [{ at: roll.indexOf(owner), list }] : [])))
    .sort((a, b) => a.at - b.at);
  const changes = byOwner.filter(({ list }, i) => i > 0 && !sameSetting(list, byOwner[i - 1]!.list)).length;
  return Math.max(0, changes - Math.max(0, setupsOf({ strips }).length - 1));
}

const sameSetting = (a: StripListEntry, b: StripListEntry): boolean =>
  a.cutting === b.cutting &&
  Math.abs(a.cutAngle - b.cutAngle) < SAME_ANGLE &&
  Math.abs(a.bladeTilt - b.bladeTilt) < SAME_ANGLE;

function stopsOf(list: StripListEntry): Stop[] {
  const stops: { -readonly [K in keyof Stop]: Stop[K] }[] = [];
  const { wood, widthMm, thicknessMm } = list;
  for (const { longEdgeMm, hand = null, owner, purpose, count } of list.cuts) {
    const spare = purpose !== 'piece';
    const own = stops.find(
      (stop) => Math.abs(stop.edgeMm - longEdgeMm) < SAME_LENGTH && (stop.hand === hand || spare),
    );
    const stop = own ?? {
      edgeMm: mm(longEdgeMm),
      wood,
      hand,
      widthMm,
      thicknessMm,
      pieces: 0,
      spares: 0,
      owners: [],
    };
    if (!own) stops.push(stop);
    if (spare) stop.spares += count;
    else stop.pieces += count;
    if (owner) stop.owners = eachOnce([...stop.owners, owner]);
  }
  return stops;
}

/** What is set and tried first, as sentences. */
export function setupSteps({ cutAngle, bladeTilt, wedge, cutting, stops }: Setup): Said[] {
  const first = stops[0];
  const square = cutAngle < SAME_ANGLE;
  return [
    square
      ? 'Set the fence square to the blade.'
      : say`Set the fence to ${sayRad(cutAngle, 'cut-angle')} from square; a wedge of ${sayRad(wedge)} between two fences, or between fence and blade turned over once, sets it better than the scale.`,
    ...(bladeTilt > SAME_ANGLE ? [say`Tilt the blade by ${sayRad(bladeTilt, 'blade-tilt')}.`] : []),
    HOW[cutting],
    ...(first && !square
      ? [
          say`First test cut: two pieces of ${sayMm(first.edgeMm, 'stop')} long edge, put together on a flat: their outer faces have to stand at ${sayRad(wedge)} to each other. Then dry-fit half a ring.`,
        ]
      : []),
  ];
}

const HOW: Record<Cutting, string> = {
  'turned-over':
    'Turn the strip over after every cut: long and short edges take turns, and only a kerf is lost.',
  'same-edge':
    'Keep the same edge out: cut, take the wedge off, cut again. The grain runs on from piece to piece.',
  'two-fences': 'Cut between two fences, the strip never turned over: left and right pieces come in turn.',
};
