import { Database, examine } from '@fellside/database';
import { Controller, Get, HttpCode, Inject, Post } from '@nestjs/common';
import { SETTINGS, type Settings } from '../settings.js';

/** Whether what is called saved can be: for the interface to ask while the server cannot write. */
@Controller('api/health')
export class HealthController {
  constructor(
    private readonly database: Database,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Get()
  health() {
    return { writable: this.database.writable };
  }

  /** SQLite's full integrity check, on demand; 422 with a sentence and the way back where it fails. */
  @Post('check')
  @HttpCode(200)
  async check() {
    // Read beside the server, by a connection of its own; the database is not being written to meanwhile.
    await this.database.read(async () => examine(this.settings.dataFolder, { full: true }));
    return { sound: true };
  }
}
