import {
  CAUTION_NOTE,
  CAUTIONS,
  cautionsOf,
  drawnOf,
  extremes,
  formatLength,
  frontMarks,
  outsideLine,
  outsidePatches,
  sampledCuts,
  sentenceIn,
  shownOn,
} from '@fellside/core';
import { INK, MARGIN, type Pages, PT, QUIET } from './page.js';
import type { Shown } from './shown.js';
import { fillWood, swatch } from './woodFill.js';

/** Turned a little, so that no joint stands on the axis (rad). */
const VIEW = 0.35;
const TALL = 118;

/** What the piece looks like, how large it is, what it takes, and what can hurt. */
export function coverSheet(pages: Pages, shown: Shown): void {
  const { plan, shop, project, accounts, copies } = shown;
  const { doc } = pages;
  pages.page(project.name);
  const { units } = shop;
  pages.words(
    `${formatLength(plan.heightMm, units)} high, ${formatLength(plan.diameterMm, units)} across; ${plan.pieces} pieces in ${plan.rings.length} ${plan.rings.length === 1 ? 'ring' : 'rings'}`,
    MARGIN,
    pages.y,
    { size: 11 },
  );
  if (copies > 1)
    pages.words(`Lists are for ${copies} of it, cut together`, MARGIN, pages.y, {
      size: 11,
      bold: true,
      width: pages.inner,
      align: 'right',
    });
  pages.y += 9;
  elevation(pages, shown);
  pages.y += TALL + 8;
  pages.heading('Woods');
  for (const { wood, pieces, strips, blocks, onHandFeet, boughtFeet } of accounts) {
    swatch(doc, shown.species(wood), MARGIN, pages.y - 0.6);
    pages.words(shown.species(wood)?.name ?? wood, MARGIN + 8, pages.y, { bold: true, width: 55 });
    pages.words(`${pieces} pieces`, MARGIN + 66, pages.y, { width: 26 });
    pages.words(`${strips} strips, ${blocks} rips for blocks`, MARGIN + 94, pages.y, { width: 56 });
    const feet = [
      onHandFeet > 0 && `${onHandFeet.toFixed(2)} bd ft on hand`,
      boughtFeet > 0 && `${boughtFeet.toFixed(2)} bd ft to buy`,
    ];
    pages.words(`${feet.filter(Boolean).join(', ') || '0 bd ft'}`, MARGIN, pages.y, {
      bold: true,
      width: pages.inner,
      align: 'right',
    });
    pages.y += 7;
  }
  const looks = plan.checks.filter(({ note }) => !note).slice(0, 6);
  if (looks.length > 0) {
    pages.need(12 + 8 * looks.length, project.name);
    pages.heading('Look at');
    for (const { message } of looks)
      pages.y += pages.paragraph(`· ${sentenceIn(message, units)}`, MARGIN, pages.y, pages.inner, 8.5) + 1;
    pages.y += 2;
  }
  const ids = cautionsOf([...plan.rings, ...plan.slants, ...plan.blanks].flatMap(({ steps }) => steps));
  pages.need(14 + 5 * ids.length, project.name);
  pages.heading('Take care');
  for (const id of ids)
    pages.y += pages.paragraph(`· ${CAUTIONS[id]}`, MARGIN, pages.y, pages.inner, 8.5) + 0.6;
  pages.y += pages.paragraph(CAUTION_NOTE, MARGIN, pages.y + 1, pages.inner, 8.5, QUIET) + 2;
}

/** The outside from the front: every wood filled at once, joints over it. */
function elevation(pages: Pages, { prepared, project, finished }: Shown): void {
  const { doc } = pages;
  const { vessel } = prepared;
  const widest = 2 * extremes(vessel.outside, 0, vessel.heightMm).most;
  const scale = Math.min(TALL / vessel.heightMm, pages.inner / widest);
  const [axis, foot] = [pages.width / 2, pages.y + TALL];
  const at = ({ x, z }: { x: number; z: number }): [number, number] => [
    (axis + x * scale) * PT,
    (foot - z * scale) * PT,
  ];
  const woodOf = new Map(project.palette.map(({ key, wood }) => [key, wood]));
  const outlines = new Map<string, (readonly { x: number; z: number }[])[]>();
  for (const drawn of drawnOf(prepared)) {
    const line = outsideLine(vessel, drawn.fromMm, drawn.toMm);
    for (const { place, outline } of outsidePatches(drawn, vessel.outside, line, VIEW, 'front')) {
      const wood = woodOf.get(drawn.woods[place] ?? '') ?? '';
      const known = outlines.get(wood);
      if (known) known.push(outline);
      else outlines.set(wood, [outline]);
    }
  }
  const shown = shownOn(prepared);
  const inlaid = (sampledCuts(prepared).marks ?? []).map((mark) => ({
    wood: woodOf.get(shown[mark.ring]!.woods[mark.place] ?? '') ?? '',
    loops: frontMarks(mark, vessel, VIEW),
  }));
  const box = {
    x: axis - (widest * scale) / 2,
    y: foot - vessel.heightMm * scale,
    width: widest * scale,
    height: vessel.heightMm * scale,
  };
  for (const [wood, all] of outlines) {
    fillWood(doc, finished(wood), box, (of) => {
      for (const outline of all) {
        outline.forEach((p, i) => {
          if (i === 0) of.moveTo(...at(p));
          else of.lineTo(...at(p));
        });
        of.closePath();
      }
      return of;
    });
  }
  doc.lineWidth(0.2).strokeColor(INK).strokeOpacity(0.5);
  for (const all of outlines.values())
    for (const outline of all) {
      outline.forEach((p, i) => {
        if (i === 0) doc.moveTo(...at(p));
        else doc.lineTo(...at(p));
      });
      doc.closePath();
    }
  doc.stroke().strokeOpacity(1);
  for (const { wood, loops } of inlaid) {
    const path = (of: PDFKit.PDFDocument) => {
      for (const loop of loops) {
        loop.forEach((p, i) => {
          if (i === 0) of.moveTo(...at(p));
          else of.lineTo(...at(p));
        });
        of.closePath();
      }
      return of;
    };
    if (loops.length === 0) continue;
    fillWood(doc, finished(wood), box, path);
    path(doc).lineWidth(0.3).strokeColor(INK).stroke();
  }
  const line = outsideLine(vessel);
  for (const side of [-1, 1]) {
    line.forEach(({ r, z }, i) => {
      const p = at({ x: side * r, z });
      if (i === 0) doc.moveTo(...p);
      else doc.lineTo(...p);
    });
    doc.lineWidth(0.8).strokeColor(INK).stroke();
  }
}
