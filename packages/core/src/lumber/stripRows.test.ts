import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { edit } from '../index.js';
import { rollOf } from '../ring/owner.js';
import { after, planned } from '../testing/pieces.js';
import { sayContents, stripRows } from './stripRows.js';

test('rows of strips hold every piece once, by owner and hand, and never pieces of the other hand as spares', () => {
  for (const project of demoProjects()) {
    const { lumber } = planned(project);
    const rows = stripRows(lumber);
    expect(rows).toHaveLength(lumber.strips.length);
    for (const purpose of ['piece', 'spare', 'other-hand'] as const) {
      const wanted = lumber.strips
        .flatMap(({ cuts }) => cuts)
        .filter((cut) => cut.purpose === purpose)
        .reduce((sum, { count }) => sum + count, 0);
      const sum = (of: readonly { purpose: string; count: number }[]) =>
        of.filter((each) => each.purpose === purpose).reduce((n, { count }) => n + count, 0);
      expect(rows.reduce((n, { contents }) => n + sum(contents), 0)).toBe(wanted);
      expect(
        rows.reduce((n, { strips }) => n + strips.reduce((m, strip) => m + sum(strip.contents), 0), 0),
      ).toBe(wanted);
    }
    expect(rows.reduce((n, { lengths }) => n + lengths.reduce((m, { count }) => m + count, 0), 0)).toBe(
      lumber.strips.reduce((n, { strips }) => n + strips.length, 0),
    );
  }
});

test('said in words: whose, how many, of which hand and in which order', () => {
  const cup = demoProjects()[0]!;
  const leaning = after(
    cup,
    edit.setWay([8], 'tilted'),
    edit.setParams([8], 'tilted', { cut: 'two-fences' }),
  );
  const { lumber } = planned(leaning);
  const said = stripRows(lumber)
    .filter(({ cutting }) => cutting === 'two-fences')
    .map(({ contents }) => sayContents(contents, rollOf(leaning)));
  expect(said.join(' ')).toMatch(/ring 9: \d+ (left|right); other hand: \d+ (left|right); spare: \d+/);
  const book = after(cup, edit.setWay([8], 'grain'), edit.setParams([8], 'grain', { match: { by: 'run' } }));
  const run = stripRows(planned(book).lumber).map(({ contents }) => sayContents(contents, rollOf(book)));
  expect(run.join(' ')).toMatch(/ring 9: 3, nos\. 3 11 19; spare: 2/);
});
