import { boardFeet, buyingOf, byFeetAlone, formatLength, mm, woodShares } from '@fellside/core';
import { MARGIN, type Pages } from './page.js';
import type { Shown } from './shown.js';

/** What to buy, what is short, and where the wood goes. */
export function woodSheets(pages: Pages, { lumber, shop, species, layouts, accounts }: Shown): void {
  const { units } = shop;
  const title = 'Wood';
  pages.page(title);
  const nameOf = (wood: string) => species(wood)?.name ?? wood;
  const short = layouts.flatMap(({ wood, missing }) => {
    const count = missing.reduce((sum, each) => sum + each.count, 0);
    return count > 0 ? [{ wood, count }] : [];
  });
  pages.heading('To buy');
  const buying = buyingOf(layouts, lumber, shop);
  for (const { wood, count } of short) {
    pages.words(
      `${nameOf(wood)}: short of ${count} ${count === 1 ? 'piece' : 'pieces'} that no board gives.`,
      MARGIN,
      pages.y,
      {
        bold: true,
      },
    );
    pages.y += 6;
  }
  if (buying.length > 0)
    pages.table(
      title,
      [
        { name: 'Wood', share: 24 },
        { name: 'Thickness', share: 12 },
        { name: 'Boards', share: 46 },
        { name: 'bd ft', share: 10, right: true },
        { name: 'm³', share: 11, right: true },
        { name: 'Price', share: 12, right: true },
      ],
      buying.map((each) => [
        nameOf(each.wood),
        each.quarter,
        each.boards
          .map(
            ({ count, widthMm, lengthMm }) =>
              `${count} × ${formatLength(mm(widthMm), units)} × ${formatLength(mm(lengthMm), units)}`,
          )
          .join(', '),
        each.boardFeet.toFixed(2),
        each.cubicMetres.toFixed(4),
        each.price === null ? '–' : `${shop.currency}${each.price.toFixed(2)}`,
      ]),
    );
  else if (short.length === 0) {
    pages.words('Nothing: the boards on hand give it all.', MARGIN, pages.y);
    pages.y += 8;
  }
  pages.need(30, title);
  pages.heading('Where the wood goes, board feet');
  const shares = accounts[0] ? woodShares(accounts[0].ledger).map(({ short: name }) => name) : [];
  pages.table(
    title,
    [
      { name: 'Wood', share: 24 },
      ...[...shares, 'Boards', 'On hand', 'To buy'].map((name) => ({ name, share: 12, right: true })),
    ],
    accounts.map(({ wood, ledger }) => [
      nameOf(wood),
      ...[...woodShares(ledger).map(({ mm3 }) => mm3), ledger.boards, ledger.onHand, ledger.bought].map(
        (mm3) => boardFeet(mm3).toFixed(2),
      ),
    ]),
  );
  pages.need(14 + 5 * accounts.length, title);
  pages.heading('If you buy by board feet alone');
  pages.y += pages.paragraph(
    `Rule of thumb, where boards are chosen at the yard and not laid out beforehand: what strips and blocks take, planing and rip kerfs with it, and ${shop.wastePercent} % on top.`,
    MARGIN,
    pages.y,
    pages.inner,
    8.5,
  );
  pages.y += 2;
  pages.table(
    title,
    [
      { name: 'Wood', share: 24 },
      { name: 'bd ft', share: 12, right: true },
      { name: '', share: 80 },
    ],
    accounts.map(({ wood, ledger }) => [nameOf(wood), byFeetAlone(ledger, shop).toFixed(2), '']),
  );
}
