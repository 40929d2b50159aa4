// A browser on a Fellside of its own, for benches.
import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { edit, mm, run, startProject } from '../packages/core/dist/index.js';
import { ensureChromium, SERVER } from './setup.mjs';

/** A vase of 40 rings of 48 segments in two woods. */
export function vase() {
  const begun = startProject({
    name: 'Vase of 40 × 48',
    shape: 'vase',
    heightMm: mm(320),
    diameterMm: mm(240),
    wallMm: mm(8),
    ringHeightMm: mm(8),
    count: 48,
    woods: ['sugar-maple', 'black-walnut'],
  });
  const rings = made(begun).rings.map((_, index) => index);
  const motif = {
    kind: 'spiral',
    tones: ['light', 'dark'],
    values: { repeats: 12, columns: 4, wide: 2, step: 1, change: 0 },
  };
  const edits = [edit.startFrom(rings, 'flat'), edit.setCount(rings, 48), edit.layMotif(rings, motif)];
  return edits.reduce((piece, each) => made(run(piece, each)).project, begun.value);
}

function made(result) {
  if (!result.ok) throw new Error(JSON.stringify(result.reasons[0].message));
  return result.value;
}

/** A port that nobody has. */
export async function freePort() {
  const probe = createServer().listen(0, '127.0.0.1');
  await new Promise((ready) => probe.once('listening', ready));
  const { port } = probe.address();
  await new Promise((closed) => probe.close(closed));
  return port;
}

/** A server on a folder, once it listens; a new folder where none is given. */
export async function served(port, folder = mkdtempSync(join(tmpdir(), 'fellside-bench-')), more = {}) {
  const server = spawn(process.execPath, [SERVER], {
    env: { ...process.env, FELLSIDE_PORT: String(port), FELLSIDE_DATA: folder, ...more },
  });
  await new Promise((ready) =>
    server.stdout.on('data', (text) => String(text).includes('Fellside is ready') && ready()),
  );
  return server;
}

/** Puts a piece on the shelf; its id. */
export async function shelve(url, document) {
  const answer = await fetch(`${url}/api/projects`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ document }),
  });
  const { id } = await answer.json();
  return id;
}

/** Does work on a page of 1280 × 800 in a browser that draws in software. */
export async function onPage(work) {
  const executablePath = ensureChromium();
  const port = await freePort();
  const server = await served(port);
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-quic'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    await work(page, `http://127.0.0.1:${port}`);
  } finally {
    await browser.close();
    server.kill();
  }
}
