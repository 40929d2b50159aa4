import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { filesOf, openDatabase, readMachine } from '@fellside/database';
import { afterAll, expect, test } from 'vitest';
import { fellside } from './fellside.js';

const folder = mkdtempSync(join(tmpdir(), 'fellside-house-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const at = (name: string) => join(folder, name);

async function ran(answers: string[], ...args: string[]) {
  let [said, complained] = ['', ''];
  const asked: string[] = [];
  const status = await fellside(
    args,
    {
      say: (text) => {
        said += text;
      },
      complain: (text) => {
        complained += text;
      },
    },
    async (question) => {
      asked.push(question);
      return answers.shift() ?? '';
    },
  );
  return { status, said, complained, asked };
}

test('backup while Fellside runs, restore to an empty folder, and refusals in a sentence', async () => {
  const running = await openDatabase(at('data'));
  await running.database.write((manager) => manager.query(`INSERT INTO woods VALUES ('plum', '{}')`));
  const made = await ran([], 'backup', at('all.zip'), '--data', at('data'));
  expect(made).toMatchObject({ status: 0, said: expect.stringMatching(/0 pieces, .*1 woods/) });
  expect((await ran([], 'backup', at('all.zip'), '--data', at('data'))).complained).toMatch(
    /is there already/,
  );
  expect((await ran([], 'restore', at('all.zip'), '--data', at('data'), '--yes')).complained).toMatch(
    /Another Fellside is running/,
  );
  await running.close();
  const asked = await ran(['no'], 'restore', at('all.zip'), '--data', at('new'));
  expect(asked).toMatchObject({ status: 2, complained: expect.stringMatching(/Nothing was changed/) });
  expect(asked.asked[0]).toMatch(/takes the place of everything.*\[yes\/no\]/s);
  expect(existsSync(filesOf(at('new')).database)).toBe(false);
  expect((await ran(['yes'], 'restore', at('all.zip'), '--data', at('new'))).said).toMatch(
    /The folder was empty/,
  );
  expect((await ran([], 'inspect', '--data', at('new'))).said).toMatch(/is sound/);
  expect((await ran([], 'restore', at('all.zip'), '--data', at('new'), '--yes')).said).toMatch(
    /kept as .*before-restore/,
  );
  expect((await ran([], 'rescue', at('rescued.zip'), '--data', at('new'))).said).toMatch(/1 woods/);
  writeFileSync(filesOf(at('new')).database, '');
  expect((await ran([], 'inspect', '--data', at('new'))).complained).toMatch(
    /is empty.*npx fellside restore/s,
  );
  expect((await ran([], 'backup', at('b.zip'), '--data', at('nowhere'))).complained).toMatch(/no database/);
});

test('a passphrase is kept as a hash only, and a short one refused', async () => {
  const set = await ran(['tree wind stone'], 'passphrase', '--data', at('locked'));
  expect(set.status).toBe(0);
  expect(readFileSync(filesOf(at('locked')).machine, 'utf8')).not.toContain('tree');
  expect(readMachine(at('locked')).passphrase?.hash).toMatch(/^[0-9a-f]{64}$/);
  expect((await ran(['short'], 'passphrase', '--data', at('locked'))).complained).toMatch(
    /at least 10 letters/,
  );
});
