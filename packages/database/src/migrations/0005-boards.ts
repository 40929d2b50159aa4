import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Boards on hand. */
export class Boards1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "board" ("id" text PRIMARY KEY NOT NULL, "board" text NOT NULL, "savedAt" text NOT NULL)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "board"`);
  }
}
