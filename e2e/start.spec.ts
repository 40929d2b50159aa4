import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect } from '@playwright/test';
import { test } from './server.js';

const ROOT = resolve(import.meta.dirname, '..');

test('the interface is served with its safeguards; unknown assets and calls are not answered with a page', async ({
  request,
  fellside,
}) => {
  const page = await request.get(`${fellside.url}/piece/any/form`);
  expect(page.status()).toBe(200);
  expect(await page.text()).toContain('<div id="root">');
  expect(page.headers()['content-security-policy']).toContain("script-src 'self'");
  expect(page.headers()['x-content-type-options']).toBe('nosniff');
  for (const path of ['/assets/nothing.js', '/api/nothing'])
    expect((await request.get(fellside.url + path)).status()).toBe(404);
});

test('nothing is asked of any other host', async ({ page, fellside }) => {
  const elsewhere: string[] = [];
  page.on(
    'request',
    (asked) =>
      asked.url().startsWith(fellside.url) ||
      /^(data|blob):/.test(asked.url()) ||
      elsewhere.push(asked.url()),
  );
  for (const path of ['/', '/woods', '/shop', '/safe', '/removed'])
    await page.goto(fellside.url + path, { waitUntil: 'networkidle' });
  expect(elsewhere).toEqual([]);
});

test('a piece saved by the interface can be planned from the terminal, with all its pieces', async ({
  request,
  fellside,
}) => {
  const { pieces: all } = await (await request.get(`${fellside.url}/api/projects`)).json();
  const folder = mkdtempSync(join(tmpdir(), 'fellside-cli-'));
  const run = (document: unknown) => {
    writeFileSync(join(folder, 'piece.json'), JSON.stringify(document));
    return spawnSync('npx', ['--no-install', 'fellside', 'plan', join(folder, 'piece.json')], {
      cwd: ROOT,
      encoding: 'utf8',
    });
  };
  const { id } = all.find(({ name }: { name: string }) => name === 'Fell Race Cup');
  const { document } = await (await request.get(`${fellside.url}/api/projects/${id}`)).json();
  const good = run(document);
  expect(good.status).toBe(0);
  const plan = JSON.parse(good.stdout);
  expect(plan.pieces).toBe(245);
  const pieces = plan.lumber.woods.map((wood: { pieces: number }) => wood.pieces);
  expect(pieces.reduce((a: number, b: number) => a + b, 0)).toBe(245);
  const bad = run({ ...document, rings: [] });
  expect(bad.status).toBe(2);
  expect(bad.stdout).toBe('');
  expect(bad.stderr).toContain('There is no ring');
});
