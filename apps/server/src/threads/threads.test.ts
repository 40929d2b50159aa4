import { describe, expect, test } from 'vitest';
import { GivenUp, Threads } from './threads.js';

describe('work beside the server', () => {
  const limits = { most: 1, mostWaiting: 1, seconds: 60, megabytes: 256 };
  test('waits in a line, is turned away when that is full, and is dropped when the asker leaves', async () => {
    const gates: (() => void)[] = [];
    const threads = new Threads<string, string>(
      new URL('file:///nowhere.js'),
      (ask) => new Promise((done) => gates.push(() => done(ask))),
      limits,
    );
    const first = threads.run('first');
    const left = new AbortController();
    const second = threads.run('second', left.signal);
    expect(threads.state).toEqual({ running: 1, waiting: 1 });
    await expect(threads.run('third')).rejects.toThrow(/1 are being worked on and 1 wait/);
    left.abort();
    gates[0]!();
    expect(await first).toBe('first');
    await expect(second).rejects.toBeInstanceOf(GivenUp);
    expect(gates).toHaveLength(1);
  });

  const worker = (code: string) =>
    new URL(
      `data:text/javascript,${encodeURIComponent(`import { parentPort } from 'node:worker_threads'; ${code}`)}`,
    );
  test.each([
    ['takes too long', 'for (;;) {}', { ...limits, seconds: 0.3 }, /longer than 0.3 s/],
    [
      'takes too much memory',
      'parentPort.on("message", () => { const all = []; for (;;) all.push(new Array(1e5).fill({}).map(() => ({}))); });',
      { ...limits, megabytes: 24 },
      /more than 24 MB/,
    ],
  ])('that %s is stopped, and the next is done', async (_, code, given, sentence) => {
    const threads = new ThreadsOf<string, string>(worker(code), async (ask) => ask, given);
    await expect(threads.run('x')).rejects.toThrow(sentence);
    expect(threads.state).toEqual({ running: 0, waiting: 0 });
    await threads.close();
  });
});

/** Threads whose worker needs no file. */
class ThreadsOf<Ask, Answer> extends Threads<Ask, Answer> {
  protected override get isBuilt() {
    return true;
  }
}
