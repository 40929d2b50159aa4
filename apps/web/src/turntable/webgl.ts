let known: boolean | undefined;

/** Whether this browser can draw in space; asked once. */
export function hasWebGl(): boolean {
  if (known === undefined)
    try {
      known =
        typeof WebGL2RenderingContext !== 'undefined' &&
        !!document.createElement('canvas').getContext('webgl2');
    } catch {
      known = false;
    }
  return known;
}
