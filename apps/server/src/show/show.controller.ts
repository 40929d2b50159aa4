import { Database, ProjectEntity } from '@fellside/database';
import { ConflictException, Controller, HttpCode, Post } from '@nestjs/common';
import { fillShelf } from './show.js';

@Controller('api/show')
export class ShowController {
  constructor(private readonly database: Database) {}

  /** Puts the pieces of the Hollin Tarn Show on a shelf that is empty. */
  @Post()
  @HttpCode(204)
  async show(): Promise<void> {
    await this.database.write(async (manager) => {
      if ((await manager.count(ProjectEntity)) > 0)
        throw new ConflictException(
          'There are pieces already; those of the show come onto an empty shelf only. Removed pieces count too.',
        );
      await fillShelf(manager);
    });
  }
}
