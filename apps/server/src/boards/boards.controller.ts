import { newBoardSchema, replaceBoardsSchema } from '@fellside/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { parsed } from '../reasons/answer.js';
import { BoardsService } from './boards.service.js';

@Controller('api/boards')
export class BoardsController {
  constructor(private readonly boards: BoardsService) {}

  @Get()
  list() {
    return this.boards.list();
  }

  @Post('replace')
  @HttpCode(200)
  replace(@Body() body: unknown) {
    const { remove, add } = parsed(replaceBoardsSchema, body);
    return this.boards.replace(remove, add);
  }

  @Put(':id')
  change(@Param('id') id: string, @Body() body: unknown) {
    return this.boards.change(id, parsed(newBoardSchema, body));
  }

  @Delete(':id')
  @HttpCode(204)
  async remove(@Param('id') id: string) {
    await this.boards.replace([id], []);
  }
}
