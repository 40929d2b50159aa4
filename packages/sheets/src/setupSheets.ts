import {
  biggestOf,
  formatAngle,
  formatLength,
  formatStop,
  ownerKey,
  type Point,
  type PreparedRing,
  polar,
  ringOwner,
  type Setup,
  sentenceIn,
  setupSteps,
  setupsOf,
  turned,
} from '@fellside/core';
import { INK, MARGIN, type Pages, PT, QUIET } from './page.js';
import type { Shown } from './shown.js';
import { fillWood } from './woodFill.js';

/** Side of a ring's plan, mm, and how many stand beside each other. */
const PLAN = 40;
const ACROSS = 4;

/** The saw's settings in order, each with what is set, its stops, and the rings that come from it from above. */
export function setupSheets(pages: Pages, shown: Shown): void {
  const setups = setupsOf(shown.lumber);
  if (setups.length === 0) return;
  const title = 'Settings of the saw';
  pages.page(title);
  setups.forEach((setup, i) => {
    pages.need(60, title);
    setting(pages, shown, setup, i + 1, title);
  });
}

function setting(pages: Pages, shown: Shown, setup: Setup, number: number, title: string): void {
  const { shop, prepared, species, roll } = shown;
  const { units } = shop;
  const tilt = setup.bladeTilt > 0 ? `, blade tilted ${formatAngle(setup.bladeTilt)}` : '';
  pages.words(`${number}.  ${formatAngle(setup.cutAngle)}${tilt}`, MARGIN, pages.y, { size: 15, bold: true });
  pages.words(`wedge ${formatAngle(setup.wedge)}, ${setup.cuts} pieces`, MARGIN, pages.y + 1.5, {
    colour: QUIET,
    width: pages.inner,
    align: 'right',
  });
  pages.y += 9;
  for (const step of setupSteps(setup))
    pages.y += pages.paragraph(`· ${sentenceIn(step, units)}`, MARGIN, pages.y, pages.inner, 8.5) + 0.8;
  pages.y += 2;
  pages.table(
    title,
    [
      { name: 'Stop at', share: 16 },
      { name: 'Wood', share: 24 },
      { name: 'Hand', share: 7 },
      { name: 'Width', share: 13 },
      { name: 'Planed', share: 13 },
      { name: 'Pieces', share: 9, right: true },
      { name: 'Test', share: 7, right: true },
      { name: 'Spare', share: 8, right: true },
      { name: 'For', share: 28 },
      { name: 'Done', share: 8 },
    ],
    setup.stops.flatMap(({ edgeMm, woods }) =>
      woods.map((of, i) => [
        i === 0 ? formatStop(edgeMm, units) : '',
        `${species(of.wood)?.letter ?? ''} ${species(of.wood)?.name ?? of.wood}`,
        of.hand ?? '',
        formatLength(of.widthMm, units),
        formatLength(of.thicknessMm, units),
        String(of.pieces),
        of.tests > 0 ? String(of.tests) : '',
        of.spares > 0 ? String(of.spares) : '',
        of.owners.map(roll.nameOf).join(', '),
        '[  ]',
      ]),
    ),
  );
  const here = new Set(
    setup.stops.flatMap(({ woods }) => woods.flatMap(({ owners }) => owners.map(ownerKey))),
  );
  const rings = prepared.rings.filter(({ ring }) => here.has(ownerKey(ringOwner(ring.id))));
  for (let from = 0; from < rings.length; from += ACROSS) {
    pages.need(PLAN + 10, title);
    rings.slice(from, from + ACROSS).forEach((ring, k) => {
      const x = MARGIN + k * (pages.inner / ACROSS);
      ringPlan(pages, shown, ring, x, pages.y);
      pages.words(`Ring ${ring.course.index + 1}`, x, pages.y + PLAN + 1, {
        size: 8,
        width: PLAN,
        align: 'middle',
      });
    });
    pages.y += PLAN + 8;
  }
  pages.y += 4;
}

/** A ring from above in a square of the page, its woods hatched, the index mark at its right. */
function ringPlan(
  pages: Pages,
  { project, species }: Shown,
  { made, turn, ring }: PreparedRing,
  x: number,
  y: number,
): void {
  if (!made.ok) return;
  const { doc } = pages;
  const scale = PLAN / 2 / made.value.cornerMm;
  const [cx, cy] = [x + PLAN / 2, y + PLAN / 2];
  const at = (p: Point): [number, number] => [(cx + p.x * scale) * PT, (cy - p.y * scale) * PT];
  const woodOf = new Map(project.palette.map(({ key, wood }) => [key, wood]));
  const outlines = new Map<string, (readonly Point[])[]>();
  for (const { places } of made.value.kinds)
    for (const place of places) {
      const part = biggestOf(made.value.lay(place));
      if (!part) continue;
      const wood = woodOf.get(ring.woods[place] ?? '') ?? '';
      outlines.set(wood, [...(outlines.get(wood) ?? []), turned(part.top, turn)]);
    }
  const trace = (all: readonly (readonly Point[])[]) => (of: PDFKit.PDFDocument) => {
    for (const outline of all) {
      outline.forEach((p, i) => {
        if (i === 0) of.moveTo(...at(p));
        else of.lineTo(...at(p));
      });
      of.closePath();
    }
    return of;
  };
  const box = { x, y, width: PLAN, height: PLAN };
  for (const [wood, all] of outlines) {
    fillWood(doc, species(wood), box, trace(all));
    trace(all)(doc).lineWidth(0.25).strokeColor(INK).stroke();
  }
  const mark = at(polar(made.value.cornerMm * 1.02, 0));
  doc
    .moveTo(...mark)
    .lineTo(mark[0] + 5, mark[1] - 2.5)
    .lineTo(mark[0] + 5, mark[1] + 2.5)
    .closePath()
    .fillColor(INK)
    .fill();
}
