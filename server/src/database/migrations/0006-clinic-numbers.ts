import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whom the patient calls, the clinic's own rule for wearing, and how broad three fingers of each user are. */
export class ClinicNumbers1764000000006 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      'ALTER TABLE `clinic` ADD `phone` varchar(120) NULL, ADD `emergency` varchar(120) NULL, ADD `wearRule` json NULL',
    );
    await queryRunner.query('ALTER TABLE `user` ADD `threeFingers` float NULL');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE `user` DROP COLUMN `threeFingers`');
    await queryRunner.query(
      'ALTER TABLE `clinic` DROP COLUMN `wearRule`, DROP COLUMN `emergency`, DROP COLUMN `phone`',
    );
  }
}
