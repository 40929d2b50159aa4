import { fork } from 'node:child_process';
import { once } from 'node:events';
import { resolve } from 'node:path';

/** A process in which Fellsides are started and stopped, one after another; what is asked of it when it is gone fails at once. */
export class Host {
  private readonly child = fork(resolve(import.meta.dirname, '../scripts/servers.mjs'));
  private readonly gone = once(this.child, 'exit').then(([code]) => {
    throw new Error(`The process of the servers ended (${code}).`);
  });

  constructor() {
    // Told to who asks.
    this.gone.catch(() => {});
  }

  private async ask(what: 'start' | 'stop', settings: object): Promise<void> {
    this.child.send({ what, settings });
    const [{ failed }] = await Promise.race([once(this.child, 'message'), this.gone]);
    if (failed) throw new Error(failed);
  }

  /** What the settings mean is said where the server reads them. */
  start(port: number, dataFolder: string): Promise<void> {
    return this.ask('start', {
      host: '127.0.0.1',
      port,
      hosts: [],
      dataFolder,
      webFolder: resolve(import.meta.dirname, '../apps/web/dist'),
      demo: true,
      asItIs: false,
    });
  }

  stop(port: number): Promise<void> {
    return this.ask('stop', { port });
  }

  end(): void {
    if (this.child.connected) this.child.disconnect();
  }
}
