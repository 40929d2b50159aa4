import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEFAULT_SHOP, plan, writeProjectFile } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { afterAll, expect, test } from 'vitest';
import { fellside } from './fellside.js';

const folder = mkdtempSync(join(tmpdir(), 'fellside-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function file(name: string, text: string): string {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
}

function ran(...args: string[]) {
  let [said, complained] = ['', ''];
  const status = fellside(args, {
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

test('plan prints the very plan of the core', () => {
  const { status, said } = ran('plan', cup);
  const planned = plan(demoProjects()[0]!, DEFAULT_SHOP);
  expect(status).toBe(0);
  expect(JSON.parse(said)).toEqual(JSON.parse(JSON.stringify(planned.ok && planned.value)));
});

test('a shop of one’s own changes the strips', () => {
  const wide = file('shop.json', JSON.stringify({ ...DEFAULT_SHOP, kerfMm: 6 }));
  expect(ran('plan', cup, '--shop', wide).said).not.toBe(ran('plan', cup).said);
  const refused = ran(
    'plan',
    cup,
    '--shop',
    file('bad-shop.json', JSON.stringify({ ...DEFAULT_SHOP, kerfMm: -1 })),
  );
  expect(refused).toMatchObject({ status: 2, said: '', complained: expect.stringMatching(/Saw kerf is -1/) });
});

test('cuts prints a CSV, check prints nothing for a piece in order', () => {
  expect(ran('cuts', cup).said.split('\r\n')[0]).toMatch(/^ring,piece,wood,count/);
  expect(ran('check', cup)).toEqual({ status: 0, said: '', complained: '' });
});

test.each([
  ['a missing file', () => join(folder, 'nowhere.json'), /cannot be read/],
  ['a text', () => file('a.json', 'hello'), /not JSON/],
  [
    'a broken piece',
    () => file('b.json', JSON.stringify({ ...demoProjects()[0]!, rings: [] })),
    /There is no ring/,
  ],
  ['a large file', () => file('c.json', ' '.repeat(5 * 1024 * 1024 + 1)), /5242880 are allowed/],
])('%s: exit status 2 and the reasons', (_, path, sentence) => {
  const { status, said, complained } = ran('plan', path());
  expect(status).toBe(2);
  expect(said).toBe('');
  expect(JSON.parse(complained).reasons[0].message).toMatch(sentence);
});

test.each([[[]], [['dance', cup]], [['plan']], [['plan', cup, '--colour']], [['plan', cup, 'more']]])(
  '%j: usage and exit status 2',
  (args) => {
    expect(ran(...args)).toMatchObject({ status: 2, complained: expect.stringMatching(/Usage:/) });
  },
);
