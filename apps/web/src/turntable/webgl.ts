export interface Ability {
  readonly webgl: boolean;
  /** Whether the processor draws, without help of graphics hardware. */
  readonly software: boolean;
}

let known: Ability | undefined;

const SOFTWARE = /swiftshader|llvmpipe|software|basic render/i;

/** What this browser can draw in space; found out once. */
export function ability(): Ability {
  known ??= look();
  return known;
}

function look(): Ability {
  try {
    const context =
      typeof WebGL2RenderingContext === 'undefined'
        ? null
        : document.createElement('canvas').getContext('webgl2');
    if (!context) return { webgl: false, software: false };
    const names = context.getExtension('WEBGL_debug_renderer_info');
    const renderer = String(context.getParameter(names ? names.UNMASKED_RENDERER_WEBGL : context.RENDERER));
    context.getExtension('WEBGL_lose_context')?.loseContext();
    return { webgl: true, software: SOFTWARE.test(renderer) };
  } catch {
    return { webgl: false, software: false };
  }
}
