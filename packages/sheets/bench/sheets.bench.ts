import { DEFAULT_SHOP, mm, type Project, SHIPPED_WOODS } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { loadSolver, shopSheets } from '@fellside/sheets';
import { test } from 'vitest';

/** The show's cup stretched to 40 rings of 8 mm. */
function fortyRings(): Project {
  const cup = demoProjects()[0]!;
  const height = cup.form.points.at(-1)!.heightMm;
  const plain = cup.rings[8]!;
  return {
    ...cup,
    motifs: [],
    form: {
      ...cup.form,
      points: cup.form.points.map((point) => ({ ...point, heightMm: mm((point.heightMm * 320) / height) })),
    },
    rings: Array.from({ length: 40 }, (_, i) => ({
      ...plain,
      id: `r${i}`,
      heightMm: mm(8),
      turn: (i % 2) / 2,
    })),
  };
}

test('shop sheets of a piece of 40 rings', async () => {
  const start = performance.now();
  const pdf = await shopSheets(
    {
      project: fortyRings(),
      woods: SHIPPED_WOODS,
      shop: DEFAULT_SHOP,
      boards: [],
      paper: 'a4',
      templates: true,
      solved: false,
    },
    loadSolver,
  );
  const seconds = (performance.now() - start) / 1000;
  if (!pdf.ok) throw new Error(plain(pdf.reasons[0]!.message));
  const pages = Buffer.from(pdf.value)
    .toString('latin1')
    .match(/\/Type \/Page\b/g)!.length;
  console.log(
    `shop sheets of 40 rings: ${pages} pages in ${seconds.toFixed(2)} s, ${(pages / seconds).toFixed(0)} pages a second, ${(pdf.value.length / 1024).toFixed(0)} KB`,
  );
});
