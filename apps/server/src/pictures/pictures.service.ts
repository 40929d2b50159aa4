import { createHash } from 'node:crypto';
import { Database, PictureEntity } from '@fellside/database';
import { Injectable, NotFoundException } from '@nestjs/common';
import type { EntityManager } from 'typeorm';

/** Largest picture that is kept, bytes. */
export const MOST_PICTURE = 12 * 1024 * 1024;

/** First bytes of a file of each type that is taken. */
const BEGINNINGS: Readonly<Record<string, readonly number[]>> = {
  'image/png': [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
  'image/jpeg': [0xff, 0xd8, 0xff],
};

/** The type of a picture by its first bytes; null where it is none that is taken. */
export const pictureType = (bytes: Buffer): string | null =>
  Object.keys(BEGINNINGS).find((name) => BEGINNINGS[name]!.every((byte, i) => bytes[i] === byte)) ?? null;

/** Pictures that lie under drawings, each kept once, by what is in it. */
@Injectable()
export class PicturesService {
  constructor(private readonly database: Database) {}

  async keep(type: string, bytes: Buffer): Promise<{ key: string }> {
    const key = createHash('sha256').update(bytes).digest('hex');
    await this.database.write((manager) => manager.upsert(PictureEntity, { key, type, bytes }, ['key']));
    return { key };
  }

  async get(key: string): Promise<PictureEntity> {
    const found = await this.database.read((manager) => manager.findOneBy(PictureEntity, { key }));
    if (!found) throw new NotFoundException({ statusCode: 404, message: 'That picture is not kept here.' });
    return found;
  }

  /** How many pictures nothing uses: no piece on the shelf or off it, no version, no step to undo. */
  unused(): Promise<{ pictures: number; bytes: number }> {
    return this.database.read(async (manager) => {
      const loose = await unusedPictures(manager);
      return { pictures: loose.length, bytes: loose.reduce((sum, { bytes }) => sum + bytes, 0) };
    });
  }

  /** Clears those away; says how many. */
  clear(): Promise<{ pictures: number; bytes: number }> {
    return this.database.write(async (manager) => {
      const loose = await unusedPictures(manager);
      for (const { key } of loose) await manager.delete(PictureEntity, { key });
      return { pictures: loose.length, bytes: loose.reduce((sum, { bytes }) => sum + bytes, 0) };
    });
  }
}

async function unusedPictures(manager: EntityManager): Promise<{ key: string; bytes: number }[]> {
  const rows: { key: string; bytes: number }[] = await manager.query(
    `SELECT "key", length("bytes") AS "bytes" FROM "pictures" WHERE "key" NOT IN (SELECT "key" FROM "uses" WHERE "kind" = 'picture')`,
  );
  const loose: typeof rows = [];
  for (const row of rows) if (!(await isNamed(manager, row.key))) loose.push(row);
  return loose;
}

/** Whether a picture's key stands in any version or in any history of edits. */
async function isNamed(manager: EntityManager, key: string): Promise<boolean> {
  for (const [table, column] of [
    ['project_versions', 'document'],
    ['projects', 'history'],
    ['projects', 'document'],
  ] as const) {
    const found = await manager.query(`SELECT 1 FROM "${table}" WHERE instr("${column}", ?) > 0 LIMIT 1`, [
      key,
    ]);
    if (found.length > 0) return true;
  }
  return false;
}
