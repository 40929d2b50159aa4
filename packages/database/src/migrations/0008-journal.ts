import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is written of each piece, and photographs of it. */
export class Journal1764600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "journal" ("id" text PRIMARY KEY NOT NULL, "projectId" text NOT NULL, "at" text NOT NULL, "entry" text NOT NULL)`,
    );
    await runner.query(`CREATE INDEX "journal_by_piece" ON "journal" ("projectId")`);
    await runner.query(
      `CREATE TABLE "photos" ("id" text PRIMARY KEY NOT NULL, "projectId" text NOT NULL, "type" text NOT NULL, "bytes" blob NOT NULL, "view" blob)`,
    );
    await runner.query(`CREATE INDEX "photos_by_piece" ON "photos" ("projectId")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['photos', 'journal']) await runner.query(`DROP TABLE "${table}"`);
  }
}
