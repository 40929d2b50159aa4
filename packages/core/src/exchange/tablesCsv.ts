import { accountRows } from '../lumber/accountRows.js';
import type { WoodAccount } from '../lumber/layout/account.js';
import type { Buying } from '../lumber/layout/buying.js';
import { laidContents, numberedBoards, ripList, sayLaid } from '../lumber/layout/laidRows.js';
import type { WoodLayout } from '../lumber/layout/placed.js';
import { setupsOf } from '../lumber/setups.js';
import { CUTTING_SAID } from '../lumber/strips.js';
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

/** The rip list, fence by fence: a row for every strip or block row that is ripped. */
export function ripsCsv(
  layouts: readonly WoodLayout[],
  woods: readonly Species[],
  system: UnitSystem,
  roll: Roll,
): string {
  const { unit, size, wood } = writer(woods, system);
  return csvOf(
    ripList(layouts).flatMap(({ widthMm, rows }, fence) =>
      rows.map((row) => ({
        fence: fence + 1,
        [`width ${unit}`]: size(widthMm),
        [`planed ${unit}`]: size(row.thicknessMm),
        wood: wood(row.wood),
        what: row.what === 'strip' ? 'strip' : sentenceIn(row.name, system),
        [`length ${unit}`]: size(row.lengthMm),
        leaves: row.leaves,
        board: row.board,
        pieces: sayLaid(row.contents, roll),
      })),
    ),
  );
}

/** Settings of the saw in the order in which it is set, a row for every stop and wood. */
export function setupsCsv(plan: Plan, woods: readonly Species[], system: UnitSystem): string {
  const { unit, size, wood, angle } = writer(woods, system);
  const { nameOf } = rollOf(plan);
  return csvOf(
    setupsOf(plan.lumber).flatMap(({ cutAngle, bladeTilt, wedge, cutting, stops }, i) =>
      stops.flatMap(({ edgeMm, woods: cut }) =>
        cut.map((of) => ({
          setting: i + 1,
          'cut angle °': angle(cutAngle),
          'blade tilt °': angle(bladeTilt),
          'wedge °': angle(wedge),
          cutting: CUTTING_SAID[cutting],
          [`stop ${unit}`]: size(edgeMm),
          hand: of.hand ?? '',
          wood: wood(of.wood),
          [`strip width ${unit}`]: size(of.widthMm),
          [`thickness ${unit}`]: size(of.thicknessMm),
          pieces: of.pieces,
          tests: of.tests,
          spares: of.spares,
          for: of.owners.map(nameOf).join(', '),
        })),
      ),
    ),
  );
}

/** Where the wood goes, in board feet: a row a wood, a column a step. */
export const accountCsv = (
  accounts: readonly WoodAccount[],
  woods: readonly Species[],
  system: UnitSystem,
): string => {
  const { wood, feet } = writer(woods, system);
  return csvOf(
    accounts.map((account) => ({
      wood: wood(account.wood),
      ...Object.fromEntries(
        accountRows(account.ledger).map(({ name, mm3 }) => [`${name.toLowerCase()} bd ft`, feet(mm3)]),
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
    numberedBoards(layouts).flatMap(({ number, wood: of, layout, laid: { stock, strips } }) =>
      strips.map((strip) => {
        const kind = layout.kinds[strip.kind]!;
        return {
          wood: wood(of),
          board: number,
          from: stock.board ? 'on hand' : 'to buy',
          thickness: stock.quarter?.name ?? size(stock.thicknessMm),
          [`board length ${unit}`]: size(stock.lengthMm),
          [`board width ${unit}`]: size(stock.widthMm),
          [`strip from edge ${unit}`]: size(strip.yMm),
          [`strip from end ${unit}`]: size(strip.xMm),
          [`strip length ${unit}`]: size(strip.lengthMm),
          [`strip width ${unit}`]: size(strip.widthMm),
          [`planed ${unit}`]: size(kind.thicknessMm),
          leaves: strip.leaves.length,
          pieces: sayLaid(laidContents(strip), roll),
        };
      }),
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
      'cubic metres': trimZeros(each.cubicMetres.toFixed(5)),
      price: each.price === null ? '' : each.price.toFixed(2),
    })),
  );
}
