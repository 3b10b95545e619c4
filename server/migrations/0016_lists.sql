CREATE TABLE `brought_list` (
	`id` uuid NOT NULL,
	`file` varchar(200) NOT NULL,
	`at` datetime(3) NOT NULL,
	`author_id` uuid NOT NULL,
	`stream` int unsigned NOT NULL,
	`first_seq` bigint unsigned NOT NULL,
	`last_seq` bigint unsigned NOT NULL,
	`facts` int unsigned NOT NULL,
	`taken_back_at` datetime(3),
	`taken_back_by` uuid,
	CONSTRAINT `brought_list_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE INDEX `brought_list_at` ON `brought_list` (`at`);