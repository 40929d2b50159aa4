/** A window of the browser tells the others, when they ask, that it is open. */

const KEY = 'fellside.window';
/** How long an answer may take, ms: a busy window answers between two frames. */
const PATIENCE = 250;

/** Tells apart windows that believe to have one name, as two do when one was duplicated. */
const self = randomName();

interface Word {
  readonly from: string;
  readonly ask?: string;
  readonly answer?: string;
}

function randomName(): string {
  return [...crypto.getRandomValues(new Uint32Array(3))].map((n) => n.toString(36)).join('');
}

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('fellside.windows');
// In Node, where tests run, an open channel would keep the process from ending.
(channel as unknown as { unref?: () => void } | null)?.unref?.();
let name: string | null = null;

channel?.addEventListener('message', ({ data }: MessageEvent<Word>) => {
  if (data.ask !== undefined && data.ask === name && data.from !== self)
    channel.postMessage({ from: self, answer: data.ask } satisfies Word);
});

/** Whether a window of a name is open besides this one. */
export function isOpen(other: string): Promise<boolean> {
  if (!channel) return Promise.resolve(false);
  return new Promise((told) => {
    const heard = ({ data }: MessageEvent<Word>) => {
      if (data.answer === other && data.from !== self) done(true);
    };
    const done = (open: boolean) => {
      channel.removeEventListener('message', heard);
      clearTimeout(timer);
      told(open);
    };
    const timer = setTimeout(() => done(false), PATIENCE);
    channel.addEventListener('message', heard);
    channel.postMessage({ from: self, ask: other } satisfies Word);
  });
}

let naming: Promise<string> | null = null;

/** This window's name, the same after a reload; a duplicated window takes a new one. */
export function windowName(): Promise<string> {
  naming ??= (async () => {
    const before = stored();
    const own = before !== null && !(await isOpen(before)) ? before : randomName();
    try {
      sessionStorage.setItem(KEY, own);
    } catch {
      // Without a store the name lasts until the reload; the draft is then one of a window that was closed.
    }
    name = own;
    return own;
  })();
  return naming;
}

function stored(): string | null {
  try {
    return sessionStorage.getItem(KEY);
  } catch {
    return null;
  }
}
