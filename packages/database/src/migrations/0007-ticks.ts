import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is done of each piece. */
export class Ticks1764500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "ticks" ("id" text PRIMARY KEY NOT NULL, "projectId" text NOT NULL, "job" text NOT NULL, "amount" integer NOT NULL, "at" text NOT NULL, "device" text NOT NULL)`,
    );
    await runner.query(`CREATE INDEX "ticks_by_piece" ON "ticks" ("projectId")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "ticks"`);
  }
}
