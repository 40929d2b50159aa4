import { accountRows } from '../lumber/accountRows.js';
import type { Buying } from '../lumber/layout/buying.js';
import { laidContents, sayLaid } from '../lumber/layout/laidRows.js';
import type { WoodLayout } from '../lumber/layout/placed.js';
import { setupsOf } from '../lumber/setups.js';
import { CUTTING_SAID, sayContents, stripRows } from '../lumber/stripRows.js';
import { trimZeros, type UnitSystem } from '../measure/format.js';
import { sentenceIn } from '../measure/said.js';
import type { Plan } from '../project/plan.js';
import { type Roll, rollOf } from '../ring/owner.js';
import type { Species } from '../wood/species.js';
import { csvOf } from './csv.js';
import { writer } from './writer.js';

/** Every ring with its height, size and what it rests on. */
export function ringsCsv(plan: Plan, woods: readonly Species[], system: UnitSystem): string {
  const { unit, size, angle } = writer(woods, system);
  return csvOf(
    plan.rings.map(({ index, bottomMm, topMm, gives, cornerMm, overlapMm, turn, pieces }) => ({
      ring: index + 1,
      [`from ${unit}`]: size(bottomMm),
      [`to ${unit}`]: size(topMm),
      [`outside diameter ${unit}`]: gives ? size(2 * gives.outerRadiusMm) : '',
      [`hole diameter ${unit}`]: gives ? size(2 * gives.innerRadiusMm) : '',
      [`corner radius ${unit}`]: size(cornerMm),
      [`glue width ${unit}`]: overlapMm === null ? '' : size(overlapMm),
      'turn segments': trimZeros(turn.segments.toFixed(4)),
      'turn °': angle(turn.angle),
      pieces: pieces.reduce((sum, { count }) => sum + count, 0),
    })),
  );
}

/** Strips by wood and setting, a row for each that is ripped; then blocks. */
export function stripsCsv(plan: Plan, woods: readonly Species[], system: UnitSystem): string {
  const { unit, size, wood, angle } = writer(woods, system);
  const roll = rollOf(plan);
  const strips = stripRows(plan.lumber).flatMap((list) =>
    list.strips.map(
      ({ lengthMm, contents }): Record<string, string | number> => ({
        wood: wood(list.wood),
        what: 'strip',
        count: 1,
        [`length ${unit}`]: size(lengthMm),
        [`width ${unit}`]: size(list.widthMm),
        [`planed ${unit}`]: size(list.thicknessMm),
        from: list.quarter,
        'cut angle °': angle(list.cutAngle),
        'blade tilt °': angle(list.bladeTilt),
        cutting: CUTTING_SAID[list.cutting],
        pieces: sayContents(contents, roll),
      }),
    ),
  );
  const blocks = plan.lumber.panels.map(
    (panel): Record<string, string | number> => ({
      wood: wood(panel.wood),
      what: sentenceIn(panel.name, system),
      count: panel.count,
      [`length ${unit}`]: size(panel.lengthMm),
      [`width ${unit}`]: size(panel.widthMm),
      [`planed ${unit}`]: size(panel.thicknessMm),
      from: panel.quarter,
      'cut angle °': '',
      'blade tilt °': '',
      cutting: '',
      pieces: roll.nameOf(panel.owner),
    }),
  );
  return csvOf([...strips, ...blocks]);
}

/** Settings of the saw in the order in which it is set, a row for every stop. */
export function setupsCsv(plan: Plan, woods: readonly Species[], system: UnitSystem): string {
  const { unit, size, wood, angle } = writer(woods, system);
  const { nameOf } = rollOf(plan);
  return csvOf(
    setupsOf(plan.lumber).flatMap(({ cutAngle, bladeTilt, wedge, cutting, stops }, i) =>
      stops.map((stop) => ({
        setting: i + 1,
        'cut angle °': angle(cutAngle),
        'blade tilt °': angle(bladeTilt),
        'wedge °': angle(wedge),
        cutting: CUTTING_SAID[cutting],
        [`stop ${unit}`]: size(stop.edgeMm),
        hand: stop.hand ?? '',
        wood: wood(stop.wood),
        [`strip width ${unit}`]: size(stop.widthMm),
        [`thickness ${unit}`]: size(stop.thicknessMm),
        pieces: stop.pieces,
        spares: stop.spares,
        for: stop.owners.map(nameOf).join(', '),
      })),
    ),
  );
}

/** Where the wood goes, in board feet: a row a wood, a column a step. */
export const accountCsv = (plan: Plan, woods: readonly Species[], system: UnitSystem): string => {
  const { wood, feet } = writer(woods, system);
  return csvOf(
    plan.lumber.woods.map((total) => ({
      wood: wood(total.wood),
      ...Object.fromEntries(
        accountRows(total.ledger).map(({ name, mm3 }) => [`${name.toLowerCase()} bd ft`, feet(mm3)]),
      ),
    })),
  );
};

/** Boards as they are sawn: a row for every strip. */
export function layoutCsv(
  layouts: readonly WoodLayout[],
  woods: readonly Species[],
  system: UnitSystem,
  roll: Roll,
): string {
  const { unit, size, wood } = writer(woods, system);
  return csvOf(
    layouts.flatMap((layout) =>
      layout.boards.flatMap(({ stock, strips }, board) =>
        strips.map((strip) => {
          return {
            wood: wood(layout.wood),
            board: board + 1,
            from: stock.board ? 'on hand' : 'to buy',
            thickness: stock.quarter?.name ?? size(stock.thicknessMm),
            [`board length ${unit}`]: size(stock.lengthMm),
            [`board width ${unit}`]: size(stock.widthMm),
            [`strip from edge ${unit}`]: size(strip.yMm),
            [`strip from end ${unit}`]: size(strip.xMm),
            [`strip width ${unit}`]: size(strip.widthMm),
            leaves: strip.leaves.length,
            pieces: sayLaid(laidContents(strip), roll),
          };
        }),
      ),
    ),
  );
}

/** What to buy, a row for every wood and thickness. */
export function buyingCsv(buying: readonly Buying[], woods: readonly Species[], system: UnitSystem): string {
  const { wood, size } = writer(woods, system);
  return csvOf(
    buying.map((each) => ({
      wood: wood(each.wood),
      thickness: each.quarter,
      boards: each.boards
        .map(({ count, widthMm, lengthMm }) => `${count} × ${size(widthMm)} × ${size(lengthMm)}`)
        .join('; '),
      'board feet': trimZeros(each.boardFeet.toFixed(3)),
      'with allowance': trimZeros(each.withAllowance.toFixed(3)),
      'cubic metres': trimZeros(each.cubicMetres.toFixed(5)),
      price: each.price === null ? '' : each.price.toFixed(2),
    })),
  );
}
