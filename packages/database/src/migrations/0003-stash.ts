import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Rings that are made and wait for a piece. */
export class Stash1764100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "stash" ("id" text PRIMARY KEY NOT NULL, "ring" text NOT NULL, "savedAt" text NOT NULL)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "stash"`);
  }
}
