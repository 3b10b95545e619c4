CREATE TABLE `change` (
	`stream` int unsigned NOT NULL,
	`seq` bigint unsigned NOT NULL,
	`at` datetime(3) NOT NULL,
	`day` date NOT NULL,
	`author_id` uuid,
	`what` json NOT NULL,
	`reason` varchar(400) NOT NULL,
	CONSTRAINT `change_stream_seq_pk` PRIMARY KEY(`stream`,`seq`)
);
--> statement-breakpoint
CREATE TABLE `entry` (
	`subject` uuid NOT NULL,
	`occurred_at` datetime(3) NOT NULL,
	`uid` uuid NOT NULL,
	`stream` int unsigned NOT NULL,
	`seq` bigint unsigned NOT NULL,
	`family` varchar(12) NOT NULL,
	`kind` varchar(20) NOT NULL,
	`day` date NOT NULL,
	`recorded_at` datetime(3) NOT NULL,
	`author_id` uuid NOT NULL,
	`act` uuid,
	`payload` json NOT NULL,
	CONSTRAINT `entry_subject_occurred_at_uid_pk` PRIMARY KEY(`subject`,`occurred_at`,`uid`),
	CONSTRAINT `entry_place` UNIQUE(`stream`,`seq`),
	CONSTRAINT `entry_uid` UNIQUE(`uid`)
);
--> statement-breakpoint
CREATE TABLE `subject` (
	`id` uuid NOT NULL,
	`family` varchar(12) NOT NULL,
	`version` int unsigned NOT NULL,
	`up_to` varchar(600) NOT NULL,
	`state` longtext NOT NULL,
	CONSTRAINT `subject_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `touch` (
	`subject` uuid NOT NULL,
	`day` date NOT NULL,
	`uid` uuid NOT NULL,
	`how` varchar(20) NOT NULL,
	`other` uuid NOT NULL,
	`amount` double,
	CONSTRAINT `touch_subject_day_uid_how_pk` PRIMARY KEY(`subject`,`day`,`uid`,`how`)
);
--> statement-breakpoint
CREATE TABLE `follower` (
	`name` varchar(40) NOT NULL,
	`up_to` varchar(600) NOT NULL,
	CONSTRAINT `follower_name` PRIMARY KEY(`name`)
);
--> statement-breakpoint
CREATE TABLE `sheet_shipped` (
	`sheet_id` varchar(60) NOT NULL,
	`doc` json NOT NULL,
	CONSTRAINT `sheet_shipped_sheet_id` PRIMARY KEY(`sheet_id`)
);
--> statement-breakpoint
CREATE TABLE `sheet_version` (
	`sheet_id` varchar(60) NOT NULL,
	`version` int NOT NULL,
	`yaml` mediumtext NOT NULL,
	`author_id` uuid,
	`made_at` datetime(3) NOT NULL,
	`why` varchar(400) NOT NULL,
	CONSTRAINT `sheet_version_sheet_id_version_pk` PRIMARY KEY(`sheet_id`,`version`)
);
--> statement-breakpoint
CREATE TABLE `device` (
	`id` uuid NOT NULL,
	`token_hash` char(64) NOT NULL,
	`name` varchar(60),
	`enrolled_by` uuid,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `device_id` PRIMARY KEY(`id`),
	CONSTRAINT `device_token_hash_unique` UNIQUE(`token_hash`)
);
--> statement-breakpoint
CREATE TABLE `session` (
	`token_hash` char(64) NOT NULL,
	`staff_id` uuid NOT NULL,
	`device_id` uuid NOT NULL,
	`shift` uuid NOT NULL,
	`work_key` char(43) NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`ended_at` datetime(3),
	CONSTRAINT `session_token_hash` PRIMARY KEY(`token_hash`),
	CONSTRAINT `session_shift_unique` UNIQUE(`shift`)
);
--> statement-breakpoint
CREATE TABLE `staff` (
	`id` uuid NOT NULL,
	`login` varchar(60) NOT NULL,
	`name` varchar(120) NOT NULL,
	`initials` varchar(4) NOT NULL,
	`role` enum('curator','seniorKeeper','keeper','volunteer','vet','reader') NOT NULL,
	`passphrase_hash` varchar(200) NOT NULL,
	`pin_hash` varchar(200),
	`active` boolean NOT NULL DEFAULT true,
	`competences` json NOT NULL DEFAULT ('[]'),
	CONSTRAINT `staff_id` PRIMARY KEY(`id`),
	CONSTRAINT `staff_login_unique` UNIQUE(`login`)
);
--> statement-breakpoint
CREATE TABLE `bay` (
	`id` uuid NOT NULL,
	`room_id` uuid NOT NULL,
	`name` varchar(80) NOT NULL,
	`walk_order` smallint NOT NULL,
	`barrier` tinyint,
	CONSTRAINT `bay_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `enclosure` (
	`id` uuid NOT NULL,
	`bay_id` uuid NOT NULL,
	`shelf` smallint NOT NULL,
	`slot` smallint NOT NULL,
	`width_mm` int NOT NULL,
	`depth_mm` int NOT NULL,
	`height_mm` int NOT NULL,
	`build` json NOT NULL DEFAULT ('{}'),
	CONSTRAINT `enclosure_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `numbering` (
	`id` tinyint NOT NULL,
	`last` int NOT NULL,
	CONSTRAINT `numbering_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `plan_override` (
	`target` varchar(60) NOT NULL,
	`number` smallint NOT NULL,
	`change` json NOT NULL,
	CONSTRAINT `plan_override_target_number_pk` PRIMARY KEY(`target`,`number`)
);
--> statement-breakpoint
CREATE TABLE `resident` (
	`id` uuid NOT NULL,
	`accession` varchar(20) NOT NULL,
	`name` varchar(80) NOT NULL,
	`sheet_id` varchar(60) NOT NULL,
	`stage` varchar(40) NOT NULL,
	`schools` json NOT NULL,
	CONSTRAINT `resident_id` PRIMARY KEY(`id`),
	CONSTRAINT `resident_accession_unique` UNIQUE(`accession`)
);
--> statement-breakpoint
CREATE TABLE `room` (
	`id` uuid NOT NULL,
	`name` varchar(80) NOT NULL,
	`walk_order` smallint NOT NULL,
	`barrier` tinyint NOT NULL,
	`coolest` decimal(4,1),
	`warmest` decimal(4,1),
	CONSTRAINT `room_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `sheet` (
	`id` varchar(60) NOT NULL,
	`doc` json NOT NULL,
	CONSTRAINT `sheet_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `site` (
	`id` tinyint NOT NULL,
	`name` varchar(120) NOT NULL,
	`zone` varchar(60) NOT NULL,
	`schools` json NOT NULL,
	CONSTRAINT `site_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `stream` (
	`id` int unsigned AUTO_INCREMENT NOT NULL,
	`holder` uuid NOT NULL,
	`held_until` datetime(3) NOT NULL,
	`seq` bigint unsigned NOT NULL,
	CONSTRAINT `stream_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE INDEX `change_day` ON `change` (`day`);--> statement-breakpoint
CREATE INDEX `entry_day` ON `entry` (`day`);--> statement-breakpoint
CREATE INDEX `entry_act` ON `entry` (`act`);--> statement-breakpoint
CREATE INDEX `touch_uid` ON `touch` (`uid`);--> statement-breakpoint
CREATE INDEX `session_device` ON `session` (`device_id`,`staff_id`);
--> statement-breakpoint
-- Reference data that people edit keeps its history; the entry log is its own.
ALTER TABLE `site` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `room` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `bay` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `enclosure` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `sheet` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `plan_override` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `staff` ADD SYSTEM VERSIONING;
--> statement-breakpoint
INSERT INTO `numbering` (`id`, `last`) VALUES (1, 0);
