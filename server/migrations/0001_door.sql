CREATE TABLE `guess` (
	`id` bigint unsigned AUTO_INCREMENT NOT NULL,
	`at` datetime(3) NOT NULL,
	`guessed_by` enum('passphrase','pin') NOT NULL,
	`staff_id` uuid,
	`device_id` uuid,
	`own_device` boolean NOT NULL,
	`address` varchar(45) NOT NULL,
	`was_right` boolean NOT NULL,
	CONSTRAINT `guess_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `device` ADD `revoked_at` datetime(3);--> statement-breakpoint
CREATE INDEX `guess_staff` ON `guess` (`staff_id`,`at`);--> statement-breakpoint
CREATE INDEX `guess_device` ON `guess` (`device_id`,`at`);--> statement-breakpoint
CREATE INDEX `guess_address` ON `guess` (`address`,`at`);--> statement-breakpoint
CREATE INDEX `guess_at` ON `guess` (`at`);