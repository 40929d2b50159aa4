import type { MigrationInterface, QueryRunner } from 'typeorm';
import { shelved } from '../shelved.js';

/** The shelf finds pieces by what their form is called, and by whether they are made. */
export class Kinds1764700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "projects" ADD COLUMN "kind" text`);
    await runner.query(`ALTER TABLE "projects" ADD COLUMN "made" integer NOT NULL DEFAULT (0)`);
    const ids: { id: string }[] = await runner.query(`SELECT "id" FROM "projects"`);
    for (const { id } of ids) {
      const [row] = await runner.query(`SELECT "document" FROM "projects" WHERE "id" = ?`, [id]);
      const { kind, made } = shelved(row.document).columns;
      await runner.query(`UPDATE "projects" SET "kind" = ?, "made" = ? WHERE "id" = ?`, [kind, made, id]);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const column of ['made', 'kind'])
      await runner.query(`ALTER TABLE "projects" DROP COLUMN "${column}"`);
  }
}
