CREATE TABLE `entry` (
	`resident_id` uuid NOT NULL,
	`occurred_at` datetime(3) NOT NULL,
	`seq` bigint unsigned NOT NULL,
	`uid` uuid NOT NULL,
	`kind` varchar(20) NOT NULL,
	`day` date NOT NULL,
	`recorded_at` datetime(3) NOT NULL,
	`author_id` uuid NOT NULL,
	`payload` json NOT NULL,
	CONSTRAINT `entry_resident_id_occurred_at_seq_pk` PRIMARY KEY(`resident_id`,`occurred_at`,`seq`),
	CONSTRAINT `entry_seq` UNIQUE(`seq`),
	CONSTRAINT `entry_uid` UNIQUE(`uid`)
);
--> statement-breakpoint
CREATE TABLE `feed_counter` (
	`id` tinyint NOT NULL,
	`seq` bigint unsigned NOT NULL,
	CONSTRAINT `feed_counter_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `resident_state` (
	`resident_id` uuid NOT NULL,
	`last_seq` bigint unsigned NOT NULL,
	`state` json NOT NULL,
	CONSTRAINT `resident_state_resident_id` PRIMARY KEY(`resident_id`)
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
	`created_at` datetime(3) NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`ended_at` datetime(3),
	CONSTRAINT `session_token_hash` PRIMARY KEY(`token_hash`)
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
	CONSTRAINT `enclosure_id` PRIMARY KEY(`id`)
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
	`headcount` int,
	`sex` enum('male','female','unknown') NOT NULL,
	`hatched_on` date,
	`barrier` tinyint,
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
CREATE INDEX `entry_day` ON `entry` (`day`);--> statement-breakpoint
CREATE INDEX `session_device` ON `session` (`device_id`,`staff_id`);