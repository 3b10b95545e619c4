ALTER TABLE `subject` ADD `revision` int unsigned DEFAULT 1 NOT NULL;--> statement-breakpoint
UPDATE `subject` SET `revision` = coalesce((SELECT max(`revision`) FROM `fold_revision`), 1);--> statement-breakpoint
CREATE INDEX `subject_revision` ON `subject` (`revision`);--> statement-breakpoint
DROP TABLE `fold_revision`;
