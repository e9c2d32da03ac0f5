import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * Sessions as columns, so that each request reads account, role and lock in one statement; who signed in on which
 * machine; seals that cover the audit and say what was restored; two notes of a visit; back-ups made every night.
 * Everybody signs in again after it. Each step may be repeated after an interruption.
 */
export class SessionsAndKeeping1764000000008 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    const run = (sql: string) => queryRunner.query(sql);
    await run('DROP TABLE IF EXISTS `session`');
    await run(
      `CREATE TABLE \`session\` (\`sid\` varchar(64) NOT NULL, \`machine\` char(36) NOT NULL, \`user\` char(36) NOT NULL,
        \`began\` datetime(3) NOT NULL, \`expiresAt\` datetime(3) NOT NULL, \`locked\` tinyint NOT NULL,
        INDEX \`session_expires\` (\`expiresAt\`), INDEX \`session_user\` (\`user\`), INDEX \`session_machine\` (\`machine\`),
        PRIMARY KEY (\`sid\`)) ENGINE=InnoDB`,
    );
    await run(
      `CREATE TABLE IF NOT EXISTS \`machine_user\` (\`machine\` char(36) NOT NULL, \`user\` char(36) NOT NULL, \`at\` datetime(3) NOT NULL,
        \`wrong\` int NOT NULL, INDEX \`machine_user_user\` (\`user\`), INDEX \`machine_user_at\` (\`at\`),
        PRIMARY KEY (\`machine\`, \`user\`)) ENGINE=InnoDB`,
    );
    await run('ALTER TABLE `audit` ADD COLUMN IF NOT EXISTS `seal` int NULL');
    await run('ALTER TABLE `audit` ADD INDEX IF NOT EXISTS `audit_seal` (`seal`, `n`)');
    await run(
      'ALTER TABLE `seal` ADD COLUMN IF NOT EXISTS `auditLines` int NULL, ADD COLUMN IF NOT EXISTS `auditHash` varchar(64) NULL, ADD COLUMN IF NOT EXISTS `restoredTo` int NULL',
    );
    await run('ALTER TABLE `seal_head` ADD INDEX IF NOT EXISTS `seal_head_case` (`case`, `seal`)');
    await run(
      'ALTER TABLE `visit` ADD COLUMN IF NOT EXISTS `deskNote` varchar(400) NULL, ADD COLUMN IF NOT EXISTS `deskNoteBy` char(36) NULL',
    );
    // a note of somebody who does not read the record was for the front desk
    await run(
      "UPDATE `visit` v JOIN `user` u ON u.`id` = v.`noteBy` SET v.`deskNote` = v.`note`, v.`deskNoteBy` = v.`noteBy`, v.`note` = NULL, v.`noteBy` = NULL WHERE v.`case` IS NULL AND u.`role` IN ('reception', 'administrator')",
    );
    await run(
      'ALTER TABLE `backup` ADD COLUMN IF NOT EXISTS `folder` varchar(400) NULL, ADD COLUMN IF NOT EXISTS `nightly` tinyint NOT NULL DEFAULT 0, ADD COLUMN IF NOT EXISTS `problem` varchar(400) NULL, ADD COLUMN IF NOT EXISTS `drilledAt` datetime(3) NULL, ADD COLUMN IF NOT EXISTS `drillProblem` varchar(400) NULL',
    );
    await run('ALTER TABLE `backup` ALTER `nightly` DROP DEFAULT');
    await run(
      `CREATE TABLE IF NOT EXISTS \`keeping\` (\`id\` int NOT NULL, \`keyMark\` varchar(64) NULL, \`folder\` varchar(400) NULL,
        \`keep\` int NOT NULL, \`recordForm\` int NOT NULL, PRIMARY KEY (\`id\`)) ENGINE=InnoDB`,
    );
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    const run = (sql: string) => queryRunner.query(sql);
    await run('DROP TABLE `keeping`');
    await run(
      'ALTER TABLE `backup` DROP COLUMN `drillProblem`, DROP COLUMN `drilledAt`, DROP COLUMN `problem`, DROP COLUMN `nightly`, DROP COLUMN `folder`',
    );
    await run(
      'UPDATE `visit` SET `note` = `deskNote`, `noteBy` = `deskNoteBy` WHERE `note` IS NULL AND `deskNote` IS NOT NULL',
    );
    await run('ALTER TABLE `visit` DROP COLUMN `deskNoteBy`, DROP COLUMN `deskNote`');
    await run('ALTER TABLE `seal_head` DROP INDEX `seal_head_case`');
    await run(
      'ALTER TABLE `seal` DROP COLUMN `restoredTo`, DROP COLUMN `auditHash`, DROP COLUMN `auditLines`',
    );
    await run('ALTER TABLE `audit` DROP INDEX `audit_seal`, DROP COLUMN `seal`');
    await run('DROP TABLE `machine_user`');
    await run('DROP TABLE `session`');
    await run(
      'CREATE TABLE `session` (`sid` varchar(64) NOT NULL, `expiresAt` datetime(3) NOT NULL, `data` json NOT NULL, INDEX `session_expires` (`expiresAt`), PRIMARY KEY (`sid`)) ENGINE=InnoDB',
    );
  }
}
