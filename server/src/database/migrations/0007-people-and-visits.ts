import type { MigrationInterface, QueryRunner } from 'typeorm';

const words = (table: string, of: string) =>
  `CREATE TABLE \`${table}\` (\`word\` varchar(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, \`${of}\` char(36) NOT NULL,
    INDEX \`${table}_${of}\` (\`${of}\`), PRIMARY KEY (\`word\`, \`${of}\`),
    CONSTRAINT \`${table}_of\` FOREIGN KEY (\`${of}\`) REFERENCES \`${of}\`(\`id\`) ON DELETE NO ACTION ON UPDATE NO ACTION) ENGINE=InnoDB`;

/**
 * One person once, with a number; words by which people and cases are found; visits on their days; who has a case in hand, whether
 * it is closed, the labels of what was fitted; a PIN and a one-time code for whoever signs in; the letterhead; backups.
 */
export class PeopleAndVisits1764000000007 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    const run = (sql: string) => queryRunner.query(sql);
    await run('ALTER TABLE `clinic` ADD `letterhead` varchar(400) NULL');
    await run(
      'ALTER TABLE `user` ADD `pinHash` varchar(255) NULL, ADD `codeHash` varchar(255) NULL, ADD `codeUntil` datetime(3) NULL',
    );
    // numbers follow the order in which people were entered
    await run(
      'ALTER TABLE `person` ADD `number` int NULL, ADD `mergedInto` char(36) NULL, ADD `mergedAt` datetime(3) NULL',
    );
    await run('SET @number = 0');
    await run('UPDATE `person` SET `number` = (@number := @number + 1) ORDER BY `id`');
    await run(
      'ALTER TABLE `person` ADD UNIQUE INDEX `person_number` (`number`), MODIFY `number` int NOT NULL AUTO_INCREMENT',
    );
    await run('CREATE INDEX `person_merged` ON `person` (`mergedInto`)');
    await run('CREATE INDEX `person_born` ON `person` (`born`)');
    await run(
      'ALTER TABLE `person` ADD CONSTRAINT `person_is` FOREIGN KEY (`mergedInto`) REFERENCES `person`(`id`) ON DELETE NO ACTION ON UPDATE NO ACTION',
    );
    await run(words('person_word', 'person'));
    await run(words('case_word', 'case'));
    await run(
      `CREATE TABLE \`visit\` (\`id\` char(36) NOT NULL, \`person\` char(36) NOT NULL, \`case\` char(36) NULL, \`day\` date NOT NULL,
        \`time\` varchar(5) NULL, \`purpose\` varchar(12) NOT NULL, \`note\` varchar(400) NULL, \`noteBy\` char(36) NULL,
        \`by\` char(36) NOT NULL, \`state\` varchar(10) NOT NULL,
        INDEX \`visit_day\` (\`day\`, \`time\`, \`id\`), INDEX \`visit_person\` (\`person\`, \`day\`), INDEX \`visit_case\` (\`case\`),
        PRIMARY KEY (\`id\`),
        CONSTRAINT \`visit_of_person\` FOREIGN KEY (\`person\`) REFERENCES \`person\`(\`id\`) ON DELETE NO ACTION ON UPDATE NO ACTION,
        CONSTRAINT \`visit_of_case\` FOREIGN KEY (\`case\`) REFERENCES \`case\`(\`id\`) ON DELETE NO ACTION ON UPDATE NO ACTION) ENGINE=InnoDB`,
    );
    await run(
      'CREATE TABLE `backup` (`n` int NOT NULL AUTO_INCREMENT, `at` datetime(3) NOT NULL, `file` varchar(255) NOT NULL, `bytes` double NOT NULL, PRIMARY KEY (`n`)) ENGINE=InnoDB',
    );
    // filled by the rebuild that follows every start with summaries of an older version
    await run(
      "ALTER TABLE `summary` ADD `keeper` char(36) NOT NULL DEFAULT '', ADD `closed` varchar(12) NULL, ADD `lastDay` date NOT NULL DEFAULT '1900-01-01', ADD `labels` json NULL",
    );
    await run("UPDATE `summary` SET `labels` = '[]', `engine` = 0");
    await run(
      'ALTER TABLE `summary` MODIFY `keeper` char(36) NOT NULL, MODIFY `lastDay` date NOT NULL, MODIFY `labels` json NOT NULL',
    );
    await run('CREATE INDEX `summary_last_day` ON `summary` (`closed`, `lastDay`)');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    const run = (sql: string) => queryRunner.query(sql);
    await run('DROP INDEX `summary_last_day` ON `summary`');
    await run(
      'ALTER TABLE `summary` DROP COLUMN `labels`, DROP COLUMN `lastDay`, DROP COLUMN `closed`, DROP COLUMN `keeper`',
    );
    for (const table of ['backup', 'visit', 'case_word', 'person_word']) await run(`DROP TABLE \`${table}\``);
    await run('ALTER TABLE `person` DROP FOREIGN KEY `person_is`');
    await run('DROP INDEX `person_born` ON `person`');
    await run('DROP INDEX `person_merged` ON `person`');
    await run(
      'ALTER TABLE `person` MODIFY `number` int NOT NULL, DROP INDEX `person_number`, DROP COLUMN `number`, DROP COLUMN `mergedInto`, DROP COLUMN `mergedAt`',
    );
    await run('ALTER TABLE `user` DROP COLUMN `codeUntil`, DROP COLUMN `codeHash`, DROP COLUMN `pinHash`');
    await run('ALTER TABLE `clinic` DROP COLUMN `letterhead`');
  }
}
