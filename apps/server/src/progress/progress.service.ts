import type { Tick } from '@fellside/core';
import { Database, ProjectEntity, TickEntity } from '@fellside/database';
import { Injectable, NotFoundException } from '@nestjs/common';
import { filter, type Observable, Subject } from 'rxjs';
import { IsNull } from 'typeorm';
import { Unprocessable } from '../reasons/answer.js';

const GONE = { statusCode: 404, message: 'There is no such piece; it may have been removed.' };

/** What was done of each piece: a list that only grows, told to every device that has the piece open. */
@Injectable()
export class ProgressService {
  private readonly heard = new Subject<{ readonly piece: string; readonly ticks: readonly Tick[] }>();

  constructor(private readonly database: Database) {}

  /** All of a piece, in the order in which it came. */
  list(projectId: string): Promise<Tick[]> {
    return this.database.read(async (manager) => {
      if (!(await manager.existsBy(ProjectEntity, { id: projectId }))) throw new NotFoundException(GONE);
      return manager.query(
        `SELECT "id", "job", "amount", "at", "device" FROM "ticks" WHERE "projectId" = ? ORDER BY rowid`,
        [projectId],
      );
    });
  }

  /** Adds what was counted; what came before under the same id is left as it was. Nothing is added where less than nothing would be done of a job. */
  async add(projectId: string, ticks: readonly Tick[]): Promise<void> {
    const added = await this.database.write(async (manager) => {
      if (!(await manager.existsBy(ProjectEntity, { id: projectId, removedAt: IsNull() })))
        throw new NotFoundException(GONE);
      const fresh: Tick[] = [];
      for (const tick of ticks) {
        if (await manager.existsBy(TickEntity, { id: tick.id })) continue;
        await manager.insert(TickEntity, { ...tick, projectId });
        fresh.push(tick);
      }
      for (const job of new Set(fresh.map(({ job }) => job))) {
        const done = await manager.sum(TickEntity, 'amount', { projectId, job });
        if (done !== null && done < 0)
          throw new Unprocessable([
            {
              code: 'more-than-there-are',
              path: 'ticks',
              message: 'More would be taken back of a job than was counted. Nothing was changed.',
            },
          ]);
      }
      return fresh;
    });
    if (added.length > 0) this.heard.next({ piece: projectId, ticks: added });
  }

  /** What is added to a piece from now on. */
  added(piece: string): Observable<{ readonly ticks: readonly Tick[] }> {
    return this.heard.pipe(filter((each) => each.piece === piece));
  }
}
