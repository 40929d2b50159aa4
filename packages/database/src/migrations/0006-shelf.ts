import type { MigrationInterface, QueryRunner } from 'typeorm';
import { shelved } from '../shelved.js';

/** Lists and questions no longer read every document: names and sizes in columns, what pieces use in a table, drawings. */
export class Shelf1764400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const column of ['"name" text', '"heightMm" real', '"diameterMm" real', '"woods" text'])
      await runner.query(`ALTER TABLE "projects" ADD COLUMN ${column}`);
    await runner.query(`CREATE INDEX "projects_by_time" ON "projects" ("removedAt", "savedAt")`);
    await runner.query(
      `CREATE TABLE "uses" ("kind" text NOT NULL, "key" text NOT NULL, "projectId" text NOT NULL, PRIMARY KEY ("kind", "key", "projectId"))`,
    );
    await runner.query(`CREATE INDEX "uses_by_piece" ON "uses" ("projectId")`);
    await runner.query(
      `CREATE TABLE "drawings" ("projectId" text PRIMARY KEY NOT NULL, "revision" integer NOT NULL, "png" blob NOT NULL)`,
    );
    const ids: { id: string }[] = await runner.query(`SELECT "id" FROM "projects"`);
    for (const { id } of ids) {
      const [row] = await runner.query(`SELECT "document" FROM "projects" WHERE "id" = ?`, [id]);
      const { columns, uses } = shelved(row.document);
      await runner.query(
        `UPDATE "projects" SET "name" = ?, "heightMm" = ?, "diameterMm" = ?, "woods" = ? WHERE "id" = ?`,
        [columns.name, columns.heightMm, columns.diameterMm, columns.woods, id],
      );
      for (const { kind, key } of uses)
        await runner.query(`INSERT OR IGNORE INTO "uses" VALUES (?, ?, ?)`, [kind, key, id]);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['drawings', 'uses']) await runner.query(`DROP TABLE "${table}"`);
    await runner.query(`DROP INDEX "projects_by_time"`);
    for (const column of ['woods', 'diameterMm', 'heightMm', 'name'])
      await runner.query(`ALTER TABLE "projects" DROP COLUMN "${column}"`);
  }
}
