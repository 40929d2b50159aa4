import { expect, it } from 'vitest';
import { INCH, type UnitSystem } from '../measure/format.js';
import { readProject } from '../project/inspect.js';
import { plan } from '../project/plan.js';
import { prepare } from '../project/prepare.js';
import { rippingOf } from '../project/ripping.js';
import type { Project } from '../project/schema.js';
import { startingShop } from '../settings/startingShop.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { demoProjects } from './index.js';

/** Every length of a document, mm. */
const lengths = (given: unknown, isLength = false): number[] =>
  typeof given === 'number'
    ? isLength
      ? [given]
      : []
    : typeof given === 'object' && given !== null
      ? Object.entries(given).flatMap(([key, each]) =>
          lengths(each, Array.isArray(given) ? isLength : key.endsWith('Mm')),
        )
      : [];
/** How far a length is from a multiple of a step. */
const offGrid = (length: number, step: number): number => Math.abs(length / step - Math.round(length / step));
/** How a piece is planned in a shop that measures in these units. */
const planned = (project: Project, units: UnitSystem) => {
  const shop = startingShop(units);
  const made = plan(project, shop, SHIPPED_WOODS, prepare(project, rippingOf(shop)));
  if (!made.ok) throw new Error(project.name);
  const { pieces, checks, heightMm } = made.value;
  return { pieces, checks: checks.map(({ code }) => code), heightMm };
};

it('pieces drawn in inches become round in millimetres and stay the same pieces', () => {
  const [inches, metric] = [demoProjects().slice(0, 4), demoProjects('mm').slice(0, 4)];
  for (const [i, project] of metric.entries()) {
    expect(readProject(project).ok).toBe(true);
    for (const length of lengths(project)) expect(offGrid(length, 0.75), project.name).toBeLessThan(1e-5);
    const [was, is] = [planned(inches[i]!, 'inch-fraction'), planned(project, 'mm')];
    expect([is.pieces, is.checks]).toEqual([was.pieces, was.checks]);
    expect(is.heightMm / was.heightMm).toBeCloseTo(24 / 25.4, 9);
    expect(project.rings.map(({ woods }) => woods)).toEqual(inches[i]!.rings.map(({ woods }) => woods));
  }
});

it('every piece of the show has sizes of whole and half millimetres where those are asked for', () => {
  for (const { name, heightMm } of demoProjects('mm').flatMap(({ name, rings }) =>
    rings.map(({ heightMm }) => ({ name, heightMm })),
  ))
    expect(offGrid(heightMm, 0.25), name).toBeLessThan(1e-5);
});

it.each(['inch-fraction', 'inch-decimal'] as const)(
  'pieces drawn in millimetres become round in inches and stay the same pieces: %s',
  (units) => {
    const [drawn, inches] = [demoProjects().slice(4), demoProjects(units).slice(4)];
    const step = units === 'inch-fraction' ? INCH / 32 : INCH / 25;
    for (const [i, project] of inches.entries()) {
      expect(readProject(project).ok).toBe(true);
      for (const { heightMm } of project.rings)
        expect(offGrid(heightMm, step / 4), project.name).toBeLessThan(1e-5);
      const [was, is] = [planned(drawn[i]!, 'mm'), planned(project, units)];
      expect([is.pieces, is.checks.filter((code) => !was.checks.includes(code))], project.name).toEqual([
        was.pieces,
        [],
      ]);
      expect(is.heightMm / was.heightMm).toBeCloseTo(step, 6);
      expect(project.rings.map(({ woods }) => woods)).toEqual(drawn[i]!.rings.map(({ woods }) => woods));
    }
  },
);
