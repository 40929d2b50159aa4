import { Database, DrawingEntity } from '@fellside/database';
import { Injectable, NotFoundException, type OnModuleDestroy } from '@nestjs/common';
import { ProjectsService } from '../projects/projects.service.js';
import { shopIn } from '../shop/shop.controller.js';
import { Threads } from '../threads/threads.js';
import { WoodsService } from '../woods/woods.service.js';
import { type DrawAsk, drawn } from './draw.js';

const LIMITS = { most: 1, mostWaiting: 1000, seconds: 20, megabytes: 512 } as const;

/** Small drawings of pieces for the shelf, kept beside the documents, made when they are first asked for. */
@Injectable()
export class DrawingsService implements OnModuleDestroy {
  private readonly threads = new Threads<DrawAsk, Uint8Array | null>(
    new URL('./drawWorker.js', import.meta.url),
    async (ask) => drawn(ask),
    LIMITS,
  );

  constructor(
    private readonly database: Database,
    private readonly projects: ProjectsService,
    private readonly woods: WoodsService,
  ) {}

  /** The drawing of a piece as it was at a revision; kept where that is the newest. */
  async of(projectId: string, revision: number, signal: AbortSignal): Promise<Uint8Array> {
    const kept = await this.database.read((manager) => manager.findOneBy(DrawingEntity, { projectId }));
    if (kept?.revision === revision) return kept.png;
    const { document } = await this.projects.version(projectId, revision);
    const { workshop } = await this.database.read(shopIn);
    const ask = { project: document, woods: await this.woods.list(), usual: workshop.finish.usual };
    const png = await this.threads.run(ask, signal);
    if (!png) throw new NotFoundException({ statusCode: 404, message: 'This piece cannot be drawn.' });
    if (!kept || kept.revision < revision) await this.keep(projectId, revision, png);
    return png;
  }

  /** A disk that takes no drawing is no reason not to show it. */
  private async keep(projectId: string, revision: number, png: Uint8Array): Promise<void> {
    const row = { projectId, revision, png: Buffer.from(png) };
    await this.database.write((manager) => manager.upsert(DrawingEntity, row, ['projectId'])).catch(() => {});
  }

  onModuleDestroy(): Promise<void> {
    return this.threads.close();
  }
}
