import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Pictures that lie under drawings. */
export class Pictures1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "pictures" ("key" text PRIMARY KEY NOT NULL, "type" text NOT NULL, "bytes" blob NOT NULL)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "pictures"`);
  }
}
