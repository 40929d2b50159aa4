import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { passportPage } from '../exchange/passportPage.js';
import { landmarksOf } from '../form/landmarks.js';
import { setFinish } from '../project/commands/finishCommands.js';
import { setPassport } from '../project/commands/passportCommands.js';
import { elevationPicture, flatPicture } from '../project/elevation.js';
import { prepare } from '../project/prepare.js';
import type { Project } from '../project/schema.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned, refusal } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import type { JournalEntry } from './journalEntry.js';
import { passportOf, passportRows, passportText } from './passport.js';

const cup = demoProjects()[0]!;
const preparedOf = (project: Project) => {
  const prepared = prepare(project);
  if (!prepared.ok) throw new Error('prepare');
  return prepared.value;
};
const passport = (project: Project, journal: JournalEntry[] = []) =>
  passportOf(project, preparedOf(project), planned(project), SHIPPED_WOODS, DEFAULT_SHOP, journal);

describe('a passport', () => {
  test.each(demoProjects().map((project) => [project.name, project] as const))(
    '%s: its figures are the plan’s',
    (_, project) => {
      const plan = planned(project);
      const { pieces, rings, heightMm, across, woods, massKg } = passport(project);
      expect([pieces, rings, heightMm, massKg]).toEqual([
        plan.pieces,
        plan.rings.length,
        plan.heightMm,
        plan.massKg,
      ]);
      expect(woods.reduce((sum, wood) => sum + wood.pieces, 0)).toBe(plan.pieces);
      expect(woods.every(({ latin }) => latin !== '')).toBe(true);
      expect(across.find(({ name }) => name === 'widest')!.mm).toBeCloseTo(plan.diameterMm, 6);
      expect(across.length).toBe(landmarksOf(preparedOf(project).vessel.outside).length);
    },
  );
  test('what is entered stands on it; what is not has no line; emptied it is out of the document', () => {
    const labels = (project: Project) => passportRows(passport(project), 'mm').map(([label]) => label);
    expect(labels(cup)).not.toContain('Maker');
    const entered = after(
      cup,
      setPassport({ maker: 'M. Tarn', number: '12', hours: 30.5 }),
      setFinish('oil'),
    );
    expect(labels(entered).slice(0, 2)).toEqual(['Maker', 'Number']);
    const text = passportText(passport(entered), 'mm');
    expect(text.split('\n')[0]).toBe(cup.name);
    expect(text).toContain('Finish: Oil, 3 coats');
    expect(text).toContain('Hours: 30.5');
    expect(after(entered, setPassport({ maker: '', number: '', hours: undefined })).passport).toBeUndefined();
    expect(refusal(cup, setPassport({ hours: -1 }))).toContain('Hours');
    expect(refusal(cup, setPassport({ maker: 'x'.repeat(81) }))).toContain('Maker');
  });
});

test('the wall laid flat shows what the elevation shows in the middle of the front', () => {
  const prepared = preparedOf(cup);
  const colours = new Map(
    cup.palette.map(({ key, wood }) => [key, SHIPPED_WOODS.find(({ id }) => id === wood)!]),
  );
  const flat = flatPicture(prepared, colours, 720, 90);
  expect(flat.radiiMm.length).toBe(90);
  expect(2 * Math.max(...flat.radiiMm)).toBeLessThanOrEqual(planned(cup).diameterMm + 1e-3);
  const front = elevationPicture(prepared, colours, 90);
  // The elevation looks at 0.35 rad from the index mark; joints are drawn darker in both.
  let alike = 0;
  for (let y = 2; y < 88; y++) {
    const from = 4 * (y * 720 + Math.round((0.35 / (2 * Math.PI)) * 720));
    const to = 4 * (y * front.width + Math.floor(front.width / 2));
    const hue = (data: Uint8Array, at: number) => data[at]! / (data[at + 2]! + 1);
    if (Math.abs(hue(flat.rgba, from) - hue(front.rgba, to)) < 0.2) alike++;
  }
  expect(alike).toBeGreaterThan(70);
});

test('the page is one file: names cannot break out of it, nothing is fetched', () => {
  const evil = { ...passport(cup), name: '</script><b onclick="x">', note: '"&<' };
  const page = passportPage(evil, 'mm', {
    picture: 'data:image/png;base64,AAAA',
    radiiMm: [10, 12.345],
    heightMm: 80,
    photo: { picture: 'data:image/jpeg;base64,BBBB', says: '"><script>' },
  });
  expect(page).toContain('alt="&#34;&#62;&#60;script&#62;"');
  expect(page).not.toContain('<b onclick');
  expect(page).toContain('&#60;/script&#62;');
  expect(page).toContain('[10,12.35]');
  expect([...page.matchAll(/(src|href)\s*=\s*["']?https?:/g)]).toEqual([]);
  expect(page.match(/<script>/g)?.length).toBe(1);
});
