import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';

export interface Limits {
  /** Threads at the same time. */
  readonly most: number;
  /** Asks that may wait for one. */
  readonly mostWaiting: number;
  readonly seconds: number;
  readonly megabytes: number;
}

/** Why an ask was given up: the line is full, it took too long or too much memory, or nobody waits for it any more. */
export class GivenUp extends Error {
  constructor(
    readonly why: 'full' | 'time' | 'memory' | 'left',
    message: string,
  ) {
    super(message);
  }
}

interface Job<Ask, Answer> {
  readonly ask: Ask;
  readonly signal: AbortSignal | undefined;
  answered(answer: Answer): void;
  failed(error: unknown): void;
}

/**
 * Heavy work beside the server, in a few threads: each with a limit of time and memory, ended when the asker leaves. More
 * asks wait in a line. From sources, where there is no built worker, the work is done in this thread.
 */
export class Threads<Ask, Answer> {
  private readonly idle: Worker[] = [];
  private readonly line: Job<Ask, Answer>[] = [];
  private readonly all = new Set<Worker>();
  private running = 0;

  constructor(
    private readonly worker: URL,
    private readonly inline: (ask: Ask) => Promise<Answer>,
    private readonly limits: Limits,
  ) {}

  /** How many are being worked on and how many wait. */
  get state() {
    return { running: this.running, waiting: this.line.length };
  }

  run(ask: Ask, signal?: AbortSignal): Promise<Answer> {
    if (this.line.length >= this.limits.mostWaiting && this.running >= this.limits.most)
      return Promise.reject(
        new GivenUp(
          'full',
          `${this.running} are being worked on and ${this.line.length} wait; try again in a minute.`,
        ),
      );
    return new Promise((answered, failed) => {
      this.line.push({ ask, signal, answered, failed });
      this.next();
    });
  }

  async close(): Promise<void> {
    for (const { failed } of this.line.splice(0)) failed(new GivenUp('left', 'The server is stopping.'));
    await Promise.all([...this.all].map((worker) => worker.terminate()));
  }

  private next(): void {
    if (this.running >= this.limits.most) return;
    const job = this.line.shift();
    if (!job) return;
    if (job.signal?.aborted) {
      job.failed(left());
      this.next();
      return;
    }
    this.running++;
    this.work(job)
      .then(job.answered, job.failed)
      .finally(() => {
        this.running--;
        this.next();
      });
  }

  private work(job: Job<Ask, Answer>): Promise<Answer> {
    if (!this.isBuilt) return this.inline(job.ask);
    const worker = this.idle.pop() ?? this.start();
    return new Promise<Answer>((answered, failed) => {
      const end = (error: Error) => {
        this.all.delete(worker);
        release();
        void worker.terminate();
        failed(error);
      };
      const told = (answer: Answer) => {
        release();
        this.idle.push(worker);
        answered(answer);
      };
      const broken = (error: NodeJS.ErrnoException) =>
        end(
          error.code === 'ERR_WORKER_OUT_OF_MEMORY'
            ? new GivenUp('memory', `It took more than ${this.limits.megabytes} MB and was stopped.`)
            : error,
        );
      const ended = () => end(new Error('The thread ended before its work was done.'));
      const abort = () => end(left());
      const slow = setTimeout(
        () => end(new GivenUp('time', `It took longer than ${this.limits.seconds} s and was stopped.`)),
        1000 * this.limits.seconds,
      );
      const release = () => {
        clearTimeout(slow);
        job.signal?.removeEventListener('abort', abort);
        worker.off('message', told).off('error', broken).off('exit', ended);
      };
      job.signal?.addEventListener('abort', abort);
      worker.on('message', told).on('error', broken).on('exit', ended);
      worker.postMessage(job.ask);
    });
  }

  /** Whether there is a thread to start. */
  protected get isBuilt(): boolean {
    return existsSync(fileURLToPath(this.worker));
  }

  private start(): Worker {
    const worker = new Worker(this.worker, {
      resourceLimits: { maxOldGenerationSizeMb: this.limits.megabytes },
    });
    // An idle thread keeps nobody from stopping; one that ends, while it works or idles, is not asked again.
    worker.unref();
    worker.on('error', () => {});
    worker.on('exit', () => {
      this.all.delete(worker);
      const at = this.idle.indexOf(worker);
      if (at >= 0) this.idle.splice(at, 1);
    });
    this.all.add(worker);
    return worker;
  }
}

const left = () => new GivenUp('left', 'Nobody waits for it any more.');
