import { DEFAULT_SHOP, type Shop, shopSchema } from '@fellside/core';
import { Database, ShopEntity } from '@fellside/database';
import { Body, Controller, Get, Put } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { readable } from '../kept/kept.js';
import { parsed } from '../reasons/answer.js';

const ONLY_ROW = 1;

/** The shop's figures; settings that came with a newer Fellside start as they usually are. */
export async function shopIn(manager: EntityManager): Promise<Shop> {
  const [row] = await readable(manager, 'shop');
  return row?.value ?? DEFAULT_SHOP;
}

@Controller('api/shop')
export class ShopController {
  constructor(private readonly database: Database) {}

  @Get()
  get(): Promise<Shop> {
    return this.database.read(shopIn);
  }

  @Put()
  set(@Body() body: unknown): Promise<Shop> {
    const settings = parsed(shopSchema, body);
    return this.database.write(async (manager) => {
      await manager.upsert(ShopEntity, { id: ONLY_ROW, settings: JSON.stringify(settings) }, ['id']);
      return settings;
    });
  }
}
