import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Motifs and blocks that are kept for any piece. */
export class Patterns1764200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "pattern" ("id" text PRIMARY KEY NOT NULL, "pattern" text NOT NULL, "savedAt" text NOT NULL)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "pattern"`);
  }
}
