// Frames per second of the turntable while it is dragged, in a browser that draws in software: part of `npm run bench`.
import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { edit, mm, run, startProject } from '../packages/core/dist/index.js';
import { ensureChromium } from './setup.mjs';

const SECONDS = 4;

/** A vase of 40 rings of 48 segments in two woods. */
function vase() {
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
  if (!begun.ok) throw new Error(begun.reasons[0].message);
  const rings = begun.value.rings.map((_, index) => index);
  const made = run(begun.value, edit.setWay(rings, 'flat'));
  const counted = run(made.ok ? made.value.project : begun.value, edit.setCount(rings, 48));
  const piece = counted.ok ? counted.value.project : begun.value;
  const motif = {
    kind: 'spiral',
    tones: ['light', 'dark'],
    values: { repeats: 12, columns: 4, wide: 2, step: 1, change: 0 },
  };
  const laid = run(piece, edit.layMotif(rings, motif));
  return laid.ok ? laid.value.project : piece;
}

async function freePort() {
  const probe = createServer().listen(0, '127.0.0.1');
  await new Promise((ready) => probe.once('listening', ready));
  const { port } = probe.address();
  await new Promise((closed) => probe.close(closed));
  return port;
}

async function served(port) {
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    env: {
      ...process.env,
      FELLSIDE_PORT: String(port),
      FELLSIDE_DATA: mkdtempSync(join(tmpdir(), 'fellside-bench-')),
    },
  });
  await new Promise((ready) =>
    server.stdout.on('data', (text) => String(text).includes('Fellside is ready') && ready()),
  );
  return server;
}

/** Drags the turntable round for some seconds; frames a second that were drawn meanwhile. */
async function dragged(page) {
  const scene = page.getByRole('img', { name: /^The piece in space/ });
  const box = await scene.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const canvas = scene.locator('canvas');
  const frames = () => canvas.evaluate((element) => Number(element.dataset.frames ?? 0));
  await canvas.and(page.locator('[data-frames]')).waitFor();
  await page.waitForTimeout(2000);
  await page.mouse.move(x, y);
  await page.mouse.down();
  // Sixty moves a second, as a hand's pointer sends them, without waiting for the browser to answer each.
  const hand = await page.context().newCDPSession(page);
  const [start, before] = [Date.now(), await frames()];
  for (let i = 0; Date.now() - start < 1000 * SECONDS; i++) {
    const at = { x: x + 150 * Math.sin(i / 12), y: y + 20 * Math.cos(i / 12) };
    hand
      .send('Input.dispatchMouseEvent', { type: 'mouseMoved', button: 'left', buttons: 1, ...at })
      .catch(() => {});
    await new Promise((next) => setTimeout(next, 1000 / 60));
  }
  const count = (await frames()) - before;
  const seconds = (Date.now() - start) / 1000;
  await page.mouse.up();
  return count / seconds;
}

export async function turntableBench() {
  const executablePath = ensureChromium();
  const port = await freePort();
  const server = await served(port);
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-quic'] });
  try {
    const url = `http://127.0.0.1:${port}`;
    const answer = await fetch(`${url}/api/projects`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ document: vase() }),
    });
    const { id, document } = await answer.json();
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${url}/piece/${id}/pattern/turntable`);
    const large = await dragged(page);
    await page.goto(`${url}/piece/${id}/pattern`);
    const panel = await dragged(page);
    const segments = document.rings.reduce((sum, { woods }) => sum + woods.length, 0);
    console.log(
      `turntable, ${document.rings.length} rings, ${segments} segments, software renderer, while dragged: ${large.toFixed(0)} frames a second large (945 × 550), ${panel.toFixed(0)} beside the bench`,
    );
  } finally {
    await browser.close();
    server.kill();
  }
}
