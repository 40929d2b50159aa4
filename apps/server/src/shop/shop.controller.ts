import { DEFAULT_SHOP, type Shop, shopSchema } from '@fellside/core';
import { Body, Controller, Get, Put } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { parsed } from '../reasons/answer.js';
import { ShopEntity } from './shop.entity.js';

const ONLY_ROW = 1;

@Controller('api/shop')
export class ShopController {
  constructor(private readonly database: DataSource) {}

  @Get()
  async get(): Promise<Shop> {
    const row = await this.database.getRepository(ShopEntity).findOneBy({ id: ONLY_ROW });
    // Settings that came with a newer Fellside start as they usually are.
    return { ...DEFAULT_SHOP, ...row?.settings };
  }

  @Put()
  async set(@Body() body: unknown): Promise<Shop> {
    const settings = parsed(shopSchema, body);
    await this.database.getRepository(ShopEntity).save({ id: ONLY_ROW, settings });
    return settings;
  }
}
