/** A finger that stays this long (ms) where it went down, within so many px, does what the second button does. */
export const LONG = 550;
const STILL = 10;
/** Some browsers tell of a long press themselves, a little earlier or later than it is told here, ms. */
const TWICE = 900;

/** What takes a click with the second button, or a finger held still, for one with Ctrl: it is added, or taken away. */
export const HELD = { 'data-held': 'adds' } as const;

/** What within it is pressed or dragged by itself: a field keeps its menu, a handle that is held may still be dragged. */
const OF_ITS_OWN = 'input, select, textarea, a, [role=slider], button:not([id^="ring-"])';

/** Whether it lies in what takes it so. */
const isHeld = (target: EventTarget | null): target is Element =>
  target instanceof Element && target.closest('[data-held]') !== null && target.closest(OF_ITS_OWN) === null;

/**
 * Gives fingers the second button: one held still on what is `HELD` tells `contextmenu` there, once, and ends the stroke or
 * drag that it had begun; the click at its end is none. Where nothing makes anything of that it is a click with Ctrl, as is
 * the second button of a mouse.
 */
export function watchHeld(page: Document): () => void {
  let finger: { timer: number; x: number; y: number; target: Element } | null = null;
  let told = Number.NEGATIVE_INFINITY;
  let swallow = false;
  const end = () => {
    if (finger) clearTimeout(finger.timer);
    finger = null;
  };
  const letGo = (target: Element) => {
    told = performance.now();
    swallow = true;
    target.dispatchEvent(new Event('pointercancel', { bubbles: true }));
  };
  const down = (event: PointerEvent) => {
    const second = finger !== null;
    end();
    swallow = false;
    if (event.pointerType !== 'touch' || second || !isHeld(event.target)) return;
    const { clientX: x, clientY: y, target } = event;
    const timer = setTimeout(() => {
      end();
      letGo(target);
      const place = { bubbles: true, cancelable: true, clientX: x, clientY: y, button: 2 };
      target.dispatchEvent(new MouseEvent('contextmenu', place));
    }, LONG) as unknown as number;
    finger = { timer, x, y, target };
  };
  const move = ({ clientX, clientY }: PointerEvent) => {
    if (finger && Math.hypot(clientX - finger.x, clientY - finger.y) > STILL) end();
  };
  const early = (event: MouseEvent) => {
    if (!event.isTrusted) return;
    if (performance.now() - told < TWICE) {
      event.preventDefault();
      event.stopImmediatePropagation();
    } else if (finger) {
      const { target } = finger;
      end();
      letGo(target);
    }
  };
  const late = (event: MouseEvent) => {
    const { target, clientX, clientY } = event;
    if (event.defaultPrevented || !isHeld(target)) return;
    event.preventDefault();
    const wasTold = swallow;
    swallow = false;
    target.dispatchEvent(
      new MouseEvent('click', { bubbles: true, cancelable: true, clientX, clientY, ctrlKey: true }),
    );
    swallow = wasTold;
  };
  const clicked = (event: MouseEvent) => {
    if (!swallow) return;
    swallow = false;
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  const watching: readonly (readonly [string, (event: never) => void, boolean])[] = [
    ['pointerdown', down, true],
    ['pointermove', move, true],
    ['pointerup', end, true],
    ['pointercancel', end, true],
    ['contextmenu', early, true],
    ['contextmenu', late, false],
    ['click', clicked, true],
  ];
  for (const [name, listener, capture] of watching)
    page.addEventListener(name, listener as EventListener, capture);
  return () => {
    end();
    for (const [name, listener, capture] of watching)
      page.removeEventListener(name, listener as EventListener, capture);
  };
}
