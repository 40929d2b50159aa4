import {
  formatAngle,
  formatLength,
  formatStop,
  type Mm,
  mm,
  ownerKey,
  pieceRows,
  ringOwner,
  sentenceIn,
  turnSaid,
} from '@fellside/core';
import type { Pages } from './page.js';
import type { Shown } from './shown.js';

/** Every ring with its pieces, bottom ring last, as it stands. */
export function ringSheets(pages: Pages, { plan, shop, species, roll }: Shown): void {
  const { units } = shop;
  const title = 'Rings and pieces';
  pages.page(title);
  const size = (length: Mm | null) => (length === null ? '' : formatLength(length, units));
  const turns = new Map(
    plan.rings.map(({ id, turn, gives }) => {
      // Along the outside of the ring, where it is measured with a tape.
      const arc =
        gives && turn.angle !== 0 ? `, arc ${formatLength(mm(turn.angle * gives.outerRadiusMm), units)}` : '';
      return [ownerKey(ringOwner(id)), `${turnSaid(turn)}${arc}`];
    }),
  );
  const rows = pieceRows(plan, shop).map((row) => [
    row.first ? roll.nameOf(row.owner) : '',
    `${species(row.wood)?.letter ?? ''} ${species(row.wood)?.name ?? row.wood}`,
    sentenceIn(row.name, units),
    String(row.count),
    [row.cutAngle, row.bladeTilt]
      .flatMap((angle) => (angle === null ? [] : [formatAngle(angle)]))
      .join(' / '),
    row.longEdgeMm === null ? size(row.lengthMm) : formatStop(row.longEdgeMm, units),
    row.shortEdgeMm === null ? '' : formatStop(row.shortEdgeMm, units),
    size(row.widthMm),
    size(row.planedMm),
    size(row.heightMm),
    row.first ? (turns.get(ownerKey(row.owner)) ?? '') : '',
  ]);
  pages.table(
    title,
    [
      { name: 'For', share: 12 },
      { name: 'Wood', share: 18 },
      { name: 'Piece', share: 16 },
      { name: 'Count', share: 8, right: true },
      { name: 'Angle', share: 12 },
      { name: 'Long edge', share: 13 },
      { name: 'Short edge', share: 13 },
      { name: 'Width', share: 12 },
      { name: 'Planed', share: 11 },
      { name: 'Height', share: 11 },
      { name: 'Turn', share: 17 },
    ],
    rows,
  );
}
