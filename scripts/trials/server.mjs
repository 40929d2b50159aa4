// A Fellside on a folder and port of its own, started and killed as the trials like.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { SERVER } from '../setup.mjs';

/** Mulberry32: the same numbers for the same seed on every machine. */
export function random(seed) {
  let s = seed >>> 0;
  return () => {
    s = (s + 0x6d2b79f5) | 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export const pause = (ms) => new Promise((go) => setTimeout(go, ms));

export async function freePort() {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address();
  probe.close();
  await once(probe, 'close');
  return port;
}

/** Starts the built server; `ready` settles with true when it answers and with false when it ended before. */
export function start(data, port, more = {}) {
  const child = spawn(process.execPath, [SERVER], {
    env: { ...process.env, FELLSIDE_DATA: data, FELLSIDE_PORT: String(port), ...more },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let printed = '';
  const ready = new Promise((settle) => {
    const hear = (text) => {
      printed += text;
      if (printed.includes('Fellside is ready')) settle(true);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('exit', () => settle(false));
  });
  const gone = once(child, 'exit');
  return {
    ready,
    gone,
    url: `http://127.0.0.1:${port}/api`,
    printed: () => printed,
    async kill(signal = 'SIGKILL') {
      if (child.exitCode === null && child.signalCode === null) child.kill(signal);
      await gone;
      return child.exitCode;
    },
  };
}

/** Sends JSON and gives status and body; status 0 where nobody answers, or not within the time. */
export async function ask(url, method = 'GET', body = undefined, ms = 20_000) {
  try {
    const answer = await fetch(url, {
      method,
      signal: AbortSignal.timeout(ms),
      ...(body !== undefined && {
        headers: { 'content-type': 'application/json' },
        body: typeof body === 'string' ? body : JSON.stringify(body),
      }),
    });
    const text = await answer.text();
    return { status: answer.status, body: text ? JSON.parse(text) : null };
  } catch {
    return { status: 0, body: null };
  }
}
