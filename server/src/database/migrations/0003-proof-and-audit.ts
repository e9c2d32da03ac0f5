import type { MigrationInterface, QueryRunner } from 'typeorm';

/** MariaDB's tables change one by one and cannot be taken back: each step looks whether it is done already. */
const onceColumn = (table: string, column: string, definition: string) => ({
  done: `SELECT 1 FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = '${table}' AND column_name = '${column}'`,
  make: `ALTER TABLE \`${table}\` ADD \`${column}\` ${definition}`,
});
const onceIndex = (table: string, name: string, columns: string) => ({
  done: `SELECT 1 FROM information_schema.statistics WHERE table_schema = DATABASE() AND table_name = '${table}' AND index_name = '${name}'`,
  make: `ALTER TABLE \`${table}\` ADD INDEX \`${name}\` (${columns})`,
});
const onceKey = (table: string, name: string, column: string, target: string, referenced = 'id') => ({
  done: `SELECT 1 FROM information_schema.table_constraints WHERE table_schema = DATABASE() AND table_name = '${table}' AND constraint_name = '${name}'`,
  make: `ALTER TABLE \`${table}\` ADD CONSTRAINT \`${name}\` FOREIGN KEY (\`${column}\`) REFERENCES \`${target}\`(\`${referenced}\`) ON DELETE NO ACTION ON UPDATE NO ACTION`,
});
const always = (make: string) => ({ done: undefined, make });

/** Keyed hashes, seals, what the server found, audit, calibrations, foreign keys; the catalogue's list filled. */
export class ProofAndAudit1764000000003 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    const steps = [
      always('ALTER TABLE `user` MODIFY `login` varchar(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL'),
      onceColumn('case', 'mac', "varchar(64) NOT NULL DEFAULT ''"),
      always('ALTER TABLE `case` ALTER `mac` DROP DEFAULT'),
      onceColumn('case', 'unsealed', 'tinyint NOT NULL DEFAULT 1'),
      always('ALTER TABLE `case` ALTER `unsealed` DROP DEFAULT'),
      onceIndex('case', 'case_programme', '`programmeHash`'),
      onceIndex('case', 'case_model', '`modelHash`'),
      onceIndex('case', 'case_unsealed', '`unsealed`, `id`'),
      onceColumn('entry', 'otherwise', 'longtext NULL'),
      onceColumn('entry', 'mac', "varchar(64) NOT NULL DEFAULT ''"),
      always('ALTER TABLE `entry` ALTER `mac` DROP DEFAULT'),
      onceIndex('summary', 'summary_engine', '`engine`, `case`'),
      onceIndex('model', 'model_hash', '`hash`'),
      always(
        'CREATE TABLE IF NOT EXISTS `calibration` (`n` int NOT NULL AUTO_INCREMENT, `instrument` varchar(80) NOT NULL, `calibratedOn` date NOT NULL, `offset` double NOT NULL, `by` char(36) NULL, `at` datetime(3) NOT NULL, INDEX `calibration_instrument` (`instrument`, `n`), PRIMARY KEY (`n`)) ENGINE=InnoDB',
      ),
      always(
        'CREATE TABLE IF NOT EXISTS `seal` (`n` int NOT NULL, `at` datetime(3) NOT NULL, `cases` int NOT NULL, `mac` char(64) NOT NULL, PRIMARY KEY (`n`)) ENGINE=InnoDB',
      ),
      always(
        'CREATE TABLE IF NOT EXISTS `seal_head` (`seal` int NOT NULL, `case` char(36) NOT NULL, `seq` int NOT NULL, `head` char(64) NOT NULL, PRIMARY KEY (`seal`, `case`)) ENGINE=InnoDB',
      ),
      always(
        'CREATE TABLE IF NOT EXISTS `audit` (`n` int NOT NULL AUTO_INCREMENT, `at` datetime(3) NOT NULL, `user` char(36) NULL, `action` varchar(40) NOT NULL, `subject` varchar(80) NOT NULL, `detail` longtext NULL, INDEX `audit_subject` (`subject`, `n`), INDEX `audit_action` (`action`, `n`), INDEX `audit_user` (`user`, `n`), PRIMARY KEY (`n`)) ENGINE=InnoDB',
      ),
      // the calibrations there are begin the history
      always(
        'INSERT INTO `calibration` (`instrument`, `calibratedOn`, `offset`, `by`, `at`) SELECT `id`, `calibratedOn`, `offset`, NULL, UTC_TIMESTAMP(3) FROM `instrument` WHERE `id` NOT IN (SELECT `instrument` FROM `calibration`)',
      ),
      onceKey('calibration', 'calibration_of', 'instrument', 'instrument'),
      onceKey('seal_head', 'seal_head_of_seal', 'seal', 'seal', 'n'),
      onceKey('case', 'case_of_person', 'person', 'person'),
      onceKey('case', 'case_of_programme', 'programmeHash', 'registered', 'hash'),
      onceKey('case', 'case_of_model', 'modelHash', 'registered', 'hash'),
      onceKey('entry', 'entry_of_case', 'case', 'case'),
      onceKey('summary', 'summary_of_case', 'case', 'case'),
      onceKey('reading_pair', 'reading_pair_case', 'case', 'case'),
      onceKey('model', 'model_registered', 'hash', 'registered', 'hash'),
    ];
    for (const { done, make } of steps) {
      const found = done === undefined ? [] : ((await queryRunner.query(done)) as unknown[]);
      if (found.length === 0) await queryRunner.query(make);
    }
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const [table, key] of [
      ['model', 'model_registered'],
      ['reading_pair', 'reading_pair_case'],
      ['summary', 'summary_of_case'],
      ['entry', 'entry_of_case'],
      ['case', 'case_of_model'],
      ['case', 'case_of_programme'],
      ['case', 'case_of_person'],
    ])
      await queryRunner.query(`ALTER TABLE \`${table}\` DROP FOREIGN KEY \`${key}\``);
    for (const table of ['audit', 'seal_head', 'seal', 'calibration'])
      await queryRunner.query(`DROP TABLE \`${table}\``);
    for (const [table, index] of [
      ['model', 'model_hash'],
      ['summary', 'summary_engine'],
      ['case', 'case_unsealed'],
      ['case', 'case_model'],
      ['case', 'case_programme'],
    ])
      await queryRunner.query(`ALTER TABLE \`${table}\` DROP INDEX \`${index}\``);
    for (const [table, column] of [
      ['entry', 'mac'],
      ['entry', 'otherwise'],
      ['case', 'unsealed'],
      ['case', 'mac'],
    ])
      await queryRunner.query(`ALTER TABLE \`${table}\` DROP COLUMN \`${column}\``);
    await queryRunner.query('ALTER TABLE `user` MODIFY `login` varchar(60) NOT NULL');
  }
}
