import { useFrame, useThree } from '@react-three/fiber';
import { useEffect, useRef } from 'react';
import { ability } from './webgl.js';

/** Frames that follow each other within this are of a movement, ms. */
const REST = 220;
/** A frame is to take no longer than this while something moves, ms; a third less is quick enough for more points. */
const FRAME = 32;
/** Points a side for each of the page's: at least while something moves, and at most at rest. */
const COARSEST = 0.3;
const SMOOTH = 2;
/** Points of a frame at rest, at most: software takes its time for each, and the page waits for it. */
const MOST = 1.5e6;
/** So much of what it was a change makes of them, after so many frames. */
const STEP = 0.85;
const FRAMES = 4;

/** Points a side for each of the page's after frames that took so long (ms) on average. */
export const nextRatio = (ratio: number, took: number, most: number): number =>
  took > FRAME
    ? Math.max(COARSEST, ratio * STEP)
    : took < FRAME * (2 / 3)
      ? Math.min(most, ratio / STEP)
      : ratio;

/** Points a side at rest for each of the page's, on a canvas of so many px. */
export const ratioAtRest = (width: number, height: number): number =>
  Math.min(SMOOTH, Math.max(1, Math.sqrt(MOST / Math.max(1, width * height))));

/** Without graphics hardware: as coarse as it has to be while something moves, and smooth at rest. */
export function Quality() {
  const { gl, size, get, invalidate } = useThree();
  const rest = useRef({ timer: 0, drawing: false });
  const moving = useRef({ ratio: 0.6, last: Number.NEGATIVE_INFINITY, sum: 0, frames: 0 });
  useEffect(() => {
    const { current } = rest;
    return () => clearTimeout(current.timer);
  }, []);
  useFrame(() => {
    if (!ability().software) return;
    const now = performance.now();
    const [{ current: resting }, { current: move }] = [rest, moving];
    clearTimeout(resting.timer);
    if (resting.drawing) {
      resting.drawing = false;
      return;
    }
    const took = now - move.last;
    move.last = now;
    if (took < REST) {
      move.sum += took;
      move.frames++;
    } else [move.sum, move.frames] = [0, 0];
    if (move.frames === FRAMES) {
      move.ratio = nextRatio(move.ratio, move.sum / FRAMES, globalThis.devicePixelRatio || 1);
      [move.sum, move.frames] = [0, 0];
    }
    if (gl.getPixelRatio() !== move.ratio) gl.setPixelRatio(move.ratio);
    resting.timer = window.setTimeout(() => {
      // While pictures are taken the canvas is theirs; the frame after them comes back here.
      if (get().frameloop === 'never') return;
      resting.drawing = true;
      gl.setPixelRatio(ratioAtRest(size.width, size.height));
      invalidate();
    }, REST);
  });
  return null;
}
