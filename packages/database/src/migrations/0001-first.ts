import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Projects with their versions, own woods, the shop. */
export class First1763900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "projects" ("id" text PRIMARY KEY NOT NULL, "revision" integer NOT NULL, "document" text NOT NULL, "history" text NOT NULL, "savedAt" text NOT NULL, "removedAt" text)`,
    );
    await runner.query(
      `CREATE TABLE "project_versions" ("projectId" text NOT NULL, "revision" integer NOT NULL, "document" text NOT NULL, "savedAt" text NOT NULL, PRIMARY KEY ("projectId", "revision"))`,
    );
    await runner.query(`CREATE TABLE "woods" ("id" text PRIMARY KEY NOT NULL, "species" text NOT NULL)`);
    await runner.query(`CREATE TABLE "shop" ("id" integer PRIMARY KEY NOT NULL, "settings" text NOT NULL)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['shop', 'woods', 'project_versions', 'projects'])
      await runner.query(`DROP TABLE "${table}"`);
  }
}
