import { DEFAULT_SHOP, type Learnt, learntFrom, rippingOf, type Shop, shopSchema } from '@fellside/core';
import { Database, DrawingEntity, ProjectEntity, ShopEntity } from '@fellside/database';
import { Body, Controller, Get, Put } from '@nestjs/common';
import { type EntityManager, IsNull, Like } from 'typeorm';
import { readable } from '../kept/kept.js';
import { readStored } from '../projects/stored.js';
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

  /** Whether somebody has said how this shop measures and works. */
  @Get('chosen')
  chosen(): Promise<{ readonly chosen: boolean }> {
    return this.database.read(async (manager) => ({ chosen: (await manager.count(ShopEntity)) > 0 }));
  }

  /** How far rings of all pieces on the shelf came out from what was planned, as far as they were measured. */
  @Get('learnt')
  learnt(): Promise<Learnt[]> {
    return this.database.read(async (manager) => {
      const rows = await manager.find(ProjectEntity, {
        where: { removedAt: IsNull(), document: Like('%"measured"%') },
      });
      const projects = rows.flatMap(({ document }) => {
        const read = readStored(document);
        return read.ok ? [read.value.document] : [];
      });
      const shop = await shopIn(manager);
      return learntFrom(projects, shop.workshop.setups, rippingOf(shop));
    });
  }

  @Put()
  set(@Body() body: unknown): Promise<Shop> {
    const settings = parsed(shopSchema, body);
    return this.database.write(async (manager) => {
      // Drawings of the shelf are in the colours of the usual finish.
      if ((await shopIn(manager)).workshop.finish.usual !== settings.workshop.finish.usual)
        await manager.clear(DrawingEntity);
      await manager.upsert(ShopEntity, { id: ONLY_ROW, settings: JSON.stringify(settings) }, ['id']);
      return settings;
    });
  }
}
