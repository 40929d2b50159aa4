import { speciesSchema } from '@fellside/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { parsed } from '../reasons/answer.js';
import { WoodsService } from './woods.service.js';

@Controller('api/woods')
export class WoodsController {
  constructor(private readonly woods: WoodsService) {}

  @Get()
  list() {
    return this.woods.list();
  }

  @Post()
  add(@Body() body: unknown) {
    return this.woods.add(parsed(speciesSchema, body));
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.woods.remove(id);
  }
}
