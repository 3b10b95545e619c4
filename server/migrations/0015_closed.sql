ALTER TABLE `subject` ADD `closed_at` datetime(3);--> statement-breakpoint
CREATE INDEX `subject_closed` ON `subject` (`closed_at`);