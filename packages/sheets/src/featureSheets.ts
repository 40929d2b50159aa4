import { formatLength, mm, type Point, type StepPicture, sentenceIn } from '@fellside/core';
import { INK, MARGIN, type Pages, PT, QUIET } from './page.js';
import type { Shown } from './shown.js';
import { fillWood } from './woodFill.js';

const WIDE = 84;
const TALL = 46;

/** The steps of rings that are glued up before they are segmented, as pictures. */
export function featureSheets(pages: Pages, shown: Shown): void {
  const title = 'Feature rings, step by step';
  const rings = shown.prepared.rings.flatMap((ring, index) => {
    const pictures = ring.made.ok ? (ring.made.value.pictures?.() ?? []) : [];
    return pictures.length > 0 ? [{ ring, index, pictures, steps: shown.plan.rings[index]!.steps }] : [];
  });
  if (rings.length === 0) return;
  pages.page(title);
  for (const { ring, index, pictures, steps } of rings) {
    pages.need(TALL + 24, title);
    pages.heading(`Ring ${index + 1}`);
    for (let from = 0; from < pictures.length; from += 2) {
      pages.need(TALL + 16, title);
      pictures.slice(from, from + 2).forEach((picture, k) => {
        const x = MARGIN + k * (pages.inner / 2);
        const number = steps.findIndex(({ id }) => id === picture.step) + 1;
        pages.words(`${number}. ${picture.title}`, x, pages.y, { bold: true, width: WIDE });
        drawStep(pages, shown, picture, ring.ring.woods, x, pages.y + 5);
        pages.paragraph(sentenceIn(picture.says, shown.shop.units), x, pages.y + TALL + 6, WIDE, 8, QUIET);
      });
      pages.y += TALL + 16;
    }
    steps.forEach(({ says }, i) => {
      pages.need(8, title);
      pages.y +=
        pages.paragraph(
          `${i + 1}. ${sentenceIn(says, shown.shop.units)}`,
          MARGIN,
          pages.y,
          pages.inner,
          8.5,
        ) + 1;
    });
    pages.y += 3;
  }
}

function drawStep(
  pages: Pages,
  { project, species, shop }: Shown,
  { parts, lines, sizes }: StepPicture,
  woods: readonly string[],
  x: number,
  y: number,
): void {
  const { doc } = pages;
  const points = [...parts.flatMap(({ outline }) => outline), ...lines.flatMap(({ from, to }) => [from, to])];
  if (points.length === 0) return;
  const [left, right] = [Math.min(...points.map((p) => p.x)), Math.max(...points.map((p) => p.x))];
  const [low, high] = [Math.min(...points.map((p) => p.y)), Math.max(...points.map((p) => p.y))];
  const scale = Math.min((WIDE - 6) / Math.max(1e-6, right - left), (TALL - 6) / Math.max(1e-6, high - low));
  const at = (p: Point): [number, number] => [
    (x + 2 + (p.x - left) * scale) * PT,
    (y + 2 + (high - p.y) * scale) * PT,
  ];
  const woodOf = new Map(project.palette.map(({ key, wood }) => [key, wood]));
  const box = { x, y, width: WIDE, height: TALL };
  for (const { outline, holes = [], place } of parts) {
    const trace = (of: PDFKit.PDFDocument) => {
      for (const loop of [outline, ...holes]) {
        loop.forEach((p, i) => {
          if (i === 0) of.moveTo(...at(p));
          else of.lineTo(...at(p));
        });
        of.closePath();
      }
      return of;
    };
    if (place !== null) fillWood(doc, species(woodOf.get(woods[place] ?? '') ?? ''), box, trace);
    trace(doc).lineWidth(0.25).strokeColor(INK).stroke();
  }
  for (const { from, to, is } of lines) {
    doc
      .moveTo(...at(from))
      .lineTo(...at(to))
      .lineWidth(is === 'edge' ? 0.4 : 0.8)
      .strokeColor(INK);
    if (is === 'trim') doc.dash(2, { space: 1.5 });
    doc.stroke().undash();
  }
  for (const { from, to, mm: length } of sizes) {
    const [a, b] = [at(from), at(to)];
    doc
      .moveTo(...a)
      .lineTo(...b)
      .lineWidth(0.3)
      .strokeColor(QUIET)
      .stroke();
    pages.words(
      formatLength(mm(length), shop.units),
      (a[0] + b[0]) / 2 / PT + 0.6,
      (a[1] + b[1]) / 2 / PT - 3,
      { size: 7 },
    );
  }
}
