// How long a frame takes while a point of the form is dragged, for every piece of the show: part of `npm run bench`.
import { demoProjects } from '../packages/core/dist/demo/index.js';
import { onPage, shelve, vase } from './bench-page.mjs';

const SECONDS = 3;
/** The first of a drag, before the browser has made its code quick: not measured. */
const WARMING = 1;

/** Moves the pressed pointer sixty times a second. */
async function toAndFro(hand, x, y, seconds) {
  const start = Date.now();
  for (let i = 0; Date.now() - start < 1000 * seconds; i++) {
    const at = { x: x + 6 * Math.sin(i / 10), y };
    hand
      .send('Input.dispatchMouseEvent', { type: 'mouseMoved', button: 'left', buttons: 1, ...at })
      .catch(() => {});
    await new Promise((next) => setTimeout(next, 1000 / 60));
  }
}

/** Times between frames while the widest point is dragged to and fro, ms, shortest first. */
async function framesOf(page) {
  const handle = page.getByRole('slider', { name: /^Curve point 2/ }).first();
  await handle.waitFor();
  await handle.scrollIntoViewIfNeeded();
  await page.waitForTimeout(2500);
  const box = await handle.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const hand = await page.context().newCDPSession(page);
  await page.evaluate(() => {
    globalThis.frames_ = [];
    let last = performance.now();
    const tick = (now) => {
      globalThis.frames_.push(now - last);
      last = now;
      globalThis.asked_ = requestAnimationFrame(tick);
    };
    globalThis.asked_ = requestAnimationFrame(tick);
  });
  await toAndFro(hand, x, y, WARMING);
  await page.evaluate(() => globalThis.frames_.splice(0));
  await toAndFro(hand, x, y, SECONDS);
  const frames = await page.evaluate(() => {
    cancelAnimationFrame(globalThis.asked_);
    return globalThis.frames_;
  });
  await page.mouse.up();
  await page.keyboard.press('Control+z');
  return frames.sort((a, b) => a - b);
}

const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
const said = (frames) => `${at(frames, 0.5).toFixed(0)} (90 %: ${at(frames, 0.9).toFixed(0)})`;

/** With the small turntable beside the drawing and without it. */
export const dragBench = (pieces = [vase(), ...demoProjects()]) =>
  onPage(async (page, url) => {
    console.log(
      'dragging a point of the form, ms a frame in the middle, with the turntable shown and without',
    );
    let plain = 0;
    for (const document of pieces) {
      const id = await shelve(url, document);
      await page.goto(`${url}/piece/${id}/form`);
      const shown = await framesOf(page);
      await page.getByText('Turntable', { exact: true }).first().click();
      const hidden = await framesOf(page);
      await page.getByText('Turntable', { exact: true }).first().click();
      if (document.name === 'Fell Race Cup') plain = at(shown, 0.5);
      const times = plain > 0 ? `, ${(at(shown, 0.5) / plain).toFixed(1)} × the plain cup’s` : '';
      console.log(`  ${document.name}: ${said(shown)}, ${said(hidden)}${times}`);
    }
  });
