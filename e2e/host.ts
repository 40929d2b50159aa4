import { type ChildProcess, fork } from 'node:child_process';
import { once } from 'node:events';
import { resolve } from 'node:path';

/** The settings of a server that a test asks for; what they mean is said where the server reads them. */
export interface Hosted {
  readonly port: number;
  readonly dataFolder: string;
}

/** A process in which Fellsides are started and stopped, one after another. */
export class Host {
  private readonly child: ChildProcess = fork(resolve(import.meta.dirname, '../scripts/servers.mjs'));
  private asked = 0;

  private async ask(what: 'start' | 'stop', settings: object): Promise<void> {
    const ask = ++this.asked;
    // What never answers because it is gone is told at once.
    const gone = new AbortController();
    const lost = (code: number | null) =>
      gone.abort(new Error(`The process of the servers ended (${code}).`));
    if (this.child.exitCode !== null) lost(this.child.exitCode);
    this.child.once('exit', lost);
    try {
      this.child.send({ ask, what, settings });
      for (;;) {
        const [answer] = (await once(this.child, 'message', gone)) as [{ ask: number; failed?: string }];
        if (answer.ask !== ask) continue;
        if (answer.failed) throw new Error(answer.failed);
        return;
      }
    } finally {
      this.child.off('exit', lost);
    }
  }

  start({ port, dataFolder }: Hosted): Promise<void> {
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
    this.child.disconnect();
  }
}
