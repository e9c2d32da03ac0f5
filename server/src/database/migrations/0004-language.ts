import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Everybody who signs in has a language; English where nothing was chosen. */
export class Language1764000000004 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("ALTER TABLE `user` ADD COLUMN `language` varchar(8) NOT NULL DEFAULT 'en'");
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE `user` DROP COLUMN `language`');
  }
}
