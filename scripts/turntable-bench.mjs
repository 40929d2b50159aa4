// Frames per second of the turntable while it is dragged, in a browser that draws in software: part of `npm run bench`.
import { onPage, shelve, vase } from './bench-page.mjs';

const SECONDS = 4;

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

export const turntableBench = () =>
  onPage(async (page, url) => {
    const document = vase();
    const id = await shelve(url, document);
    await page.goto(`${url}/piece/${id}/pattern/turntable`);
    const large = await dragged(page);
    await page.goto(`${url}/piece/${id}/pattern`);
    const panel = await dragged(page);
    const segments = document.rings.reduce((sum, { woods }) => sum + woods.length, 0);
    console.log(
      `turntable, ${document.rings.length} rings, ${segments} segments, software renderer, while dragged: ${large.toFixed(0)} frames a second large (945 × 550), ${panel.toFixed(0)} beside the bench`,
    );
  });
