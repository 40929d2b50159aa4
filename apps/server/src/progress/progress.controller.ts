import { Body, Controller, Get, HttpCode, type MessageEvent, Param, Post, Sse } from '@nestjs/common';
import { interval, map, merge, type Observable } from 'rxjs';
import { z } from 'zod';
import { JournalService } from '../journal/journal.service.js';
import { ProjectsService } from '../projects/projects.service.js';
import { parsed } from '../reasons/answer.js';
import { ProgressService } from './progress.service.js';

/** Ticks of one request. */
const MOST_TICKS = 2000;
const MOST_AMOUNT = 100_000;

const tick = z.strictObject({
  id: z.uuid({ error: 'A tick needs an id of its own, a UUID.' }),
  job: z.string().min(1).max(200),
  amount: z
    .int({ error: 'How many were done has to be a whole number.' })
    .min(-MOST_AMOUNT)
    .max(MOST_AMOUNT)
    .refine((amount) => amount !== 0, { error: 'Nothing was counted.' }),
  at: z.iso.datetime({ error: 'When it was done has to be a date and time in UTC.' }),
  device: z.string().min(1).max(80),
});
const body = z.strictObject({
  ticks: z.array(tick).max(MOST_TICKS, { error: `At most ${MOST_TICKS} ticks are taken at once.` }),
});

/** A line now and then keeps a connection that is idle from being taken down on the way (ms). */
const BEAT = 20_000;

@Controller('api/projects/:id/progress')
export class ProgressController {
  constructor(
    private readonly progress: ProgressService,
    private readonly journal: JournalService,
    private readonly projects: ProjectsService,
  ) {}

  @Get()
  async list(@Param('id') id: string) {
    return { ticks: await this.progress.list(id) };
  }

  @Post()
  @HttpCode(204)
  add(@Param('id') id: string, @Body() given: unknown) {
    return this.progress.add(id, parsed(body, given).ticks);
  }

  /** Ticks as they come, from whatever device; a word whenever the journal was written in or the piece saved. */
  @Sse('stream')
  stream(@Param('id') id: string): Observable<MessageEvent> {
    const ticks = this.progress.added(id).pipe(map(({ ticks }): MessageEvent => ({ data: { ticks } })));
    const written = this.journal.changed(id).pipe(map((): MessageEvent => ({ type: 'journal', data: '' })));
    const saved = this.projects
      .saved(id)
      .pipe(map((revision): MessageEvent => ({ type: 'saved', data: { revision } })));
    return merge(
      ticks,
      written,
      saved,
      interval(BEAT).pipe(map((): MessageEvent => ({ type: 'beat', data: '' }))),
    );
  }
}
