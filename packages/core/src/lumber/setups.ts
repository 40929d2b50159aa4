import type { Cutting, Hand } from '../making/stock.js';
import { type Mm, type Rad, rad } from '../measure/quantity.js';
import { type Said, say, sayMm, sayRad } from '../measure/said.js';
import { SAME_ANGLE, SAME_LENGTH } from '../measure/tolerance.js';
import { eachOnce, type Owner, type Roll } from '../ring/owner.js';
import type { Lumber, StripEntry } from './lumber.js';

/** What is cut at a stop from one wood. */
export interface StopWood {
  readonly wood: string;
  readonly hand: Hand | null;
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
  readonly pieces: number;
  readonly tests: number;
  /** Spares, and pieces of the other hand. */
  readonly spares: number;
  /** What its pieces go to. */
  readonly owners: readonly Owner[];
}

/** Pieces of one length at one setting of the saw: where the stop stands, and under it the woods that are cut there. */
export interface Stop {
  /** Long edge: what the stop is set to, and what the first test piece has to measure. */
  readonly edgeMm: Mm;
  readonly woods: readonly StopWood[];
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
  const woods = [...new Set(strips.map(({ wood }) => wood))];
  const groups: StripEntry[][] = [];
  for (const list of strips) {
    const same = groups.find(([first]) => sameSetting(first!, list));
    if (same) same.push(list);
    else groups.push([list]);
  }
  return groups
    .map((lists): Setup => {
      const { cutAngle, bladeTilt, cutting } = lists[0]!;
      const stops = stopsOf(lists, woods);
      const cuts = stops.flatMap(({ woods }) => woods.map((of) => of.pieces + of.tests + of.spares));
      return {
        cutAngle,
        bladeTilt,
        cutting,
        wedge: rad(2 * cutAngle),
        stops,
        cuts: cuts.reduce((a, b) => a + b, 0),
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

const sameSetting = (a: StripEntry, b: StripEntry): boolean =>
  a.cutting === b.cutting &&
  Math.abs(a.cutAngle - b.cutAngle) < SAME_ANGLE &&
  Math.abs(a.bladeTilt - b.bladeTilt) < SAME_ANGLE;

/** Stops of strips that are sawn at one setting, the longest edge first; at every stop the woods in the same order. */
function stopsOf(lists: readonly StripEntry[], woods: readonly string[]): Stop[] {
  const stops: { edgeMm: Mm; woods: Mutable<StopWood>[] }[] = [];
  for (const { wood, widthMm, thicknessMm, cuts } of lists)
    for (const { longEdgeMm, hand = null, owner, purpose, count } of cuts) {
      const known = stops.find(({ edgeMm }) => Math.abs(edgeMm - longEdgeMm) < SAME_LENGTH);
      const stop = known ?? { edgeMm: longEdgeMm, woods: [] };
      if (!known) stops.push(stop);
      const own = stop.woods.find(
        (of) =>
          of.wood === wood &&
          of.widthMm === widthMm &&
          of.thicknessMm === thicknessMm &&
          (of.hand === hand || purpose !== 'piece'),
      );
      const row = own ?? { wood, hand, widthMm, thicknessMm, pieces: 0, tests: 0, spares: 0, owners: [] };
      if (!own) stop.woods.push(row);
      row[purpose === 'piece' ? 'pieces' : purpose === 'test' ? 'tests' : 'spares'] += count;
      if (owner) row.owners = eachOnce([...row.owners, owner]);
    }
  for (const stop of stops) stop.woods.sort((a, b) => woods.indexOf(a.wood) - woods.indexOf(b.wood));
  return stops.sort((a, b) => b.edgeMm - a.edgeMm);
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** Stops of a setting that can be brought together: they differ by no more than `mostMm`, and the longest serves all. */
export function stopsTogether(stops: readonly Stop[], mostMm: number): Stop[][] {
  const runs: Stop[][] = [];
  for (const stop of stops) {
    const run = runs.at(-1);
    if (run && run[0]!.edgeMm - stop.edgeMm <= mostMm) run.push(stop);
    else runs.push([stop]);
  }
  return runs.filter(({ length }) => length > 1);
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
