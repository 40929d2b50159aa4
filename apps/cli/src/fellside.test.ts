import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { boardsCsv, DEFAULT_SHOP, plan, planFile, SHIPPED_WOODS, writeProjectFile } from '@fellside/core';
import { demoBoards, demoProjects } from '@fellside/core/demo';
import { afterAll, expect, test } from 'vitest';
import { fellside } from './fellside.js';

const folder = mkdtempSync(join(tmpdir(), 'fellside-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function file(name: string, text: string): string {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
}

async function ran(...args: string[]) {
  let [said, complained] = ['', ''];
  const status = await fellside(args, {
    say: (text) => {
      said += text;
    },
    complain: (text) => {
      complained += text;
    },
  });
  return { status, said, complained };
}

const cup = file('cup.json', writeProjectFile(demoProjects()[0]!, []));

test('plan prints the very plan of the core, with its format and version', async () => {
  const { status, said } = await ran('plan', cup);
  const planned = plan(demoProjects()[0]!, DEFAULT_SHOP);
  expect(status).toBe(0);
  const read = JSON.parse(said);
  expect([read.format, read.version]).toEqual(['fellside-plan', 3]);
  expect(said).toBe(planned.ok && planFile(planned.value));
  // Keys and quantities, no sentences: how each ring is sawn is set, and nothing is worded.
  const steps = read.rings.flatMap((ring: { steps: object[] }) => ring.steps);
  expect(steps.length).toBeGreaterThan(read.rings.length);
  expect(steps.every((step: object) => 'sets' in step && 'tool' in step && !('says' in step))).toBe(true);
  expect(said).not.toMatch(/"message"|Dry-fit/);
});

test('a shop of one’s own changes the strips', async () => {
  const wide = file('shop.json', JSON.stringify({ ...DEFAULT_SHOP, sparePercent: 40 }));
  expect((await ran('plan', cup, '--shop', wide)).said).not.toBe((await ran('plan', cup)).said);
  const bad = file('bad-shop.json', JSON.stringify({ ...DEFAULT_SHOP, kerfMm: -1 }));
  const refused = await ran('plan', cup, '--shop', bad);
  expect(refused).toMatchObject({
    status: 2,
    said: '',
    complained: expect.stringMatching(/Saw kerf is −3\/64/),
  });
});

test('cuts prints a CSV, check has nothing to look at in a piece in order, only what years do', async () => {
  expect((await ran('cuts', cup)).said.split('\r\n')[0]).toMatch(/^for,piece,wood,count/);
  const checked = await ran('check', cup);
  expect(checked).toMatchObject({ status: 0, complained: '' });
  expect(checked.said).toMatch(/^(To note: .+\n)+$/);
  expect(checked.said).toMatch(/disc of ring 5 moves 0\.026" on a side.*more than 0\.010"/);
  // What is wrong is told in the shop's units: inches as it comes, mm where the shop says so.
  const short = demoProjects()[0]!;
  const thin = file('thin.json', writeProjectFile({ ...short, rings: short.rings.slice(0, 12) }, []));
  expect((await ran('check', thin)).said).toMatch(/The rings end at height \d+( \d+\/\d+)?"/);
  const metric = file('mm.json', JSON.stringify({ units: 'mm' }));
  expect((await ran('check', thin, '--shop', metric)).said).toMatch(/The rings end at height [\d.]+ mm/);
});

test('sheets writes a PDF; boards come from a CSV, and what is wrong in it is told by line', async () => {
  const out = join(folder, 'cup.pdf');
  const boards = demoBoards().map((board, i) => ({ ...board, id: String(i) }));
  const csv = file('boards.csv', boardsCsv(boards, SHIPPED_WOODS, 'mm'));
  expect((await ran('sheets', cup, '--out', out, '--boards', csv, '--quick')).status).toBe(0);
  expect(readFileSync(out).subarray(0, 5).toString()).toBe('%PDF-');
  const broken = file(
    'broken.csv',
    'wood,length mm,width mm,thickness mm\r\nhard maple,2000,150,25\r\noak?,1,1,1',
  );
  const refused = await ran('sheets', cup, '--out', out, '--boards', broken);
  expect(refused).toMatchObject({ status: 2, complained: expect.stringMatching(/Line 3: The wood “oak\?”/) });
  expect((await ran('sheets', cup)).complained).toMatch(/--out/);
  expect((await ran('sheets', cup, '--out', out, '--paper', 'a0')).complained).toMatch(/a4 or letter/);
});

test.each([
  ['a missing file', () => join(folder, 'nowhere.json'), /cannot be read/],
  ['a text', () => file('a.json', 'hello'), /not JSON/],
  [
    'a broken piece',
    () => file('b.json', JSON.stringify({ ...demoProjects()[0]!, rings: [] })),
    /There is no ring/,
  ],
  ['a large file', () => file('c.json', ' '.repeat(21 * 1024 * 1024 + 1)), /22020096 are allowed/],
])('%s: exit status 2 and the reasons', async (_, path, sentence) => {
  const { status, said, complained } = await ran('plan', path());
  expect(status).toBe(2);
  expect(said).toBe('');
  expect(JSON.parse(complained).reasons[0].message).toMatch(sentence);
});

test.each([[[]], [['dance', cup]], [['plan']], [['plan', cup, '--colour']], [['plan', cup, 'more']]])(
  '%j: usage and exit status 2',
  async (args) => {
    expect(await ran(...args)).toMatchObject({ status: 2, complained: expect.stringMatching(/Usage:/) });
  },
);
