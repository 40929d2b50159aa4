/** Side of the tiles that grain is drawn from, px; a power of two. */
export const TILE = 64;

/** How much of the light a wood keeps there, 0 to 256. */
const tile = (kept: (x: number, y: number) => number): Uint16Array =>
  Uint16Array.from({ length: TILE * TILE }, (_, i) => Math.round(256 * kept(i % TILE, Math.floor(i / TILE))));

/** Heights and strengths of the grain lines of a tile. */
const LINES = [
  [6, 0.1],
  [16, 0.06],
  [24, 0.12],
  [37, 0.07],
  [48, 0.11],
  [57, 0.05],
] as const;

/** Long grain: quiet lines along the fibres. */
export const LONG_GRAIN = tile((x, y) => {
  let kept = 1;
  for (const [line, strength] of LINES) {
    const at = line + 1.5 * Math.sin((2 * Math.PI * x) / TILE + line);
    kept -= strength * Math.max(0, 1 - Math.abs(y - at));
  }
  return kept;
});

/** End grain: darker, with the pores of cut fibres. */
export const END_GRAIN = tile((x, y) => {
  const pore = ((x * 73 + y * 151 + ((x * y) % 7) * 31) % 97) / 97;
  return pore < 0.12 ? 0.66 : 0.86;
});
