import {
  boardFeet,
  buyingOf,
  CUTTING_SAID,
  formatAngle,
  formatLength,
  type Mm,
  mm,
  ownerKey,
  pieceRows,
  ringOwner,
  sayContents,
  sentenceIn,
  stripRows,
  turnSaid,
  woodShares,
} from '@fellside/core';
import type { Pages } from './page.js';
import type { Shown } from './shown.js';

/** Every ring with its pieces, bottom ring last, as it stands. */
export function ringSheets(pages: Pages, { plan, shop, species, roll }: Shown): void {
  const { units } = shop;
  const title = 'Rings and pieces';
  pages.page(title);
  const size = (length: Mm | null) => (length === null ? '' : formatLength(length, units));
  const turns = new Map(plan.rings.map(({ id, turn }) => [ownerKey(ringOwner(id)), turnSaid(turn)]));
  const rows = pieceRows(plan).map((row) => [
    row.first ? roll.nameOf(row.owner) : '',
    `${species(row.wood)?.letter ?? ''} ${species(row.wood)?.name ?? row.wood}`,
    sentenceIn(row.name, units),
    String(row.count),
    [row.cutAngle, row.bladeTilt]
      .flatMap((angle) => (angle === null ? [] : [formatAngle(angle)]))
      .join(' / '),
    size(row.longEdgeMm ?? row.lengthMm),
    size(row.shortEdgeMm),
    size(row.widthMm),
    size(row.heightMm),
    row.first ? (turns.get(ownerKey(row.owner)) ?? '') : '',
  ]);
  pages.table(
    title,
    [
      { name: 'For', share: 12 },
      { name: 'Wood', share: 20 },
      { name: 'Piece', share: 16 },
      { name: 'Count', share: 7, right: true },
      { name: 'Angle', share: 12 },
      { name: 'Long edge', share: 13 },
      { name: 'Short edge', share: 13 },
      { name: 'Width', share: 12 },
      { name: 'Height', share: 11 },
      { name: 'Turn', share: 14 },
    ],
    rows,
  );
}

/** Strips and blocks, what to buy, and where the wood goes. */
export function stripSheets(pages: Pages, { plan, shop, species, roll, layouts }: Shown): void {
  const { units } = shop;
  const title = 'Strips and wood';
  pages.page(title);
  pages.heading('Strips to rip and plane');
  pages.table(
    title,
    [
      { name: 'Wood', share: 20 },
      { name: 'Strip', share: 13 },
      { name: 'Width', share: 12 },
      { name: 'Planed', share: 12 },
      { name: 'From', share: 7 },
      { name: 'Angle, tilt', share: 12 },
      { name: 'Cut', share: 13 },
      { name: 'Pieces', share: 36 },
    ],
    stripRows(plan.lumber).flatMap((list) =>
      list.strips.map(({ lengthMm, contents }) => [
        `${species(list.wood)?.letter ?? ''} ${species(list.wood)?.name ?? list.wood}`,
        formatLength(lengthMm, units),
        formatLength(list.widthMm, units),
        formatLength(list.thicknessMm, units),
        list.quarter,
        `${formatAngle(list.cutAngle)}${list.bladeTilt > 0 ? ` / ${formatAngle(list.bladeTilt)}` : ''}`,
        CUTTING_SAID[list.cutting],
        sayContents(contents, roll),
      ]),
    ),
  );
  if (plan.lumber.panels.length > 0) {
    pages.need(20, title);
    pages.heading('Layers, blocks, discs, plugs and dowels');
    pages.table(
      title,
      [
        { name: 'For', share: 16 },
        { name: 'What', share: 26 },
        { name: 'Wood', share: 22 },
        { name: 'Count', share: 8, right: true },
        { name: 'Length', share: 14 },
        { name: 'Width', share: 14 },
        { name: 'Planed', share: 14 },
      ],
      plan.lumber.panels.map((panel) => [
        roll.nameOf(panel.owner),
        sentenceIn(panel.name, units),
        species(panel.wood)?.name ?? panel.wood,
        String(panel.count),
        formatLength(panel.lengthMm, units),
        formatLength(panel.widthMm, units),
        formatLength(panel.thicknessMm, units),
      ]),
    );
  }
  const buying = buyingOf(layouts, plan.lumber, shop);
  pages.need(20, title);
  pages.heading('To buy');
  if (buying.length === 0) {
    pages.words('Nothing: the boards on hand give it all.', 14, pages.y);
    pages.y += 8;
  } else
    pages.table(
      title,
      [
        { name: 'Wood', share: 22 },
        { name: 'Thickness', share: 10 },
        { name: 'Boards', share: 44 },
        { name: 'bd ft', share: 10, right: true },
        { name: `+ ${shop.wastePercent} %`, share: 10, right: true },
        { name: 'm³', share: 10, right: true },
        { name: 'Price', share: 12, right: true },
      ],
      buying.map((each) => [
        species(each.wood)?.name ?? each.wood,
        each.quarter,
        each.boards
          .map(
            ({ count, widthMm, lengthMm }) =>
              `${count} × ${formatLength(mm(widthMm), units)} × ${formatLength(mm(lengthMm), units)}`,
          )
          .join(', '),
        each.boardFeet.toFixed(2),
        each.withAllowance.toFixed(2),
        each.cubicMetres.toFixed(4),
        each.price === null ? '–' : `${shop.currency}${each.price.toFixed(2)}`,
      ]),
    );
  pages.need(30, title);
  pages.heading('Where the wood goes, board feet');
  const goes = plan.lumber.woods.map(({ wood, ledger }) => ({
    wood,
    shares: woodShares(ledger),
    bought: ledger.bought,
  }));
  pages.table(
    title,
    [
      { name: 'Wood', share: 26 },
      ...[...(goes[0]?.shares.map(({ short }) => short) ?? []), 'To buy'].map((name) => ({
        name,
        share: 13,
        right: true,
      })),
    ],
    goes.map(({ wood, shares, bought }) => [
      species(wood)?.name ?? wood,
      ...[...shares.map(({ mm3 }) => mm3), bought].map((mm3) => boardFeet(mm3).toFixed(3)),
    ]),
  );
}
