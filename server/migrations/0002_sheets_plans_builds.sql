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
CREATE TABLE `plan_change` (
	`seq` bigint unsigned AUTO_INCREMENT NOT NULL,
	`at` datetime(3) NOT NULL,
	`day` date NOT NULL,
	`author_id` uuid,
	`kind` varchar(20) NOT NULL,
	`sheet_id` varchar(60),
	`resident_id` uuid,
	`what` varchar(600) NOT NULL,
	`reason` varchar(400) NOT NULL,
	CONSTRAINT `plan_change_seq` PRIMARY KEY(`seq`)
);
--> statement-breakpoint
ALTER TABLE `staff` ADD `competences` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `enclosure` ADD `build` json DEFAULT ('{}') NOT NULL;--> statement-breakpoint
ALTER TABLE `room` ADD `coolest` decimal(4,1);--> statement-breakpoint
ALTER TABLE `room` ADD `warmest` decimal(4,1);--> statement-breakpoint
CREATE INDEX `plan_change_day` ON `plan_change` (`day`);