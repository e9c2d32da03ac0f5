import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is found of a case stands in its summary, and what may not wait comes first on the Bench. Each step may be repeated. */
export class FindingsFirst1764000000009 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    const run = (sql: string) => queryRunner.query(sql);
    await run(
      "ALTER TABLE `summary` ADD COLUMN IF NOT EXISTS `urgent` tinyint NOT NULL DEFAULT 0, ADD COLUMN IF NOT EXISTS `findings` json NOT NULL DEFAULT '[]'",
    );
    await run('ALTER TABLE `summary` ALTER `urgent` DROP DEFAULT, ALTER `findings` DROP DEFAULT');
    await run(
      'ALTER TABLE `summary` ADD INDEX IF NOT EXISTS `summary_urgent` (`urgent`, `firstVisit`, `case`)',
    );
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      'ALTER TABLE `summary` DROP INDEX `summary_urgent`, DROP COLUMN `findings`, DROP COLUMN `urgent`',
    );
  }
}
