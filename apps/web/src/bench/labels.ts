/**
 * Where labels stand that are wanted at heights `wanted` (px, from below up: falling), each at least `apart` from the next and
 * none above `top`: those that the top pushes down push the ones under them.
 */
export function spread(wanted: readonly number[], apart: number, top: number): number[] {
  const ys: number[] = [];
  for (const y of wanted) ys.push(Math.min(y, (ys.at(-1) ?? Number.POSITIVE_INFINITY) - apart));
  let least = top;
  for (let i = ys.length - 1; i >= 0; i--) {
    ys[i] = Math.max(ys[i]!, least);
    least = ys[i]! + apart;
  }
  return ys;
}
