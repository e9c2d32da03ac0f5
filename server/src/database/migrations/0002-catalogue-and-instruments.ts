import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The catalogue's list, instruments, pairs of readings; the region of a case in its summary. */
export class CatalogueAndInstruments1764000000002 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of [
      'CREATE TABLE `model` (`id` varchar(80) NOT NULL, `version` int NOT NULL, `hash` char(64) NOT NULL, `name` varchar(80) NOT NULL, `maker` varchar(80) NOT NULL, `programme` varchar(80) NOT NULL, `region` varchar(10) NOT NULL, `invented` tinyint NOT NULL, `sizes` int NOT NULL, `findings` int NOT NULL, `retired` tinyint NOT NULL, INDEX `model_programme` (`programme`, `name`, `id`), INDEX `model_region` (`region`, `name`, `id`), INDEX `model_name` (`name`, `id`), INDEX `model_maker` (`maker`, `name`), PRIMARY KEY (`id`)) ENGINE=InnoDB',
      'CREATE TABLE `instrument` (`id` varchar(80) NOT NULL, `kind` varchar(20) NOT NULL, `name` varchar(80) NOT NULL, `calibratedOn` date NOT NULL, `validDays` int NOT NULL, `offset` double NOT NULL, `simulated` tinyint NOT NULL, PRIMARY KEY (`id`)) ENGINE=InnoDB',
      'CREATE TABLE `reading_pair` (`case` char(36) NOT NULL, `step` varchar(80) NOT NULL, `side` varchar(8) NOT NULL, `protocol` varchar(160) NOT NULL, `first` double NOT NULL, `second` double NOT NULL, INDEX `reading_pair_protocol` (`protocol`), PRIMARY KEY (`case`, `step`, `side`)) ENGINE=InnoDB',
      'ALTER TABLE `summary` MODIFY `side` varchar(8) NOT NULL',
      // every case before this version was of a leg
      "ALTER TABLE `summary` ADD `region` varchar(10) NOT NULL DEFAULT 'leg'",
      'ALTER TABLE `summary` ALTER `region` DROP DEFAULT',
    ])
      await queryRunner.query(statement);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE `summary` DROP COLUMN `region`');
    await queryRunner.query('ALTER TABLE `summary` MODIFY `side` varchar(5) NOT NULL');
    for (const table of ['reading_pair', 'instrument', 'model'])
      await queryRunner.query(`DROP TABLE \`${table}\``);
  }
}
