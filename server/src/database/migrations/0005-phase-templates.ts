import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The clinic's own schedules, by name: text that is read into phases, never a recommendation. */
export class PhaseTemplates1764000000005 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      'CREATE TABLE `phase_template` (`id` char(36) NOT NULL, `name` varchar(80) NOT NULL, `text` varchar(2000) NOT NULL, ' +
        '`invented` tinyint NOT NULL, UNIQUE INDEX `phase_template_name` (`name`), PRIMARY KEY (`id`)) ENGINE=InnoDB',
    );
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('DROP TABLE `phase_template`');
  }
}
