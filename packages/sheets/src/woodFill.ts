import type { Hatch, Species } from '@fellside/core';
import { INK, PT } from './page.js';

type Doc = PDFKit.PDFDocument;

/** A pixel of the screen's hatches on paper, mm. */
const PIXEL = 0.22;

/**
 * Fills what is drawn by `outline` with a wood: its colour, pale enough for its hatch, which reads on a photocopy as well. `box` is
 * where it lies on the page, mm.
 */
export function fillWood(
  doc: Doc,
  species: Species | undefined,
  box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number },
  outline: (doc: Doc) => Doc,
): void {
  outline(doc)
    .fillColor(species?.colour ?? '#cccccc')
    .fillOpacity(0.55)
    .fill('even-odd');
  doc.fillOpacity(1);
  if (!species) return;
  doc.save();
  outline(doc).clip('even-odd');
  hatch(doc, species.hatch, box);
  doc.restore();
}

function hatch(
  doc: Doc,
  { angle, gap, line }: Hatch,
  {
    x,
    y,
    width,
    height,
  }: { readonly x: number; readonly y: number; readonly width: number; readonly height: number },
): void {
  const turns = line === 'crossed' ? [angle, angle + 90] : [angle];
  const [cx, cy] = [x + width / 2, y + height / 2];
  const reach = Math.hypot(width, height) / 2;
  const step = gap * PIXEL;
  doc.lineWidth(0.25).strokeColor(INK).strokeOpacity(0.7);
  if (line === 'dashed') doc.dash(6 * PIXEL * PT, { space: 4 * PIXEL * PT });
  if (line === 'dotted') doc.dash(0.6, { space: 1.6 });
  for (const turn of turns) {
    const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    for (let across = -reach; across <= reach; across += step) {
      const at = (along: number): [number, number] => [
        (cx + along * cos - across * sin) * PT,
        (cy - along * sin - across * cos) * PT,
      ];
      doc.moveTo(...at(-reach)).lineTo(...at(reach));
    }
  }
  doc.stroke().undash().strokeOpacity(1);
}

/** A square of a wood with its letter. */
export function swatch(doc: Doc, species: Species | undefined, x: number, y: number, size = 5): void {
  const box = { x, y, width: size, height: size };
  fillWood(doc, species, box, (of) => of.rect(x * PT, y * PT, size * PT, size * PT));
  doc
    .rect(x * PT, y * PT, size * PT, size * PT)
    .lineWidth(0.4)
    .strokeColor(INK)
    .stroke();
  const letter = species?.letter ?? '?';
  doc.font('bold').fontSize(7).fillColor('#ffffff');
  const wide = doc.widthOfString(letter) + 2;
  const [mx, my] = [(x + size / 2) * PT, (y + size / 2) * PT];
  doc
    .rect(mx - wide / 2, my - 3.6, wide, 7.2)
    .fillColor('#ffffff')
    .fill();
  doc.fillColor(INK).text(letter, mx - wide / 2 + 1, my - 4, { lineBreak: false });
}
