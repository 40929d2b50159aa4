import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { plain, quantitiesOf } from '../measure/said.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned } from '../testing/pieces.js';
import { setCount, setSanded } from './commands/edits.js';
import { plan } from './plan.js';

/** Every text in a value, wherever it stands. */
function texts(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(texts);
}

const demos = demoProjects().map((project) => [project.name, project] as const);

test.each(demos)('%s: no length and no angle is text, and nothing is told as an object', (_, project) => {
  // A shop that has much to remark.
  const shop = {
    ...DEFAULT_SHOP,
    swingRadiusMm: 20,
    leastWallMm: 90,
    shortestEdgeMm: 200,
    leastOverlapMm: 100,
  };
  const made = plan(project, shop as typeof DEFAULT_SHOP);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  const { rings, slants, blanks, checks, lumber } = made.value;
  const told = texts([
    rings,
    slants,
    blanks.map(({ steps }) => steps),
    checks,
    lumber.reasons,
    lumber.panels,
  ]);
  expect(told.filter((text) => /\d ?mm\b|\d°|\[object|NaN|undefined/.test(text))).toEqual([]);
  expect(checks.some(({ message }) => quantitiesOf(message).length > 0)).toBe(true);
});

test.each(demos)('%s: every ring, band and blank has steps, each with its own id and tool', (_, project) => {
  const { rings, slants, blanks } = planned(project);
  for (const { steps } of [...rings, ...slants, ...blanks]) {
    expect(steps.length).toBeGreaterThan(1);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  }
});

test('progress is kept by ids: another count or another sanding changes what is set, and no step’s id', () => {
  const cup = demoProjects()[0]!;
  const idsOf = (project: typeof cup) => planned(project).rings.map(({ steps }) => steps.map(({ id }) => id));
  const [raw, counted] = [after(cup, setSanded([8], 'none')), after(cup, setCount([8], 36))];
  expect(idsOf(raw)).toEqual(idsOf(cup));
  expect(idsOf(counted)).toEqual(idsOf(cup));
  const rip = (project: typeof cup) => plain(planned(project).rings[8]!.steps[0]!.says);
  expect(rip(cup)).toMatch(/that is sanded off/);
  expect(rip(raw)).not.toMatch(/sanded/);
});
