CREATE TABLE `invitation` (
	`staff_id` uuid NOT NULL,
	`code_hash` char(64) NOT NULL,
	`given_by` uuid NOT NULL,
	`until` datetime(3) NOT NULL,
	CONSTRAINT `invitation_staff_id` PRIMARY KEY(`staff_id`)
);
--> statement-breakpoint
ALTER TABLE `staff` MODIFY COLUMN `passphrase_hash` varchar(200);