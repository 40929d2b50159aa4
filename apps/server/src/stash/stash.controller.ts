import { stashedRingSchema } from '@fellside/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { parsed } from '../reasons/answer.js';
import { StashService } from './stash.service.js';

@Controller('api/stash')
export class StashController {
  constructor(private readonly stash: StashService) {}

  @Get()
  list() {
    return this.stash.list();
  }

  @Post()
  add(@Body() body: unknown) {
    return this.stash.add(parsed(stashedRingSchema, body));
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.stash.remove(id);
  }
}
