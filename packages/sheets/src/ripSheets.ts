import { formatLength, glueUpRows, mm, ringsSaid, ripList, sayLaid, sentenceIn } from '@fellside/core';
import type { Pages } from './page.js';
import type { Shown } from './shown.js';

/** The rip list in the order of the work: fence by fence, the widest first, all woods; then the blocks by what they are for. */
export function ripSheets(pages: Pages, { plan, lumber, layouts, shop, species, roll }: Shown): void {
  const { units } = shop;
  const fences = ripList(layouts);
  if (fences.length === 0) return;
  const title = 'Rip list';
  pages.page(title);
  pages.y += pages.paragraph(
    `${fences.length} ${fences.length === 1 ? 'setting' : 'settings'} of the rip fence, the widest first. Plane what is ripped to the thickness beside it, thickest first; strips that are resawn are planed afterwards.`,
    14,
    pages.y,
    pages.inner,
    8.5,
  );
  pages.y += 2;
  pages.table(
    title,
    [
      { name: 'Fence', share: 14 },
      { name: 'Planed', share: 14 },
      { name: 'Wood', share: 24 },
      { name: 'Length', share: 16 },
      { name: 'Board', share: 9, right: true },
      { name: 'Leaves', share: 9, right: true },
      { name: 'What is cut from it', share: 50 },
      { name: 'Done', share: 8 },
    ],
    fences.flatMap(({ widthMm, rows }) =>
      rows.map((row, i) => [
        i === 0 ? formatLength(widthMm, units) : '',
        formatLength(row.thicknessMm, units),
        `${species(row.wood)?.letter ?? ''} ${species(row.wood)?.name ?? row.wood}`,
        formatLength(row.lengthMm, units),
        String(row.board),
        row.leaves > 1 ? String(row.leaves) : '',
        `${row.what === 'block' ? `${sentenceIn(row.name, units)}, ` : ''}${sayLaid(row.contents, roll)}`,
        '[  ]',
      ]),
    ),
  );
  if (lumber.panels.length === 0) return;
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
    lumber.panels.map((panel) => [
      roll.nameOf(panel.owner),
      sentenceIn(panel.name, units),
      species(panel.wood)?.name ?? panel.wood,
      String(panel.count),
      formatLength(panel.lengthMm, units),
      formatLength(panel.widthMm, units),
      formatLength(mm(panel.thicknessMm), units),
    ]),
  );
  const glueUps = glueUpRows(plan.rings);
  if (glueUps.length === 0) return;
  pages.need(20, title);
  pages.heading('Boards that are glued up');
  pages.table(
    title,
    [
      { name: 'For', share: 18 },
      { name: 'What is done', share: 100 },
      { name: 'Done', share: 8 },
    ],
    glueUps.map(({ rings, says }) => [sentenceIn(ringsSaid(rings), units), sentenceIn(says, units), '[  ]']),
  );
}
