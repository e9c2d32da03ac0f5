import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The first schema: clinic, users, sessions, people, registered content, cases, entries, summaries. */
export class TheRecord1764000000001 implements MigrationInterface {
  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of [
      'CREATE TABLE `clinic` (`id` int NOT NULL, `name` varchar(120) NOT NULL, `zone` varchar(64) NOT NULL, PRIMARY KEY (`id`)) ENGINE=InnoDB',
      'CREATE TABLE `user` (`id` char(36) NOT NULL, `login` varchar(60) NOT NULL, `name` varchar(120) NOT NULL, `role` varchar(20) NOT NULL, `passwordHash` varchar(255) NOT NULL, `active` tinyint NOT NULL, UNIQUE INDEX `user_login` (`login`), PRIMARY KEY (`id`)) ENGINE=InnoDB',
      'CREATE TABLE `session` (`sid` varchar(64) NOT NULL, `expiresAt` datetime(3) NOT NULL, `data` json NOT NULL, INDEX `session_expires` (`expiresAt`), PRIMARY KEY (`sid`)) ENGINE=InnoDB',
      'CREATE TABLE `person` (`id` char(36) NOT NULL, `givenName` varchar(80) NOT NULL, `familyName` varchar(80) NOT NULL, `givenFirst` varchar(161) NOT NULL, `familyFirst` varchar(161) NOT NULL, `born` date NOT NULL, INDEX `person_given_first` (`givenFirst`), INDEX `person_family_first` (`familyFirst`, `id`), PRIMARY KEY (`id`)) ENGINE=InnoDB',
      'CREATE TABLE `registered` (`hash` char(64) NOT NULL, `sort` varchar(12) NOT NULL, `id` varchar(80) NOT NULL, `version` int NOT NULL, `body` json NOT NULL, UNIQUE INDEX `registered_version` (`sort`, `id`, `version`), PRIMARY KEY (`hash`)) ENGINE=InnoDB',
      'CREATE TABLE `case` (`id` char(36) NOT NULL, `person` char(36) NOT NULL, `programmeHash` char(64) NOT NULL, `modelHash` char(64) NOT NULL, `seq` int NOT NULL, `head` char(64) NOT NULL, INDEX `case_person` (`person`), PRIMARY KEY (`id`)) ENGINE=InnoDB',
      'CREATE TABLE `entry` (`case` char(36) NOT NULL, `seq` int NOT NULL, `id` char(36) NOT NULL, `content` longtext NULL, `salt` char(64) NULL, `salted` char(64) NOT NULL, `hash` char(64) NOT NULL, `receivedAt` datetime(3) NOT NULL, UNIQUE INDEX `entry_id` (`id`), PRIMARY KEY (`case`, `seq`)) ENGINE=InnoDB',
      'CREATE TABLE `summary` (`case` char(36) NOT NULL, `person` char(36) NOT NULL, `personKey` varchar(161) NOT NULL, `modelName` varchar(80) NOT NULL, `modelId` varchar(80) NOT NULL, `programme` varchar(80) NOT NULL, `side` varchar(5) NOT NULL, `stage` varchar(10) NOT NULL, `blockedBy` varchar(80) NULL, `size` varchar(20) NULL, `firstVisit` date NULL, `ribbon` json NOT NULL, `seq` int NOT NULL, `engine` int NOT NULL, INDEX `summary_first_visit` (`firstVisit`, `case`), INDEX `summary_person` (`person`), INDEX `summary_person_key` (`personKey`, `case`), INDEX `summary_model_name` (`modelName`, `case`), PRIMARY KEY (`case`)) ENGINE=InnoDB',
    ])
      await queryRunner.query(statement);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const table of ['summary', 'entry', 'case', 'registered', 'person', 'session', 'user', 'clinic'])
      await queryRunner.query(`DROP TABLE \`${table}\``);
  }
}
