import { expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { mitred } from '../../making/stock.js';
import { mm } from '../../measure/quantity.js';
import { after, planned, refusal } from '../../testing/pieces.js';
import * as edit from './edits.js';

const cup = demoProjects()[0]!;
const pieceOf = (project: typeof cup, index: number) =>
  mitred(planned(project).rings[index]!.pieces[0]!.kind.stock)!;

// Lo = 2·Ro·tan(π/N): 24 segments of 25 mm make 2·Ro = 25/tan 7.5° = 189.89 mm (plane geometry).
test('a long edge gives the diameter, and leaves the width of the ring as it was', () => {
  const wide = planned(cup).rings[8]!.gives!;
  const edged = after(cup, edit.cutTo(8, { longEdgeMm: mm(25) }));
  const { outerRadiusMm, innerRadiusMm } = edged.rings[8]!.fixed!;
  expect(2 * outerRadiusMm).toBeCloseTo(25 / Math.tan(Math.PI / 24), 3);
  expect(outerRadiusMm - innerRadiusMm).toBeCloseTo(wide.outerRadiusMm - wide.innerRadiusMm, 6);
  expect(pieceOf(edged, 8).longEdgeMm).toBeCloseTo(25, 4);
});

test('a strip that is there gives the hole', () => {
  const outer = planned(cup).rings[8]!.gives!.outerRadiusMm;
  const stripped = after(cup, edit.cutTo(8, { stripWidthMm: mm(22) }));
  const { outerRadiusMm, innerRadiusMm } = stripped.rings[8]!.fixed!;
  expect(outerRadiusMm).toBeCloseTo(outer, 9);
  // The strip is as wide as from flat to flat: Ro − Ri·cos(π/N).
  expect(outerRadiusMm - innerRadiusMm * Math.cos(Math.PI / 24)).toBeCloseTo(22, 4);
  expect(pieceOf(stripped, 8).widthMm).toBeCloseTo(22, 4);
});

test('what cannot be is refused in a sentence, and a ring without mitres has no such size', () => {
  expect(refusal(cup, edit.cutTo(8, { longEdgeMm: mm(900) }))).toMatch(
    /cannot be made with a long edge of 900 mm/,
  );
  expect(refusal(cup, edit.cutTo(8, { stripWidthMm: mm(500) }))).toMatch(
    /cannot be made with a strip width of 500/,
  );
  const disc = cup.rings.findIndex(({ making }) => making.way === 'disc');
  expect(refusal(cup, edit.cutTo(disc, { longEdgeMm: mm(20) }))).toMatch(/no mitred pieces/);
  expect(after(cup, edit.cutTo(99, { longEdgeMm: mm(20) }))).toEqual(cup);
});
